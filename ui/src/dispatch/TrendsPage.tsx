import { Button, Table } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { getRouteApi, Link } from '@tanstack/react-router'
import { lazy, Suspense, useState } from 'react'
import type { ControlTrendsView, ControlTrendView, Me } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { day } from '../app/clock'
import { Fetching } from '../app/Fetching'
import { Fold } from '../app/Fold'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import classes from './Trends.module.css'

const route = getRouteApi('/tails/$tail/controls')

// Drawing is asked for once there is something to draw.
const TrendPlot = lazy(async () => ({ default: (await import('./TrendPlot')).TrendPlot }))

const key = (t: ControlTrendView) => `${t.of}/${t.quantity}`

/** What the control checks of one tail measured, and where each number is going; what goes first stands first. */
export const TrendsPage = ({ me }: { me: Me }) => {
  const { tail } = route.useParams()
  const [chosen, setChosen] = useState('')
  const trends = useQuery<ControlTrendsView, Problem>({
    queryKey: ['control-trends', tail],
    queryFn: () => ask('GET', `/api/tails/${tail}/control-trends`),
  })
  if (!trends.data)
    return trends.error ? <ProblemNotice problem={trends.error} /> : <Fetching what="the control checks" />
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
          {tail}: {headline(going, all.length)}
        </h1>
        <p className={classes.facts}>
          {trends.data.checks} control checks. Measured by the aircraft's own data, in the demo by a simulated
          aircraft. It says where to look; licensed maintenance decides.{' '}
          <a href={`/api/tails/${tail}/control-history.csv`}>CSV</a>
          {' · '}
          <Link to="/recordings">Lay two recordings over each other</Link>
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
                <TrendPlot key={key(shown)} trend={shown} />
              </Suspense>
              <Fold line={`${shown.points.length} checks as a table`}>
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
        {!shown && <p>No control check has been measured on this tail.</p>}
      </main>
    </>
  )
}

const headline = (going: number, all: number): string =>
  all === 0
    ? 'no control checks yet'
    : going === 0
      ? 'the controls keep'
      : `${going} ${going === 1 ? 'number goes' : 'numbers go'} to a limit`

const whereTo = (t: ControlTrendView): string => {
  if (!t.worsens) return t.aWeek === 0 ? 'keeps' : 'moves'
  const prudent = t.prudentWeeks ?? t.weeks
  return prudent === t.weeks ? `in ${t.weeks} weeks` : `in ${prudent} to ${t.weeks} weeks`
}
