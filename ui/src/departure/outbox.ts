import { v7 } from 'uuid'
import type { Accepted } from '../api.gen'
import { ask, asProblem, worthTryingAgain, type Problem } from '../app/api'
import { serverNow } from '../app/clock'
import { stored } from '../app/stored'

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
}

type OutboxEvent =
  | { type: 'put'; events: Outgoing[] }
  | { type: 'accepted'; id: string; number: number }
  | { type: 'refused'; id: string; problem: Problem }
  | { type: 'dismissed'; id: string }

/** More than a stage has steps. */
const MOST_TAKEN = 100

export const reduceOutbox = (s: OutboxState, e: OutboxEvent): OutboxState => {
  switch (e.type) {
    case 'put':
      return { ...s, waiting: [...s.waiting, ...e.events] }
    case 'accepted': {
      const event = s.waiting.find((w) => w.id === e.id)
      const taken = event ? [...s.taken, { id: e.id, deviceAt: event.deviceAt, kind: event.kind, body: event.body, number: e.number }].slice(-MOST_TAKEN) : s.taken
      return { ...s, taken, waiting: s.waiting.filter((w) => w.id !== e.id) }
    }
    case 'refused': {
      const event = s.waiting.find((w) => w.id === e.id)
      const { code, what, tryThis, faults } = e.problem
      return {
        ...s,
        waiting: s.waiting.filter((w) => w.id !== e.id),
        refused: event ? [...s.refused, { event, code, what, tryThis, faults }] : s.refused,
      }
    }
    case 'dismissed':
      return { ...s, refused: s.refused.filter((r) => r.event.id !== e.id) }
  }
}

export const deviceName = (): string => {
  const known = stored.get<string>('device', '')
  if (known) return known
  const made = `d-${v7().slice(-12)}`
  stored.set('device', made)
  return made
}

/** The events of one person in one departure that the server has not acknowledged yet, in order. */
export class Outbox {
  private state: OutboxState
  private readonly listeners = new Set<() => void>()
  private sending = false
  private tries = 0
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(
    private readonly departure: string,
    private readonly key = `outbox/${departure}`,
  ) {
    this.state = { waiting: [], taken: [], refused: [], ...stored.get<Partial<OutboxState>>(key, {}) }
    window.addEventListener('online', () => this.send())
    void this.send()
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
    this.take({ type: 'put', events: all.map((e) => ({ id: v7(), ...common, ...e })) })
    // While nobody answers, the next try has its time already: a press does not bring it forward.
    if (!this.timer) void this.send()
  }

  dismiss(id: string): void {
    this.take({ type: 'dismissed', id })
  }

  private take(event: OutboxEvent): void {
    this.state = reduceOutbox(this.state, event)
    stored.set(this.key, this.state)
    this.listeners.forEach((l) => l())
  }

  /** One at a time, in order: a later event may rest on an earlier one. */
  async send(): Promise<void> {
    if (this.sending) return
    this.sending = true
    clearTimeout(this.timer)
    this.timer = undefined
    for (let next = this.state.waiting[0]; next; next = this.state.waiting[0]) {
      const { label: _, ...event } = next
      try {
        const { number } = await ask<Accepted>('POST', `/api/departures/${this.departure}/events`, event)
        this.tries = 0
        this.take({ type: 'accepted', id: next.id, number })
      } catch (thrown) {
        const problem = asProblem(thrown)
        if (worthTryingAgain(problem)) {
          this.timer = setTimeout(() => void this.send(), Math.min(15_000, 500 * 2 ** this.tries++))
          break
        }
        this.take({ type: 'refused', id: next.id, problem })
      }
    }
    this.sending = false
  }
}

const outboxes = new Map<string, Outbox>()

/** The outbox of a person in a departure; the same one each time. */
export const outboxOf = (departure: string, who: string): Outbox => {
  const key = `outbox/${who}/${departure}`
  const known = outboxes.get(key)
  if (known) return known
  const made = new Outbox(departure, key)
  outboxes.set(key, made)
  return made
}
