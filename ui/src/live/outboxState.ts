import type { Code } from '../app/api'

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
  code?: Code
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
  /** Whether nobody answered when this page sent last, though its stream may seem to stand. @default false */
  unanswered?: boolean
}

export type OutboxEvent =
  | { type: 'put'; events: Outgoing[] }
  | { type: 'accepted'; event: Outgoing; number: number }
  | { type: 'refused'; event: Outgoing; refusal: Omit<Refused, 'event'> }
  | { type: 'dismissed'; id: string }

/** More than a stage has steps. */
export const MOST_TAKEN = 100
const without = <T>(all: readonly T[], id: (t: T) => string, gone: string): readonly T[] =>
  all.some((t) => id(t) === gone) ? all.filter((t) => id(t) !== gone) : all

const known = (s: OutboxState, id: string): boolean =>
  s.waiting.some((w) => w.id === id) || s.taken.some((t) => t.id === id) || s.refused.some((r) => r.event.id === id)

/** Another tab may have sent what this one could not. */
const ANSWERED = { unanswered: undefined }

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
      return {
        ...s,
        waiting: without(s.waiting, (w) => w.id, id),
        taken: [...s.taken, { id, deviceAt, kind, body, number: e.number }].slice(-MOST_TAKEN),
        ...ANSWERED,
      }
    }
    case 'refused':
      if (s.refused.some((r) => r.event.id === e.event.id)) return s
      return {
        ...s,
        waiting: without(s.waiting, (w) => w.id, e.event.id),
        refused: [...s.refused, { event: e.event, ...e.refusal }],
        ...ANSWERED,
      }
    case 'dismissed':
      return { ...s, refused: without(s.refused, (r) => r.event.id, e.id) }
  }
}
