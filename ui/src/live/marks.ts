import type { CardView, ItemView, MarkView, PartView, Progress, StepView } from '../api.gen'

/** What is looked up in a card at each press, made once a card. */
interface CardIndex {
  /** All steps, in their order. */
  items: ItemView[]
  byId: ReadonlyMap<string, ItemView>
  partOf: ReadonlyMap<string, PartView>
  /** The steps that open or close something. */
  hooked: ItemView[]
  /** The steps that come after others. */
  gated: ItemView[]
}

const indices = new WeakMap<CardView, CardIndex>()

/** The same for as long as the card is the same. */
export const indexOf = (card: CardView): CardIndex => {
  const known = indices.get(card)
  if (known) return known
  const items = card.parts.flatMap((p) => p.items)
  const made = {
    items,
    byId: new Map(items.map((i) => [i.id, i])),
    partOf: new Map(card.parts.flatMap((p) => p.items.map((i) => [i.id, p]))),
    hooked: items.filter((i) => i.opens.length + i.closes.length > 0),
    gated: items.filter((i) => i.needs.length + i.afterWait.length > 0),
  }
  indices.set(card, made)
  return made
}

/** Whether a seat is among those named; who sits in none is not. */
export const among = (seats: readonly string[], seat: string): boolean => seats.includes(seat)

/** How a step stands as it is shown: what is settled by a word that the server has not told of yet is on its way. */
export const statusOf = (progress: Progress, step: string): StepView['status'] | 'sending' => {
  const s = progress.steps[step]
  return s?.settled && s.marks.some((m) => m.number > progress.number) ? 'sending' : (s?.status ?? 'open')
}

/** What was said last, by the log. */
export const lastMark = (marks: readonly MarkView[] = []): MarkView | undefined =>
  marks.reduce<MarkView | undefined>((a, b) => (a && a.number > b.number ? a : b), undefined)
