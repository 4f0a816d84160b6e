import type { EnteredView, FigureView, SeatView } from '../api.gen'

interface Entered {
  kind: string
  deviceAt: string
  body: Record<string, unknown>
}

interface Enters {
  id: string
  name: string
  seat: SeatView['seat'] | ''
}

/**
 * The figures with what this person has entered and the server has not told of yet: covered, whatever the other has
 * entered, for only the server holds the two against each other.
 */
export const figuresAfter = (
  figures: Record<string, FigureView>,
  said: readonly Entered[],
  who: Enters,
): Record<string, FigureView> => {
  const entered = said.filter((e) => e.kind === 'figure-entered')
  if (entered.length === 0) return figures
  const after = { ...figures }
  for (const e of entered) {
    const figure = String(e.body.figure)
    const before = after[figure]
    if (!before) continue
    const mine: EnteredView = { by: who.name, who: who.id, at: e.deviceAt, ...(who.seat && { seat: who.seat }) }
    after[figure] = {
      ...before,
      standing: 'covered',
      entries: [...before.entries.filter((x) => x.who !== who.id).map((x) => ({ ...x, value: undefined })), mine],
      value: undefined,
      difference: undefined,
    }
  }
  return after
}
