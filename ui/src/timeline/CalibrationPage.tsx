import { Table } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense } from 'react'
import type { CalibrationView, Me } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { day } from '../app/clock'
import { Fetching } from '../app/Fetching'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import classes from './CalibrationPage.module.css'

// Drawing is asked for once there is something to draw.
const CalibrationPlot = lazy(async () => ({ default: (await import('./CalibrationPlot')).CalibrationPlot }))

const of100 = (share: number): string => `${Math.round(share * 100)}`

/** On average, and where about 80 of 100 was said. */
const words = (c: CalibrationView): string => {
  const said = c.groups.reduce((a, g) => a + g.said * g.count, 0) / c.count
  const near = c.groups.reduce((a, g) => (Math.abs(g.said - 0.8) < Math.abs(a.said - 0.8) ? g : a))
  return (
    `On average plans said that ${of100(said)} of 100 depart on time, and ${of100(c.came)} did; ` +
    `where they said about ${of100(near.said)}, ${of100(near.came)} did.`
  )
}

/** How what plans said of departures came true, beside the plain clock. */
export const CalibrationPage = ({ me }: { me: Me }) => {
  const { data: c, error } = useQuery<CalibrationView, Problem>({
    queryKey: ['calibration'],
    queryFn: () => ask('GET', '/api/calibration'),
  })
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <h1>How plans came true</h1>
        {error && <ProblemNotice problem={error} />}
        {!c && !error && <Fetching what="what was said and what came of it" />}
        {c?.count === 0 && (
          <p>
            Nothing yet. What a plan says between 30 and 10 minutes before a departure is kept, and held against what
            came of it once the departure is tied off.
          </p>
        )}
        {c && c.count > 0 && <Shown c={c} />}
      </main>
    </>
  )
}

const Shown = ({ c }: { c: CalibrationView }) => (
  <>
    <p className={classes.words}>{words(c)}</p>
    <p className={classes.soft}>
      {c.count} departures, {c.first && day(c.first.slice(0, 10))} to {c.last && day(c.last.slice(0, 10))}: what was
      said first between 30 and 10 minutes before, and whether all was over in time.{' '}
      <a href="/api/foretold">All of them as CSV</a>
    </p>
    <div className={classes.both}>
      <figure style={{ margin: 0 }}>
        <Suspense fallback={<div className={classes.waits} />}>
          <CalibrationPlot calibration={c} />
        </Suspense>
        <figcaption className={classes.soft}>
          ● a group of departures, │ where the truth lies in 95 of 100 cases, ╌ both are alike. Above the line plans
          said too little, below it too much.
        </figcaption>
      </figure>
      <Table>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Who says how likely</Table.Th>
            <Table.Th>Brier score</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          <Table.Tr>
            <Table.Td>the plan</Table.Td>
            <Table.Td>
              <b>{c.brier.toFixed(3)}</b>
            </Table.Td>
          </Table.Tr>
          <Table.Tr>
            <Table.Td>always {of100(c.came)} of 100</Table.Td>
            <Table.Td>{c.base.toFixed(3)}</Table.Td>
          </Table.Tr>
          <Table.Tr>
            <Table.Td>the plain clock: no stage behind its time, or one</Table.Td>
            <Table.Td>{c.clock.toFixed(3)}</Table.Td>
          </Table.Tr>
          <Table.Tr>
            <Table.Td colSpan={2} className={classes.soft!}>
              Mean square of what was said less what came: 0 is always right, 1 always wrong.
            </Table.Td>
          </Table.Tr>
        </Table.Tbody>
      </Table>
    </div>
  </>
)
