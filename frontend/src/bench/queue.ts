import { get, set } from 'idb-keyval'
import type { Command } from '../api/types'

interface Batch { batch: string; commands: Command[]; target: string; at: number; sent: boolean }

const COALESCE_MS = 1000

/** Batches on their way to the server, kept in IndexedDB: a closed tab or a restarted server loses nothing. */
export class BatchQueue {
  private batches: Batch[] = []
  private constructor(private readonly key: string) {}

  static async open(design: string, person: string): Promise<BatchQueue> {
    const queue = new BatchQueue(`queue:${person}:${design}`)
    queue.batches = ((await get<Batch[]>(queue.key)) ?? []).map((batch) => ({ ...batch }))
    return queue
  }

  get length(): number {
    return this.batches.length
  }

  first(): Batch | undefined {
    return this.batches[0]
  }

  /** A later value for the same target within a second takes the place of one that is not sent yet: one undo step. */
  async add(commands: Command[], target: string): Promise<void> {
    const last = this.batches.at(-1)
    if (last && !last.sent && target !== '' && last.target === target && Date.now() - last.at < COALESCE_MS) last.commands = commands
    else this.batches.push({ batch: crypto.randomUUID(), commands, target, at: Date.now(), sent: false })
    await this.keep()
  }

  async shift(): Promise<void> {
    this.batches.shift()
    await this.keep()
  }

  async clear(): Promise<void> {
    this.batches = []
    await this.keep()
  }

  keep(): Promise<void> {
    return set(this.key, JSON.parse(JSON.stringify(this.batches)))
  }
}
