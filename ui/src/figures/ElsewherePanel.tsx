import { Button, Textarea } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import type { ElsewhereView, ReportedView } from '../api.gen'
import { Action } from '../app/Action'
import { ask, type Problem } from '../app/api'
import { ProblemNotice } from '../app/Notice'
import { deviceName } from '../live/outbox'
import classes from './Figures.module.css'

interface ElsewherePanelProps {
  departure: string
  elsewhere: ElsewhereView[]
  disabled: boolean
  onBack: () => void
}

interface Asked {
  airfield: string
  /** Typed over; else the station service is asked. */
  text?: string
}

/** The reports of where the flight goes and of where it would turn, and what they mean for a landing there. */
export const ElsewherePanel = ({ departure, elsewhere, disabled, onBack }: ElsewherePanelProps) => {
  const [typing, setTyping] = useState('')
  const [text, setText] = useState('')
  const take = useMutation<unknown, Problem, Asked>({
    mutationFn: (asked) => ask('POST', `/api/departures/${departure}/elsewhere`, { device: deviceName(), ...asked }),
    onSuccess: () => {
      setTyping('')
      setText('')
    },
  })
  return (
    <section className={classes.panel} aria-label="Destination and alternate">
      {take.error && <ProblemNotice problem={take.error} />}
      {elsewhere.map((a, n) => (
        <section key={a.airfield} aria-label={a.name}>
          <h2>
            {a.name}, {a.destination ? 'destination' : 'take-off alternate'}
          </h2>
          {a.report ? <Reported report={a.report} /> : <p className={classes.soft}>No report of it yet.</p>}
          {typing === a.airfield ? (
            <>
              <Textarea
                label={`The report of ${a.name}`}
                autosize
                minRows={2}
                value={text}
                onChange={(e) => setText(e.currentTarget.value)}
              />
              <div className={classes.ways}>
                <Button
                  variant="main"
                  disabled={text.trim() === '' || take.isPending}
                  onClick={() => take.mutate({ airfield: a.airfield, text })}
                >
                  Take it
                </Button>
                <Button onClick={() => setTyping('')}>Back</Button>
              </div>
            </>
          ) : (
            <div className={classes.ways}>
              <Action
                hotkey={`alt+${n + 1}`}
                shown={`alt ${n + 1}`}
                main={!a.report}
                disabled={disabled || take.isPending}
                onAct={() => take.mutate({ airfield: a.airfield })}
              >
                Ask the {a.service}
                {a.report && ' again'}
              </Action>
              <Button disabled={disabled} onClick={() => setTyping(a.airfield)}>
                Type it over
              </Button>
            </div>
          )}
        </section>
      ))}
      <div className={classes.ways}>
        <Button onClick={onBack}>Back</Button>
      </div>
    </section>
  )
}

const Reported = ({ report: r }: { report: ReportedView }) => (
  <>
    {r.below.length > 0 ? (
      <p className={classes.bad}>Below landing limits: {r.below.join('; ')}.</p>
    ) : (
      <p>{r.limited ? 'Within landing limits.' : 'The fleet’s file has no landing limits of it.'}</p>
    )}
    <p>
      {r.text}
      {r.simulated && ' (simulated)'}
    </p>
    <p className={classes.soft}>{r.facts.join(' · ')}</p>
    <ul className={classes.limits} aria-label={`Wind on its runways, taken as ${r.condition}`}>
      {r.ends.map((e) => (
        <li key={e.runway} className={e.held ? undefined : classes.bad}>
          <b>{e.runway}</b> {e.along}, {e.across}
          {!e.held && `: over a limit of a runway that is ${r.condition}`}
        </li>
      ))}
    </ul>
    {r.landing && (
      <p>
        <b>Landing distance</b> {r.landing}
      </p>
    )}
  </>
)
