import { Button, UnstyledButton } from '@mantine/core'
import { Link } from '@tanstack/react-router'
import { memo, useSyncExternalStore } from 'react'
import type { DayView, DepartureView } from '../api.gen'
import { clockIsOff, span, useNow } from '../app/clock'
import { Key } from '../app/Key'
import { DayNight } from '../app/Switch'
import type { Outbox } from '../live/outbox'
import { onPhotos, photoState } from '../live/photos'
import classes from './Header.module.css'

/** More than these take two lines. */
const MANY = 2

interface HeaderProps extends Pick<DepartureView, 'header'> {
  day: DayView | undefined
  tiedOff: boolean
  connected: boolean
  outbox: Outbox
  /** How its plan stands, in a few words. */
  plan: string
  /** To the plan of the time that is left. */
  onPlan: () => void
  /** To hang a tag by hand, and to be called away; where one can. */
  onHang?: () => void
  onAway?: () => void
}

/** The tail, the route, the day in three words, and the time to go. */
export const Header = memo(
  ({ header, day, tiedOff, connected, outbox, plan, onPlan, onHang, onAway }: HeaderProps) => {
    const kept = useSyncExternalStore(outbox.subscribe, outbox.kept)
    const photos = useSyncExternalStore(onPhotos, photoState).waiting.length
    const chips = day
      ? [day.light, day.weather, ...day.circumstances.filter((c) => c.so).map((c) => c.words)].filter(Boolean)
      : []
    return (
      <header className={classes.header}>
        <Link to="/" className={classes.tail} title="All departures">
          {header.tail}
        </Link>
        <span className={classes.route}>
          {header.from.name} – {header.to.name}
          <span className={classes.number}>, {header.number.toLowerCase()}</span>
        </span>
        <span className={classes.chips} data-many={chips.length > MANY || undefined}>
          {chips.map((c) => (
            <span key={String(c)} className={classes.chip}>
              {c}
            </span>
          ))}
        </span>
        {connected && photos > 0 && (
          <span className={classes.sending} role="status">
            Sending {photos} {photos === 1 ? 'photo' : 'photos'}
          </span>
        )}
        {!connected && (
          <span className={classes.away} role="status">
            Not connected{kept + photos > 0 ? `, ${kept + photos} kept here` : ''}
          </span>
        )}
        <ClockOff />
        {onHang && (
          <Button
            variant="plain"
            size="desk"
            className={classes.plain!}
            data-hang
            onClick={onHang}
            rightSection={<Key>h</Key>}
          >
            Hang a tag
          </Button>
        )}
        {onAway && (
          <Button variant="plain" size="desk" className={classes.plain!} onClick={onAway} rightSection={<Key>i</Key>}>
            Called away
          </Button>
        )}
        <DayNight className={classes.plain!} />
        {tiedOff ? (
          <span className={classes.clock}>tied off</span>
        ) : (
          <UnstyledButton className={classes.clock!} onClick={onPlan} title="The plan of the time that is left">
            <ToGo departs={header.departs} />
            <small>
              Plan{plan && ` · ${plan}`} <Key>⇧p</Key>
            </small>
          </UnstyledButton>
        )}
      </header>
    )
  },
)

/** Asked each second: the server may say only later that this device's clock is wrong. */
const ClockOff = () => {
  useNow()
  const off = clockIsOff()
  return (
    off && (
      <span className={classes.away} role="status" title={off}>
        Device clock wrong
      </span>
    )
  )
}

const ToGo = ({ departs }: { departs: string }) => {
  const left = Date.parse(departs) - useNow()
  return left < 0 ? `${span(left)} past` : `${span(left)} to go`
}
