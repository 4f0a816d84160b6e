import { Button } from '@mantine/core'
import type { ReactNode } from 'react'
import classes from './Figures.module.css'

interface PanelProps {
  title: string
  /** What is not right in it; empty where all is. */
  wrong: string
  /** What can be done with it, besides going back. */
  actions: ReactNode
  onBack: () => void
  children: ReactNode
}

/** Something the figures are worked out from, given in the place where figures are entered. */
export const Panel = ({ title, wrong, actions, onBack, children }: PanelProps) => (
  <section className={classes.panel} aria-label={title}>
    <h2>{title}</h2>
    {children}
    {wrong && (
      <p role="alert" className={classes.bad}>
        {wrong}
      </p>
    )}
    <div className={classes.ways}>
      {actions}
      <Button onClick={onBack}>Back</Button>
    </div>
  </section>
)
