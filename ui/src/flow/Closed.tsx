import type { GateView, PartView } from '../api.gen'
import { Action } from '../app/Action'
import { span, useNow } from '../app/clock'
import classes from './Closed.module.css'

interface ClosedProps {
  gates: GateView[]
  /** All of the card, to find where a step is. */
  parts: PartView[]
  /** The procedure at hand. */
  part: PartView
  /** Whether it is this seat's to go past them. */
  mine: boolean
  onChoose: (step: string) => void
  onGo: (stage: string) => void
  onPass: () => void
}

/** Why a step is closed, what opens it, and the way past it for who has a reason. */
export const Closed = ({ gates, parts, part, mine, onChoose, onGo, onPass }: ClosedProps) => {
  const now = useNow()
  const goThere = (step: string) => {
    const its = parts.find((p) => p.items.some((i) => i.id === step))
    if (its && its.id !== part.id) onGo(its.stage)
    else onChoose(step)
  }
  return (
    <div className={classes.closed}>
      {gates.map((g) => (
        <p key={g.before}>
          {g.words} {g.until && <b>{span(Date.parse(g.until) - now)}</b>}
        </p>
      ))}
      <div className={classes.ways}>
        {gates[0] && !gates[0].until && (
          <Action hotkey="u" main onAct={() => goThere(gates[0]!.before)}>
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

/** What is asked of who goes past what keeps a step closed. */
export const PASS = { label: 'Why go past it? It hangs as a tag until what comes before is so.', action: 'Go past it' }
