import { reach } from '../plan/elsewhere'
import { Card } from './card'
import { askToBe, ownIdentity } from './pairing'
import { Player } from './player'
import { SteadyClock } from './steady'
import { loadKept } from './store'
import { RasterWindow, windowFor } from './window'
import { say } from './words'

const POLL_MS = 2000
const ACTS_MS = 900
const PROOF_MS = 60_000
const TIME_MS = 30_000
const SHELL_MS = 5000
const purpose = windowFor(new URL(location.href))
const code = purpose.player
const root = document.getElementById('stage') as HTMLElement
const word = document.getElementById('word') as HTMLElement
const card = new Card(document.getElementById('card') as HTMLElement, code)

// The answer cannot be read, but that there is one can.
reach.page = (address) =>
  fetch(address, { mode: 'no-cors', credentials: 'omit', cache: 'no-store' }).then(
    () => true,
    () => false,
  )
reach.devices = true
reach.file = (address) => `${address}.html`

/**
 * The page and its scripts came before the service worker did: they are put into its cache by hand, so that the first
 * reload may already be without a server.
 */
async function keepShell(): Promise<void> {
  const scripts = performance
    .getEntriesByType('resource')
    .map((entry) => entry.name)
    .filter((name) => name.includes('/build/'))
  await (await caches.open('player-shell')).addAll([location.href, ...scripts]).catch(() => undefined)
}

const after = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))

async function start(): Promise<void> {
  // A service worker that does not come in time must not keep the screen empty: it goes on coming beside what shows.
  if ('serviceWorker' in navigator)
    await Promise.race([
      navigator.serviceWorker
        .register('/play/sw.js', { scope: '/play/' })
        .then(() => navigator.serviceWorker.ready)
        .then(keepShell)
        .catch(() => undefined),
      after(SHELL_MS),
    ])
  else word.textContent = say('insecure')
  let identity = await ownIdentity(code)
  word.className = identity.orders === '' ? 'asks' : ''
  while (identity.orders === '') {
    const paired = await askToBe(code, identity).catch(() => say('away'))
    if (typeof paired === 'string') {
      word.textContent = paired
      card.ask()
      await after(POLL_MS)
    } else {
      identity = paired
      word.textContent = word.className = ''
      card.identify(null)
    }
  }
  const kept = await loadKept(code)
  const clock = new SteadyClock(() => performance.now(), Date.now() + (kept.offset ?? 0), kept.latest ?? undefined)
  const player = new Player(purpose, kept, clock, identity, { stage: root, word, card })
  await player.time()
  player.frame()
  repeat(player.poll, POLL_MS, 0.2)
  repeat(player.pollActs, ACTS_MS, 0.1)
  repeat(player.proof, PROOF_MS, 0.1)
  repeat(player.time, TIME_MS, 0.2)
}

/** A little apart from each other, so that many players that begin together do not go on together. */
function repeat(work: () => Promise<void>, everyMs: number, apart: number): void {
  const again = (): void => repeat(work, everyMs, apart)
  void work().finally(() => setTimeout(again, everyMs * (1 - apart + 2 * apart * Math.random())))
}

/** A card changes with the wiring, so it is asked for again and again; nothing of it is kept. */
async function showCard(): Promise<void> {
  const window = new RasterWindow(root, () => '', purpose)
  const look = async (): Promise<void> => {
    word.textContent = (await window.card().catch(() => false))
      ? ''
      : say('no-card', { player: code, output: purpose.output ?? 1 })
  }
  repeat(look, POLL_MS, 0.2)
}

void (purpose.card ? showCard() : start())
