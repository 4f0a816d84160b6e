import type { CardView, ItemView, MarkView, PartView, Progress, StepView } from '../api.gen'

/** All steps of a card, in its order. */
export const itemsOf = (card: CardView): ItemView[] => card.parts.flatMap((p) => p.items)

/** The procedure that a step of the card belongs to. */
export const partOf = (card: CardView, step: string): PartView | undefined =>
  card.parts.find((p) => p.items.some((i) => i.id === step))

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
