import { afterEach, expect, it } from 'vitest'
import { Together } from './together'

const open: { close: () => void }[] = []
afterEach(() => {
  for (const one of open.splice(0)) one.close()
})
const page = (code: string): { said: string[]; one: Together } => {
  const said: string[] = []
  const one = new Together(
    code,
    () => said.push('took'),
    (offset) => said.push(String(offset)),
  )
  open.push((one as unknown as { channel: BroadcastChannel }).channel)
  return { said, one }
}
const arrived = (): Promise<void> => new Promise((done) => setTimeout(done, 0))

it('knows what the other outputs show', async () => {
  const [first, second] = [page('lookout-1'), page('lookout-1')]
  const own = { number: 2, plan: 'b', offset_ms: 5 }
  expect(second.one.shows(own)).toEqual([own])
  let all = first.one.shows({ number: 1, plan: 'a', offset_ms: 5 })
  while (all.length < 2) {
    await arrived()
    all = first.one.shows({ number: 1, plan: 'a', offset_ms: 5 })
  }
  expect(all).toEqual([{ number: 1, plan: 'a', offset_ms: 5 }, own])
  while (all.length > 1 && second.one.shows(own).length < 2) await arrived()
  expect(second.one.shows(own)).toEqual(all)
})

it('tells the other pages of the same player, and nobody else', async () => {
  const [first, second, other] = [page('hall-1'), page('hall-1'), page('hall-2')]
  first.one.took('abc')
  second.one.heard(-250)
  while (second.said.length + first.said.length < 2) await arrived()
  expect([first.said, second.said, other.said]).toEqual([['-250'], ['took'], []])
})
