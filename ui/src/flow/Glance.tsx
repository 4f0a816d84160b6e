import type { PlaceView } from '../api.gen'
import classes from './Glance.module.css'

/** How a place looks at one look when all is right, above the press for the whole of it. */
export const Glance = ({ place }: { place: PlaceView | undefined }) =>
  place?.glance ? (
    <p className={classes.glance}>
      <b>At one look:</b> {place.glance}
    </p>
  ) : null
