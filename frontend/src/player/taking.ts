import { forgetOthers, takeBeside, takeWhole, wanted, type Orders, type Wanted } from './fetching'
import { saveKept, type Beside, type Held, type Kept } from './store'

/**
 * Takes what orders name, each by itself: nothing waits for a programme that takes minutes to come, and one that other
 * orders took the place of meanwhile is not kept.
 */
export class Taking {
  private wants = ''
  private coming = false

  constructor(
    private readonly code: string,
    private readonly kept: Kept,
    private readonly took: (programme: Held | null) => void,
  ) {}

  /** Nothing is waited for here. */
  orders(orders: Orders): void {
    if (orders.number < this.kept.ordersNumber) return
    this.kept.ordersNumber = orders.number
    void this.beside(orders)
    const order = wanted(orders)
    if (order && !this.isKnown(order) && this.wants !== order.sha256) void this.programme(order)
  }

  /** Another player's orders begin to count anew. */
  forget(): void {
    this.kept.ordersNumber = 0
  }

  private isKnown(order: Wanted): boolean {
    const known = this.kept.next ?? this.kept.now
    return (
      known?.sha256 === order.sha256 ||
      (order.url === null && known?.intervals[0]?.start_ms === order.intervals[0]?.start_ms)
    )
  }

  private async beside(orders: Orders): Promise<void> {
    if (this.coming) return
    this.coming = true
    try {
      const beside: Beside = await takeBeside(orders, this.kept.beside)
      if (JSON.stringify(beside) === JSON.stringify(this.kept.beside)) return
      this.kept.beside = beside
      await saveKept(this.code, this.kept)
      this.took(null)
    } finally {
      this.coming = false
    }
  }

  private async programme(order: Wanted): Promise<void> {
    this.wants = order.sha256
    try {
      const next = await takeWhole(order)
      if (this.wants !== order.sha256) return
      const before = this.kept.now
      this.kept.next = next
      await saveKept(this.code, this.kept)
      this.took(next)
      await forgetOthers([before, next])
    } catch {
      // Asked for again with the next orders.
    } finally {
      if (this.wants === order.sha256) this.wants = ''
    }
  }
}
