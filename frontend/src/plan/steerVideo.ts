import type { Drawings } from './types'

type Steered = Pick<HTMLVideoElement, 'currentTime' | 'paused' | 'seeking' | 'readyState' | 'pause'> & {
  play: () => Promise<unknown>
}
/** Of the last seek: when it began and ended, how long it took; and where the video should have been, and when. */
interface Course {
  began: number | null
  ended: number
  tookMs: number
  wanted: number
  atMs: number
  /** Somebody went to another moment, and it has not followed yet. */
  jumped: boolean
}

const ONE_PICTURE_MS = 20
/**
 * A video that has just been sought plays for so long, and for so many times as long as that took, however late it is:
 * sought again at once, it might never play.
 */
const PLAYS_MS = 2000
const PLAYS_TIMES = 4
/** A machine that needs longer is not waited for. */
const LONGEST_SEEK_MS = 5000
const SLOW_MS = 300
const JUMP_S = 0.5
const courses = new WeakMap<Steered, Course>()

/** Brings a video to where it should be; small drift is left alone, so that it does not stutter. */
export function steerVideo(
  video: Steered,
  item: Drawings['video'],
  sinceMs: number,
  running: boolean,
  atMs = performance.now(),
): void {
  const begin = (item.content_from_ms ?? 0) / 1000
  const length = Math.max(1, item.content_ms)
  const wanted = begin + (sinceMs % length) / 1000
  const course = onCourse(video, wanted, atMs)
  const seek = (to: number): void => {
    Object.assign(course, { began: atMs, jumped: false })
    video.currentTime = to
  }
  const drift = Math.abs(video.currentTime - wanted)
  const tolerance = running ? 0.3 : 0.02
  if (drift <= tolerance) course.jumped = false
  // A whole file begins again by itself; a part of one would go on beyond its end, and waits there for its next round.
  const part = item.content_from_ms !== undefined
  // So little that it is one picture: it is shown, and never plays on into the next one.
  if (part && item.content_ms < ONE_PICTURE_MS) {
    if (!video.paused) video.pause()
    if (Math.abs(video.currentTime - begin) > 0.002 && !video.seeking) seek(begin)
    return
  }
  const wraps = !part && Math.abs(drift - item.content_ms / 1000) <= tolerance
  const end = begin + item.content_ms / 1000
  const past = part && video.currentTime >= end
  if (past && running && end - wanted <= Math.min(tolerance, item.content_ms / 2000)) return video.pause()
  const played = atMs - course.ended > Math.max(PLAYS_MS, PLAYS_TIMES * course.tookMs)
  const late = drift > tolerance && !wraps && (!running || course.jumped || played)
  if ((past || late) && !video.seeking) seek(begin + ((sinceMs + ahead(course, running)) % length) / 1000)
  if (running && video.paused && video.readyState >= 2) void video.play().catch(() => undefined)
  if (!running && !video.paused) video.pause()
}

/** Where seeks are slow, as far as the last one took: it is there when that is due. */
const ahead = (course: Course, running: boolean): number => (running && course.tookMs > SLOW_MS ? course.tookMs : 0)

function onCourse(video: Steered, wanted: number, atMs: number): Course {
  const course = courses.get(video) ?? { began: null, ended: -Infinity, tookMs: 0, wanted, atMs, jumped: false }
  courses.set(video, course)
  const jumped = course.jumped || Math.abs(wanted - course.wanted - (atMs - course.atMs) / 1000) > JUMP_S
  Object.assign(course, { wanted, atMs, jumped })
  if (course.began !== null && !video.seeking) {
    course.tookMs = Math.min(LONGEST_SEEK_MS, atMs - course.began)
    Object.assign(course, { began: null, ended: atMs })
  }
  return course
}
