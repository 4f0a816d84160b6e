import { Button } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { getRouteApi, useNavigate } from '@tanstack/react-router'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { Me, TagView } from '../api.gen'
import { Fetching } from '../app/Fetching'
import { ProblemNotice } from '../app/Notice'
import { Problem } from '../app/api'
import { ControlsStage } from '../controls/ControlsStage'
import { FindsStage } from '../dispatch/FindsStage'
import { Waits } from '../flow/Waits'
import { HangTag, TakeTag } from '../lanyard/ByHand'
import { BEAD_KEYS, Cord } from '../lanyard/Cord'
import { TieOffStage } from '../record/TieOffStage'
import { DayStage } from '../sop/DayStage'
import { PlanStage } from '../timeline/PlanStage'
import { planWords, usePlans } from '../timeline/usePlan'
import { AskAway, Away } from './Away'
import classes from './DepartureScreen.module.css'
import { Header } from './Header'
import { Parts } from './Parts'
import { RefusedList } from './RefusedList'
import { useDeparture, type Live } from '../live/useDeparture'
import { SeatingContext } from '../app/seating'

const route = getRouteApi('/departures/$id')

/** One departure: the cord at the left, the stage at hand in the middle. */
export const DepartureScreen = ({ me }: { me: Me }) => {
  const { id } = route.useParams()
  const { stage } = route.useSearch()
  const navigate = useNavigate()
  const { live, problem } = useDeparture(id, me)
  // Counted, so that who asks for the same step again comes to it again.
  const [wanted, setWanted] = useState({ step: '', asked: 0 })
  const [hanging, setHanging] = useState(false)
  const [held, setHeld] = useState<TagView>()
  const plans = usePlans(id)
  const current = live?.view.progress.beads.find((b) => b.state === 'current')?.stage ?? 'tie-off'
  const arrived = useRef('')
  // The stage is chosen once, on arrival; afterwards the crew moves, not the program.
  const shown = stage ?? current
  // Always the same, so that a press in a stage does not draw the cord anew.
  const go = useCallback(
    (to: string, step = '') => {
      setWanted((w) => ({ step, asked: w.asked + 1 }))
      void navigate({ to: '/departures/$id', params: { id }, search: { stage: to } })
    },
    [navigate, id],
  )
  const onTag = useCallback(
    (tag: TagView) => {
      if (tag.hand) {
        setHeld(tag)
        return
      }
      go(tag.go, tag.steps[0])
    },
    [go],
  )
  const acting = live?.seat && live.view.card && !live.view.progress.tiedOff ? live : undefined
  // Who is away does nothing: the keys of a stage under the away screen would still be pressed.
  const away = live?.view.progress.seats.some((s) => s.seat === live.seat && s.away)
  const beginHanging = useCallback(() => setHanging(true), [])
  const toPlan = useCallback(() => go('plan'), [go])
  const outbox = acting?.outbox
  const goAway = useCallback(() => outbox?.put('interrupted', {}, 'being called away'), [outbox])

  useEffect(() => {
    if (!live || stage || arrived.current === id) return
    // Once: on a slow device a press may be on its way to another stage by now, and must not be led back.
    arrived.current = id
    void navigate({ to: '/departures/$id', params: { id }, search: { stage: current }, replace: true })
  }, [live, stage, id, current, navigate])
  useHotkeys([
    ['h', () => acting && beginHanging()],
    ['i', goAway],
    ['shift+P', () => go('plan')],
  ])
  useHotkeys(
    (live?.view.progress.beads ?? []).slice(0, BEAD_KEYS.length).map((b, i) => [BEAD_KEYS[i]!, () => go(b.stage)]),
  )

  if (problem && problem.status > 0) {
    return (
      <main className={classes.alone}>
        <ProblemNotice problem={problem} />
      </main>
    )
  }
  if (!live)
    return (
      <main className={classes.alone}>
        {problem ? <ProblemNotice problem={problem} /> : <Fetching what="the departure" />}
      </main>
    )

  return (
    <SeatingContext value={live.view.header.seating}>
      <div className={classes.screen}>
        <Header
          header={live.view.header}
          day={live.view.card?.day}
          tiedOff={live.view.progress.tiedOff !== undefined}
          connected={live.connected}
          outbox={live.outbox}
          plan={planWords(plans.data?.find((p) => p.id === id))}
          onPlan={toPlan}
          {...(acting && { onHang: beginHanging, onAway: goAway })}
        />
        <Cord
          beads={live.view.progress.beads}
          tags={live.view.progress.tags}
          shown={shown}
          zone={live.view.header.zone}
          bare={
            live.view.card !== undefined &&
            live.view.progress.tags.length + live.view.progress.unfinished.length === 0
          }
          onGo={go}
          onTag={onTag}
          onHang={acting && beginHanging}
        />
        <main className={classes.main}>
          <AskAway live={live} />
          <Waits live={live} onGo={go} />
          {hanging && acting && <HangTag live={live} onDone={() => setHanging(false)} />}
          {held && <TakeTag live={live} tag={held} onDone={() => setHeld(undefined)} />}
          <LookAgain live={live} onTag={onTag} />
          {(live.out.unkept ?? 0) > 0 && (
            <ProblemNotice
              problem={
                new Problem(
                  0,
                  'unkept',
                  'This browser keeps nothing: it is full, or private.',
                  'Stay on this page until what you said is sent, or go on with another device.',
                )
              }
            />
          )}
          <RefusedList outbox={live.outbox} refused={live.out.refused} />
          {!away && <Stage live={live} stage={shown} wanted={wanted} onGo={go} />}
        </main>
        <Away live={live} onBack={go} />
      </div>
    </SeatingContext>
  )
}

