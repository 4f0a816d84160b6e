import { UnstyledButton } from '@mantine/core'
import type { ItemView, StepView } from '../api.gen'
import { Slot } from '../app/Slot'
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
        <UnstyledButton
          className={classes.row}
          data-now={i.id === at?.id || undefined}
          data-settled={!open(i) || undefined}
          onClick={() => onChoose(i.id)}
        >
          <Slot status={statusOf(i)} />
          <span className={classes.rowChallenge}>
            {i.challenge}
            {i.added && <span className={classes.today}>today</span>}
          </span>
          <span className={classes.rowResponse}>
            {steps[i.id]?.disagreed ? 'two answers' : (steps[i.id]?.reading?.shown ?? i.response)}
          </span>
        </UnstyledButton>
      </li>
    ))}
  </ul>
)
