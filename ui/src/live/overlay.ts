import { replaceEqualDeep } from '@tanstack/react-query'
import type {
  AllowedView,
  CardView,
  DepartureView,
  ItemView,
  MarkView,
  Progress,
  ReadingView,
  SeatView,
  StepView,
  TagView,
} from '../api.gen'
import { briefingAfter, heardBy, readBy } from './briefing'
import { cordAfter } from './cord'
import { figuresAfter } from './figures'
import { looseEndsAfter, type RaisedHere, type SaidHere } from './looseEnds'
import { indexOf } from './marks'
import type { Outgoing, Taken } from './outboxState'
import { answeredAnew, handedOver, oneHand, partsAfter } from './parts'
import { gatesAfter, type SaidOfTimes, waitsAfter } from './waits'

type Said = Pick<Outgoing, 'id' | 'deviceAt' | 'kind' | 'body'>

/** What a value means that the server told not to be right now, before it was read; nothing where it may be right. */
const outOf = (item: ItemView, allowed: AllowedView | undefined, value: number): ReadingView | undefined => {
  if (!allowed) return undefined
  const none = allowed.least === undefined && allowed.most === undefined
  if (!none && value >= (allowed.least ?? -Infinity) && value <= (allowed.most ?? Infinity)) return undefined
  const shown = `${value} ${item.measure?.unit ?? ''}`.trim()
  return {
    value,
    shown,
    level: 'out',
    words: `Read ${shown}; right today: ${allowed.words}.`,
    arithmetic: ['Against the other readings it is judged once the server has it.'],
    source: 'What is right today, as the server told it last',
  }
}

/** What a person's unsent words make of a step, until the server says how it stands. */
const OUTCOMES: Record<string, { outcome: MarkView['outcome']; words: (body: Record<string, unknown>) => string }> = {
  'step-done': { outcome: 'done', words: () => '' },
  measured: { outcome: 'done', words: (b) => String(b.value) },
  'step-not-today': { outcome: 'not-today', words: (b) => String(b.reason) },
  'step-later': { outcome: 'later', words: (b) => String(b.reason) },
  'find-raised': { outcome: 'find', words: (b) => String(b.note) },
  'value-said': { outcome: 'done', words: (b) => String(b.value) },
  'found-so': { outcome: 'done', words: () => 'found so' },
}

/** The seats that have answered a step since it was last put aside. */
const answered = (marks: MarkView[]): Set<Seat | undefined> => {
  const aside = Math.max(-1, ...marks.filter((m) => m.outcome === 'later').map((m) => m.number))
  return new Set(marks.filter((m) => m.outcome !== 'later' && m.number > aside).map((m) => m.seat))
}

/**
 * Who must still answer. An answer that the server asks for again counts no more than it did; of a step either may
 * answer, one is enough.
 */
const owes = (item: ItemView, before: StepView, marks: MarkView[], seat: string): Seat[] => {
  const asked = new Set([...answered(before.marks)].filter((s) => s !== seat && s && before.owes.includes(s)))
  const have = [...answered(marks)].filter((s) => !asked.has(s))
  return item.any && have.length > 0 ? [] : item.seats.filter((s) => !have.includes(s))
}

/** In the order of how much it matters; the worst stands. */
const WORST = ['done', 'later', 'not-today', 'find'] as const

/** How a step stands by all that is said of it. */
const standing = (card: CardView, item: ItemView, before: StepView, marks: MarkView[], seat: string): StepView => {
  const worst = WORST.findLast((o) => marks.some((m) => m.outcome === o))
  const left = owes(item, before, marks, seat)
  const settled =
    worst === 'find' ||
    worst === 'not-today' ||
    (worst === 'done' && (left.length === 0 || oneHand(card).has(item.id)))
  return { ...before, status: worst === 'later' || (settled && worst) ? worst : 'part', settled, owes: left, marks }
}

/** A step nobody has said anything of: all its seats owe it. */
const untouched = (item: ItemView): StepView => ({
  status: 'open',
  settled: false,
  owes: item.seats,
  again: '',
  disagreed: false,
  marks: [],
})

type Seat = SeatView['seat']

export interface Who {
  id: string
  /** Family name, as marks name people. */
  name: string
  device: string
  /** Empty where none is taken; what is said of steps is said from a seat. */
  seat: Seat | ''
}

