import type { ChangeView } from '../api.gen'
import { Pennant } from '../app/Pennant'
import classes from './ChangesList.module.css'

const KIND: Record<string, string> = { added: 'New', removed: 'Taken out', changed: 'Changed', pack: 'For everybody' }

/** What changed, step by step in words. */
export const ChangesList = ({ changes }: { changes: ChangeView[] }) => (
  <ul className={classes.list}>
    {changes.map((c) => (
      <li key={c.step + c.where} data-kind={c.kind}>
        <span className={classes.kind}>{KIND[c.kind]}</span>
        <div>
          <p className={classes.where}>
            {c.seats.length > 0 && <Pennant seats={c.seats} />} {c.where}
          </p>
          {c.words.map((w) => (
            <p key={w} className={classes.words}>
              {w}
            </p>
          ))}
        </div>
      </li>
    ))}
  </ul>
)
