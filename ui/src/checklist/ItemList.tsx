import { useState } from 'react'
import type { ItemView, Progress } from '../api.gen'
import { Action } from '../app/Action'
import { clockTime } from '../app/clock'
import { Pennant } from '../app/Pennant'
import { Slot } from '../app/Slot'
import classes from './ChecklistStage.module.css'

interface ItemListProps {
  items: ItemView[]
  /** The item at hand. */
  at: ItemView | undefined
  statusOf: (i: ItemView) => string
  progress: Progress
  zone: string
}

/**
 * The whole checklist with its line; for who wants it, what the alerting system would tell and what rests on the
 * crew alone.
 */
export const ItemList = ({ items, at, statusOf, progress, zone }: ItemListProps) => {
  const [told, setTold] = useState(false)
  const answer = (i: ItemView): string => {
    if (told) return i.alerted ? 'alerting would tell' : 'rests on the crew'
    const last = progress.steps[i.id]?.marks.at(-1)
    if (last?.outcome === 'done' && last.words) return `${last.words}${last.at && ` · ${clockTime(last.at, zone)}`}`
    // What is asked back is seen on the panel, not read off the list.
    return progress.values[i.id]?.back ? 'as seen' : i.response
  }
  return (
    <div>
      <ol className={classes.list}>
        {items.map((i, n) => (
          <li
            key={i.id}
            className={classes.item}
            data-now={i.id === at?.id || undefined}
            data-line={(i.belowLine && !items[n - 1]?.belowLine) || undefined}
            data-settled={statusOf(i) === 'done' || undefined}
          >
            <Slot status={statusOf(i)} />
            <span className={classes.itemChallenge}>{i.challenge}</span>
            <span className={classes.itemResponse}>{answer(i)}</span>
            <Pennant seats={i.seats} />
          </li>
        ))}
      </ol>
      <div className={classes.foot}>
        <Action hotkey="w" onAct={() => setTold(!told)}>
          {told ? 'What is answered' : 'Who would tell'}
        </Action>
      </div>
    </div>
  )
}
