import type { DepartureView, MarkView, Progress, StepView } from '../api.gen'
import { serverNow } from '../app/clock'
import type { Outgoing, Taken } from './outbox'

type Said = Pick<Outgoing, 'kind' | 'body'> & Partial<Pick<Outgoing, 'deviceAt'>>

/** What a person's unsent words make of a step, until the server says how it stands. */
const OUTCOMES: Record<string, { outcome: string; words: (body: Record<string, unknown>) => string }> = {
  'step-done': { outcome: 'done', words: () => '' },
  measured: { outcome: 'done', words: (b) => String(b.value) },
  'step-not-today': { outcome: 'not-today', words: (b) => String(b.reason) },
  'step-later': { outcome: 'later', words: (b) => String(b.reason) },
  'find-raised': { outcome: 'find', words: (b) => String(b.note) },
  'found-so': { outcome: 'done', words: () => 'found so' },
}

const NOTHING: StepView = { status: 'open', settled: false, disagreed: false, marks: [] }

/** The progress with what this person has said and the server has not told of yet: it counts as said, and shows as kept here. */
export const withUnsent = (view: DepartureView, waiting: readonly Outgoing[], taken: readonly Taken[], who: { name: string; seat: string }): Progress => {
  const said: Said[] = [...taken.filter((t) => t.number > view.progress.number), ...waiting]
  if (said.length === 0 || !view.card) return view.progress
  const items = new Map(view.card.parts.flatMap((p) => p.items).map((i) => [i.id, i]))
  const steps = { ...view.progress.steps }
  const own = (m: MarkView) => m.by === who.name && m.seat === who.seat
  let { seats, waits, gates, tags } = view.progress
  for (const e of said) {
    if (e.kind === 'interrupted') seats = seats.map((x) => (x.seat === who.seat ? { ...x, away: e.deviceAt ?? new Date(serverNow()).toISOString() } : x))
    else if (e.kind === 'went-on') seats = seats.map((x) => (x.seat === who.seat ? { ...x, away: undefined } : x))
    else if (e.kind === 'wait-seen') waits = waits.filter((w) => w.step !== e.body.step)
    else if (e.kind === 'overridden') gates = { ...gates, [String(e.body.step)]: [] }
    else if (e.kind === 'tag-taken') tags = tags.filter((t) => t.hand !== e.body.tag)
    const item = items.get(String(e.body.step))
    if (!item) continue
    const before = steps[item.id] ?? NOTHING
    const others = before.marks.filter((m) => !own(m))
    const says = OUTCOMES[e.kind]
    if (says) {
      const mark = { outcome: says.outcome, by: who.name, seat: who.seat, at: e.deviceAt ?? '', words: says.words(e.body) }
      const marks = [...others, mark]
      const all = item.any ? marks.length > 0 : item.seats.every((s) => marks.some((m) => m.seat === s))
      const settled = says.outcome !== 'later' && (says.outcome !== 'done' || all)
      steps[item.id] = { status: says.outcome === 'later' ? 'later' : settled ? 'sending' : 'part', settled, disagreed: before.disagreed, marks }
    } else if (e.kind === 'step-undone') {
      steps[item.id] = others.length > 0 ? { ...before, status: 'part', settled: false, marks: others } : NOTHING
    }
  }
  return { ...view.progress, steps, seats, waits, gates, tags }
}
