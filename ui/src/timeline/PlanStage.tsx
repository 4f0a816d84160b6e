import { Button } from '@mantine/core'
import { Link } from '@tanstack/react-router'
import { useState } from 'react'
import type { BuysView, FoundView, PlanView, SlipView } from '../api.gen'
import { Fetching } from '../app/Fetching'
import { Fold } from '../app/Fold'
import { ProblemNotice } from '../app/Notice'
import { Problem } from '../app/api'
import { clockTime, span, useNow } from '../app/clock'
import type { Live } from '../live/useDeparture'
import { Ground } from './Ground'
import { OtherEnd, OtherEndLine } from './OtherEnd'
import classes from './PlanStage.module.css'
import { Strips, type Trying } from './Strips'
import { useChoices, usePlan, useTried } from './usePlan'

const MINUTE_MS = 60_000
const PERCENT = 100

/** Below this it is looked for what would buy time without being asked. */
const LIKELY_ENOUGH = 0.9

/** The plan of the time before the departure: a strip a seat, what it hangs on, how likely it is on time. */
export const PlanStage = ({ live }: { live: Live }) => {
  const { data: plan, error } = usePlan(live)
  if (!plan) return error ? <ProblemNotice problem={error} /> : <Fetching what="the plan" />
  return (
    <section className={classes.plan} aria-label="The plan">
      {error && (
        <p className={classes.old}>Worked out at {clockTime(plan.at, live.view.header.zone)}; not anew since.</p>
      )}
      {plan.found ? <Found live={live} plan={plan} found={plan.found} /> : <NotFound plan={plan} />}
      <OtherEnd live={live} plan={plan} />
      <Ground live={live} plan={plan} />
    </section>
  )
}

