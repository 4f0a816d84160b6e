import { UnstyledButton } from '@mantine/core'
import classes from './StepForm.module.css'

interface DropProps {
  /** What is taken out. @default 'this' */
  what?: string
  disabled: boolean
  onDrop: () => void
}

/** Takes one of several out of a row. */
export const Drop = ({ what = 'this', disabled, onDrop }: DropProps) => (
  <UnstyledButton className={classes.drop} disabled={disabled} aria-label={`Take ${what} out`} onClick={onDrop}>
    −
  </UnstyledButton>
)
