import { Button } from '@mantine/core'
import type { ItemView } from '../api.gen'
import { Action } from '../app/Action'
import type { Live } from '../live/useDeparture'
import { Fold } from '../app/Fold'
import classes from './FoundSo.module.css'
import { ReadAircraft } from './ReadAircraft'

interface FoundSoProps {
  live: Live
  items: ItemView[]
  unfolded: boolean
  disabled: boolean
  onFound: (item: ItemView) => void
}

/**
 * What is on already when the crew comes, said by the crew or told by the aircraft; what makes it safe is never
 * among it.
 */
export const FoundSo = ({ live, items, unfolded, disabled, onFound }: FoundSoProps) => {
  if (items.length === 0) return null
  const told = new Set(live.view.progress.aircraft?.foundSo)
  const says = (i: ItemView) => told.has(i.id)
  const seen = items.filter(says)
  return (
    <Fold line="What is on already?" tone="boxed" unfolded={unfolded} className={classes.found!}>
      <div className={classes.list}>
        {items.map((i) => (
          <Button key={i.id} variant={says(i) ? 'outline' : 'rest'} disabled={disabled} onClick={() => onFound(i)}>
            {i.foundAs}
            {says(i) && <small className={classes.told}>the aircraft says so</small>}
          </Button>
        ))}
      </div>
      {seen.length > 0 && (
        <Action hotkey="e" disabled={disabled} onAct={() => seen.forEach(onFound)}>
          Found so, all that the aircraft says
        </Action>
      )}
      <p>Press what you find so; the flow asks for the rest, and for all that makes it safe.</p>
      <ReadAircraft live={live} first="left-powered" />
    </Fold>
  )
}
