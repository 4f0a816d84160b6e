import { Button, NativeSelect, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { FiguresView } from '../api.gen'
import { clockTime, serverNow } from '../app/clock'
import { numberOf } from '../app/number'
import { Panel } from './Panel'
import classes from './Figures.module.css'

interface DeIcedFormProps {
  figures: FiguresView
  zone: string
  disabled: boolean
  onSay: (body: Record<string, unknown>) => void
  onBack: () => void
}

const MINUTE = 60_000
const LONGEST = 24 * 60

/** The last treatment with fluid: which, how mixed, and when its last application began. */
export const DeIcedForm = ({ figures, zone, disabled, onSay, onBack }: DeIcedFormProps) => {
  const { fluids } = figures.choices
  const [fluid, setFluid] = useState(Object.keys(fluids)[0] ?? '')
  const [mix, setMix] = useState('')
  const [ago, setAgo] = useState('0')
  const [wrong, setWrong] = useState('')
  const mixes = fluids[fluid] ?? []
  const holdover = figures.worked?.holdover
  const say = () => {
    const minutes = numberOf(ago)
    if (minutes === undefined || minutes < 0 || minutes > LONGEST) {
      setWrong('How many minutes ago did the last application begin?')
      return
    }
    const began = new Date(serverNow() - minutes * MINUTE).toISOString()
    onSay({ applied: { fluid, mix: mix || mixes[0], 'last-began': began } })
  }
  return (
    <Panel
      title="De-iced?"
      wrong={wrong}
      onBack={onBack}
      actions={
        <>
          <Button variant="main" disabled={disabled || fluid === ''} onClick={say}>
            It was de-iced so
          </Button>
          {figures.given.deIced && (
            <Button disabled={disabled} onClick={() => onSay({ applied: null })}>
              It was not
            </Button>
          )}
        </>
      }
    >
      {figures.given.deIced && (
        <p>
          {figures.given.deIced.fluid} {figures.given.deIced.mix}, begun {clockTime(figures.given.deIced.began, zone)}
          {holdover?.least && holdover.most
            ? `: look from ${clockTime(holdover.least, zone)}, over at ${clockTime(holdover.most, zone)}`
            : holdover && `: ${holdover.words}`}
        </p>
      )}
      {holdover && holdover.arithmetic.length > 0 && (
        <p className={classes.soft}>{holdover.arithmetic.join('; ')}, by the operator's table</p>
      )}
      {Object.keys(fluids).length === 0 ? (
        <p>No holdover times were brought in.</p>
      ) : (
        <div className={classes.row4}>
          <NativeSelect
            label="Fluid"
            value={fluid}
            data={Object.keys(fluids)}
            onChange={(e) => {
              setFluid(e.currentTarget.value)
              setMix('')
            }}
          />
          <NativeSelect
            label="Mix with water"
            value={mix || mixes[0] || ''}
            data={mixes}
            onChange={(e) => setMix(e.currentTarget.value)}
          />
          <TextInput
            label="Last application begun, min ago"
            inputMode="numeric"
            value={ago}
            onChange={(e) => setAgo(e.currentTarget.value)}
          />
        </div>
      )}
    </Panel>
  )
}
