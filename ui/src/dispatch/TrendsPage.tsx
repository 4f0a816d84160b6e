import { Button, Table } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { getRouteApi, Link } from '@tanstack/react-router'
import { lazy, Suspense, useState } from 'react'
import type { Me, TrendsView, TrendView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { day } from '../app/clock'
import { Fetching } from '../app/Fetching'
import { Fold } from '../app/Fold'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import classes from './Trends.module.css'

// Drawing is asked for once there is something to draw.
const TrendPlot = lazy(async () => ({ default: (await import('./TrendPlot')).TrendPlot }))

const key = (t: TrendView) => `${t.of}/${t.what}`

interface Kind {
  /** Where the server has them. */
  path: string
  /** What one number came from. */
  one: string
  many: string
  from: string
  keeps: string
  none: string
}

const KINDS = {
  controls: {
    path: 'control-trends',
    one: 'a check',
    many: 'control checks',
    from: "Measured by the aircraft's own data, in the demo by a simulated aircraft.",
    keeps: 'the controls keep',
    none: 'No control check has been measured on this tail.',
  },
  readings: {
    path: 'reading-trends',
    one: 'a reading',
    many: 'readings',
    from: 'Read by crews in walkarounds, flows and run-ups, in the demo by invented ones.',
    keeps: 'what was read keeps',
    none: 'Nothing has been read six times or more on this tail.',
  },
} satisfies Record<string, Kind>

const ofControls = getRouteApi('/tails/$tail/controls')
const ofReadings = getRouteApi('/tails/$tail/readings')

/** What the control checks of one tail measured, and where each number is going. */
export const ControlTrendsPage = ({ me }: { me: Me }) => (
  <TrendsPage me={me} tail={ofControls.useParams().tail} kind={KINDS.controls} />
)

/** What crews read on one tail, engine by engine, and where each number is going. */
export const ReadingTrendsPage = ({ me }: { me: Me }) => (
  <TrendsPage me={me} tail={ofReadings.useParams().tail} kind={KINDS.readings} />
)

/** Numbers of one tail over months; what goes to its limit first stands first. */
const TrendsPage = ({ me, tail, kind }: { me: Me; tail: string; kind: Kind }) => {
  const [chosen, setChosen] = useState('')
  const trends = useQuery<TrendsView, Problem>({
    queryKey: [kind.path, tail],
    queryFn: () => ask('GET', `/api/tails/${tail}/${kind.path}`),
  })
  if (!trends.data)
    return trends.error ? <ProblemNotice problem={trends.error} /> : <Fetching what={`the ${kind.many}`} />
  const all = trends.data.trends
  const shown = all.find((t) => key(t) === chosen) ?? all[0]
  const going = all.filter((t) => t.worsens).length
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <p className={classes.back}>
          <Link to="/tails/$tail" params={{ tail }}>
            Technical log of {tail}
          </Link>
        </p>
        <h1>
          {tail}: {headline(going, all.length, kind)}
        </h1>
        <p className={classes.facts}>
          {trends.data.rows} {kind.many}. {kind.from} It says where to look; licensed maintenance decides.{' '}
          {kind === KINDS.controls && (
            <>
              <a href={`/api/tails/${tail}/control-history.csv`}>CSV</a>
              {' · '}
              <Link to="/recordings">Lay two recordings over each other</Link>
            </>
          )}
        </p>
        {shown && (
          <div className={classes.both}>
            <ul className={classes.list}>
              {all.map((t) => (
                <li key={key(t)} data-goes={t.worsens || undefined}>
                  <Button
                    variant="plain"
                    aria-current={t === shown || undefined}
                    onClick={() => setChosen(key(t))}
                    size="desk"
                  >
                    <b>{t.of}</b> {t.what}
                    <span>{whereTo(t)}</span>
                  </Button>
                </li>
              ))}
            </ul>
            <section className={classes.one}>
              <p className={classes.words}>{shown.words}</p>
              {shown.changes.length > 0 && (
                <p className={classes.facts}>
                  It began to go another way on {shown.changes.map((c) => day(c.slice(0, 10))).join(' and on ')}.
                </p>
              )}
              <Suspense fallback={<div className={classes.waits} />}>
                <TrendPlot key={key(shown)} trend={shown} one={kind.one} />
              </Suspense>
              <Fold line={`${shown.points.length} ${kind.many} as a table`}>
                <Table>
                  <Table.Tbody>
                    {shown.points.toReversed().map((p) => (
                      <Table.Tr key={p.at}>
                        <Table.Td>{p.at.slice(0, 16).replace('T', ' ')} UTC</Table.Td>
                        <Table.Td>
                          {p.value.toFixed(2)} {shown.unit}
                        </Table.Td>
                      </Table.Tr>
                    ))}
                  </Table.Tbody>
                </Table>
              </Fold>
            </section>
          </div>
        )}
        {!shown && <p>{kind.none}</p>}
      </main>
    </>
  )
}

const headline = (going: number, all: number, kind: Kind): string =>
  all === 0
    ? `no ${kind.many} yet`
    : going === 0
      ? kind.keeps
      : `${going} ${going === 1 ? 'number goes' : 'numbers go'} to a limit`

const whereTo = (t: TrendView): string => {
  if (!t.worsens) return t.aWeek === 0 ? 'keeps' : 'moves'
  const prudent = t.prudentWeeks ?? t.weeks
  return prudent === t.weeks ? `in ${t.weeks} weeks` : `in ${prudent} to ${t.weeks} weeks`
}
