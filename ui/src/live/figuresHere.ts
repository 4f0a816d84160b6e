import { skipToken, useQueries, useQuery } from '@tanstack/react-query'
import { useEffect, useMemo, useState } from 'react'
import type { DepartureView, KeptFigures, Progress, TagView, TextView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { serverNow } from '../app/clock'
import { askHere, type WorkedHere } from './here'
import type { OutboxState } from './outboxState'

/** Words on which figures rest. */
const RESTS_ON = [
  'runway-reported',
  'tower-wind-said',
  'load-sheet-taken',
  'load-sheet-changed',
  'takeoff-chosen',
  'de-iced',
]

/** Carries the report, as it was typed. */
const DAY = 'day-set'

/** What was said here of it and the server has not worked with yet, in order. */
const saidSince = (out: OutboxState, number: number): { kind: string; body: Record<string, unknown> }[] =>
  [...out.taken.filter((t) => t.number > number), ...out.waiting]
    .filter((e) => e.kind === DAY || RESTS_ON.includes(e.kind))
    .map(({ kind, body }) => ({ kind, body }))

/**
 * What the rules are asked: what the server told last, what was said since, and which values must not be shown. What
 * the commander took against what was worked out is left to the server, which knows what that was.
 */
export const askedOf = (kept: KeptFigures, out: OutboxState, figures: Progress['figures']): string | undefined => {
  const since = saidSince(out, kept.number)
  if (since.length === 0) return undefined
  const { flight, tail, type, day, from, gauged, destination } = kept
  const typed = since.findLast((e) => e.kind === DAY)?.body.report
  const report =
    typeof typed === 'string'
      ? { text: typed, observed: new Date(serverNow()).toISOString().slice(0, 10) + 'T12:00:00Z' }
      : kept.report
  const settled = Object.fromEntries(
    Object.values(figures).flatMap((f) => {
      const value = f.standing === 'taken' ? undefined : (f.value ?? f.difference?.expected)
      return value === undefined ? [] : [[f.figure, value]]
    }),
  )
  const all = {
    flight,
    tail,
    type,
    day,
    from,
    report,
    gauged,
    destination,
    said: [...kept.said, ...since.filter((e) => e.kind !== DAY)],
    asked: Object.keys(figures),
    settled,
  }
  return JSON.stringify(all, (_, value: unknown) => value ?? undefined)
}

const AGAIN = 'another now, as this device worked it out'

const LIMIT = 'limit/'

const hung = (
  progress: Progress,
  key: string,
  title: string,
  closes: string,
  steps: string[],
  all: number,
): TagView => ({
  key,
  title,
  closes,
  steps,
  all,
  detail: '',
  stage: 'figures',
  due: progress.beads.find((b) => b.stage === 'figures')?.title ?? '',
  go: 'figures',
  open: [],
  by: '',
  hand: '',
  late: false,
  mayStay: true,
  outside: false,
})

/** What comes out otherwise is open again and hangs, as it will once the server has worked it out; so do limits. */
export const withFiguresHere = (progress: Progress, here: WorkedHere): Progress => {
  const again = here.otherwise.flatMap((f) => progress.figures[f] ?? []).filter((f) => f.value !== undefined)
  const figures = { ...progress.figures }
  for (const f of again)
    figures[f.figure] = { ...f, standing: 'open', entries: [], value: undefined, taken: '', again: AGAIN }
  const tags = here.worked ? progress.tags.filter((t) => !t.key.startsWith(LIMIT)) : [...progress.tags]
  for (const l of here.worked?.limits ?? [])
    if (!l.held)
      tags.push(hung(progress, LIMIT + l.what, l.words, 'It holds with another choice, load or runway.', [], 1))
  if (again.length > 0) {
    const names = again.map((f) => f.words).join(', ')
    const steps = [...new Set(again.map((f) => f.step))]
    tags.push(
      hung(progress, 'figure/here', `Enter again: ${names}; ${AGAIN}`, 'Both enter it again.', steps, again.length),
    )
  }
  return { ...progress, figures, tags }
}

/**
 * Figures worked out on this device while it has no network, once something was said here on which they rest. What
 * they are worked out by is kept beforehand; where it is not, what was said waits.
 */
export const useFiguresHere = (
  view: DepartureView | undefined,
  out: OutboxState,
  connected: boolean,
): { worked?: WorkedHere; waits: boolean } => {
  const id = view?.header.id ?? ''
  const figures = view?.progress.figures
  const kept = useQuery<KeptFigures, Problem>({
    queryKey: ['figures-kept', id],
    queryFn:
      figures && Object.keys(figures).length > 0
        ? () => ask<KeptFigures>('GET', `/api/departures/${id}/figures/kept`)
        : skipToken,
    staleTime: Infinity,
    retry: (n, p) => p.status === 0 && n < 20,
    retryDelay: 1500,
  })
  const { data, refetch } = kept
  const newest = Math.max(view?.progress.figuresNumber ?? 0, view?.progress.cardKey ?? 0)
  const old = connected && data !== undefined && data.number < newest
  useEffect(() => {
    if (old) void refetch()
  }, [old, newest, refetch])
  const texts = useQueries({
    queries: [data?.texts.typeFigures, data?.texts.takeoffTables, data?.texts.holdover].map((sha256) => ({
      queryKey: ['figures-text', sha256 ?? ''],
      queryFn: sha256 ? () => ask<TextView>('GET', `/api/departures/${id}/figures/texts/${sha256}`) : skipToken,
      staleTime: Infinity,
      gcTime: Infinity,
    })),
    combine: (all) =>
      data && all.every((q, i) => q.data ?? Object.values(data.texts)[i] === '')
        ? all.map((q) => q.data?.text ?? '')
        : undefined,
  })
  const asked = useMemo(
    () => (connected || !data || !figures ? undefined : askedOf(data, out, figures)),
    [connected, data, out, figures],
  )
  const [answer, setAnswer] = useState<{ asked: string; worked: WorkedHere }>()
  const airfields = data?.airfields
  useEffect(() => {
    if (!asked || !texts || !airfields) return
    const [type = '', tables = '', holdover = ''] = texts
    const by: [string, string, string, string, string] = [type, tables, holdover, airfields.from, airfields.to]
    askHere<WorkedHere>({ what: 'figures', texts: by, asked }).then(
      (worked) => setAnswer({ asked, worked }),
      // The server's stand, as they were told last.
      () => undefined,
    )
  }, [asked, texts, airfields])
  const worked = asked && answer?.asked === asked ? answer.worked : undefined
  const waits = !connected && !worked && saidSince(out, data?.number ?? 0).length > 0
  return useMemo(() => ({ worked, waits }), [worked, waits])
}
