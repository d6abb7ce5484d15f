/**
 * Follows a pressed pointer on the whole window until it is let go (kept), or until Escape or the browser takes it away
 * (given up). Window listeners need no pointer capture, which is lost when the pressed element is drawn anew.
 */
export function followPointer(move: (event: PointerEvent) => void, end: (kept: boolean) => void): void {
  const stop = (kept: boolean): void => {
    removeEventListener('pointermove', move)
    removeEventListener('pointerup', keep)
    removeEventListener('pointercancel', giveUp)
    removeEventListener('keydown', escape, true)
    end(kept)
  }
  const keep = (): void => stop(true)
  const giveUp = (): void => stop(false)
  const escape = (pressed: KeyboardEvent): void => {
    if (pressed.key === 'Escape') stop(false)
  }
  addEventListener('pointermove', move)
  addEventListener('pointerup', keep)
  addEventListener('pointercancel', giveUp)
  addEventListener('keydown', escape, true)
}
