import { computed, ref, shallowRef } from 'vue'
import { call, NoAnswer, ProblemError } from '../api/client'
import type { Command, DocumentAnswer, Problem, RevisionLine } from '../api/types'
import { useSession } from '../session/session'
import { clientId } from './client'
import { BatchQueue } from './queue'

const RETRY_MS = 1500

/** What was done since a revision, the latest first, and in which versions the document uses others. */
interface Since {
  revision: number
  depends: string
  revisions: RevisionLine[]
  here: { name: string; spot: string }[]
}

interface Options<Answer> {
  /** Takes an answer over; fresh ones hold everything. */
  take: (answer: Answer, fresh: boolean) => void
  /** What is looked at, for the server to answer about. */
  view: () => Record<string, string>
  /** Where in it one is, for the others who have it open. */
  spot?: () => string
  mayChange: () => boolean
}

/**
 * One document that is open on this page: the batches on their way to the server, what the server said last, undo,
 * conflicts, and what others did meanwhile. Every kind of document is edited through this.
 */
export function useDocument<Answer extends DocumentAnswer>({ take, view, spot, mayChange }: Options<Answer>) {
  const session = useSession()
  const id = ref('')
  const revision = ref(0)
  const waiting = ref(0)
  const state = ref<'saved' | 'saving' | 'away' | 'signed-out'>('saved')
  const refusal = shallowRef<unknown>(null)
  const conflict = shallowRef<Problem | null>(null)
  /** What others did since this page last said so. */
  const news = shallowRef<RevisionLine[]>([])
  /** Who else has it open, and where they are in it. */
  const here = shallowRef<{ name: string; spot: string }[]>([])
  const undo = shallowRef<DocumentAnswer['undo']>({ undo: null, redo: null })
  /** Whether what it uses is another now than when this page last said so. */
  const redrawn = ref(false)
  let depends = ''
  let queue: BatchQueue | null = null
  let opening: Promise<void> = Promise.resolve()
  let running: Promise<void> | null = null
  const idle: (() => void)[] = []
  const seen = (): { depends?: string } => (depends ? { depends } : {})
  const path = (rest = ''): string => `/api/documents/${id.value}${rest}`

  function accept(answer: Answer, fresh: boolean): void {
    revision.value = answer.revision
    undo.value = answer.undo
    depends = answer.depends ?? depends
    if (answer.between.length) news.value = answer.between
    take(answer, fresh || answer.whole === true)
  }

  /** What is sent from here on goes to this document, once it is there; never to the one before. */
  async function open(document: string): Promise<void> {
    id.value = document
    queue = null
    refusal.value = conflict.value = null
    news.value = []
    here.value = []
    redrawn.value = false
    depends = ''
    opening = begin(document)
    await opening
  }

  async function begin(document: string): Promise<void> {
    // Asked at the same time: neither needs the other.
    const [client] = await Promise.all([clientId(), reload()])
    const opened = await BatchQueue.open(document, session.me?.email ?? '', client)
    if (id.value !== document) return
    queue = opened
    waiting.value = opened.length
    void run()
  }

  /** Everything anew, as it is now; what is on the screen stays until it is there. */
  async function reload(): Promise<void> {
    const asked = id.value
    const answer = await call<Answer>('GET', `${path()}?${new URLSearchParams(view()).toString()}`)
    if (asked === id.value) accept(answer, true)
  }

  /**
   * Sends commands; `target` names what they set, so that quick changes of one thing become one step. False when they
   * were refused.
   */
  async function send(commands: Command[], target = '', sure = false): Promise<boolean> {
    const document = id.value
    await opening.catch(() => undefined)
    if (!queue || queue.document !== document || !mayChange()) return false
    refusal.value = null
    await queue.add({ commands, target, sure, revision: revision.value })
    waiting.value = queue.length
    await run()
    return refusal.value === null && conflict.value === null
  }

  /** Sends what waits, one batch after the other; over when nothing waits or the server cannot take more. */
  async function run(): Promise<void> {
    while (running) await running
    if (!queue?.first() || conflict.value) return
    running = empty(queue)
    await running
  }

  async function empty(current: BatchQueue): Promise<void> {
    try {
      for (let batch = current.first(); batch && !conflict.value; batch = current.first()) {
        state.value = 'saving'
        batch.sent = true
        const { batch: uuid, client: madeBy, revision: madeOn, commands, sure } = batch
        // What this page shows already need not be said again.
        const shown = current.document === id.value ? Math.max(madeOn, revision.value) : madeOn
        const body = {
          batch: uuid,
          client: madeBy,
          revision: madeOn,
          shown,
          commands,
          sure: sure === true,
          view: view(),
          ...seen(),
        }
        const answer = await call<Answer>('POST', `/api/documents/${current.document}/batches`, body)
        if (current.document === id.value) accept(answer, false)
        await current.shift()
        if (current === queue) waiting.value = current.length
      }
      state.value = 'saved'
    } catch (error) {
      await failed(error, current)
    } finally {
      running = null
      left(current)
    }
  }

  /** How much waits now; whoever waits for nothing goes on. */
  function left(current: BatchQueue): void {
    if (current === queue) waiting.value = current.length
    if (current.length === 0) for (const done of idle.splice(0)) done()
  }

  async function failed(error: unknown, current: BatchQueue): Promise<void> {
    const status = error instanceof ProblemError ? error.problem.status : 0
    const code = error instanceof ProblemError ? error.problem.code : ''
    if (error instanceof NoAnswer || status >= 500) {
      state.value = 'away'
      setTimeout(() => void run(), RETRY_MS)
    } else if (status === 401 || code === 'session.csrf') {
      state.value = 'signed-out'
    } else if (code === 'document.removed') {
      // What was typed waits here: whoever brings the document back has it again.
      refusal.value = error
      state.value = 'away'
    } else if (error instanceof ProblemError && code === 'document.changed_since') {
      conflict.value = error.problem
    } else {
      refusal.value = error
      state.value = 'saved'
      await current.shift()
      setTimeout(() => void run())
    }
  }

  /** When nothing waits to be sent. */
  async function settled(): Promise<void> {
    if (waiting.value > 0) await new Promise<void>((done) => idle.push(done))
  }

  /** After a conflict: mine goes on top of what is there, or is let go. */
  async function resolve(mine: boolean): Promise<void> {
    const seen = conflict.value
    if (!queue || !seen) return
    if (mine) await queue.rebase(seen.revision ?? revision.value)
    else await queue.shift()
    left(queue)
    conflict.value = null
    await reload()
    await run()
  }

  /** A request that makes a revision by itself, as undo does: when nothing waits, and taken over like an edit's. */
  async function ask(address: string, body: Record<string, unknown>): Promise<boolean> {
    if (!mayChange()) return false
    await settled()
    refusal.value = null
    try {
      const sent = { batch: crypto.randomUUID(), client: await clientId(), view: view(), ...body }
      accept(await call<Answer>('POST', address, sent), false)
      return true
    } catch (error) {
      refusal.value = error
      await reload().catch(() => undefined)
      return false
    }
  }

  const step = (kind: 'undo' | 'redo'): Promise<boolean> => ask(path(`/${kind}`), seen())

  /** Asks whether others did anything; what they did is shown and said. */
  async function listen(): Promise<void> {
    if (!id.value || running !== null || waiting.value > 0 || conflict.value) return
    const since = await call<Since>(
      'GET',
      path(`/since/${revision.value}?${new URLSearchParams({ spot: spot?.() ?? '' }).toString()}`),
    ).catch(() => null)
    if (since) here.value = since.here
    if (!since || running !== null || waiting.value > 0) return
    const isAnother = depends !== '' && since.depends !== depends
    if (since.revision <= revision.value && !isAnother) return
    await reload()
    news.value = [...since.revisions].reverse()
    redrawn.value ||= isAnother && since.revisions.length === 0
  }

  const unsaved = computed(() => waiting.value > 0)

  return {
    id,
    revision,
    waiting,
    unsaved,
    state,
    refusal,
    conflict,
    news,
    redrawn,
    here,
    undo,
    open,
    reload,
    settled,
    send,
    run,
    resolve,
    step,
    ask,
    listen,
  }
}
