import { computed } from 'vue'
import type { ColourFill, PictureFill, SceneLength } from '../../api/types'
import { useDesign } from '../store/design'

/** What one does with the scene that is open. */
export function useScene() {
  const design = useDesign()
  const scene = computed(() => design.scenes[design.scene])
  const frieze = computed(() => design.answer?.frieze ?? [])
  const round = computed(() => (design.answer?.round.scenes ?? []).map((one) => one.scene))
  const here = (command: { do: string } & Record<string, unknown>, target = ''): Promise<boolean> =>
    design.send([{ ...command, scene: design.scene }], target && `${design.scene}:${target}`)
  const setRound = (wanted: string[]): Promise<boolean> => design.send([{ do: 'round.set', round: wanted }])

  async function duplicate(name: string, own: boolean): Promise<void> {
    const as = design.fresh('s')
    const copies = Object.fromEntries(own ? design.order.map((zone) => [zone, design.fresh('z')]) : [])
    if (await here({ do: 'scene.duplicate', as, name, copies, joins: round.value.includes(design.scene) }))
      await design.show(as, 'own')
  }
  async function remove(): Promise<void> {
    if (await here({ do: 'scene.remove' })) await design.show('', 'own')
  }

  return {
    scene,
    frieze,
    isRest: computed(() => round.value[0] === design.scene),
    inRound: computed(() => round.value.includes(design.scene)),
    /** The last one of the round stays in it. */
    staysIn: computed(() => round.value.length === 1 && round.value[0] === design.scene),
    join: (on: boolean): Promise<boolean> =>
      setRound(frieze.value.filter((one) => (one === design.scene ? on : round.value.includes(one)))),
    beRest: (): Promise<boolean> => setRound([design.scene, ...round.value.filter((one) => one !== design.scene)]),
    name: (name: string): Promise<boolean> => here({ do: 'scene.name', name }),
    setLength: (length: SceneLength): Promise<boolean> => here({ do: 'scene.length', length }, 'length'),
    setTransition: (kind: string, ms?: number): Promise<boolean> =>
      here({ do: 'scene.transition', transition: ms === undefined ? { kind } : { kind, ms } }, 'transition'),
    setGround: (ground: ColourFill | PictureFill): Promise<boolean> => here({ do: 'scene.ground', ground }, 'ground'),
    pictureGround: (media: string, scene = design.scene): Promise<boolean> =>
      design.send([{ do: 'scene.ground', scene, media }]),
    move: (by: number): Promise<boolean> | undefined => {
      const to = frieze.value.indexOf(design.scene) + by
      return to < 0 || to >= frieze.value.length
        ? undefined
        : design.moveScene(design.scene, (by > 0 ? frieze.value[to + 1] : frieze.value[to]) ?? null)
    },
    duplicate,
    remove,
  }
}
