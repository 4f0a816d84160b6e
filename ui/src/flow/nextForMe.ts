import type { DepartureView, PartView } from '../api.gen'
import { among } from '../live/marks'

/** What a seat has to do next. */
export interface NextForMe {
  part: PartView
  /** How many of its items are this seat's to answer. */
  items: number
}

/** How many items of a procedure a seat must still answer. */
export const owed = (view: DepartureView, part: PartView, seat: string): number =>
  part.items.filter(
    (i) => among(view.progress.steps[i.id]?.owes ?? i.seats, seat) && !view.progress.steps[i.id]?.settled,
  ).length

/**
 * The first procedure of the card with something for a seat, this one before all others; nothing where there is
 * none.
 */
export const nextForMe = (view: DepartureView, here: PartView, seat: string): NextForMe | undefined => {
  for (const part of [here, ...(view.card?.parts ?? [])]) {
    const items = owed(view, part, seat)
    if (items > 0) return { part, items }
  }
  return undefined
}
