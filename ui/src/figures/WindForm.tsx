import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import { numberOf } from '../app/number'
import type { FiguresView } from '../api.gen'
import { Panel } from './Panel'
import classes from './Figures.module.css'

interface WindFormProps {
  figures: FiguresView
  disabled: boolean
  onSay: (body: Record<string, unknown>) => void
  onBack: () => void
}

/** The wind the tower gives, which is magnetic; the report's is true. */
export const WindForm = ({ figures, disabled, onSay, onBack }: WindFormProps) => {
  const [from, setFrom] = useState('')
  const [speed, setSpeed] = useState('')
  const [gust, setGust] = useState('')
  const [wrong, setWrong] = useState('')
  const say = () => {
    const f = from.trim() === '' ? null : numberOf(from)
    const s = numberOf(speed)
    const g = gust.trim() === '' ? null : numberOf(gust)
    const good = (n: number | null | undefined, least: number, most: number) =>
      n === null || (n !== undefined && Number.isInteger(n) && n >= least && n <= most)
    if (!good(f, 0, 360) || s === undefined || !good(s, 0, 150) || !good(g, s, 150)) {
      setWrong('From 0 to 360 degrees, or empty when variable; knots whole; a gust is more than the wind.')
      return
    }
    onSay({ wind: { 'from-magnetic-deg': f, 'speed-kt': s, 'gust-kt': g } })
  }
  return (
    <Panel
      title="Wind by the tower"
      wrong={wrong}
      onBack={onBack}
      actions={
        <>
          <Button variant="main" disabled={disabled} onClick={say}>
            Count this wind
          </Button>
          {figures.given.tower && (
            <Button disabled={disabled} onClick={() => onSay({ wind: null })}>
              The report's again
            </Button>
          )}
        </>
      }
    >
      <p className={classes.soft}>Counted now: {figures.worked?.wind ?? 'the report'}</p>
      {figures.worked && (
        <ul className={classes.limits}>
          {figures.worked.ends.map((e) => (
            <li key={e.runway} className={e.held ? undefined : classes.bad}>
              <b>{e.runway}</b> {e.along}, {e.across}
              {!e.held && ': over a limit'}
            </li>
          ))}
        </ul>
      )}
      <div className={classes.row4}>
        <TextInput
          label="From, magnetic"
          inputMode="numeric"
          value={from}
          onChange={(e) => setFrom(e.currentTarget.value)}
        />
        <TextInput
          label="Knots"
          inputMode="numeric"
          value={speed}
          onChange={(e) => setSpeed(e.currentTarget.value)}
        />
        <TextInput
          label="Gusting"
          inputMode="numeric"
          value={gust}
          onChange={(e) => setGust(e.currentTarget.value)}
        />
      </div>
    </Panel>
  )
}
