import { Skeleton } from '@mantine/core'
import classes from './Fetching.module.css'

const LINES = [90, 60, 70, 40]

/** Where something will stand once the server has answered: at once for who listens, and to the eye after a while. */
export const Fetching = ({ what }: { what: string }) => (
  <div role="status" className={classes.fetching}>
    <p>Fetching {what}.</p>
    {LINES.map((percent) => (
      <Skeleton key={percent} className={classes.line!} height={20} mt={12} width={`${percent}%`} animate={false} />
    ))}
  </div>
)
