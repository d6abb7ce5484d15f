import { computed, ref, type ComputedRef, type Ref } from 'vue'
import type { MediaLine } from '../api/types'
import { followPointer } from '../ui/followPointer'

const SLACK_PX = 4

/**
 * Several media chosen at once: one after another, from one to another with Shift, all that a drag meets, or all that
 * is listed.
 */
export function useSeveral(
  listed: () => MediaLine[],
  grid: () => HTMLElement | null,
): {
  chosen: ComputedRef<MediaLine[]>
  has: (id: string) => boolean
  choose: (id: string, on: boolean, range: boolean) => void
  all: () => void
  clear: () => void
  gather: (event: PointerEvent) => void
  lasso: Ref<{ left: string; top: string; width: string; height: string } | null>
} {
  const ids = ref<Set<string>>(new Set())
  const lasso = ref<{ left: string; top: string; width: string; height: string } | null>(null)
  let last = ''
  const chosen = computed(() => listed().filter((one) => ids.value.has(one.id)))
  const has = (id: string): boolean => ids.value.has(id)

  function choose(id: string, on: boolean, range: boolean): void {
    const order = listed().map((one) => one.id)
    const [from, to] = [order.indexOf(last), order.indexOf(id)]
    const some = range && from >= 0 ? order.slice(Math.min(from, to), Math.max(from, to) + 1) : [id]
    const next = new Set(ids.value)
    for (const one of some)
      if (on) next.add(one)
      else next.delete(one)
    ids.value = next
    last = id
  }
  const all = (): void => void (ids.value = new Set(listed().map((one) => one.id)))
  const clear = (): void => void (ids.value = new Set())

  /** A drag that begins beside the cards. */
  function gather(event: PointerEvent): void {
    const room = grid()
    if (!room || event.target !== room || event.button !== 0) return
    const box = room.getBoundingClientRect()
    const at = (moved: PointerEvent): [number, number] => [moved.clientX - box.left, moved.clientY - box.top]
    const from = at(event)
    let met: string[] = []
    followPointer(
      (moved) => {
        const to = at(moved)
        const [left, top] = [Math.min(from[0], to[0]), Math.min(from[1], to[1])]
        const [wide, high] = [Math.abs(from[0] - to[0]), Math.abs(from[1] - to[1])]
        if (Math.max(wide, high) < SLACK_PX) return
        lasso.value = { left: `${left}px`, top: `${top}px`, width: `${wide}px`, height: `${high}px` }
        met = [...room.querySelectorAll<HTMLElement>('[data-media]')].flatMap((card) => {
          const own = card.getBoundingClientRect()
          const [x, y] = [own.left - box.left, own.top - box.top]
          const meets = x < left + wide && x + own.width > left && y < top + high && y + own.height > top
          return meets ? [card.dataset['media'] ?? ''] : []
        })
      },
      (kept) => {
        lasso.value = null
        if (kept) ids.value = new Set(event.shiftKey ? [...ids.value, ...met] : met)
      },
    )
  }
  return { chosen, has, choose, all, clear, gather, lasso }
}
