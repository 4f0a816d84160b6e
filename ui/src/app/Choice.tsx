import { Radio, Stack } from '@mantine/core'
import type { ReactNode } from 'react'
import classes from './Choice.module.css'

interface ChoiceProps {
  label: string
  chosen: string
  onChoose: (value: string) => void
  options: { value: string; words: ReactNode }[]
}

/** One of a few, each as large as a glove needs. */
export const Choice = ({ label, chosen, onChoose, options }: ChoiceProps) => (
  <Radio.Group label={label} value={chosen} onChange={onChoose} className={classes.choice}>
    <Stack gap="0.4rem">
      {options.map((o) => (
        <Radio.Card key={o.value} value={o.value} className={classes.one}>
          {o.words}
        </Radio.Card>
      ))}
    </Stack>
  </Radio.Group>
)
