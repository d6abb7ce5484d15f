/** What the pages of one player in one browser tell each other, one for each output. */
type Said = { took: string } | { offset: number } | { shows: OutputShows }

/** What one output shows, and by which clock: its offset to the machine's, which all of them share. */
export interface OutputShows {
  number: number
  plan: string
  offset_ms: number
}

/** A page that has said nothing for so long is closed. */
const HEARD_MS = 10_000

/**
 * They agree: what one has taken whole lies in the cache for all, so the others take it at once; and all go by the time
 * that one of them heard last, so that they turn from scene to scene in the same frame.
 */
export class Together {
  private readonly channel: BroadcastChannel
  private readonly others = new Map<number, { said: OutputShows; atMs: number }>()

  constructor(code: string, took: () => void, heard: (offsetMs: number) => void) {
    this.channel = new BroadcastChannel(`player:${code}`)
    this.channel.addEventListener('message', ({ data }: MessageEvent<Said>) => {
      if ('took' in data) took()
      else if ('shows' in data) this.others.set(data.shows.number, { said: data.shows, atMs: Date.now() })
      else if (Number.isFinite(data.offset)) heard(data.offset)
    })
  }

  /** Says what this output shows, and returns that of all that are open, by their numbers. */
  shows(own: OutputShows): OutputShows[] {
    this.channel.postMessage({ shows: own } satisfies Said)
    const since = Date.now() - HEARD_MS
    const others = [...this.others.values()].filter(({ said, atMs }) => atMs > since && said.number !== own.number)
    return [own, ...others.map(({ said }) => said)].sort((a, b) => a.number - b.number)
  }

  took(sha256: string): void {
    this.channel.postMessage({ took: sha256 } satisfies Said)
  }

  /** Of the server's clock to the machine's, which all of them share. */
  heard(offsetMs: number): void {
    this.channel.postMessage({ offset: offsetMs } satisfies Said)
  }
}
