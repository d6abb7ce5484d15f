import type { Command } from '../api/types'
import { isHeld } from './client'
import { drop, keep, kept, keptUnder } from './shelf'

interface Batch {
  batch: string
  /** The queue it was made in. */
  client: string
  /** What the person saw when its oldest command was made. */
  revision: number
  commands: Command[]
  /** Questions that were asked are answered. */
  sure: boolean
  target: string
  at: number
  sent: boolean
}

const COALESCE_MS = 1000

/**
 * Batches on their way to the server, kept in the browser: a closed tab or a restarted server loses nothing. One queue
 * per page.
 */
export class BatchQueue {
  private batches: Batch[] = []
  private constructor(
    readonly document: string,
    private readonly key: string,
    private readonly client: string,
  ) {}

  /** This page's queue for a document; what pages that are gone have left behind goes first. */
  static async open(document: string, person: string, client: string): Promise<BatchQueue> {
    const prefix = `queue:${person}:${document}:`
    const queue = new BatchQueue(document, `${prefix}${client}`, client)
    const left: Batch[] = []
    for (const key of (await keptUnder(prefix)).filter((one) => one !== queue.key)) {
      if (await isHeld(key.slice(prefix.length))) continue
      left.push(...((await kept<Batch[]>(key)) ?? []))
      await drop(key)
    }
    queue.batches = [...left.sort((a, b) => a.at - b.at), ...((await kept<Batch[]>(queue.key)) ?? [])]
    if (left.length) await queue.keep()
    return queue
  }

  get length(): number {
    return this.batches.length
  }

  first(): Batch | undefined {
    return this.batches[0]
  }

  /**
   * A later value for the same target within a second takes the place of one that is not sent yet: one undo step, made
   * on the older revision.
   */
  async add(made: Pick<Batch, 'commands' | 'target' | 'sure' | 'revision'>): Promise<void> {
    const last = this.batches.at(-1)
    if (last && !last.sent && made.target !== '' && last.target === made.target && Date.now() - last.at < COALESCE_MS)
      last.commands = made.commands
    else this.batches.push({ batch: crypto.randomUUID(), client: this.client, at: Date.now(), sent: false, ...made })
    await this.keep()
  }

  /** After a choice: the first batch was made with what others did in view. */
  async rebase(revision: number): Promise<void> {
    const first = this.batches[0]
    // A batch that was refused was not stored: its id is still free.
    if (first) Object.assign(first, { revision, sent: false })
    await this.keep()
  }

  async shift(): Promise<void> {
    this.batches.shift()
    await this.keep()
  }

  keep(): Promise<void> {
    return keep(this.key, this.batches)
  }
}
