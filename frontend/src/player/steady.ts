const STEP_ABOVE_MS = 2000
const SLEW = 0.05

/** The server's time on a player: an offset to the monotonic clock, slewed by at most 5 %, stepped only above 2 s. */
export class SteadyClock {
  private base: number
  private target: number
  private lastMonotonic: number
  stepped = false
  frozen = false

  constructor(
    private readonly monotonic: () => number,
    wallMs: number,
  ) {
    this.lastMonotonic = monotonic()
    this.base = this.target = (Number.isFinite(wallMs) ? wallMs : 0) - this.lastMonotonic
  }

  /** What the server said, and when on the monotonic clock it must have said it (half the way there and back). */
  hear(serverMs: number, atMonotonic: number): void {
    if (!Number.isFinite(serverMs) || !Number.isFinite(atMonotonic)) return
    this.target = serverMs - atMonotonic
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
