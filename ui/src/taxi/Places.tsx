import type { WayView } from '../api.gen'
import { Action } from '../app/Action'
import classes from './Places.module.css'

interface PlacesProps {
  way: WayView
  /** Which place one is at, counted from 0. */
  here: number
  onGo: (place: number) => void
}

/** The places of the way one after the other, the one where one is at arm's length. */
export const Places = ({ way, here, onGo }: PlacesProps) => {
  const now = way.places[here]!
  return (
    <div className={classes.places}>
      <p className={classes.now} aria-live="polite">
        <b>{now.kt > 0 ? `${now.kt} kt` : now.cleared ? 'Stand' : 'Stop'}</b>
        <span>{now.words}</span>
      </p>
      <p className={classes.may}>{now.may}</p>
      {now.cautions.map((c) => (
        <p key={c} className={classes.caution}>
          {c}
        </p>
      ))}
      <div className={classes.steps}>
        <Action hotkey="." size="seat" disabled={here >= way.places.length - 1} onAct={() => onGo(here + 1)}>
          Next place
        </Action>
        <Action hotkey="," size="seat" disabled={here === 0} onAct={() => onGo(here - 1)}>
          Back
        </Action>
      </div>
      <ol className={classes.list} aria-label="The way">
        {way.places.map((p, n) => (
          <li
            key={n}
            aria-current={n === here ? 'step' : undefined}
            data-past={n < here || undefined}
            data-stop={!p.cleared || undefined}
            onClick={() => onGo(n)}
          >
            <span>{p.kt > 0 ? `${p.kt} kt` : p.cleared ? '' : 'stop'}</span>
            {p.words}
            {p.cautions.length > 0 && <em> · {p.cautions.join('; ')}</em>}
          </li>
        ))}
      </ol>
      <p className={classes.may}>Control check: {way.controlCheck}.</p>
    </div>
  )
}
