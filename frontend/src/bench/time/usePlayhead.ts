import { onUnmounted, ref } from 'vue'

/** Where the preview stands, in ms since the scene began; it runs on the monotonic clock while it plays. */
export function usePlayhead(draw: (tMs: number, running: boolean) => void) {
  const tMs = ref(0)
  const playing = ref(false)
  /** So many times as fast as the clock. */
  const speed = ref(1)
  let frame = 0
  let last = 0
  let shown = 0

  function tick(now: number): void {
    const t = shown + (now - last) * speed.value
    last = now
    shown = t
    // Films follow by seeking where they cannot play as fast.
    draw(t, speed.value === 1)
    // The rail needs no more than ten numbers a second; the drawing gets every frame.
    if (Math.floor(t / 100) !== Math.floor(tMs.value / 100)) tMs.value = Math.floor(t)
    frame = requestAnimationFrame(tick)
  }

  function play(): void {
    if (playing.value) return
    playing.value = true
    shown = tMs.value
    last = performance.now()
    frame = requestAnimationFrame(tick)
  }

  function pause(): void {
    if (!playing.value) return
    playing.value = false
    cancelAnimationFrame(frame)
    seek(Math.floor(shown))
  }

  function seek(to: number): void {
    tMs.value = Math.max(0, Math.round(to))
    shown = tMs.value
    last = performance.now()
    draw(tMs.value, playing.value)
  }

  const toggle = (): void => (playing.value ? pause() : play())
  onUnmounted(() => cancelAnimationFrame(frame))

  return { tMs, playing, speed, play, pause, seek, toggle }
}
