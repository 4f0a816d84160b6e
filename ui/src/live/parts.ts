import type { CardView, DepartureView, ItemView, PartView, Progress, SeatView, StepView } from '../api.gen'

type Steps = Progress['steps']
type PartProgress = Progress['parts'][string]
type Seat = SeatView['seat']

/**
 * The card once a seat has handed its part of a panel to another: another seat's steps there stay where they are.
 * The core's rule (Handovers), written again for a device that nobody answers.
 */
export const handedOver = (card: CardView, panel: string, from: Seat, to: Seat): CardView => {
  const given = (i: ItemView) => i.place === panel && i.seats.length === 1 && i.seats[0] === from
  return {
    ...card,
    handedOver: [...new Set(card.handedOver).add(panel)],
    parts: card.parts.map((p) =>
      p.byPanel ? { ...p, items: p.items.map((i) => (given(i) ? { ...i, seats: [to] } : i)) } : p,
    ),
  }
}

const ofOneHand = new WeakMap<CardView, ReadonlySet<string>>()

/** The steps of which whoever worked their panel has answered: one seat's, on a panel that was handed over. */
export const oneHand = (card: CardView): ReadonlySet<string> => {
  const known = ofOneHand.get(card)
  if (known) return known
  const items = card.parts.filter((p) => p.byPanel).flatMap((p) => p.items)
  const steps = new Set(
    items.filter((i) => i.seats.length === 1 && card.handedOver.includes(i.place)).map((i) => i.id),
  )
  ofOneHand.set(card, steps)
  return steps
}

/** Whether all who must have said that it is done. */
export const done = (card: CardView, item: ItemView, step: StepView | undefined): boolean => {
  const marks = step?.marks ?? []
  const seats = marks.map((m) => m.seat)
  return (
    marks.length > 0 &&
    marks.every((m) => m.outcome === 'done') &&
    (item.any || oneHand(card).has(item.id) || item.seats.every((s) => seats.includes(s)))
  )
}

/**
 * What is answered anew when a stopped checklist goes on: nothing, all of it, or the last item. The core's rule
 * (NextItem), written again.
 */
export const answeredAnew = (
  card: CardView,
  checklist: string,
  steps: Steps,
  resuming: DepartureView['header']['resuming'],
): ItemView[] => {
  if (resuming === 'go-on') return []
  const items = card.parts.find((p) => p.id === checklist)?.items ?? []
  const answered = items.filter((i) => done(card, i, steps[i.id]))
  return resuming === 'start-again' ? answered : answered.slice(-1)
}

/**
 * What a procedure asks for now: the first step that is open. What was put aside comes last; in a checklist before
 * the line and before its last item. The core's rule (NextItem), written again.
 */
const nextOf = (part: PartView, steps: Steps): ItemView | undefined => {
  const open = part.items.filter((i) => !steps[i.id]?.settled)
  const held = (i: ItemView) => steps[i.id]?.status === 'later'
  const next = open.find((i) => !held(i))
  if (part.kind !== 'checklist' || !next) return next ?? open[0]
  const end = open.at(-1) === next
  return open.find((i) => held(i) && (end || (next.belowLine && !i.belowLine))) ?? next
}

/**
 * How far each procedure is with what was said here.
 *
 * @param stopped the checklists that were stopped here, with the name of who did; empty for those that went on
 */
export const partsAfter = (
  card: CardView,
  told: Progress['parts'],
  steps: Steps,
  stopped: ReadonlyMap<string, string>,
): Progress['parts'] => {
  const after = { ...told }
  for (const part of card.parts) {
    const before: PartProgress | undefined = told[part.id]
    const next = nextOf(part, steps)
    const now: PartProgress = {
      done: part.items.filter((i) => steps[i.id]?.settled).length,
      all: part.items.length,
      next: next?.id ?? '',
      stopped: stopped.get(part.id) ?? before?.stopped ?? '',
    }
    if (before?.done === now.done && before.next === now.next && before.stopped === now.stopped) continue
    const said = next ? [] : part.items.flatMap((i) => steps[i.id]?.marks.map((m) => m.at) ?? [])
    if (said.length > 0) now.finished = said.reduce((a, b) => (Date.parse(a) > Date.parse(b) ? a : b))
    after[part.id] = now
  }
  return after
}
