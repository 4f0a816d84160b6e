import type { Progress } from '../api.gen'
import { Pennant } from '../app/Pennant'
import classes from './OtherSeat.module.css'

/** Where the other seat is, in a line. */
export const OtherSeat = ({ progress, seat }: { progress: Progress; seat: string }) => (
  <div className={classes.seats}>
    {progress.seats
      .filter((s) => s.seat !== seat)
      .map((s) => (
        <div key={s.seat} className={classes.seat}>
          <p className={classes.who}>
            <Pennant seats={[s.seat]} /> {s.name}
          </p>
          <p className={classes.doing}>{s.taken ? s.doing : 'Not in the seat yet'}</p>
          {s.all > 0 && s.taken && (
            <>
              <svg className={classes.bar} viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden="true">
                <path d="M0 3h100" className={classes.way} />
                <path d={`M0 3h${(100 * s.done) / s.all}`} className={classes.gone} />
              </svg>
              <p className={classes.count}>
                {s.done} of {s.all}
              </p>
            </>
          )}
        </div>
      ))}
  </div>
)
