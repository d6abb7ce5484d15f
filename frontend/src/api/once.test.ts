import { expect, test } from 'vitest'
import { ProblemError } from './client'
import { useOnce } from './once'

test('the same id until there is an answer, another afterwards', async () => {
  const once = useOnce()
  const ids: string[] = []
  const lost = (id: string): Promise<never> => {
    ids.push(id)
    return Promise.reject(new TypeError('Failed to fetch'))
  }
  const refused = (id: string): Promise<never> => {
    ids.push(id)
    return Promise.reject(new ProblemError({ status: 409, code: 'x', title: '', path: '', mend: '', params: {} }))
  }
  const done = (id: string): Promise<string> => {
    ids.push(id)
    return Promise.resolve(id)
  }
  await once('a', lost).catch(() => undefined)
  await once('a', lost).catch(() => undefined)
  await once('a', done)
  expect(new Set(ids.slice(0, 3)).size).toBe(1)
  await once('a', refused).catch(() => undefined)
  await once('a', lost).catch(() => undefined)
  await once('b', lost).catch(() => undefined)
  expect(new Set(ids.slice(2)).size).toBe(4)
})
