import type { GateView } from '../api.gen'
import { Action } from '../app/Action'
import { span, useNow } from '../app/clock'
import classes from './Closed.module.css'

interface ClosedProps {
  gates: GateView[]
  /** Whether it is this seat's to go past them. */
  mine: boolean
  onGoThere: (step: string) => void
  onPass: () => void
}

/** Why a step is closed, what opens it, and the way past it for who has a reason. */
export const Closed = ({ gates, mine, onGoThere, onPass }: ClosedProps) => {
  const now = useNow()
  return (
    <div className={classes.closed}>
      {gates.map((g) => (
        <p key={g.before}>
          {g.words} {g.until && <b>{span(Date.parse(g.until) - now)}</b>}
        </p>
      ))}
      <div className={classes.ways}>
        {gates[0] && !gates[0].until && (
          <Action hotkey="u" main onAct={() => onGoThere(gates[0]!.before)}>
            Go there
          </Action>
        )}
        <Action hotkey="v" disabled={!mine} onAct={onPass}>
          Go past it
        </Action>
      </div>
    </div>
  )
}
