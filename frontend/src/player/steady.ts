const STEP_ABOVE_MS = 2000
const SLEW = 0.05

/**
 * The server's time on a player: an offset to the monotonic clock, slewed by at most 5 %, stepped only above 2 s. Until
 * the server was heard it is not sure; it never begins before an instant that was believed once (a machine without a
 * battery for its clock begins in 1970).
 */
export class SteadyClock {
  private base: number
  private target: number
  private lastMonotonic: number
  stepped = false
  sure = false
  frozen = false

  constructor(
    private readonly monotonic: () => number,
    wallMs: number,
    latestMs = 0,
  ) {
    this.lastMonotonic = monotonic()
    this.base = this.target = Math.max(Number.isFinite(wallMs) ? wallMs : 0, latestMs) - this.lastMonotonic
  }

  /** What the server said, and when on the monotonic clock it must have said it (half the way there and back). */
  hear(serverMs: number, atMonotonic: number): void {
    if (!Number.isFinite(serverMs) || !Number.isFinite(atMonotonic)) return
    this.target = serverMs - atMonotonic
    this.sure = true
    if (Math.abs(this.target - this.base) > STEP_ABOVE_MS) {
      this.base = this.target
      this.stepped = true
    }
  }

  now(): number {
    const monotonic = this.monotonic()
    const most = Math.max(0, monotonic - this.lastMonotonic) * SLEW
    const wanted = this.target - this.base
    this.base += Math.max(-most, Math.min(most, wanted))
    this.lastMonotonic = monotonic
    return Math.round(this.base + monotonic)
  }

  offsetMs(wallMs: number): number {
    return Math.round(this.target + this.monotonic() - wallMs)
  }
}
