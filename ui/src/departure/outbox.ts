import { v7 } from 'uuid'
import type { Accepted } from '../api.gen'
import { alone } from '../app/alone'
import { ask, asProblem, worthTryingAgain } from '../app/api'
import { serverNow } from '../app/clock'
import { stored } from '../app/stored'
import { takeOver, wordsKept, type Standing } from './wordsKept'

/** An event on its way: named here, kept here until the server has it on its disk. */
export interface Outgoing {
  id: string
  deviceAt: string
  device: string
  kind: string
  body: Record<string, unknown>
  /** What it is about, for a crew member to read if it is refused. */
  label: string
}

export interface Refused {
  /** The refusal's stable code; absent in what an earlier version kept. */
  code?: string
  event: Outgoing
  what: string
  tryThis: string
  faults: string[]
}

/** An event the server has taken, as the entry of that number. */
export interface Taken {
  id: string
  deviceAt: string
  kind: string
  body: Record<string, unknown>
  number: number
}

export interface OutboxState {
  waiting: readonly Outgoing[]
  /** Taken last: the stream tells of them a moment later, and until then they must not look undone. */
  taken: readonly Taken[]
  refused: readonly Refused[]
  /** How many words this browser would not keep. @default 0 */
  unkept?: number
}

export type OutboxEvent =
  | { type: 'put'; events: Outgoing[] }
  | { type: 'accepted'; event: Outgoing; number: number }
  | { type: 'refused'; event: Outgoing; refusal: Omit<Refused, 'event'> }
  | { type: 'dismissed'; id: string }

/** More than a stage has steps. */
const MOST_TAKEN = 100
/** Longer than any departure stays open. */
const TAKEN_KEPT_MS = 2 * 24 * 3_600_000

const without = <T>(all: readonly T[], id: (t: T) => string, gone: string): readonly T[] => (all.some((t) => id(t) === gone) ? all.filter((t) => id(t) !== gone) : all)

const known = (s: OutboxState, id: string): boolean =>
  s.waiting.some((w) => w.id === id) || s.taken.some((t) => t.id === id) || s.refused.some((r) => r.event.id === id)

/** Each tab hears of each event, maybe twice: the second time changes nothing. */
export const reduceOutbox = (s: OutboxState, e: OutboxEvent): OutboxState => {
  switch (e.type) {
    case 'put': {
      const fresh = e.events.filter((w) => !known(s, w.id))
      return fresh.length === 0 ? s : { ...s, waiting: [...s.waiting, ...fresh] }
    }
    case 'accepted': {
      const { id, deviceAt, kind, body } = e.event
      if (s.taken.some((t) => t.id === id)) return s
      return { ...s, waiting: without(s.waiting, (w) => w.id, id), taken: [...s.taken, { id, deviceAt, kind, body, number: e.number }].slice(-MOST_TAKEN) }
    }
    case 'refused':
      if (s.refused.some((r) => r.event.id === e.event.id)) return s
      return { ...s, waiting: without(s.waiting, (w) => w.id, e.event.id), refused: [...s.refused, { event: e.event, ...e.refusal }] }
    case 'dismissed':
      return { ...s, refused: without(s.refused, (r) => r.event.id, e.id) }
  }
}

export const deviceName = (): string => {
  const known = stored.get<string>('device', '')
  if (known) return known
  const made = `d-${v7().slice(-12)}`
  stored.set('device', made)
  return made
}

/** Told to the other tabs of the browser. */
interface Told {
  box: string
  event: OutboxEvent
}

/**
 * The events of one person in one departure that the server has not acknowledged yet, in order. A press shows at once and
 * is kept on the device in the same moment; all tabs know of it, and whichever of them holds the lock sends.
 */
export class Outbox {
  private state: OutboxState = { waiting: [], taken: [], refused: [] }
  private readonly listeners = new Set<() => void>()
  private readonly tabs = new BroadcastChannel('neat-lanyard-words')
  /** What could not be kept: in memory alone, so it goes with this page. */
  private unkept: Outgoing[] = []
  private sending = false
  private again = false
  private tries = 0
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(
    private readonly departure: string,
    private readonly box: string,
  ) {
    this.tabs.addEventListener('message', (m: MessageEvent<Told>) => m.data.box === box && this.become(reduceOutbox(this.state, m.data.event)))
    window.addEventListener('online', () => this.send())
    void this.load()
  }

  /** What another tab or an earlier page left here. */
  private async load(): Promise<void> {
    try {
      const kept = await wordsKept.all(this.box)
      const early = this.state
      this.become(reduceOutbox({ ...kept, refused: [...kept.refused, ...early.refused] }, { type: 'put', events: [...early.waiting] }))
    } catch {
      // A browser that keeps nothing has nothing; the first press says so.
    }
    await this.send()
  }

