import { UnstyledButton } from '@mantine/core'
import { memo } from 'react'
import type { ItemView, StepView } from '../api.gen'
import { Slot } from '../app/Slot'
import { PrintedNumber } from './PrintedNumber'
import classes from './StepRows.module.css'

interface StepRowsProps {
  items: ItemView[]
  /** The step at hand. */
  at: ItemView | undefined
  name: string
  placeName: (place: string) => string
  steps: Record<string, StepView>
  statusOf: (i: ItemView) => string
  open: (i: ItemView) => boolean
  onChoose: (step: string) => void
}

/** The steps of a place and the first of the next ones, by shape and in words. */
export const StepRows = ({ items, at, name, placeName, steps, statusOf, open, onChoose }: StepRowsProps) => (
  <ul className={classes.list} aria-label={name}>
    {items.map((i, n) => (
      <li key={i.id}>
        {i.place !== (items[n - 1]?.place ?? at?.place) && <p className={classes.next}>{placeName(i.place)}</p>}
        <Row
          item={i}
          now={i.id === at?.id}
          status={statusOf(i)}
          settled={!open(i)}
          response={steps[i.id]?.disagreed ? 'two answers' : (steps[i.id]?.reading?.shown ?? i.response)}
          onChoose={onChoose}
        />
      </li>
    ))}
  </ul>
)

interface RowProps {
  item: ItemView
  /** Whether it is the step at hand. */
  now: boolean
  status: string
  settled: boolean
  /** What is to be seen, or what was read. */
  response: string
  onChoose: (step: string) => void
}

const Row = memo(({ item, now, status, settled, response, onChoose }: RowProps) => (
  <UnstyledButton
    className={classes.row}
    data-now={now || undefined}
    data-settled={settled || undefined}
    onClick={() => onChoose(item.id)}
  >
    <Slot status={status} />
    <span className={classes.rowChallenge}>
      <PrintedNumber item={item} />
      {item.challenge}
      {item.added && <span className={classes.today}>today</span>}
    </span>
    <span className={classes.rowResponse}>{response}</span>
  </UnstyledButton>
))
