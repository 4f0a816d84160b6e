import { UnstyledButton } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useMemo, useState } from 'react'
import type { ItemView, PartView, Progress } from '../api.gen'
import { clockTime } from '../app/clock'
import { Fold } from '../app/Fold'
import { BriefingStage } from '../briefing/BriefingStage'
import { ChecklistStage } from '../checklist/ChecklistStage'
import { ControlsStage } from '../controls/ControlsStage'
import { FiguresStage } from '../figures/FiguresStage'
import { owed } from '../flow/nextForMe'
import { StepStage } from '../flow/StepStage'
import { Takeoff } from '../flow/Takeoff'
import { TaxiHelp } from '../taxi/TaxiHelp'
import { Schools } from '../sop/Schools'
import { WalkStage } from '../walkaround/WalkStage'
import classes from './Parts.module.css'
import type { Live } from '../live/useDeparture'

interface PartsProps {
  live: Live
  stage: string
  /** The procedures of the stage, in the order of the work. */
  parts: PartView[]
  /** A step to begin at; empty for the first that is open. */
  wanted: string
  onGo: (stage: string, step?: string) => void
}

const CHECK = 'the-check'
const FIGURES = 'the-figures'

/** The steps at which two enter figures, and the procedures without them. */
const apart = (whole: PartView[], figures: Progress['figures']): { entering: ItemView[]; parts: PartView[] } => {
  const entered = new Set(Object.values(figures).map((f) => f.step))
  const entering = whole.flatMap((p) => p.items).filter((i) => entered.has(i.id))
  if (entering.length === 0) return { entering, parts: whole }
  return {
    entering,
    parts: whole
      .map((p) => ({ ...p, items: p.items.filter((i) => !entered.has(i.id)) }))
      .filter((p) => p.items.length > 0),
  }
}

/** A stage of one or more procedures, one at a time; the others a key away. */
export const Parts = ({ live, stage, parts: whole, wanted, onGo }: PartsProps) => {
  const { view, seat } = live
  // What two enter alone has a page of its own; the other steps are worked as in any flow.
  const { figures } = view.progress
  const { entering, parts } = useMemo(() => apart(whole, figures), [whole, figures])
  const all = Object.values(figures)
  const settled = all.filter((f) => f.value !== undefined || f.notToday).length
  const agreed = entering.filter((i) => view.progress.steps[i.id]?.settled).length
  const left = (p: PartView): number => p.items.filter((i) => !view.progress.steps[i.id]?.settled).length
  const mine = (p: PartView): boolean => owed(view, p, seat) > 0
  // Chosen once, on arrival: what the other seat does must not turn the page.
  const [chosen, setChosen] = useState(
    () =>
      (
        (agreed < entering.length && !parts.some((p) => p.items.some((i) => i.id === wanted))
          ? { id: FIGURES }
          : undefined) ??
        parts.find((p) => p.items.some((i) => i.id === wanted)) ??
        parts.find((p) => mine(p)) ??
        parts.find((p) => left(p) > 0) ??
        parts[0]
      )?.id ?? '',
  )
  const ids = [
    ...(entering.length > 0 ? [FIGURES] : []),
    ...parts.map((p) => p.id),
    ...(stage === 'controls' ? [CHECK] : []),
  ]
  const part = parts.find((p) => p.id === chosen)
  const at = ids.indexOf(chosen)
  const to = (n: number) => setChosen(ids[Math.max(0, Math.min(ids.length - 1, n))]!)
  useHotkeys([
    ['[', () => to(at - 1)],
    [']', () => to(at + 1)],
  ])
  const matters = view.header.schools
  const schools = useMemo(() => matters.filter((s) => s.stage === stage), [matters, stage])
  const after = parts.filter((p) => ids.indexOf(p.id) > at)
  const next = after.find((p) => (seat ? mine(p) : left(p) > 0))
  const goOn = next ? { title: next.title, go: () => setChosen(next.id) } : undefined
  return (
    <>
      {ids.length > 1 && (
        <nav className={classes.parts} aria-label="Procedures of this stage">
          {entering.length > 0 && (
            <UnstyledButton
              aria-current={chosen === FIGURES ? 'page' : undefined}
              data-done={agreed === entering.length || undefined}
              onClick={() => setChosen(FIGURES)}
            >
              Entered by two
              <span>{agreed === entering.length ? 'all agreed' : `${settled} of ${all.length} agreed`}</span>
            </UnstyledButton>
          )}
          {parts.map((p) => (
            <UnstyledButton
              key={p.id}
              aria-current={p.id === chosen ? 'page' : undefined}
              data-done={left(p) === 0 || undefined}
              onClick={() => setChosen(p.id)}
            >
              {p.title}
              <span>{left(p) === 0 ? 'done' : `${p.items.length - left(p)} of ${p.items.length}`}</span>
            </UnstyledButton>
          ))}
          {stage === 'controls' && (
            <UnstyledButton aria-current={chosen === CHECK ? 'page' : undefined} onClick={() => setChosen(CHECK)}>
              The check
            </UnstyledButton>
          )}
          <span className={classes.keys}>
            <kbd>[</kbd> <kbd>]</kbd>
          </span>
        </nav>
      )}
      {stage === 'power-up' && view.card?.left && (
        <Fold line={`As ${view.card.left.by} left it at ${clockTime(view.card.left.at, view.header.zone)}`}>
          <p className={classes.left}>
            {view.card.left.states.join(', ')}. Said with the lists after {view.card.left.flight}; look all the same.
          </p>
        </Fold>
      )}
      {stage === 'taxi' && <TaxiHelp live={live} />}
      <Takeoff live={live} stage={stage} />
      {chosen === FIGURES ? (
        <FiguresStage live={live} parts={whole} wanted={wanted} next={goOn} onGo={onGo} />
      ) : !part ? (
        <ControlsStage live={live} onGo={onGo} />
      ) : part.kind === 'checklist' ? (
        <ChecklistStage key={part.id} live={live} part={part} next={goOn} onGo={onGo} />
      ) : part.kind === 'briefing' ? (
        <BriefingStage key={part.id} live={live} part={part} next={goOn} onGo={onGo} />
      ) : part.kind === 'walkaround' ? (
        <WalkStage key={part.id} live={live} part={part} wanted={wanted} next={goOn} onGo={onGo} />
      ) : (
        <StepStage key={part.id} live={live} part={part} wanted={wanted} next={goOn} onGo={onGo} />
      )}
      {schools.length > 0 && <Schools line="How this fleet does it" schools={schools} />}
    </>
  )
}
