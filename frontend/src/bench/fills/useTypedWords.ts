import { computed, onUnmounted, ref, watch, type ComputedRef, type Ref } from 'vue'
import type { TextRun } from '../../api/fills'
import type { TextFill } from '../../api/types'
import { useDesign } from '../store/design'
import { carried } from './textRuns'

const LATER_MS = 300

/** Words as they are typed: kept when one pauses or leaves, never twice, and never overwritten while one types. */
export function useTypedWords(
  fill: () => TextFill,
  put: (words: { text: string; runs: TextRun[] }) => void,
): { typed: Ref<string>; runs: ComputedRef<TextRun[]>; type: () => void; keep: () => void } {
  const design = useDesign()
  const typed = ref('')
  let typing = false
  let timer: ReturnType<typeof setTimeout> | undefined
  let sent = ''

  watch(
    () => fill().text,
    (text) => !typing && (typed.value = text),
    { immediate: true },
  )
  const runs = computed(() => carried(fill().runs ?? [], fill().text, typed.value))

  function type(): void {
    typing = design.typing = true
    clearTimeout(timer)
    timer = setTimeout(keep, LATER_MS)
  }
  function keep(): void {
    clearTimeout(timer)
    typing = design.typing = false
    const onItsWay = design.waiting > 0 && typed.value === sent
    if (typed.value === fill().text || onItsWay) return
    sent = typed.value
    put({ text: typed.value, runs: runs.value })
  }
  /** A tab that is closed or left takes nothing with it. */
  const leave = (): void => void (typing && keep())
  document.addEventListener('visibilitychange', leave)
  onUnmounted(() => {
    document.removeEventListener('visibilitychange', leave)
    leave()
  })

  return { typed, runs, type, keep }
}
