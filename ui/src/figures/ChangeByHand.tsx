import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { FiguresView, LoadPlaceView } from '../api.gen'
import { numberOf } from '../app/number'
import classes from './Figures.module.css'

interface ChangeByHandProps {
  figures: FiguresView
  onSay: (body: Record<string, unknown>) => void
  onBack: () => void
}

type Typed = Record<string, string>

const typedOf = (now: Record<string, number>): Typed =>
  Object.fromEntries(Object.entries(now).map(([id, n]) => [id, n > 0 ? `+${n}` : String(n)]))

/** Numbers with what is not one; what is left empty or nought is no change. */
const numbers = (typed: Typed): { all: Record<string, number>; wrong: string } => {
  const all: Record<string, number> = {}
  for (const [id, text] of Object.entries(typed)) {
    if (text.trim() === '') continue
    const n = numberOf(text.replace(/^\s*\+/, ''))
    if (n === undefined) return { all, wrong: `“${text}” is no number.` }
    if (n !== 0) all[id] = n
  }
  return { all, wrong: '' }
}

interface RowProps {
  title: string
  places: LoadPlaceView[]
  typed: Typed
  onType: (typed: Typed) => void
}

const Row = ({ title, places, typed, onType }: RowProps) => (
  <fieldset className={classes.changes}>
    <legend>{title}</legend>
    {places.map((p) => (
      <TextInput
        key={p.id}
        label={p.name}
        placeholder="0"
        value={typed[p.id] ?? ''}
        onChange={(e) => onType({ ...typed, [p.id]: e.currentTarget.value })}
      />
    ))}
  </fieldset>
)

/** Who came or went after the sheet was made: counted from the sheet, not from the change before. */
export const ChangeByHand = ({ figures, onSay, onBack }: ChangeByHandProps) => {
  const { sheet } = figures.given
  const [heads, setHeads] = useState<Typed>(() => typedOf(sheet?.passengers ?? {}))
  const [kg, setKg] = useState<Typed>(() => typedOf(sheet?.holdsKg ?? {}))
  const passengers = numbers(heads)
  const holds = numbers(kg)
  const whole = Object.values(passengers.all).every((n) => Number.isInteger(n))
  const wrong = passengers.wrong || holds.wrong || (whole ? '' : 'Passengers are counted whole.')
  return (
    <>
      <p className={classes.soft}>Counted from what the sheet has: 2 for two more, −1 for one less.</p>
      <Row title="Passengers, more or less" places={figures.choices.cabins} typed={heads} onType={setHeads} />
      <Row title="Kilograms, more or less" places={figures.choices.holds} typed={kg} onType={setKg} />
      {wrong && (
        <p role="alert" className={classes.bad}>
          {wrong}
        </p>
      )}
      <div className={classes.ways}>
        <Button
          variant="main"
          disabled={wrong !== ''}
          onClick={() => onSay({ change: { passengers: passengers.all, 'holds-kg': holds.all } })}
        >
          So it is now
        </Button>
        <Button onClick={onBack}>Back</Button>
      </div>
    </>
  )
}
