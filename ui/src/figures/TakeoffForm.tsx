import { Button, NativeSelect } from '@mantine/core'
import { useState } from 'react'
import type { FiguresView, OptionView } from '../api.gen'
import { Action } from '../app/Action'
import { metres } from '../app/words'
import classes from './Figures.module.css'

interface TakeoffFormProps {
  figures: FiguresView
  disabled: boolean
  onSay: (body: Record<string, unknown>) => void
  onBack: () => void
}

const asUsual = { value: '', label: 'as usual' }
const onOff = [asUsual, { value: 'on', label: 'on' }, { value: 'off', label: 'off' }]
const said = (so: boolean | undefined) => (so === undefined ? '' : so ? 'on' : 'off')
const yes = (of: string) => (of === '' ? null : of === 'on')

/** Which runway, from where, with which flap and thrust: what is proposed, or another. */
export const TakeoffForm = ({ figures, disabled, onSay, onBack }: TakeoffFormProps) => {
  const { choices, given, worked } = figures
  const [runway, setRunway] = useState(given.runway)
  const [intersection, setIntersection] = useState(given.intersection)
  const [flap, setFlap] = useState(given.flap)
  const [thrust, setThrust] = useState(given.thrust)
  const [antiIce, setAntiIce] = useState(said(given.antiIce))
  const [air, setAir] = useState(said(given.airConditioning))
  const say = (c: { runway: string; intersection: string; flap: string; thrust: string }) =>
    onSay({
      choice: {
        runway: c.runway || null,
        intersection: c.intersection || null,
        flap: c.flap || null,
        thrust: c.thrust || null,
      },
      'anti-ice': yes(antiIce),
      'air-conditioning': yes(air),
    })
  const take = (o: OptionView) =>
    say({ runway: o.runway, intersection: o.intersection, flap: o.flap, thrust: o.thrustCode })
  const thrusts = [
    { value: '', label: 'least that holds' },
    { value: 'full', label: 'full' },
    ...choices.steps.map((s) => ({ value: `step-${s}`, label: `${s} per cent` })),
    ...(thrust.startsWith('assumed') ? [{ value: thrust, label: thrust.replace('-', ' ') + ' °C' }] : []),
  ]
  return (
    <section className={classes.panel} aria-label="How to take off">
      <h2>How to take off</h2>
      {worked?.proposed && <p>Proposed: {worked.proposed}</p>}
      <div className={classes.rows}>
        <div className={classes.row4}>
          <NativeSelect
            label="Runway"
            value={runway}
            data={[{ value: '', label: 'as proposed' }, ...choices.runways]}
            onChange={(e) => {
              setRunway(e.currentTarget.value)
              setIntersection('')
            }}
          />
          <NativeSelect
            label="From"
            value={intersection}
            data={[{ value: '', label: 'whole runway' }, ...(choices.intersections[runway] ?? [])]}
            onChange={(e) => setIntersection(e.currentTarget.value)}
          />
          <NativeSelect
            label="Flap"
            value={flap}
            data={[{ value: '', label: 'best' }, ...choices.flaps]}
            onChange={(e) => setFlap(e.currentTarget.value)}
          />
          <NativeSelect
            label="Thrust"
            value={thrust}
            data={thrusts}
            onChange={(e) => setThrust(e.currentTarget.value)}
          />
          <NativeSelect
            label="Anti-ice"
            value={antiIce}
            data={onOff}
            onChange={(e) => setAntiIce(e.currentTarget.value)}
          />
          <NativeSelect
            label="Air conditioning"
            value={air}
            data={onOff}
            onChange={(e) => setAir(e.currentTarget.value)}
          />
        </div>
      </div>
      <div className={classes.ways}>
        <Action
          hotkey="alt+Enter"
          shown="alt enter"
          main
          disabled={disabled}
          onAct={() => say({ runway, intersection, flap, thrust })}
        >
          Work it out so
        </Action>
        <Button disabled={disabled} onClick={() => say({ runway: '', intersection: '', flap: '', thrust: '' })}>
          As proposed
        </Button>
        <Button onClick={onBack}>Back</Button>
      </div>
      {worked && worked.options.length > 0 && (
        <>
          <p className={classes.soft}>All that holds today:</p>
          <ul className={classes.options}>
            {worked.options.map((o) => (
              <li key={[o.runway, o.intersection, o.flap, o.thrust].join('/')}>
                <Button size="seat" variant="rest" disabled={disabled || o.used} onClick={() => take(o)}>
                  <span className={classes.option}>
                    <b>
                      {o.runway}
                      {o.intersection && ` from ${o.intersection}`}, flap {o.flap}, {o.thrust}
                    </b>
                    <span>
                      {metres(o.leftM)} left, {o.tightest}
                    </span>
                    <span className={classes.soft}>at most {o.limiting}</span>
                    {o.used && <span>this one</span>}
                  </span>
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
