import { expect, it } from 'vitest'
import { snapped } from './snapTime'

it('draws an edge to another lane that is near, else to whole seconds of its entry', () => {
  // 10 px for a second: 8 px are 800 ms.
  expect(snapped(7300, 500, [8000, 20_000], 0.01)).toBe(8000)
  expect(snapped(7100, 500, [8000], 0.01)).toBe(7500)
  expect(snapped(7100, 500, [], 0.01)).toBe(7500)
  expect(snapped(100, 500, [200], 0.01), 'never to nothing').toBe(1500)
})
it('tells tenths apart where they are to be seen', () => {
  expect(snapped(7140, 500, [], 0.2)).toBe(7100)
  expect(snapped(7140, 500, [7170], 0.2)).toBe(7170)
})
