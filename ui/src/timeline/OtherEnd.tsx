import { Button, NumberInput, Textarea } from '@mantine/core'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { OtherEndView, PlanView } from '../api.gen'
import { Fold } from '../app/Fold'
import { ProblemNotice } from '../app/Notice'
import { ask, type Problem } from '../app/api'
import { clockTime } from '../app/clock'
import type { Live } from '../live/useDeparture'
import classes from './PlanStage.module.css'

const MINUTE_MS = 60_000
const MOST_MIN = 1_440

const inMinutes = (ms: number): string => `${Math.floor(Math.abs(ms) / MINUTE_MS)} min`

/** What is certain to be lost, until when waiting works, and what each minute costs then. */
const verdict = (o: OtherEndView, departs: number, zone: string): string => {
  const lost = o.losses.filter((l) => l.certain && l.now)
  const weather = lost.filter((l) => l.kind === 'weather').map((l) => l.words)
  if (weather.length > 0) return `Forecast there then: ${weather.join('; ')}.`
  if (lost.some((l) => l.kind === 'slot')) return 'The slot is over by then.'
  if (lost.length > 0) return 'Each minute more is one more.'
  if (!o.until) return 'Waiting costs nothing that is known.'
  const then = o.losses.filter((l) => l.certain && l.from === o.until).map((l) => l.words)
  const later = inMinutes(Date.parse(o.until) - departs)
  return (
    `Departing until ${clockTime(o.until, zone)} works, ${later} later than the plan; ` +
    `after that ${then.join('; ')}.`
  )
}

/** The other end in a line: when it lands, whether that is in time, and how long waiting still works. */
export const OtherEndLine = ({ plan, zone }: { plan: PlanView; zone: string }) => {
  const o = plan.otherEnd
  if (!o) return null
  const departs = Date.parse(plan.found?.departs ?? plan.wanted)
  const early = o.wanted ? Date.parse(o.wanted) - Date.parse(o.lands) : 0
  return (
    <p className={classes.other}>
      Lands in {o.to} at <b>{clockTime(o.lands, zone)}</b>
      {o.wanted &&
        (o.lateS >= 30
          ? `, ${Math.round(o.lateS / 60)} min after it is wanted`
          : `, wanted ${clockTime(o.wanted, zone)}, ${inMinutes(early)} to spare`)}
      . {verdict(o, departs, zone)}
    </p>
  )
}

/** All that waiting would lose, from when to when, the forecast it rests on, and what the crew was told. */
export const OtherEnd = ({ live, plan }: { live: Live; plan: PlanView }) => {
  const { zone } = live.view.header
  const o = plan.otherEnd
  if (!o) return null
  return (
    <Fold line={`The other end: ${o.to}${o.forecast?.simulated ? ' · simulated forecast service' : ''}`}>
      <ul className={classes.ground}>
        {o.losses.map((l) => (
          <li key={l.from + l.words} data-now={l.now || undefined}>
            <b>
              Departing{' '}
              {l.to ? `${clockTime(l.from, zone)} to ${clockTime(l.to, zone)}` : `after ${clockTime(l.from, zone)}`}
            </b>{' '}
            {l.words}
            {l.now && <span className={classes.soft}> · as planned now</span>}
          </li>
        ))}
        {o.losses.length === 0 && <li>Nothing that is known is lost by waiting.</li>}
      </ul>
      {o.forecast ? (
        <p className={classes.forecast}>
          {o.forecast.text}
          <span className={classes.soft}>
            {' '}
            {o.forecast.source};{' '}
            {o.limits ? `a landing there wants ${o.limits}` : 'what a landing there wants is not given'}
          </span>
        </p>
      ) : (
        <p className={classes.soft}>No forecast of {o.to} is known.</p>
      )}
      {live.seat && <OtherEndForm live={live} other={o} />}
    </Fold>
  )
}

/** What the crew was told: when it should have landed, and a forecast typed over. */
const OtherEndForm = ({ live, other }: { live: Live; other: OtherEndView }) => {
  const { id } = live.view.header
  const client = useQueryClient()
  const [later, setLater] = useState<number | string>(0)
  const [forecast, setForecast] = useState('')
  const typed = other.forecast !== undefined && !other.forecast.simulated
  const say = useMutation<unknown, Problem, { back: boolean }>({
    mutationFn: ({ back }) => {
      if (back) return ask('POST', `/api/departures/${id}/other-end`, {})
      const from = Date.parse(other.wanted ?? other.lands)
      const kept = typed ? other.forecast?.text : ''
      const text = forecast.trim() || kept
      return ask('POST', `/api/departures/${id}/other-end`, {
        ...((other.wanted || Number(later) !== 0) && {
          wanted: new Date(from + Number(later) * MINUTE_MS).toISOString(),
        }),
        ...(text && { forecast: text }),
      })
    },
    onSuccess: () => {
      setLater(0)
      setForecast('')
      return client.refetchQueries({ queryKey: ['plan', id] })
    },
  })
  return (
    <form
      className={classes.form}
      aria-label="Say what the other end wants"
      onSubmit={(e) => {
        e.preventDefault()
        say.mutate({ back: false })
      }}
    >
      <NumberInput
        size="md"
        label={other.wanted ? 'Wanted later by, minutes' : 'Wanted later than it lands by, minutes'}
        min={-MOST_MIN}
        max={MOST_MIN}
        value={later}
        onChange={setLater}
      />
      <Textarea
        size="md"
        label={`Forecast of ${other.to}, typed over (TAF)`}
        className={classes.typed!}
        autosize
        minRows={1}
        value={forecast}
        onChange={(e) => setForecast(e.currentTarget.value)}
      />
      <Button type="submit" size="seat" variant="outline" loading={say.isPending}>
        Say so
      </Button>
      {typed && (
        <Button size="seat" variant="outline" disabled={say.isPending} onClick={() => say.mutate({ back: true })}>
          Take the forecast and the time back
        </Button>
      )}
      {say.error && <ProblemNotice problem={say.error} />}
    </form>
  )
}
