import { Button } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from '@tanstack/react-router'
import type { ChangesView, Me } from '../api.gen'
import { ask, type Problem } from './api'
import { signOut } from './signOut'
import { DayNight } from './Switch'
import classes from './TopBar.module.css'

/** The bar of the screens outside a departure; on a phone it opens by one press. */
export const TopBar = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const [unfolded, { toggle }] = useDisclosure(false)
  const owed = useQuery<ChangesView[], Problem>({
    queryKey: ['reading'],
    queryFn: () => ask('GET', '/api/reading'),
    enabled: me.flies,
  })
  const reading = owed.data?.length ?? 0
  return (
    <header className={classes.bar} data-unfolded={unfolded || undefined}>
      <Link to="/" className={classes.name}>
        Neat Lanyard
      </Link>
      <Button
        variant="outline"
        size="desk"
        className={classes.menu!}
        aria-expanded={unfolded}
        aria-controls="where-to"
        onClick={toggle}
      >
        {unfolded ? 'Close' : reading > 0 ? `Menu (${reading})` : 'Menu'}
      </Button>
      <div id="where-to" className={classes.all}>
        <Link to="/packs" className={classes.link}>
          Procedures
        </Link>
        <Link to="/tails" className={classes.link}>
          Technical logs
        </Link>
        <Link to="/drills" className={classes.link}>
          Drills
        </Link>
        {me.flies && (
          <Link to="/reading" className={classes.link}>
            Reading{reading > 0 ? ` (${reading})` : ''}
          </Link>
        )}
        {me.administers && (
          <>
            <Link to="/desk" className={classes.link}>
              Desk
            </Link>
            <Link to="/access" className={classes.link}>
              Access
            </Link>
          </>
        )}
        <span className={classes.me}>
          {me.name}, {me.role}
        </span>
        <Link to="/password" className={classes.link}>
          Password
        </Link>
        <DayNight />
        <Button variant="plain" size="desk" onClick={() => void signOut(client, '/')}>
          Sign out
        </Button>
      </div>
    </header>
  )
}
