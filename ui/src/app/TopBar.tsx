import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Link, useNavigate } from '@tanstack/react-router'
import type { ChangesView, Me } from '../api.gen'
import { ask, type Problem } from './api'
import { forgetKept } from './kept'
import { DayNight } from './Switch'
import classes from './TopBar.module.css'

/** The bar of the screens outside a departure. */
export const TopBar = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const navigate = useNavigate()
  const owed = useQuery<ChangesView[], Problem>({ queryKey: ['reading'], queryFn: () => ask('GET', '/api/reading'), enabled: me.flies })
  const signOut = async () => {
    await ask('DELETE', '/api/session')
    client.clear()
    await forgetKept()
    void navigate({ to: '/' })
    window.location.assign('/')
  }
  return (
    <header className={classes.bar}>
      <Link to="/" className={classes.name}>
        Neat Lanyard
      </Link>
      <Link to="/packs" className={classes.link}>
        Procedures
      </Link>
      <Link to="/tails" className={classes.link}>
        Technical logs
      </Link>
      {me.flies && (
        <Link to="/reading" className={classes.link}>
          Reading{owed.data && owed.data.length > 0 ? ` (${owed.data.length})` : ''}
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
      <button type="button" className={classes.link} onClick={() => void signOut()}>
        Sign out
      </button>
    </header>
  )
}
