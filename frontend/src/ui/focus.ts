import { nextTick } from 'vue'

/**
 * The one owner of where the focus goes next. An action says where its work goes on: the new thing, its first field, or
 * its opener. Until that is there, what is typed is held and handed on to it; it is never taken for a command.
 */
type Find = () => HTMLElement | null | undefined

const PATIENCE_MS = 4000
const FIELDS = 'input:not([type="checkbox"]):not([type="radio"]):not([type="color"]), textarea'
/** Under these, single keys are commands. */
const COMMANDS = '.canvas-room'
/** What got the focus from us and not from the person: keys there are no commands yet. */
let given: Element | null = null

for (const act of ['pointerdown', 'keydown'] as const)
  addEventListener(
    act,
    (event) => {
      // Going there by Tab, or saying so by Enter or an arrow, makes it theirs.
      if (event instanceof PointerEvent || /^(Tab|Enter|Arrow\w+)$/.test((event as KeyboardEvent).key)) given = null
    },
    { capture: true },
  )

/** Whether keys on an element are the person's commands: they put the focus there themselves. */
export const isPersons = (element: EventTarget | null): boolean =>
  given === null || !(element instanceof Node && (given === element || given.contains(element)))

/** Gives the focus to what the person did not choose by hand. */
export function giveFocus(element: HTMLElement, commands = false): void {
  element.focus({ preventScroll: false })
  given = commands ? null : element
}

const frame = (): Promise<void> => new Promise((done) => requestAnimationFrame(() => done()))

/** Holds the focus and what is typed while an answer is on its way. */
function hold(): HTMLTextAreaElement {
  const holder = document.createElement('textarea')
  holder.className = 'visually-hidden focus-holder'
  holder.setAttribute('aria-label', '…')
  holder.tabIndex = -1
  document.body.append(holder)
  holder.focus({ preventScroll: true })
  return holder
}

function handOn(words: string, to: HTMLElement): void {
  if (words === '' || !to.matches(FIELDS)) return
  const field = to as HTMLInputElement | HTMLTextAreaElement
  const plain = field instanceof HTMLTextAreaElement ? words : words.replace(/\n/g, '')
  field.value += plain
  field.dispatchEvent(new Event('input', { bubbles: true }))
}

/**
 * Does something that is answered later, then goes on at `next`; where that does not come, or the answer was no, back
 * at the opener. Whoever goes elsewhere meanwhile is left there.
 */
export async function goOn<T>(doing: () => Promise<T>, next: Find): Promise<T> {
  const opener = document.activeElement instanceof HTMLElement ? document.activeElement : null
  const commands = opener?.closest(COMMANDS) !== null && opener !== null && isPersons(opener)
  const holder = hold()
  let result: T
  try {
    result = await doing()
    await nextTick()
    const until = performance.now() + PATIENCE_MS
    const wanted = (): HTMLElement | null | undefined => (result === false ? opener : next())
    while (document.activeElement === holder && !usable(wanted()) && performance.now() < until) await frame()
    const to = [wanted(), opener, chosen()].find(usable)
    if (document.activeElement === holder && to) {
      giveFocus(to, commands)
      handOn(holder.value, to)
    }
  } finally {
    holder.remove()
  }
  return result
}

/** Where the work begins in a place that was just opened. */
export const goOnAt = (begin: Find): void =>
  void nextTick(() => {
    const first = begin()
    if (first) giveFocus(first)
  })

const usable = (element: HTMLElement | null | undefined): element is HTMLElement =>
  !!element && element.isConnected && !element.matches(':disabled') && element.getClientRects().length > 0

/** What the work of a place is about. */
export const chosen = (): HTMLElement | null =>
  document.querySelector('.pane.chosen .pane-face, .float.chosen .float-face, .surface-face[aria-pressed="true"]')

/** The face of a zone on the canvas. */
export const faceOf =
  (zone: string): Find =>
  () =>
    document.querySelector<HTMLElement>(`[data-pane='${zone}'] .pane-face, [data-float='${zone}'] .float-face`)

/** The first field in something. */
export const firstField =
  (within: string): Find =>
  () =>
    document.querySelector<HTMLElement>(
      `${within} :is(textarea, input:not([type="color"]):not([type="hidden"]), select, button):not(:disabled)`,
    )
