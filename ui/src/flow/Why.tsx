import { useState } from 'react'
import { Action } from '../app/Action'
import classes from './Why.module.css'

/** Why a step is done, for who wonders: one key opens it, the same key shuts it. */
export const Why = ({ words }: { words: string }) => {
  const [open, setOpen] = useState(false)
  return (
    <div className={classes.why}>
      <Action hotkey="o" size="seat" onAct={() => setOpen(!open)}>
        Why
      </Action>
      {open && <p>{words}</p>}
    </div>
  )
}
