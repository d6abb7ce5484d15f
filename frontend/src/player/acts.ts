/** What somebody did that this site's players show at once, and for which of them. */
export interface Act {
  id: string
  kind: 'identify' | 'standby'
  from_ms: number
  until_ms: number
  players: string[]
}
/** The file of a site's acts; the one that counts first comes first. */
export interface ActsFile {
  number: number
  list: Act[]
}

/** What is in force on one player. */
export class Acts {
  /** When each came, on the monotonic clock; those that were kept from before are not in it. */
  private readonly arrived = new Map<string, number>()
  file: ActsFile

  constructor(
    private readonly player: string,
    private readonly monotonic: () => number,
    kept: ActsFile | null,
  ) {
    this.file = kept ?? { number: 0, list: [] }
  }

  /** False when it is one that was heard already, or an older one. */
  hear(file: ActsFile): boolean {
    if (!Number.isFinite(file.number) || file.number < this.file.number) return false
    const isNew = JSON.stringify(file) !== JSON.stringify(this.file)
    const now = this.monotonic()
    for (const act of file.list) if (!this.arrived.has(act.id)) this.arrived.set(act.id, now)
    for (const id of this.arrived.keys()) if (!file.list.some((act) => act.id === id)) this.arrived.delete(id)
    this.file = file
    return isNew
  }

  /**
   * One that was just fetched is in force on arrival, whatever this machine's clock says. It ends by the clock once the
   * server was heard; before that after as long as it lasts.
   */
  now(kind: Act['kind'], nowMs: number, sure: boolean): Act | null {
    return this.file.list.find((act) => act.kind === kind && this.holds(act, nowMs, sure)) ?? null
  }

  private holds(act: Act, nowMs: number, sure: boolean): boolean {
    if (!act.players.includes(this.player)) return false
    const arrived = this.arrived.get(act.id)
    if (arrived === undefined) return act.from_ms <= nowMs && nowMs < act.until_ms
    return sure ? nowMs < act.until_ms : this.monotonic() - arrived < act.until_ms - act.from_ms
  }
}
