/** What the pages of one player in one browser tell each other, one for each output. */
type Said = { took: string } | { offset: number }

/**
 * They agree: what one has taken whole lies in the cache for all, so the others take it at once; and all go by the time
 * that one of them heard last, so that they turn from scene to scene in the same frame.
 */
export class Together {
  private readonly channel: BroadcastChannel

  constructor(code: string, took: () => void, heard: (offsetMs: number) => void) {
    this.channel = new BroadcastChannel(`player:${code}`)
    this.channel.addEventListener('message', ({ data }: MessageEvent<Said>) => {
      if ('took' in data) took()
      else if (Number.isFinite(data.offset)) heard(data.offset)
    })
  }

  took(sha256: string): void {
    this.channel.postMessage({ took: sha256 } satisfies Said)
  }

  /** Of the server's clock to the machine's, which all of them share. */
  heard(offsetMs: number): void {
    this.channel.postMessage({ offset: offsetMs } satisfies Said)
  }
}
