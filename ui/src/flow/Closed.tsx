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
  /** To a step of this procedure; where it has an order of its own, there is no going. */
  onChoose?: (step: string) => void
  onGo: (stage: string, step: string) => void
  onPass: () => void
}

/** Why a step is closed, what opens it, and the way past it for who has a reason. */
export const Closed = ({ gates, parts, part, mine, onChoose, onGo, onPass }: ClosedProps) => {
  const now = useNow()
  const first = gates[0]
  const its = first?.until ? undefined : parts.find((p) => p.items.some((i) => i.id === first?.before))
  const goThere =
    !first || !its
      ? undefined
      : its.id !== part.id
        ? () => onGo(its.stage, first.before)
        : onChoose && (() => onChoose(first.before))
  return (
    <div className={classes.closed}>
      {gates.map((g) => (
        <p key={g.words}>
          {g.words} {g.until && <b>{span(Date.parse(g.until) - now)}</b>}
        </p>
      ))}
      <div className={classes.ways}>
        {goThere && (
          <Action hotkey="u" main onAct={goThere}>
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
