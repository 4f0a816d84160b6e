import { useMemo } from 'react'
import type { Live } from '../live/useDeparture'
import { AircraftPicture } from './AircraftPicture'
import { AxisBars } from './AxisBars'
import { Calls } from './Calls'
import classes from './ControlsLive.module.css'
import { useMoments } from './moments'
import { nothingYet } from './picture'
import { StillToMove } from './StillToMove'
import { Strip } from './Strip'
import type { useCheck } from './useCheck'

/** A check while it is made: what is left, the aircraft, the calls, the bars that fill, the last seconds. */
export const ControlsLive = ({ live, followed }: { live: Live; followed: ReturnType<typeof useCheck> }) => {
  const { header, card } = live.view
  const { axes, wanted, practice } = header.controlCheck
  const moments = useMoments(header.id)
  const nothing = useMemo(() => nothingYet(wanted), [wanted])
  const picture = (followed.check?.stands !== 'ended' && followed.picture) || nothing
  const flying = header.crew.find((c) => c.flying)
  const monitoring = header.crew.find((c) => !c.flying && c.seat !== 'engineer')
  const caller = practice.called ? monitoring : flying
  const title = !caller
    ? 'Calls'
    : caller.id === live.me.id
      ? practice.called
        ? 'You call what you see'
        : 'You call as you move'
      : `${family(caller.name)} calls ${practice.called ? 'what is seen' : 'while moving'}`
  return (
    <div className={classes.live}>
      {card && (
        <div className={classes.aircraft}>
          <AircraftPicture planform={card.planform} axes={axes} picture={picture} moments={moments} />
        </div>
      )}
      <div className={classes.beside}>
        <StillToMove picture={picture} />
        <Calls departure={header.id} check={followed.check} moments={moments} title={title} />
      </div>
      <div className={classes.below}>
        <AxisBars axes={axes} picture={picture} moments={moments} />
        <Strip axes={axes} moments={moments} />
      </div>
    </div>
  )
}

const family = (name: string): string => name.slice(name.lastIndexOf(' ') + 1)
