import { computed, inject, provide, type ComputedRef, type InjectionKey, type Ref } from 'vue'
import { ProblemError } from '../api/client'

const KEY: InjectionKey<Ref<unknown>> = Symbol('refusal')

/** Lets the fields below show a refusal beside themselves. */
export const provideRefusal = (error: Ref<unknown>): void => provide(KEY, error)

/** The words for one field, when the last refusal names its place; `ends` is the end of the JSON Pointer. */
export function useFieldRefusal(ends: () => string | undefined): ComputedRef<string> {
  const error = inject(KEY, null)
  return computed(() => {
    const end = ends()
    const refused = error?.value
    if (!end || !(refused instanceof ProblemError) || !refused.problem.path.endsWith(end)) return ''
    return `${refused.problem.title} ${refused.problem.mend}`
  })
}

/** What was typed: a number where it is one, else the text itself, so that the server can say what is wrong with it. */
export function typedNumber(text: string): number {
  const plain = text.trim().replace(',', '.')
  const value = Number(plain)
  return plain === '' || !Number.isFinite(value) ? (plain as unknown as number) : value
}
