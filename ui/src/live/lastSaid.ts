import type { MarkView, StepView } from '../api.gen'

/**
 * The steps of which a seat has said something that counts, the last first: by the log, as clocks may stand the
 * wrong way round.
 */
export const lastSaid = <T extends { id: string }>(
  items: T[],
  steps: Record<string, StepView>,
  seat: string,
  counts: (m: MarkView) => boolean,
): T[] =>
  items
    .flatMap((item) =>
      (steps[item.id]?.marks ?? [])
        .filter((m) => m.seat === seat && counts(m))
        .map((m) => ({ item, number: m.number })),
    )
    .sort((a, b) => b.number - a.number)
    .map((s) => s.item)