/** What unsent words come to. */
interface SoFar extends Pick<Progress, 'steps' | 'seats' | 'waits' | 'tags'> {
  told: CardView
  /** With the panels handed over here; and its steps by their names. */
  card: CardView
  items: ReadonlyMap<string, ItemView>
  /** The checklists that were stopped here, with the name of who did; empty for those that went on since. */
  stopped: Map<string, string>
  /** How a stopped checklist goes on in this fleet. */
  resuming: DepartureView['header']['resuming']
  /** The words, in order. */
  said: Said[]
  who: Who
  /**
   * Of the last word, in the order of the log, after all that is told: by the clock alone two presses may stand the
   * wrong way round.
   */
  number: number
  here: SaidHere & SaidOfTimes
  /** What was read of the briefing last, by line. */
  read: Map<string, string>
  /** The tags that hang with all of it. */
  hang: TagView[]
}

/** A word of nothing but the person, a time or a tag. */
const beside = (s: SoFar, e: Said): void => {
  if (e.kind === 'interrupted') s.seats = s.seats.map((x) => (x.seat === s.who.seat ? { ...x, away: e.deviceAt } : x))
  else if (e.kind === 'went-on') s.seats = s.seats.map((x) => (x.seat === s.who.seat ? { ...x, away: undefined } : x))
  else if (e.kind === 'wait-seen') s.here.seen.set(String(e.body.step), s.number)
  else if (e.kind === 'overridden') s.here.passed.add(String(e.body.step))
  else if (e.kind === 'tag-taken') {
    s.tags = s.tags.filter((t) => t.hand !== e.body.tag)
    s.waits = s.waits.filter((w) => w.tag !== e.body.tag)
  } else if (e.kind === 'checklist-stopped') s.stopped.set(String(e.body.checklist), s.who.name)
  else if (e.kind === 'checklist-resumed') {
    const checklist = String(e.body.checklist)
    s.stopped.set(checklist, '')
    const anew = answeredAnew(s.card, checklist, s.steps, s.resuming)
    for (const item of anew) {
      s.steps[item.id] = untouched(item)
      s.here.steps.add(item.id)
    }
    // While it was stopped all of it was owed; what one of two has answered counts again.
    for (const item of s.card.parts.find((p) => p.id === checklist)?.items ?? []) {
      const step = s.steps[item.id]
      if (step?.status === 'part' && !anew.includes(item))
        s.steps[item.id] = standing(s.card, item, { ...step, owes: [] }, step.marks, s.who.seat)
    }
  } else if (e.kind === 'panel-handed-over' && s.who.seat) {
    const { who } = s
    s.card = handedOver(s.card, String(e.body.panel), who.seat as Seat, e.body.to as Seat)
    const before = s.items
    s.items = indexOf(s.card).byId
    // What is settled there stays so; the rest is asked of the seat that works it now, also where it has answered what
    // is asked again.
    for (const item of s.items.values()) {
      const step = item === before.get(item.id) ? undefined : s.steps[item.id]
      if (step)
        s.steps[item.id] = {
          ...step,
          owes: step.status === 'again' ? item.seats : owes(item, step, step.marks, who.seat),
        }
    }
  }
}

/** A word of a step. */
const ofStep = (s: SoFar, e: Said, item: ItemView, allowed: AllowedView | undefined): void => {
  const says = OUTCOMES[e.kind]
  if (!says && e.kind !== 'step-undone') return
  const { here, who } = s
  const before = s.steps[item.id] ?? untouched(item)
  // A word replaces what this person said from this device; taking back, all that they said.
  const others = before.marks.filter((m) => m.who !== who.id || (says && m.device !== who.device))
  here.steps.add(item.id)
  if (e.kind === 'measured' || e.kind === 'step-undone') {
    here.reread.add(item.id)
    here.raised = here.raised.filter((f) => !f.measured || f.step !== item.id)
  }
  if (!says) {
    here.passed.delete(item.id)
    s.steps[item.id] =
      others.length > 0
        ? { ...standing(s.card, item, before, others, who.seat), reading: undefined }
        : untouched(item)
    return
  }
  const out = e.kind === 'measured' ? outOf(item, allowed, Number(e.body.value)) : undefined
  const mark: MarkView = {
    outcome: out ? 'find' : says.outcome,
    by: who.name,
    who: who.id,
    device: who.device,
    ...(who.seat && { seat: who.seat }),
    at: e.deviceAt,
    number: s.number,
    words: out?.words ?? says.words(e.body),
  }
  // Whoever says something of it has looked at what was put aside.
  s.steps[item.id] = {
    ...standing(
      s.card,
      item,
      { ...before, again: '' },
      [...others.filter((m) => m.outcome !== 'later'), mark],
      who.seat,
    ),
    reading: out,
  }
  if (out)
    here.raised.push({
      id: e.id,
      step: item.id,
      note: `${item.measure?.name}: ${out.words}`,
      at: e.deviceAt,
      measured: true,
      photos: [],
    })
  else if (e.kind === 'find-raised')
    here.raised.push({
      id: String(e.body.find),
      step: item.id,
      note: String(e.body.note),
      at: e.deviceAt,
      measured: false,
      photos: (e.body.what as { photos?: string[] } | undefined)?.photos ?? [],
    })
}

