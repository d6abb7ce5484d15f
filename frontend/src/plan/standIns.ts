type Draw = (pen: CanvasRenderingContext2D, width: number, height: number, nowMs: number) => void

const BARS = ['#F4F1EA', '#D9B44A', '#276B62', '#3F7CAC', '#8C5E99', '#A63D2A', '#1D2A33', '#0C1216']
const two = (value: number): string => String(Math.floor(value)).padStart(2, '0')

/** Hours, minutes, seconds and frames of 25 a second since midnight, UTC (SMPTE ST 12-1 counts so). */
function timeCode(nowMs: number): string {
  const s = nowMs / 1000
  return `${two((s / 3600) % 24)}:${two((s / 60) % 60)}:${two(s % 60)}:${two((nowMs % 1000) / 40)}`
}

function label(pen: CanvasRenderingContext2D, text: string, x: number, y: number, size: number): void {
  pen.font = `500 ${size}px Roboto, sans-serif`
  pen.textAlign = 'center'
  pen.textBaseline = 'middle'
  const wide = pen.measureText(text).width
  pen.fillStyle = '#0C1216'
  pen.fillRect(x - wide / 2 - size / 2, y - size * 0.8, wide + size, size * 1.6)
  pen.fillStyle = '#F4F1EA'
  pen.fillText(text, x, y)
}

/** Bars, a circle that must be round, a bar that moves evenly, and the time code. */
const pattern: Draw = (pen, w, h, nowMs) => {
  BARS.forEach((colour, bar) => {
    pen.fillStyle = colour
    pen.fillRect(Math.floor((bar * w) / 8), 0, Math.ceil(w / 8) + 1, h)
  })
  pen.fillStyle = '#7F7F7F'
  pen.fillRect(0, h * 0.7, w, h * 0.1)
  pen.fillStyle = '#FFFFFF'
  pen.fillRect((((nowMs % 4000) / 4000) * w) | 0, h * 0.7, Math.max(2, w / 60), h * 0.1)
  pen.strokeStyle = '#FFFFFF'
  pen.lineWidth = Math.max(2, h / 150)
  pen.beginPath()
  pen.arc(w / 2, h * 0.4, Math.min(w, h) * 0.28, 0, 2 * Math.PI)
  pen.stroke()
  label(pen, timeCode(nowMs), w / 2, h * 0.4, Math.min(h * 0.09, w * 0.07))
}

/** The quay: sky, water, a ferry that crosses in a minute. */
const camera: Draw = (pen, w, h, nowMs) => {
  const sky = pen.createLinearGradient(0, 0, 0, h * 0.55)
  sky.addColorStop(0, '#5B88A5')
  sky.addColorStop(1, '#E9D8B8')
  pen.fillStyle = sky
  pen.fillRect(0, 0, w, h * 0.55)
  pen.fillStyle = '#3A5A55'
  pen.beginPath()
  pen.moveTo(0, h * 0.55)
  for (let x = 0; x <= 24; x++)
    pen.lineTo((x * w) / 24, h * (0.47 + 0.05 * Math.sin(x * 0.9) + 0.02 * Math.sin(x * 2.3)))
  pen.lineTo(w, h * 0.55)
  pen.fill()
  pen.fillStyle = '#2E5F73'
  pen.fillRect(0, h * 0.55, w, h)
  pen.strokeStyle = '#7FA9B5'
  pen.lineWidth = Math.max(1, h / 300)
  for (let row = 0; row < 9; row++) {
    const y = h * (0.6 + row * 0.045)
    const shift = Math.sin(nowMs / 1500 + row) * w * 0.02
    for (let x = row % 2; x < 12; x += 2) {
      pen.beginPath()
      pen.moveTo((x * w) / 12 + shift, y)
      pen.lineTo(((x + 0.7) * w) / 12 + shift, y)
      pen.stroke()
    }
  }
  const x = ((nowMs % 60_000) / 60_000) * w * 1.4 - w * 0.2
  const y = h * 0.6 + Math.sin(nowMs / 700) * h * 0.006
  pen.fillStyle = '#F4F1EA'
  pen.fillRect(x, y - h * 0.08, w * 0.14, h * 0.05)
  pen.fillRect(x + w * 0.03, y - h * 0.12, w * 0.07, h * 0.05)
  pen.fillStyle = '#A63D2A'
  pen.fillRect(x - w * 0.02, y - h * 0.03, w * 0.18, h * 0.04)
  pen.fillRect(x + w * 0.05, y - h * 0.16, w * 0.02, h * 0.05)
  label(pen, timeCode(nowMs), w * 0.82, h * 0.93, Math.min(h * 0.05, w * 0.04))
}

/** A studio: someone who speaks, and a strip that runs. */
const television: Draw = (pen, w, h, nowMs) => {
  pen.fillStyle = '#1D2A33'
  pen.fillRect(0, 0, w, h)
  pen.fillStyle = '#276B62'
  for (let x = 0; x < 6; x++)
    pen.fillRect(w * (0.55 + x * 0.075), h * 0.1, w * 0.06, h * (0.3 + 0.1 * Math.sin(nowMs / 900 + x)))
  const nod = Math.sin(nowMs / 600) * h * 0.008
  pen.fillStyle = '#D8A883'
  pen.beginPath()
  pen.arc(w * 0.3, h * 0.36 + nod, h * 0.12, 0, 2 * Math.PI)
  pen.fill()
  pen.fillStyle = '#3F7CAC'
  pen.beginPath()
  pen.ellipse(w * 0.3, h * 0.78, h * 0.24, h * 0.28, 0, Math.PI, 0)
  pen.fill()
  pen.fillStyle = '#7A2E22'
  pen.fillRect(w * 0.3 - h * 0.03, h * 0.41 + nod, h * 0.06, h * (0.006 + 0.012 * Math.abs(Math.sin(nowMs / 130))))
  pen.fillStyle = '#0C1216'
  pen.fillRect(0, h * 0.78, w, h * 0.22)
  pen.fillStyle = '#D9B44A'
  for (let x = -1; x < 9; x++) pen.fillRect(((x + (nowMs % 3000) / 3000) * w) / 8, h * 0.87, w / 14, h * 0.03)
  label(pen, timeCode(nowMs), w * 0.85, h * 0.06, Math.min(h * 0.05, w * 0.04))
}

export const STAND_INS: Record<'pattern' | 'camera' | 'television', Draw> = { pattern, camera, television }

const sounding = new WeakMap<HTMLElement, AudioContext>()

/** A soft fifth, as long as it is to be heard; browsers that want a click first stay silent until then. */
export function tone(of: HTMLElement, heard: boolean): void {
  let sound = sounding.get(of)
  if (!sound && heard) {
    sound = new AudioContext()
    const volume = sound.createGain()
    volume.gain.value = 0.03
    volume.connect(sound.destination)
    for (const hertz of [220, 330]) {
      const voice = sound.createOscillator()
      voice.frequency.value = hertz
      voice.connect(volume)
      voice.start()
    }
    sounding.set(of, sound)
  }
  if (sound && heard === (sound.state === 'suspended')) void (heard ? sound.resume() : sound.suspend())
}

/** What leaves the stage falls silent. */
export function hush(of: HTMLElement | null): void {
  if (!of) return
  void sounding.get(of)?.close()
  sounding.delete(of)
}
