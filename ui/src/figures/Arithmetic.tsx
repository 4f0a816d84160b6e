import { Button } from '@mantine/core'
import type { FigureView, FiguresView } from '../api.gen'
import { first } from '../app/words'
import classes from './Figures.module.css'

interface ArithmeticProps {
  figures: FiguresView
  figure: FigureView | undefined
  onBack: () => void
}

/** How a figure came about, what it rests on, and all that must hold. */
export const Arithmetic = ({ figures, figure, onBack }: ArithmeticProps) => {
  const w = figures.worked
  const of = figure && w?.arithmetic[figure.figure]
  return (
    <section className={classes.panel} aria-label="The arithmetic">
      <h2>{figure ? first(figure.words) : 'The arithmetic'}</h2>
      {of ? (
        <>
          <p>
            <b>{of.value}</b>, by {of.source}
          </p>
          <ul>
            {of.lines.map((l) => (
              <li key={l}>{l}</li>
            ))}
          </ul>
        </>
      ) : (
        figure && <p>How it came about is shown once both have entered it.</p>
      )}
      {figure && figure.restsOn.length > 0 && (
        <p className={classes.soft}>
          Rests on {figure.restsOn.join(', ')}: when one of these is another, it is worked out anew.
        </p>
      )}
      {w && (
        <>
          <p>
            <b>Air</b> {w.air.join(' · ')}
          </p>
          <p>
            <b>Condition</b> {w.conditionArithmetic.join('. ')}
          </p>
          {w.shortStrip && (
            <p>
              <b>Short strip</b> {w.shortStrip}
            </p>
          )}
          <p>
            <b>What must hold</b> by tables {figures.tables}
          </p>
          <ul className={classes.limits}>
            {w.limits.map((l, n) => (
              <li key={n} className={l.held ? undefined : classes.bad}>
                {first(l.what)}
                {l.words ? `: ${l.words}` : l.held ? ' holds' : ''} <span className={classes.soft}>{l.source}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className={classes.ways}>
        <Button onClick={onBack}>Back</Button>
      </div>
    </section>
  )
}
