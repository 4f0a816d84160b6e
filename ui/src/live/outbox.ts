import { v7 } from 'uuid'
import type { Answered } from '../api.gen'
import { alone } from '../app/alone'
import { ask, asProblem, Problem, worthTryingAgain } from '../app/api'
import { serverNow } from '../app/clock'
import { stored } from '../app/stored'
import {
  MOST_TAKEN,
  reduceOutbox,
  type OutboxEvent,
  type OutboxState,
  type Outgoing,
  type Refused,
} from './outboxState'
import { takeOver, wordsKept, type Standing } from './wordsKept'

/** What became of an event: the number of its entry, or why it is refused. */
interface Outcome {
  number?: number
  refused?: Omit<Refused, 'event'>
}

/** Longer than any departure stays open. */
const TAKEN_KEPT_MS = 2 * 24 * 3_600_000

export const deviceName = (): string => {
  const known = stored.get<string>('device', '')
  if (known) return known
  const made = `d-${v7().slice(-12)}`
  stored.set('device', made)
  return made
}

/**
 * So long an answer may take before it is asked for again, twice as long each time: what hangs on a dead link would
 * hold up all that is said after it, and what is only slow must come through in the end.
 */
const ANSWER_MS = 12_000
const LONGEST_ANSWER_MS = 180_000

/** Told to the other tabs of the browser. */
interface Told {
  box: string
  events: OutboxEvent[]
}

/** More than a walk has steps; the server takes as many in one request. */
const MOST_SENT = 100
/** In characters: however they are written, together they stay under what a request may carry. */
const MOST_SENT_CHARACTERS = 60_000

/** The oldest that go in one request together; at least one. */
export const together = (waiting: readonly Outgoing[]): Outgoing[] => {
  let characters = 0
  const end = waiting.findIndex(
    (w, i) => i >= MOST_SENT || ((characters += JSON.stringify(w).length) > MOST_SENT_CHARACTERS && i > 0),
  )
  return end < 0 ? [...waiting] : waiting.slice(0, end)
}

/**
 * The events of one person in one departure that the server has not acknowledged yet, in order. A press shows at
 * once and is kept on the device in the same moment; all tabs know of it, and whichever of them holds the lock
 * sends.
 */
export class Outbox {
  private state: OutboxState = { waiting: [], taken: [], refused: [] }
  private readonly listeners = new Set<() => void>()
  private readonly tabs = new BroadcastChannel('neat-lanyard-words')
  /** What could not be kept: in memory alone, so it goes with this page. */
  private unkept: Outgoing[] = []
  /** How many words of this tab are on their way to the disk. */
  private keeping = 0
  private sending = false
  private again = false
  private tries = 0
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(
    private readonly departure: string,
    private readonly box: string,
  ) {
    this.tabs.addEventListener(
      'message',
      (m: MessageEvent<Told>) => m.data.box === box && this.become(m.data.events.reduce(reduceOutbox, this.state)),
    )
    window.addEventListener('online', () => this.send())
    void this.load()
  }

  /** What another tab or an earlier page left here. */
  private async load(): Promise<void> {
    try {
      const kept = await wordsKept.all(this.box)
      const early = this.state
      this.become(
        reduceOutbox(
          { ...kept, refused: [...kept.refused, ...early.refused] },
          { type: 'put', events: [...early.waiting] },
        ),
      )
    } catch {
      // A browser that keeps nothing has nothing; the first press says so.
    }
    await this.send()
  }

  readonly snapshot = (): OutboxState => this.state

  /** How many wait that no killed browser takes along: each is on the disk. */
  readonly kept = (): number => this.state.waiting.length - this.keeping - this.unkept.length

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
    const put: OutboxEvent = { type: 'put', events }
    this.keeping += events.length
    this.become(reduceOutbox(this.state, put))
    void wordsKept
      .put(this.box, events)
      .then(
        // The other tabs hear of what is kept, so that none of them says so too early or in vain.
        () => this.tell(put),
        () => {
          this.unkept = [...this.unkept, ...events]
          this.become({ ...this.state, unkept: this.unkept.length })
        },
      )
      .then(() => {
        this.keeping -= events.length
        this.listeners.forEach((l) => l())
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

  private take(...events: OutboxEvent[]): void {
    this.become(events.reduce(reduceOutbox, this.state))
    this.tell(...events)
  }

  private tell(...events: OutboxEvent[]): void {
    this.tabs.postMessage({ box: this.box, events } satisfies Told)
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

  private async next(): Promise<Outgoing[]> {
    const kept = await wordsKept.waiting(this.box, MOST_SENT).catch(() => [])
    return together(kept.length > 0 ? kept : this.unkept)
  }

  private async sendWaiting(): Promise<void> {
    for (let some = await this.next(); some.length > 0; some = await this.next()) {
      const events = some.map(({ id, deviceAt, device, kind, body }) => ({ id, deviceAt, device, kind, body }))
      try {
        const answers = await ask<Answered[] | undefined>(
          'POST',
          `/api/departures/${this.departure}/outbox`,
          { events },
          Math.min(LONGEST_ANSWER_MS, ANSWER_MS * 2 ** this.tries),
        )
        if (!answers?.length) throw new Problem(0, 'no-answer', 'The server said nothing of it.', 'It is sent again.')
        this.heard(true)
        await this.answered(some, answers)
        this.tries = 0
      } catch (thrown) {
        const problem = asProblem(thrown)
        this.heard(problem.status > 0)
        if (worthTryingAgain(problem)) {
          this.timer = setTimeout(() => void this.send(), Math.min(15_000, 500 * 2 ** this.tries++))
          return
        }
        // What is wrong with all of it, such as a departure that is not there any more, is wrong with the first.
        const { code, what, tryThis, faults } = problem
        await this.answered(some, [{ refused: { code, what, tryThis, faults } }])
      }
    }
  }

  private heard(somebody: boolean): void {
    if ((this.state.unanswered ?? false) === somebody) this.become({ ...this.state, unanswered: !somebody })
  }

  /** @param answers one for each of the first of these events */
  private async answered(events: Outgoing[], answers: Outcome[]): Promise<void> {
    const all = answers
      .slice(0, events.length)
      .map((a, i): { told: OutboxEvent; event: Outgoing; standing: Standing } => {
        const event = events[i]!
        return a.number !== undefined
          ? {
              event,
              told: { type: 'accepted', event, number: a.number },
              standing: { standing: 'taken', number: a.number },
            }
          : {
              event,
              told: { type: 'refused', event, refusal: a.refused! },
              standing: { standing: 'refused', refusal: a.refused! },
            }
      })
    const inMemory = new Set(this.unkept.map((u) => u.id))
    if (all.some((a) => inMemory.has(a.event.id))) {
      this.unkept = this.unkept.filter((u) => !all.some((a) => a.event.id === u.id))
      this.become({ ...this.state, unkept: this.unkept.length })
    }
    // Should it not be written, it is sent again, and the server knows each by its name.
    const kept = all.filter((a) => !inMemory.has(a.event.id))
    if (kept.length > 0) await wordsKept.answered(this.box, kept, MOST_TAKEN).catch(() => undefined)
    this.take(...all.map((a) => a.told))
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
