import type { WayView } from '../api.gen'
import { Action } from '../app/Action'
import { Fold } from '../app/Fold'
import classes from './Places.module.css'

interface PlacesProps {
  way: WayView
  /** Which place one is at, counted from 0. */
  here: number
  onGo: (place: number) => void
}

type Place = WayView['places'][number]

const pace = (p: Place): string => (p.kt > 0 ? `${p.kt} kt` : p.cleared ? 'Stand' : 'Stop')

/** The places of the way one after the other: the one where one is at arm's length, the next one under it. */
export const Places = ({ way, here, onGo }: PlacesProps) => {
  const now = way.places[here]!
  const next = way.places[here + 1]
  return (
    <div className={classes.places}>
      <p className={classes.now} aria-live="polite" data-stop={!now.cleared || undefined}>
        <b>{pace(now)}</b>
        <span>{now.words}</span>
      </p>
      {now.cautions.map((c) => (
        <p key={c} className={classes.caution}>
          {c}
        </p>
      ))}
      <p className={classes.may}>
        {now.may}
        {next && `. Then ${next.words}`}
      </p>
      <div className={classes.steps}>
        <Action hotkey="." size="seat" disabled={!next} onAct={() => onGo(here + 1)}>
          Next place
        </Action>
        <Action hotkey="," size="seat" disabled={here === 0} onAct={() => onGo(here - 1)}>
          Back
        </Action>
      </div>
      <Fold line={`The whole way, ${way.places.length} places`}>
        <ol className={classes.list} aria-label="The way">
          {way.places.map((p, n) => (
            <li
              key={n}
              aria-current={n === here ? 'step' : undefined}
              data-past={n < here || undefined}
              data-stop={!p.cleared || undefined}
              onClick={() => onGo(n)}
            >
              <span>{pace(p)}</span>
              {p.words}
              {p.cautions.length > 0 && <em>{p.cautions.join('; ')}</em>}
            </li>
          ))}
        </ol>
      </Fold>
    </div>
  )
}
