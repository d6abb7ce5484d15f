import { newToken } from '../plan/token'
import { loadIdentity, saveIdentity, type Identity } from './store'
import { say } from './words'

type Answer =
  | { state: 'paired'; orders: string; name: string }
  | { state: 'waiting'; name: string; code: string }
  | { state?: undefined; title: string; mend: string }

/** Who this page is: as kept, or by the token it was opened with from Hand-off, or with one it makes up for itself. */
export async function ownIdentity(code: string): Promise<Identity> {
  const given = /^#([0-9a-f]{48})$/.exec(location.hash)?.[1]
  if (given) history.replaceState(null, '', location.pathname + location.search)
  const kept = await loadIdentity(code)
  if (kept && (!given || kept.token === given)) return kept
  const identity = { token: given ?? newToken(), orders: '', name: '' }
  await saveIdentity(code, identity)
  return identity
}

/** Asks to be the player. What comes back otherwise are the words to show: the pairing code, or what is wrong. */
export async function askToBe(code: string, identity: Identity): Promise<Identity | string> {
  const response = await fetch(`/api/play/${code}/pair`, {
    method: 'POST',
    headers: { Authorization: `Bearer ${identity.token}` },
  })
  const answer = (await response.json()) as Answer
  if (answer.state === 'waiting')
    return say('code', { player: answer.name, code: `${answer.code.slice(0, 3)} ${answer.code.slice(3)}` })
  if (answer.state !== 'paired') return `${answer.title} ${answer.mend}`
  const paired = { token: identity.token, orders: answer.orders, name: answer.name }
  await saveIdentity(code, paired)
  return paired
}