/** Stages in which the doors are about to be closed. */
const DOORS_CLOSE = ['figures', 'briefing', 'start']

/** The reminder, before the doors close, of what is still to be looked at again outside. */
const LookAgain = ({ live, onTag }: { live: Live; onTag: (tag: TagView) => void }) => {
  const { beads, tags } = live.view.progress
  const current = beads.find((b) => b.state === 'current')?.stage ?? ''
  const outside = tags.filter((t) => t.stage === 'start' && t.outside)
  if (!DOORS_CLOSE.includes(current) || outside.length === 0) return null
  return (
    <div className={classes.again} role="status">
      <b>Before the doors close, look again:</b>
      {outside.map((t) => (
        <Button key={t.key} size="seat" onClick={() => onTag(t)}>
          {t.detail || t.title}
        </Button>
      ))}
    </div>
  )
}

interface StageProps {
  live: Live
  stage: string
  /** A step to go to, when one came by a tag. */
  wanted: { step: string; asked: number }
  onGo: (stage: string, step?: string) => void
}

const Stage = ({ live, stage, wanted, onGo }: StageProps) => {
  const { view } = live
  if (stage === 'day') return <DayStage live={live} onGo={onGo} />
  if (!view.card) {
    return (
      <ProblemNotice
        problem={
          new Problem(
            409,
            'no-card',
            'The card has not been cut yet.',
            'Take your seat, then enter the report and the day under "Status and day".',
          )
        }
      />
    )
  }
  if (stage === 'tie-off') return <TieOffStage live={live} onGo={onGo} />
  if (stage === 'finds') return <FindsStage live={live} />
  if (stage === 'plan') return <PlanStage live={live} />
  const parts = view.card.parts.filter((p) => p.stage === stage)
  const around = parts.every((p) => p.items.every((i) => view.progress.steps[i.id]?.settled))
  // What must be so before the check comes first; the check itself stays reachable whatever is open.
  if (stage === 'controls' && (parts.length === 0 || around)) return <ControlsStage live={live} onGo={onGo} />
  if (parts.length === 0) return <p>Nothing of this stage is on today's card.</p>
  return (
    <Parts
      key={`${stage}/${wanted.asked}`}
      live={live}
      stage={stage}
      parts={parts}
      wanted={wanted.step}
      onGo={onGo}
    />
  )
}
