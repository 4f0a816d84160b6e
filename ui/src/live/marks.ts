import type { CardView, ItemView, MarkView, PartView } from '../api.gen'

/** All steps of a card, in its order. */
export const itemsOf = (card: CardView): ItemView[] => card.parts.flatMap((p) => p.items)

/** The procedure that a step of the card belongs to. */
export const partOf = (card: CardView, step: string): PartView | undefined => card.parts.find((p) => p.items.some((i) => i.id === step))

/** What was said last, by the log. */
export const lastMark = (marks: readonly MarkView[] = []): MarkView | undefined =>
  marks.reduce<MarkView | undefined>((a, b) => (a && a.number > b.number ? a : b), undefined)
