import type { ItemView } from '../api.gen'
import classes from './FoundSo.module.css'

/** What is on already when the crew comes; what makes it safe is never among it. */
export const FoundSo = ({ items, unfolded, disabled, onFound }: { items: ItemView[]; unfolded: boolean; disabled: boolean; onFound: (item: ItemView) => void }) => {
  if (items.length === 0) return null
  return (
    <details className={classes.found} open={unfolded}>
      <summary>What is on already?</summary>
      <div>
        {items.map((i) => (
          <button key={i.id} type="button" disabled={disabled} onClick={() => onFound(i)}>
            {i.foundAs}
          </button>
        ))}
      </div>
      <p>Press what you find so; the flow asks for the rest, and for all that makes it safe.</p>
    </details>
  )
}
