import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type {
  BenchView,
  DesignAnswer,
  Fill,
  Finding,
  Mullion,
  SceneFindings,
  SceneLine,
  ZoneDocument,
} from '../../api/types'
import { useDocument } from '../../document/useDocument'
import type { Rect, ZonePlan } from '../../plan/types'
import type { Face } from '../aside/column'
import { useSession } from '../../session/session'
import { goOn } from '../../ui/focus'

/** Findings that go by themselves, once the worker has looked. */
const LOOKED_AT = ['web.unseen', 'media.not_ready']

/** The page: in the store `document` is the chosen zone's. */
const page = globalThis.document

const BARE: BenchView = {
  mullions: [],
  snaps: { x: [], y: [] },
  parts: {},
  floats: {},
  guides: [],
  lattice: null,
  starters: [],
  root: { x: { at: 0, gutter: 0 }, y: { at: 0, gutter: 0 } },
}

/**
 * The design on the bench as the server last said it: one layout of one scene, every scene's line, and what is found.
 */
export const useDesign = defineStore('design', () => {
  const session = useSession()
  const answer = shallowRef<DesignAnswer | null>(null)
  /** When what the bench shows began: the server's time at opening. */
  const beganMs = ref(0)
  const zones = shallowRef<Record<string, ZonePlan>>({})
  const documents = shallowRef<Record<string, ZoneDocument>>({})
  const sceneFindings = shallowRef<Record<string, SceneFindings>>({})
  const scenes = shallowRef<Record<string, SceneLine>>({})
  const bench = shallowRef<BenchView>(BARE)
  const selected = ref<string | null>(null)
  /** Floats chosen together; the selected one is among them, or they do not count. */
  const together = ref<string[]>([])
  const chosen = computed(() =>
    selected.value === null ? [] : together.value.includes(selected.value) ? together.value : [selected.value],
  )
  /** The face of the column beside the canvas. */
  const shown = ref<Face>('particulars')
  /** What the next drag on the canvas draws. */
  const tool = ref<'empty' | 'text' | null>(null)
  /** The refusal stands beside what caused it, whatever its place. */
  const refusedHere = ref(false)
  /** Something is being typed that is not on its way yet. */
  const typing = ref(false)
  /** What is wanted: the server leads back to what is there. */
  const wanted = ref({ scene: '', layout: 'own' as 'own' | 'turned' })

  const scene = computed(() => answer.value?.scene ?? '')
  const layout = computed(() => answer.value?.layout ?? 'own')
  const place = computed(() => ({ scene: scene.value, layout: layout.value }))
  const order = computed(() => answer.value?.order ?? [])
  const layers = computed(() => answer.value?.layers ?? [])
  /** In reading order. */
  const plans = computed(() => order.value.flatMap((zone) => zones.value[zone] ?? []))
  const findings = computed<Record<string, Finding[]>>(() => sceneFindings.value[scene.value]?.zones ?? {})
  const layoutFindings = computed(() => sceneFindings.value[scene.value]?.layout ?? [])
  const zone = computed(() => (selected.value ? (zones.value[selected.value] ?? null) : null))
  const document = computed(() => (selected.value ? (documents.value[selected.value] ?? null) : null))

  /** Of everything that a release would be judged by, once each. */
  const allFindings = computed(() => {
    const all = [
      ...(answer.value?.findings.general ?? []),
      ...(answer.value?.frieze ?? []).flatMap((id) => {
        const found = sceneFindings.value[id]
        return found ? [...found.layout, ...Object.values(found.zones).flat()] : []
      }),
    ]
    return [...new Map(all.map((finding) => [`${finding.code} ${finding.path} ${finding.message}`, finding])).values()]
  })

  const mayChange = computed(() => session.may('design', answer.value?.surface?.site, answer.value?.things))
  const client = useDocument<DesignAnswer>({
    take,
    view: () => wanted.value,
    spot: () => selected.value ?? '',
    mayChange: () => mayChange.value,
  })

  watch(client.refusal, (refused) => {
    if (refused === null) refusedHere.value = false
  })

  /** Zones that the answer does not name keep the plan objects they have, so that nothing is drawn twice. */
  function take(next: DesignAnswer, whole: boolean): void {
    const order = next.order ?? answer.value?.order ?? []
    const keep = <T>(old: Record<string, T>, fresh: Record<string, T>): Record<string, T> => {
      const all = whole ? fresh : { ...old, ...fresh }
      return Object.fromEntries(order.flatMap((zone) => (all[zone] === undefined ? [] : [[zone, all[zone] as T]])))
    }
    zones.value = keep(zones.value, next.zones)
    documents.value = keep(documents.value, next.documents)
    const there = <T>(old: Record<string, T>, fresh: Record<string, T>): Record<string, T> =>
      Object.fromEntries(
        next.frieze.flatMap((id) => ((fresh[id] ?? old[id]) ? [[id, (fresh[id] ?? old[id]) as T]] : [])),
      )
    scenes.value = there(whole ? {} : scenes.value, sketched(next.scenes))
    sceneFindings.value = there(whole ? {} : sceneFindings.value, merged(next.findings.scenes))
    if (next.bench) bench.value = next.bench
    if (!answer.value) beganMs.value = next.dates.now_ms
    answer.value = {
      ...answer.value,
      ...next,
      order,
      layers: next.layers ?? answer.value?.layers ?? [],
      elsewhere: next.elsewhere ?? answer.value?.elsewhere ?? [],
    }
    wanted.value = { scene: next.scene, layout: next.layout }
    if (selected.value && !zones.value[selected.value]) selected.value = null
  }
  const sketched = (next: Record<string, SceneLine>): Record<string, SceneLine> =>
    Object.fromEntries(
      Object.entries(next).map(([id, line]) => {
        const old = scenes.value[id]
        return [
          id,
          line.sketch_order || !old
            ? line
            : { ...line, sketch: { ...old.sketch, ...line.sketch }, sketch_order: old.sketch_order },
        ]
      }),
    )
  function merged(next: Record<string, SceneFindings>): Record<string, SceneFindings> {
    return Object.fromEntries(
      Object.entries(next).map(([id, found]) => [
        id,
        found.all ? found : { ...found, zones: { ...sceneFindings.value[id]?.zones, ...found.zones } },
      ]),
    )
  }

  /** What the worker is still looking at is asked for again. */
  async function hear(): Promise<void> {
    const all = Object.values(findings.value).flat()
    if (client.waiting.value === 0 && all.some((one) => LOOKED_AT.includes(one.code))) await client.reload()
  }

  async function open(design: string, scene = '', layout: 'own' | 'turned' = 'own'): Promise<void> {
    answer.value = null
    selected.value = null
    wanted.value = { scene, layout }
    await client.open(design)
  }

  /** The same design in another of its layouts; what is on the screen stays until it is there. */
  async function show(scene: string, layout: 'own' | 'turned'): Promise<void> {
    wanted.value = { scene, layout }
    await client.reload()
  }

  const id = (prefix: string): string => `${prefix}-${crypto.randomUUID().slice(0, 13)}`
  const send = client.send
  const setFill = (zone: string, fill: Fill, target = ''): Promise<boolean> =>
    send([{ do: 'fill.set', zone, fill }], target)
  /** Zones that were laid under openings: what comes into them covers them. */
  const covering = new Set<string>()
  /** A fresh fill of a kind, or a medium, in a zone or as an entry of its playlist. */
  const beginFill = (zone: string, kind: Fill['kind'], media?: string): Promise<boolean> =>
    send([
      { do: 'fill.begin', zone, kind, media, ...(media && covering.has(zone) ? { fit: 'cover' } : {}), entry: id('e') },
    ])
  const beginEntry = (zone: string, kind: Fill['kind'], given: { media?: string; text?: string } = {}): string => {
    const entry = id('e')
    void send([{ do: 'entry.begin', zone, entry, kind, ...given }])
    return entry
  }
  const moveMullion = (mullion: Mullion, at: number, alone: boolean): Promise<boolean> =>
    send(
      [{ do: 'mullion.move', ...place.value, after: alone ? [mullion.after] : mullion.linked, at }],
      `mullion:${mullion.after}`,
    )
  /** Divides a pane; what comes beside it is a new zone, or one that this layout leaves out. */
  const split = (pane: string, axis: 'x' | 'y', at: number, placed = ''): Promise<boolean> =>
    send([
      {
        do: 'pane.split',
        ...place.value,
        pane,
        split: axis === 'x' ? 'columns' : 'rows',
        at,
        new_zone: placed || id('z'),
        new_split: id('g'),
      },
    ])
  const span = (pane: string, over: Rect[]): Promise<boolean> =>
    send([{ do: 'pane.span', ...place.value, pane, over, new: id('n') }])
  const makeLayout = (way: 'same' | 'crossed'): Promise<boolean> =>
    send([{ do: 'layout.make', scene: scene.value, way }])
  const dropLayout = (): Promise<boolean> => send([{ do: 'layout.put', scene: scene.value, content: null, zones: {} }])

  /** An earlier revision as the next one; everything is another then. */
  async function restore(to: number): Promise<boolean> {
    const done = await client.ask(`/api/designs/${client.id.value}/restore`, {
      revision: client.revision.value,
      to,
    })
    if (done) await client.reload()
    return done
  }

  /** A scene behind the others that joins the round, and is shown. */
  async function addScene(name: string): Promise<void> {
    const made = id('s')
    await goOn(
      async () => {
        const done = await send([{ do: 'scene.add', scene: made, name, zone: id('z'), before: null, joins: true }])
        if (done) await show(made, 'own')
        if (done) selected.value = order.value[0] ?? null
        return done
      },
      () => page.querySelector<HTMLElement>('.pane.chosen .pane-face'),
    )
  }
  const moveScene = (scene: string, before: string | null): Promise<boolean> =>
    send([{ do: 'scene.move', scene, before }])

  return {
    ...client,
    answer,
    beganMs,
    mayChange,
    zones,
    documents,
    findings,
    layoutFindings,
    allFindings,
    scenes,
    bench,
    order,
    layers,
    plans,
    selected,
    together,
    chosen,
    shown,
    tool,
    refusedHere,
    typing,
    zone,
    document,
    scene,
    layout,
    place,
    fresh: id,
    restore,
    open,
    show,
    setFill,
    beginFill,
    covering,
    beginEntry,
    moveMullion,
    split,
    span,
    makeLayout,
    dropLayout,
    addScene,
    moveScene,
    hear,
  }
})
