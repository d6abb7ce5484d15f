import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { call, NoAnswer, ProblemError } from '../api/client'
import type { BenchView, Command, DesignAnswer, Fill, Finding, Mullion, Problem, ZoneDocument } from '../api/types'
import type { Rect, ZonePlan } from '../plan/types'
import { useSession } from '../session/session'
import { BatchQueue } from './queue'

const RETRY_MS = 1500

/** The design on the bench: what the server last said, and the batches still on their way to it. */
export const useDesign = defineStore('design', () => {
  const session = useSession()
  const answer = shallowRef<DesignAnswer | null>(null)
  const zones = shallowRef<Record<string, ZonePlan>>({})
  const documents = shallowRef<Record<string, ZoneDocument>>({})
  const findings = shallowRef<Record<string, Finding[]>>({})
  const bench = shallowRef<BenchView>({ mullions: [], snaps: { x: [], y: [] }, parts: {} })
  const waiting = ref(0)
  const state = ref<'saved' | 'saving' | 'away' | 'signed-out'>('saved')
  const refusal = ref<unknown>(null)
  const conflict = shallowRef<Problem | null>(null)
  const others = ref('')
  const selected = ref<string | null>(null)
  let queue: BatchQueue | null = null
  let running = false
  const idle: (() => void)[] = []

  const id = computed(() => answer.value?.design ?? '')
  const layout = computed(() => answer.value?.layout ?? '')
  const order = computed(() => answer.value?.order ?? [])
  const plans = computed(() => order.value.flatMap((zone) => zones.value[zone] ?? []))
  const allFindings = computed(() => [...(answer.value?.missing ?? []), ...order.value.flatMap((zone) => findings.value[zone] ?? [])])
  const zone = computed(() => (selected.value ? (zones.value[selected.value] ?? null) : null))
  const document = computed(() => (selected.value ? (documents.value[selected.value] ?? null) : null))

  async function open(design: string, layout = ''): Promise<void> {
    answer.value = null
    refusal.value = conflict.value = null
    selected.value = null
    others.value = ''
    take(await call<DesignAnswer>('GET', `/api/designs/${design}?layout=${layout}`), true)
    queue = await BatchQueue.open(design, session.me?.email ?? '')
    waiting.value = queue.length
    void run()
  }

  /** The same design in another of its layouts; what is on the screen stays until it is there. */
  async function show(name: string): Promise<void> {
    take(await call<DesignAnswer>('GET', `/api/designs/${id.value}?layout=${name}`), true)
  }

  /** Zones that the answer does not name keep the plan objects they have, so that nothing is drawn twice. */
  function take(next: DesignAnswer, fresh = false): void {
    const whole = fresh || next.whole === true
    const order = next.order ?? answer.value?.order ?? []
    const keep = <T>(old: Record<string, T>, fresh: Record<string, T>): Record<string, T> => {
      const all = whole ? fresh : { ...old, ...fresh }
      return Object.fromEntries(order.flatMap((zone) => (all[zone] === undefined ? [] : [[zone, all[zone] as T]])))
    }
    zones.value = keep(zones.value, next.zones)
    documents.value = keep(documents.value, next.documents)
    findings.value = keep(findings.value, next.findings)
    if (next.bench) bench.value = next.bench
    answer.value = { ...answer.value, ...next, order }
    if (selected.value && !zones.value[selected.value]) selected.value = null
    const last = next.between.at(-1)
    if (last) others.value = last.author
  }

  /** Sends commands; `target` names what they set, so that quick changes of one thing become one step. */
  async function send(commands: Command[], target = ''): Promise<void> {
    if (!queue || !session.designs()) return
    refusal.value = null
    await queue.add(commands, target)
    waiting.value = queue.length
    await run()
  }

  async function run(): Promise<void> {
    if (running || !queue) return
    running = true
    const current = queue
    try {
      for (let batch = current.first(); batch && !conflict.value; batch = current.first()) {
        state.value = 'saving'
        batch.sent = true
        take(await call<DesignAnswer>('POST', `/api/designs/${id.value}/batches`, { batch: batch.batch, revision: answer.value?.revision ?? 0, layout: layout.value, commands: batch.commands }))
        await current.shift()
        waiting.value = current.length
      }
      state.value = 'saved'
    } catch (error) {
      await failed(error, current)
    } finally {
      running = false
      waiting.value = current.length
      if (current.length === 0) for (const done of idle.splice(0)) done()
    }
  }

  async function failed(error: unknown, current: BatchQueue): Promise<void> {
    const status = error instanceof ProblemError ? error.problem.status : 0
    if (error instanceof NoAnswer || status >= 500) {
      state.value = 'away'
      setTimeout(() => void run(), RETRY_MS)
    } else if (status === 401 || (error instanceof ProblemError && error.problem.code === 'session.csrf')) {
      state.value = 'signed-out'
    } else if (error instanceof ProblemError && error.problem.code === 'design.changed_since') {
      conflict.value = error.problem
    } else {
      refusal.value = error
      state.value = 'saved'
      await current.shift()
      setTimeout(() => void run())
    }
  }

  /** After a conflict: mine goes on top of what is there, or is let go. */
  async function resolve(mine: boolean): Promise<void> {
    if (!queue) return
    conflict.value = null
    await show(layout.value)
    if (!mine) await queue.shift()
    await run()
  }

  async function step(kind: 'undo' | 'redo'): Promise<void> {
    if (waiting.value > 0) await new Promise<void>((done) => idle.push(done))
    refusal.value = null
    try {
      take(await call<DesignAnswer>('POST', `/api/designs/${id.value}/${kind}`, { batch: crypto.randomUUID(), layout: layout.value }))
    } catch (error) {
      refusal.value = error
    }
  }

  const setFill = (zoneId: string, fill: Fill, target = ''): Promise<void> =>
    send([{ do: 'fill.set', scene: answer.value?.scene ?? '', zone: zoneId, fill }], target)
  const moveMullion = (mullion: Mullion, at: number, alone: boolean): Promise<void> =>
    send([{ do: 'mullion.move', scene: layout.value, after: alone ? [mullion.after] : mullion.linked, at }], `mullion:${mullion.after}`)
  /** Divides a pane; what comes beside it is a new zone, or one that this layout leaves out. */
  const split = async (zoneId: string, axis: 'x' | 'y', at: number, placed = ''): Promise<void> => {
    const made = crypto.randomUUID().slice(0, 13)
    await send([{ do: 'pane.split', scene: layout.value, pane: zoneId, split: axis === 'x' ? 'columns' : 'rows', at, new_zone: placed || `z-${made}`, new_split: `g-${made}` }])
  }
  const span = (zoneId: string, over: Rect[]): Promise<void> => send([{ do: 'pane.span', scene: layout.value, pane: zoneId, over, new: crypto.randomUUID().slice(0, 13) }])
  const makeLayout = (way: 'same' | 'crossed'): Promise<void> => send([{ do: 'layout.make', scene: answer.value?.scene ?? '', way }])
  const dropLayout = (): Promise<void> => send([{ do: 'layout.put', scene: answer.value?.scene ?? '', glazing: null, zones: {} }])

  return {
    answer, id, zones, documents, findings, bench, order, plans, allFindings, waiting, state, refusal, conflict, others, selected, zone, document,
    layout, open, show, send, run, resolve, step, setFill, moveMullion, split, span, makeLayout, dropLayout,
  }
})
