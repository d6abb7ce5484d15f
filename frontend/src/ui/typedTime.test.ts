import { expect, it } from 'vitest'
import { typedSeconds } from './typedTime'

it.each([
  ['8', 8],
  ['8 s', 8],
  ['8s', 8],
  ['2,5', 2.5],
  ['0:08', 8],
  ['1:30', 90],
  ['1:02:03.5', 3723.5],
  ['-1', -1],
])('%s are so many seconds', (text, seconds) => expect(typedSeconds(text)).toBe(seconds))

it.each(['', 'soon', '1:75', ':30', '1:', '1e3', '1:2:3:4'])('%s is no time', (text) =>
  expect(typedSeconds(text)).toBeNull(),
)
