import type { CardView, ItemView, PartView, Progress, SeatView } from '../api.gen'

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
    handedOver: [...card.handedOver, panel],
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
 * @param stopped the checklists that were stopped here, with the name of who did
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
    const by = stopped.get(part.id)
    const now: PartProgress = {
      done: part.items.filter((i) => steps[i.id]?.settled).length,
      all: part.items.length,
      next: next?.id ?? '',
      stopped: by ? `Stopped by ${by}${next ? ` at ${next.challenge}` : ''}` : (before?.stopped ?? ''),
    }
    const last = part.items.flatMap((i) => steps[i.id]?.marks.map((m) => m.at) ?? [])
    if (!next && last.length > 0) now.finished = last.reduce((a, b) => (Date.parse(a) > Date.parse(b) ? a : b))
    if (before?.done !== now.done || before.next !== now.next || before.stopped !== now.stopped) after[part.id] = now
  }
  return after
}
