import type { AllowedView, DepartureView, ItemView, MarkView, Progress, ReadingView, StepView } from '../api.gen'
import { cordAfter } from './cord'
import { looseEndsAfter, type SaidHere } from './looseEnds'
import type { Outgoing, Taken } from './outbox'
import { gatesAfter, type SaidOfTimes, waitsAfter } from './waits'

type Said = Pick<Outgoing, 'id' | 'deviceAt' | 'kind' | 'body'>

/** What a value means that the server told not to be right now, before it was read; nothing where it may be right. */
const outOf = (item: ItemView, allowed: AllowedView | undefined, value: number): ReadingView | undefined => {
  if (!allowed) return undefined
  const none = allowed.least === undefined && allowed.most === undefined
  if (!none && value >= (allowed.least ?? -Infinity) && value <= (allowed.most ?? Infinity)) return undefined
  const shown = `${value} ${item.measure?.unit ?? ''}`.trim()
  return {
    value, shown, level: 'out', words: `Read ${shown}; right today: ${allowed.words}.`, arithmetic: ['Against the other readings it is judged once the server has it.'],
    source: 'What is right today, as the server told it last',
  }
}

/** What a person's unsent words make of a step, until the server says how it stands. */
const OUTCOMES: Record<string, { outcome: string; words: (body: Record<string, unknown>) => string }> = {
  'step-done': { outcome: 'done', words: () => '' },
  measured: { outcome: 'done', words: (b) => String(b.value) },
  'step-not-today': { outcome: 'not-today', words: (b) => String(b.reason) },
  'step-later': { outcome: 'later', words: (b) => String(b.reason) },
  'find-raised': { outcome: 'find', words: (b) => String(b.note) },
  'value-said': { outcome: 'done', words: (b) => String(b.value) },
  'found-so': { outcome: 'done', words: () => 'found so' },
}

/** The seats that have answered a step since it was last put aside. */
const answered = (marks: MarkView[]): Set<string> => {
  const aside = Math.max(-1, ...marks.filter((m) => m.outcome === 'later').map((m) => m.number))
  return new Set(marks.filter((m) => m.outcome !== 'later' && m.number > aside).map((m) => m.seat))
}

/** Who must still answer. An answer that the server asks for again counts no more than it did; of a step either may answer, one is enough. */
const owes = (item: ItemView, before: StepView, marks: MarkView[], seat: string): string[] => {
  const asked = new Set([...answered(before.marks)].filter((s) => s !== seat && before.owes.includes(s)))
  const have = [...answered(marks)].filter((s) => !asked.has(s))
  return item.any && have.length > 0 ? [] : item.seats.filter((s) => !have.includes(s))
}

/** In the order of how much it matters; the worst stands. */
const WORST = ['done', 'later', 'not-today', 'find']

/** How a step stands by all that is said of it. */
const standing = (item: ItemView, before: StepView, marks: MarkView[], seat: string): StepView => {
  const worst = WORST.findLast((o) => marks.some((m) => m.outcome === o))
  const left = owes(item, before, marks, seat)
  const settled = worst === 'find' || worst === 'not-today' || (worst === 'done' && left.length === 0)
  return { ...before, status: worst === 'later' ? 'later' : settled ? 'sending' : 'part', settled, owes: left, marks }
}

/** A step nobody has said anything of: all its seats owe it. */
const untouched = (item: ItemView): StepView => ({ status: 'open', settled: false, owes: item.seats, again: '', disagreed: false, marks: [] })

/** The progress with what this person has said and the server has not told of yet: it counts as said, and shows as kept here. */
export const withUnsent = (view: DepartureView, waiting: readonly Outgoing[], taken: readonly Taken[], who: { name: string; seat: string }): Progress => {
  const said: Said[] = [...taken.filter((t) => t.number > view.progress.number), ...waiting]
  if (said.length === 0 || !view.card) return view.progress
  const items = new Map(view.card.parts.flatMap((p) => p.items).map((i) => [i.id, i]))
  const steps = { ...view.progress.steps }
  const own = (m: MarkView) => m.by === who.name && m.seat === who.seat
  let { seats, waits, tags } = view.progress
  // In the order of the log, after all that is told: by the clock alone two presses may stand the wrong way round.
  let number = view.progress.number
  const here: SaidHere & SaidOfTimes = { by: who.name, steps: new Set(), reread: new Set(), raised: [], passed: new Set(view.progress.passed), seen: new Map() }
  for (const e of said) {
    number++
    if (e.kind === 'interrupted') seats = seats.map((x) => (x.seat === who.seat ? { ...x, away: e.deviceAt } : x))
    else if (e.kind === 'went-on') seats = seats.map((x) => (x.seat === who.seat ? { ...x, away: undefined } : x))
    else if (e.kind === 'wait-seen') here.seen.set(String(e.body.step), number)
    else if (e.kind === 'overridden') here.passed.add(String(e.body.step))
    else if (e.kind === 'tag-taken') {
      tags = tags.filter((t) => t.hand !== e.body.tag)
      waits = waits.filter((w) => w.tag !== e.body.tag)
    }
    const item = items.get(String(e.body.step))
    if (!item) continue
    const before = steps[item.id] ?? untouched(item)
    const others = before.marks.filter((m) => !own(m))
    const says = OUTCOMES[e.kind]
    if (says || e.kind === 'step-undone') here.steps.add(item.id)
    if (e.kind === 'step-undone') here.passed.delete(item.id)
    if (e.kind === 'measured' || e.kind === 'step-undone') {
      here.reread.add(item.id)
      here.raised = here.raised.filter((f) => !f.measured || f.step !== item.id)
    }
    if (says) {
      const out = e.kind === 'measured' ? outOf(item, view.progress.allowed[item.id], Number(e.body.value)) : undefined
      const mark = { outcome: out ? 'find' : says.outcome, by: who.name, seat: who.seat, at: e.deviceAt, number, words: out?.words ?? says.words(e.body) }
      // Whoever says something of it has looked at what was put aside.
      steps[item.id] = { ...standing(item, { ...before, again: '' }, [...others.filter((m) => m.outcome !== 'later'), mark], who.seat), reading: out }
      if (out) here.raised.push({ id: e.id, step: item.id, note: `${item.measure?.name}: ${out.words}`, at: e.deviceAt, measured: true })
      else if (e.kind === 'find-raised') here.raised.push({ id: String(e.body.find), step: item.id, note: String(e.body.note), at: e.deviceAt, measured: false })
    } else if (e.kind === 'step-undone') {
      steps[item.id] = others.length > 0 ? { ...standing(item, before, others, who.seat), reading: undefined } : untouched(item)
    }
  }
  const after = cordAfter(view.card, tags, view.progress.steps, steps)
  waits = waitsAfter(view.card, waits, steps, here)
  return {
    ...view.progress, seats, waits, gates: gatesAfter(view.card, view.progress.gates, steps, here), steps: after.steps, tags: looseEndsAfter(view, after.tags, after.steps, waits, here),
  }
}
