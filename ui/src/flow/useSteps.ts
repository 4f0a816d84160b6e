import { useHotkeys } from '@mantine/hooks'
import { useEffect, useReducer, useState } from 'react'
import type { ItemView, PartView } from '../api.gen'
import { serverNow } from '../app/clock'
import { lastSaid } from '../live/lastSaid'
import type { Live } from '../live/useDeparture'
import type { Saying } from './Answer'
import { closedBy } from '../live/gates'
import { among, statusOf as statusShown } from '../live/marks'

/** A place may be visited twice, such as a panel before and after a look outside: each visit is a run of its own. */
const visitsOf = (items: ItemView[]): ItemView[][] =>
  items.reduce<ItemView[][]>((visits, i) => {
    const last = visits.at(-1)
    if (last?.[0]?.place === i.place) last.push(i)
    else visits.push([i])
    return visits
  }, [])

/** One procedure walked step by step: the step at hand, its place, and what can be said of them. */
export const useSteps = (live: Live, part: PartView, wanted: string) => {
  const { view, seat, outbox } = live
  const [chosen, setChosen] = useState(wanted)
  /** The step whose value was entered last: what it means stays in sight while one goes on. */
  const [read, setRead] = useState<ItemView>()
  const steps = view.progress.steps
  const statusOf = (i: ItemView): string => statusShown(view.progress, i.id)
  const open = (i: ItemView): boolean => !steps[i.id]?.settled
  const owed = (i: ItemView): boolean => open(i) && among(steps[i.id]?.owes ?? i.seats, seat)
  // What was put aside comes last.
  const now = (i: ItemView): boolean => owed(i) && statusOf(i) !== 'later'
  const item =
    part.items.find((i) => i.id === chosen) ?? part.items.find(now) ?? part.items.find(owed) ?? part.items.find(open)
  const mine = item !== undefined && among(item.seats, seat)
  const visits = visitsOf(part.items)
  const visit = visits.findIndex((v) => v.some((i) => i.id === item?.id))
  const here = visits[visit] ?? []
  const act = (kind: string, body: Record<string, unknown>, of: ItemView) =>
    outbox.put(kind, { step: of.id, ...body }, of.challenge)
  const move = (by: number) => {
    const at = part.items.findIndex((i) => i.id === item?.id)
    setChosen(part.items[Math.max(0, Math.min(part.items.length - 1, at + by))]?.id ?? '')
  }
  useHotkeys([
    ['ArrowDown', () => move(1)],
    ['ArrowUp', () => move(-1)],
  ])
  // A value has to be read and entered; the rest of a place is answered with one press, and so is that nothing is
  // missing.
  const said = new Set<string>()
  const plainHere = here.filter((i) => {
    const plain =
      owed(i) &&
      (!i.measure || i.measure.none !== undefined) &&
      i.course.length === 0 &&
      !view.progress.values[i.id]?.back &&
      closedBy(view.progress, i.id, said).length === 0
    if (plain) said.add(i.id)
    return plain
  })
  const gates = item && open(item) ? closedBy(view.progress, item.id) : []
  const [, opens] = useReducer((n: number) => n + 1, 0)
  const until = Math.max(0, ...gates.map((g) => (g.until ? Date.parse(g.until) : 0)))
  useEffect(() => {
    if (until === 0) return
    const timer = setTimeout(opens, until - serverNow() + 50)
    return () => clearTimeout(timer)
  }, [until])
  const last = read && steps[read.id]?.reading
  return {
    item,
    mine,
    /** A step of both seats stays open until both have answered; who has answered goes on. */
    answered: item !== undefined && mine && open(item) && !owed(item),
    place: view.card!.places.find((p) => p.id === item?.place),
    placeName: (id: string) => view.card!.places.find((p) => p.id === id)?.name ?? id,
    /** What keeps the step at hand closed. */
    gates,
    visits,
    visit,
    places: visits.map((v) => v[0]?.place ?? ''),
    here,
    plainHere,
    /** What the value entered last means, while one is at another step and it is worth a word. */
    lastRead:
      read && last && last.level !== 'as-it-should-be' && read.id !== item?.id
        ? { name: read.challenge, reading: last }
        : undefined,
    left: new Set(part.items.filter(open).map((i) => i.place)),
    done: part.items.filter((i) => !open(i)).length,
    statusOf,
    open,
    choose: setChosen,
    act,
    say: (...said: Saying[]) => {
      if (!item) return
      said.forEach(([kind, body]) => act(kind, body, item))
      if (item.measure) setRead(item)
      setChosen('')
    },
    markPlace: () => {
      outbox.putAll(
        plainHere.map((i) => ({
          kind: i.measure ? 'measured' : 'step-done',
          body: { step: i.id, ...(i.measure && { value: i.measure.none }) },
          label: i.challenge,
        })),
      )
      setChosen('')
    },
    undo: () => {
      const last = lastSaid(part.items, steps, seat, (m) => m.outcome !== 'find')[0]
      if (!last) return
      act('step-undone', {}, last)
      setChosen(last.id)
    },
    goToPlace: (id: string) => {
      const there = part.items.filter((i) => i.place === id)
      setChosen((there.find(open) ?? there[0])?.id ?? '')
    },
  }
}
