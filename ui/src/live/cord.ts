import type { CardView, ItemView, StepView, TagView } from '../api.gen'
import { serverNow } from '../app/clock'
import { indexOf, lastMark } from './marks'

type Steps = Record<string, StepView>

/**
 * Somebody worked a step. One with a find, or that a second seat still has to answer, has opened something and
 * closed nothing.
 */
interface Deed {
  by: string
  at: string
  number: number
  stands: boolean
}

interface Hanging {
  /** What opened the first of the items that are open. */
  first: Deed
  open: string[]
  /** How many were opened in all. */
  all: number
}

const deedOf = (step: StepView | undefined): Deed | undefined => {
  const last = lastMark(step?.marks.filter((m) => m.outcome === 'done' || m.outcome === 'find'))
  return (
    step &&
    last && {
      by: last.by,
      at: last.at,
      number: last.number,
      stands: step.status !== 'part' && step.marks.every((m) => m.outcome === 'done'),
    }
  )
}

/**
 * What steps have opened and not closed, by the kind of tag. An item hangs from the last step that opened it until
 * a step that closes it is done later than that. The core's rule (Cord), written again for a device that nobody
 * answers.
 */
const hanging = (card: CardView, steps: Steps): Map<string, Hanging> => {
  const opened = new Map<string, Map<string, Deed>>()
  const closed = new Map<string, number>()
  for (const item of indexOf(card).hooked) {
    const deed = deedOf(steps[item.id])
    if (!deed) continue
    for (const hook of item.opens) {
      const items = opened.get(hook.tag) ?? new Map<string, Deed>()
      opened.set(hook.tag, items)
      hook.items.filter((i) => deed.number > (items.get(i)?.number ?? -1)).forEach((i) => items.set(i, deed))
    }
    for (const hook of deed.stands ? item.closes : []) {
      hook.items
        .map((i) => `${hook.tag}/${i}`)
        .forEach((i) => closed.set(i, Math.max(closed.get(i) ?? -1, deed.number)))
    }
  }
  const all = new Map<string, Hanging>()
  opened.forEach((items, tag) => {
    const open = [...items].filter(([i, deed]) => (closed.get(`${tag}/${i}`) ?? -1) < deed.number)
    if (open[0]) all.set(tag, { first: open[0][1], open: open.map(([i]) => i), all: items.size })
  })
  return all
}

/** What is told changes only when the server tells; presses come far more often. */
const asTold = new WeakMap<Steps, Map<string, Hanging>>()

const hangingAsTold = (card: CardView, told: Steps): Map<string, Hanging> => {
  const known = asTold.get(told) ?? hanging(card, told)
  asTold.set(told, known)
  return known
}

const closes = (item: ItemView, tag: string, open: string[]): boolean =>
  item.closes.some((h) => h.tag === tag && h.items.some((i) => open.includes(i)))

/** What closes it is the server's to say in words, once it is told. */
const tagOf = (card: CardView, key: string, h: Hanging, before: TagView | undefined): TagView[] => {
  const kind = card.tags.find((k) => k.id === key && k.hangsOn === 'step')
  if (!kind) return []
  // In the order of what is open: the first is where one goes to close it.
  const closers = new Map(
    h.open.flatMap((o) =>
      card.parts.flatMap((p) => p.items.filter((i) => closes(i, key, [o])).map((i) => [i.id, p.stage] as const)),
    ),
  )
  const outside = card.parts.some(
    (p) => p.kind === 'walkaround' && p.items.some((i) => i.opens.some((o) => o.tag === key)),
  )
  return [
    {
      key,
      title: kind.title.replace('{open}', String(h.open.length)).replace('{all}', String(h.all)),
      detail: h.open.filter((i) => i !== key).join(', '),
      by: h.first.by,
      since: h.first.at || new Date(serverNow()).toISOString(),
      stage: kind.stage,
      due: kind.due,
      go: [...closers.values()][0] ?? kind.stage,
      steps: [...closers.keys()],
      closes: '',
      mayStay: kind.mayStay,
      late: before?.late ?? false,
      outside,
      hand: '',
      open: h.open,
      all: h.all,
    },
  ]
}

/** What was done before a tag was hung that it closes is no longer so: it is asked for again, while that tag hangs. */
const askedAgain = (card: CardView, steps: Steps, now: Map<string, Hanging>, touched: string[]): Steps => {
  const after = { ...steps }
  for (const item of indexOf(card).hooked) {
    const step = steps[item.id]
    const done =
      step &&
      (step.settled || step.status === 'again') &&
      step.again === '' &&
      step.marks.every((m) => m.outcome === 'done')
    if (!done || !item.closes.some((h) => touched.includes(h.tag))) continue
    const since = Math.max(
      -1,
      ...[...now].filter(([tag, h]) => closes(item, tag, h.open)).map(([, h]) => h.first.number),
    )
    const numbers = step.marks.map((m) => m.number)
    const stands = (item.seats.length > 1 && !item.any ? Math.min(...numbers) : Math.max(...numbers)) >= since
    const answered = new Set(step.marks.filter((m) => m.number > since).map((m) => m.seat))
    if (stands !== step.settled)
      after[item.id] = {
        ...step,
        status: stands ? 'done' : 'again',
        settled: stands,
        owes: stands ? [] : item.seats.filter((s) => !answered.has(s)),
      }
  }
  return after
}

const same = (a: Hanging | undefined, b: Hanging | undefined): boolean =>
  a?.first.number === b?.first.number && a?.open.join() === b?.open.join() && a?.all === b?.all

/**
 * The tags that steps hang and take off, and the steps these ask for again, with what is said here and not yet
 * told: a cover taken off on the walk without a network is counted as it goes. All else keeps hanging as the
 * server told last.
 *
 * @param told how the steps stand by the server @param said how they stand with what was said here
 */
export const cordAfter = (
  card: CardView,
  tags: TagView[],
  told: Steps,
  said: Steps,
): { tags: TagView[]; steps: Steps } => {
  const before = hangingAsTold(card, told)
  const now = hanging(card, said)
  const touched = [...new Set([...before.keys(), ...now.keys()])].filter((k) => !same(before.get(k), now.get(k)))
  if (touched.length === 0) return { tags, steps: said }
  const put = (key: string) =>
    now.has(key)
      ? tagOf(
          card,
          key,
          now.get(key)!,
          tags.find((t) => t.key === key),
        )
      : []
  const kept = tags.flatMap((t) => (touched.includes(t.key) ? put(t.key) : [t]))
  const fresh = touched.filter((k) => !tags.some((t) => t.key === k)).flatMap(put)
  return { tags: [...kept, ...fresh], steps: askedAgain(card, said, now, touched) }
}
