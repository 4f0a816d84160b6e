import { UnstyledButton } from '@mantine/core'
import type { EnteredView, FigureView } from '../api.gen'
import { clockTime } from '../app/clock'
import { Pennant } from '../app/Pennant'
import { written } from './written'
import classes from './Figures.module.css'

interface FigureCellProps {
  figure: FigureView
  /** Who looks at it. */
  me: string
  /** Whether it is theirs to enter. */
  mine: boolean
  current: boolean
  zone: string
  onChoose: () => void
}

const Hand = ({ entry }: { entry: EnteredView }) => (entry.seat ? <Pennant seats={[entry.seat]} /> : <>{entry.by}</>)

/** One figure: open, mine to enter, covered, differing, or agreed with both pennants. */
export const FigureCell = ({ figure: f, me, mine, current, zone, onChoose }: FigureCellProps) => {
  const entered = f.entries.some((e) => e.who === me)
  const others = f.entries.filter((e) => e.who !== me)
  // By their seats, not by who was first.
  const hands = [...f.entries].sort((a, b) => (a.seat ?? '').localeCompare(b.seat ?? ''))
  return (
    <li>
      <UnstyledButton
        className={classes.cell}
        aria-current={current || undefined}
        data-figure={f.figure}
        data-standing={f.notToday ? 'not-today' : f.standing}
        onClick={onChoose}
      >
        <span className={classes.name}>{f.words}</span>
        {f.notToday ? (
          <>
            <span className={classes.slot} data-none />
            <span className={classes.who}>none today</span>
          </>
        ) : f.value !== undefined ? (
          <>
            <span className={classes.value}>
              {written(f.value, f.unit)} <small>{f.unit}</small>
            </span>
            <span className={classes.who}>
              {f.taken ? (
                <>taken: {f.taken}</>
              ) : (
                <>
                  {hands.map((e) => (
                    <Hand key={e.who} entry={e} />
                  ))}
                  {f.entries[1] && clockTime(f.entries[1].at, zone)}
                </>
              )}
            </span>
          </>
        ) : f.standing === 'differs' ? (
          <>
            <span className={classes.apart}>
              {[...new Set(f.entries.map((e) => written(e.value ?? '', f.unit)))].join(' / ')}
            </span>
            <span className={classes.who}>
              {hands.map((e) => (
                <Hand key={e.who} entry={e} />
              ))}
              differs
            </span>
          </>
        ) : (
          <>
            <span
              className={classes.slot}
              data-mine={(mine && !entered) || undefined}
              data-covered={entered || undefined}
            />
            <span className={classes.who}>
              {hands.map((e) => (
                <Hand key={e.who} entry={e} />
              ))}
              {entered ? 'covered' : others[0] ? 'entered' : ''}
              {f.again && f.entries.length === 0 && <span className={classes.again}>again, {f.again}</span>}
            </span>
          </>
        )}
      </UnstyledButton>
    </li>
  )
}