  readonly snapshot = (): OutboxState => this.state

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** @param at when it was, where that is not now: the server's time in milliseconds */
  put(kind: string, body: Record<string, unknown>, label: string, at?: number): void {
    this.putAll([{ kind, body, label, ...(at !== undefined && { deviceAt: new Date(at).toISOString() }) }])
  }

  /** Several at once, kept and shown with one stroke. */
  putAll(all: (Pick<Outgoing, 'kind' | 'body' | 'label'> & Partial<Pick<Outgoing, 'deviceAt'>>)[]): void {
    const common = { deviceAt: new Date(serverNow()).toISOString(), device: deviceName() }
    const events = all.map((e) => ({ id: v7(), ...common, ...e }))
    this.take({ type: 'put', events })
    void wordsKept
      .put(this.box, events)
      .catch(() => {
        this.unkept = [...this.unkept, ...events]
        this.become({ ...this.state, unkept: this.unkept.length })
      })
      .then(() => {
        // While nobody answers, the next try has its time already: a press does not bring it forward.
        if (!this.timer) void this.send()
      })
  }

  dismiss(id: string): void {
    this.take({ type: 'dismissed', id })
    void wordsKept.drop(id).catch(() => undefined)
  }

  /** A word that was not taken, said as a new one now. */
  sayAgain({ event: { id, kind, body, label } }: Refused): void {
    this.dismiss(id)
    this.put(kind, body, label)
  }

  private take(event: OutboxEvent): void {
    this.become(reduceOutbox(this.state, event))
    this.tabs.postMessage({ box: this.box, event } satisfies Told)
  }

  private become(next: OutboxState): void {
    if (next === this.state) return
    this.state = next
    this.listeners.forEach((l) => l())
  }

  /** One at a time, in order, by one tab: a later event may rest on an earlier one. */
  async send(): Promise<void> {
    if (this.sending) {
      this.again = true
      return
    }
    this.sending = true
    clearTimeout(this.timer)
    this.timer = undefined
    do {
      this.again = false
      await alone(`words/${this.box}`, () => this.sendWaiting())
    } while (this.again && !this.timer)
    this.sending = false
  }

  private async next(): Promise<Outgoing | undefined> {
    return (await wordsKept.next(this.box).catch(() => undefined)) ?? this.unkept[0]
  }

  private async sendWaiting(): Promise<void> {
    for (let next = await this.next(); next; next = await this.next()) {
      const { label: _, ...event } = next
      try {
        const { number } = await ask<Accepted>('POST', `/api/departures/${this.departure}/events`, event)
        this.tries = 0
        await this.answered(next, { type: 'accepted', event: next, number }, { standing: 'taken', number })
      } catch (thrown) {
        const problem = asProblem(thrown)
        if (worthTryingAgain(problem)) {
          this.timer = setTimeout(() => void this.send(), Math.min(15_000, 500 * 2 ** this.tries++))
          return
        }
        const { code, what, tryThis, faults } = problem
        const refusal = { code, what, tryThis, faults }
        await this.answered(next, { type: 'refused', event: next, refusal }, { standing: 'refused', refusal })
      }
    }
  }

  private async answered(event: Outgoing, told: OutboxEvent, standing: Standing): Promise<void> {
    if (this.unkept.some((u) => u.id === event.id)) {
      this.unkept = this.unkept.filter((u) => u.id !== event.id)
      this.become({ ...this.state, unkept: this.unkept.length })
    } else {
      // Should it not be written, it is sent again, and the server knows it by its name.
      await wordsKept.answered(this.box, event, standing, MOST_TAKEN).catch(() => undefined)
    }
    this.take(told)
  }
}

const outboxes = new Map<string, Outbox>()

/** The outbox of a person in a departure; the same one each time. */
export const outboxOf = (departure: string, who: string): Outbox => {
  const box = wordsKept.boxOf(who, departure)
  const there = outboxes.get(box)
  if (there) return there
  const made = new Outbox(departure, box)
  outboxes.set(box, made)
  return made
}

/** After a start: what somebody said in any departure, in whatever tab, is still on its way. */
export const resumeWords = async (who: string): Promise<void> => {
  try {
    await takeOver()
    const since = new Date(serverNow() - TAKEN_KEPT_MS).toISOString()
    for (const departure of await wordsKept.departuresWaiting(who, since)) outboxOf(departure, who)
  } catch {
    // A browser that keeps nothing: then there is nothing to resume.
  }
}
