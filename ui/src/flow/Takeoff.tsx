import { Fold } from '../app/Fold'
import { Slot } from '../app/Slot'
import type { Live } from '../live/useDeparture'
import { ReadAircraft } from './ReadAircraft'
import classes from './Takeoff.module.css'

/** Where it is looked at: while there is time to mend it, and on the runway. */
const STAGES = ['before-takeoff', 'line-up']

/** The take-off configuration: what is not as wanted a line each, with who says so, and the rest in one. */
export const Takeoff = ({ live, stage }: { live: Live; stage: string }) => {
  const { takeoff } = live.view.progress
  if (takeoff.length === 0 || !STAGES.includes(stage)) return null
  const off = takeoff.filter((t) => !t.so)
  const stands = off.length === 0 ? 'as wanted' : `${off.length} of ${takeoff.length} not as wanted`
  return (
    <Fold
      line={`Take-off configuration: ${stands}`}
      tone={off.length > 0 ? 'off' : 'rest'}
      unfolded={off.length > 0}
      className={classes.takeoff!}
    >
      <ul>
        {off.map((t) => (
          <li key={t.name} data-off>
            <Slot status="open" /> {t.words}
          </li>
        ))}
        {off.length < takeoff.length && (
          <li>
            <Slot status="done" />
            {takeoff
              .filter((t) => t.so)
              .map((t) => `${t.name.toLowerCase()} ${t.wanted}`)
              .join(', ')}
          </li>
        )}
      </ul>
      <ReadAircraft live={live} first="as-said" />
    </Fold>
  )
}