const NotFound = ({ plan }: { plan: PlanView }) => {
  if (plan.state === 'clash')
    return (
      <>
        <h1 className={classes.verdict}>These cannot all be so</h1>
        <ul className={classes.clash}>
          {plan.clash.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
        <p className={classes.soft}>
          {plan.smallest
            ? 'Without any one of them there is a plan.'
            : 'There was no time to leave out what does not matter.'}
        </p>
      </>
    )
  return (
    <ProblemNotice
      problem={
        plan.state === 'nothing'
          ? new Problem(409, 'no-card', 'There is nothing to plan.', 'A plan is made of the open steps of the card.')
          : new Problem(503, 'busy', 'No plan was found in a second.', 'It is tried again in half a minute.')
      }
    />
  )
}

/** In whole minutes, as people say it. */
const minutes = (ms: number): string => `${Math.round(Math.abs(ms) / MINUTE_MS)} min`

const verdict = (plan: PlanView, found: FoundView, zone: string): string => {
  const late = Date.parse(found.departs) - Date.parse(plan.wanted)
  const at = clockTime(found.departs, zone)
  if (late >= MINUTE_MS / 2) return `Departs ${at}, ${minutes(late)} late`
  return `Departs ${at}, on time`
}

const Found = ({ live, plan, found }: { live: Live; plan: PlanView; found: FoundView }) => {
  const { zone } = live.view.header
  const now = useNow()
  const slack = Math.min(...found.strips.flatMap((s) => s.blocks.map((b) => b.slackS)))
  const first = found.decides[0]
  const nine = Date.parse(found.nine)
  const mine = found.strips.find((s) => s.seat && s.seat === live.seat)
  const [trying, setTrying] = useState<Trying>()
  return (
    <>
      <p className={classes.soft}>
        The plan from {clockTime(plan.at, zone)} on ·{' '}
        {found.learned > 0 ? `times learned from ${found.learned} flows and lists` : 'times are estimates'} ·{' '}
        {found.earliest
          ? 'no earlier departure is possible'
          : `perhaps ${minutes(Date.parse(found.departs) - Date.parse(found.bound))} earlier is possible`}{' '}
        ·{' '}
        <Link to="/plans" className={classes.true!}>
          how plans came true
        </Link>
      </p>
      <h1 className={classes.verdict}>{verdict(plan, found, zone)}</h1>
      <p className={classes.likely}>
        On time in <b>{Math.round(found.likely * PERCENT)} of 100</b> tries
        {slack >= MINUTE_MS / 1000 && `, ${Math.floor((slack * 1000) / MINUTE_MS)} min to spare`}
        {first && found.likely < 1 && (
          <>
            ; if late, then mostly by <b>{first.what}</b>
          </>
        )}
        {nine - Date.parse(plan.wanted) >= MINUTE_MS && `; in nine of ten by ${clockTime(found.nine, zone)}`}.
      </p>
      <OtherEndLine plan={plan} zone={zone} />
      {mine && <Mine strip={mine} zone={zone} now={now} />}
      {found.monitoring.map((m) => (
        <p key={m.what} className={classes.soft}>
          The pilot monitoring is done with {m.what} at <b>{clockTime(m.done, zone)}</b>; wanted by{' '}
          {clockTime(m.wanted, zone)}.
        </p>
      ))}
      <Choices live={live} plan={plan} wanted={found.likely < LIKELY_ENOUGH} />
      <div className={classes.wide}>
        {trying ? (
          <Tried live={live} plan={plan} found={found} trying={trying} onTry={setTrying} />
        ) : (
          <Strips found={found} seat={live.seat} zone={zone} now={now} onTry={setTrying} />
        )}
      </div>
      <Fold line="What it hangs on">
        <ol className={classes.chain}>
          {found.hangs.map((h) => (
            <li key={h.what + h.begins}>
              <b>{h.what}</b> {clockTime(h.begins, zone)}, {span(Date.parse(h.ends) - Date.parse(h.begins))}
              <span className={classes.soft}> {h.because}</span>
            </li>
          ))}
        </ol>
      </Fold>
    </>
  )
}

const STEP_MS = 5 * MINUTE_MS

/** What becomes of the plan when a task begins at another time: nothing is kept of it. */
const Tried = ({ live, plan, found, trying, onTry }: TriedProps) => {
  const { zone, id } = live.view.header
  const { data, error, isFetching } = useTried(id, plan, trying.what, trying.at)
  const by = (ms: number) => onTry({ ...trying, at: Math.max(Date.parse(plan.at), trying.at + ms) })
  const then = data?.found
  return (
    <>
      <div className={classes.tried} role="status" aria-label="What if">
        <p>
          If <b>{trying.name}</b> begins {clockTime(new Date(trying.at).toISOString(), zone)}:{' '}
          {isFetching ? (
            'trying…'
          ) : then ? (
            <>
              <b>{verdict(data, then, zone).toLowerCase()}</b>, on time in {Math.round(then.likely * PERCENT)} of 100
            </>
          ) : (
            data && `it cannot. ${data.clash.join(' ')}`
          )}
        </p>
        <Button size="seat" variant="outline" onClick={() => by(-STEP_MS)}>
          5 min earlier
        </Button>
        <Button size="seat" variant="outline" onClick={() => by(STEP_MS)}>
          5 min later
        </Button>
        <Button size="seat" variant="outline" onClick={() => onTry(undefined)}>
          Back to the plan
        </Button>
      </div>
      {error && <ProblemNotice problem={error} />}
      <Strips
        found={then ?? found}
        before={found}
        seat={live.seat}
        zone={zone}
        now={Date.parse(plan.at)}
        onTry={onTry}
      />
    </>
  )
}

interface TriedProps {
  live: Live
  plan: PlanView
  found: FoundView
  trying: Trying
  onTry: (trying: Trying | undefined) => void
}

/** Now and next of who looks on: all that a phone shows. */
const Mine = ({ strip, zone, now }: { strip: FoundView['strips'][number]; zone: string; now: number }) => {
  const at = strip.blocks.find((b) => Date.parse(b.begins) <= now + 1000 && Date.parse(b.ends) > now)
  const next = strip.blocks.find((b) => Date.parse(b.begins) > now + 1000)
  return (
    <dl className={classes.mine}>
      <div data-now={at ? true : undefined}>
        <dt>Now</dt>
        <dd>
          <b>{at ? at.what : 'Nothing'}</b>
          {at && <span>{span(Date.parse(at.ends) - now)} left</span>}
        </dd>
      </div>
      <div>
        <dt>Next</dt>
        <dd>
          <b>{next ? next.what : 'Nothing more'}</b>
          {next && (
            <span>
              in {span(Date.parse(next.begins) - now)}, at the latest {clockTime(next.latest, zone)}
            </span>
          )}
        </dd>
      </div>
    </dl>
  )
}

const Choices = ({ live, plan, wanted }: { live: Live; plan: PlanView; wanted: boolean }) => {
  const [asked, setAsked] = useState(false)
  const { data, isFetching, error } = useChoices(live.view.header.id, plan, wanted || asked)
  if (!wanted && !asked)
    return (
      <Button variant="plain" size="desk" className={classes.ask!} onClick={() => setAsked(true)}>
        What would buy time?
      </Button>
    )
  if (error) return <ProblemNotice problem={error} />
  if (!data) return isFetching ? <p className={classes.soft}>Trying what would buy time…</p> : null
  return (
    <>
      {data.slips.map((s) => (
        <Slip key={s.seat} slip={s} mine={live.seat === s.seat} />
      ))}
      {data.buys.length === 0 ? (
        <p className={classes.soft}>Nothing that could be tried would buy half a minute.</p>
      ) : (
        <div className={classes.buys} role="group" aria-label="What would buy time, each alone tried">
          {data.buys.map((b) => (
            <Buy key={b.words} live={live} buy={b} />
          ))}
        </div>
      )}
    </>
  )
}

/** What it costs not to begin now. */
const Slip = ({ slip, mine }: { slip: SlipView; mine: boolean }) => (
  <p className={classes.slip} data-mine={mine || undefined}>
    <b>
      {slip.what} now{!mine && ` (${slip.seat} seat)`}:
    </b>{' '}
    begun {minutes(slip.laterS * 1000)} later,{' '}
    {slip.slipsS
      ? `the departure slips ${span(slip.slipsS * 1000)}`
      : 'there is no departure any more that keeps to all'}
    {slip.other && ` and ${slip.other.what} (${slip.other.seat} seat) ${span(slip.other.laterS * 1000)}`}.
  </p>
)

/** One that would buy time; whose word it is may say it. */
const Buy = ({ live, buy }: { live: Live; buy: BuysView }) => {
  const mine = live.seat === buy.by
  return (
    <Button
      variant="outline"
      size="seat"
      disabled={!mine}
      onClick={() => live.outbox.putAll(buy.says.map((s) => ({ ...s, label: buy.words })))}
      className={classes.buy!}
    >
      <span>{buy.words}</span>
      <b>
        {span(buy.gainS * 1000)} earlier, on time in {Math.round(buy.likely * PERCENT)} of 100
      </b>
      {!mine && <small>the {buy.by} seat says it</small>}
    </Button>
  )
}
