import { ProblemError } from './client'

/**
 * An id for one thing that is asked for. It stays the same until there is an answer, so that asking again after a lost
 * one makes no second.
 */
export function useOnce(): <T>(what: string, ask: (id: string) => Promise<T>) => Promise<T> {
  let open = { what: '', id: '' }
  return async (what, ask) => {
    if (open.what !== what || open.id === '') open = { what, id: crypto.randomUUID() }
    try {
      const answer = await ask(open.id)
      open.id = ''
      return answer
    } catch (refused) {
      if (refused instanceof ProblemError) open.id = ''
      throw refused
    }
  }
}