/** Lines of the briefing read or heard: each is answered; what others heard before was something else. */
const ofBriefing = (s: SoFar, e: Said): void => {
  const answer = (step: string) => {
    const item = s.items.get(step)
    if (item) ofStep(s, { ...e, kind: 'step-done', body: { step } }, item, undefined)
  }
  for (const { line, words } of readBy(e)) {
    const item = s.items.get(line)
    const before = item && s.steps[line]
    if (before && s.read.get(line) !== words) {
      const left = before.marks.filter((m) => m.outcome !== 'done')
      s.steps[line] = left.length > 0 ? standing(s.card, item, before, left, s.who.seat) : untouched(item)
    }
    s.read.set(line, words)
    answer(line)
  }
  for (const line of heardBy(e)) answer(line)
}

const NONE: readonly RaisedHere[] = []

/** What came out last for what the server told last: most often one word more is said since. */
const lastFor = new WeakMap<Progress, SoFar>()

const begin = ({ header, progress }: DepartureView, card: CardView, said: Said[], who: Who): SoFar => {
  const last = lastFor.get(progress)
  const same =
    last?.told === card && last.who.id === who.id && last.who.seat === who.seat && last.who.device === who.device
  if (same && last.said.every((e, i) => e === said[i])) return last
  const { number, steps, seats, waits, tags } = progress
  const here = {
    by: who.name,
    steps: new Set<string>(),
    reread: new Set<string>(),
    raised: [],
    passed: new Set(progress.passed),
    seen: new Map(),
  }
  const stopped = new Map<string, string>()
  const read = new Map(progress.briefing.flatMap((l) => (l.read ? [[l.step, l.read.words] as const] : [])))
  const own = {
    told: card,
    read,
    card,
    items: indexOf(card).byId,
    stopped,
    resuming: header.resuming,
    here,
    hang: tags,
  }
  return { said: [], who, number, steps: { ...steps }, seats, waits, tags, ...own }
}

const notTold = (view: DepartureView, waiting: readonly Outgoing[], taken: readonly Taken[]): Said[] => [
  ...taken.filter((t) => t.number > view.progress.number),
  ...waiting,
]

interface WithUnsent {
  view: DepartureView
  /** The finds made here that the server has not told of yet: nobody can decide on them. */
  raised: readonly RaisedHere[]
}

/**
 * The departure with what this person has said and the server has not told of yet: it counts as said, and shows as
 * kept here.
 */
export const withUnsent = (
  view: DepartureView,
  waiting: readonly Outgoing[],
  taken: readonly Taken[],
  who: Who,
): WithUnsent => {
  const { progress } = view
  const said = notTold(view, waiting, taken)
  if (said.length === 0 || !view.card) return { view, raised: NONE }
  const soFar = begin(view, view.card, said, who)
  for (const e of said.slice(soFar.said.length)) {
    soFar.number++
    beside(soFar, e)
    ofBriefing(soFar, e)
    const item = soFar.items.get(String(e.body.step))
    if (item) ofStep(soFar, e, item, progress.allowed[item.id])
  }
  const { card } = soFar
  // What is shown is not what the next word is worked into.
  const steps = { ...soFar.steps }
  const after = cordAfter(card, soFar.tags, progress.steps, steps)
  const waits = waitsAfter(card, soFar.waits, steps, soFar.here)
  const shown = card === view.card ? view : { ...view, card }
  // The same cord, where the word moved nothing on it, need not be drawn again.
  const hang = replaceEqualDeep(soFar.hang, looseEndsAfter(shown, after.tags, after.steps, waits, soFar.here))
  lastFor.set(progress, { ...soFar, said, hang })
  const gates = gatesAfter(card, progress.gates, steps, soFar.here)
  const parts = partsAfter(card, progress.parts, after.steps, soFar.stopped)
  return {
    view: {
      ...shown,
      progress: {
        ...progress,
        seats: soFar.seats,
        waits,
        gates,
        parts,
        figures: figuresAfter(progress.figures, said, who),
        briefing: briefingAfter(progress.briefing, said, who),
        steps: after.steps,
        tags: hang,
      },
    },
    raised: soFar.here.raised,
  }
}
