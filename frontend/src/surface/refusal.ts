import {
  computed,
  inject,
  onUnmounted,
  provide,
  shallowReactive,
  type ComputedRef,
  type InjectionKey,
  type Ref,
} from 'vue'
import { ProblemError } from '../api/client'

type Ends = () => string | undefined
interface Board {
  error: Readonly<Ref<unknown>>
  fields: Set<Ends>
}
const KEY: InjectionKey<Board> = Symbol('refusal')
const isFor = (refused: unknown, end: string | undefined): refused is ProblemError =>
  !!end && refused instanceof ProblemError && refused.problem.path.endsWith(end)

/** Lets the fields below show a refusal beside themselves; gives back what no field shows, to be shown once for all. */
export function provideRefusal(error: Readonly<Ref<unknown>>): ComputedRef<unknown> {
  const fields = shallowReactive(new Set<Ends>())
  provide(KEY, { error, fields })
  return computed(() => ([...fields].some((ends) => isFor(error.value, ends())) ? null : error.value))
}

/**
 * The words for one field, when the last refusal names its place; `ends` is the end of the JSON Pointer. Fields whose
 * unit is not the one that is kept say it in their own words.
 */
export function useFieldRefusal(
  ends: Ends,
  say = ({ title, mend }: ProblemError['problem']): string => `${title} ${mend}`,
): ComputedRef<string> {
  const board = inject(KEY, null)
  board?.fields.add(ends)
  onUnmounted(() => board?.fields.delete(ends))
  return computed(() => {
    const refused = board?.error.value
    return isFor(refused, ends()) ? say(refused.problem) : ''
  })
}

/** What was typed: a number where it is one, else the text itself, so that the server can say what is wrong with it. */
export function typedNumber(text: string): number {
  const plain = text.trim().replace(',', '.')
  const value = Number(plain)
  return plain === '' || !Number.isFinite(value) ? (plain as unknown as number) : value
}
