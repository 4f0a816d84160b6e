import { useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import type { FigureView, FiguresView, PartView, WorkedView } from '../api.gen'
import { Action } from '../app/Action'
import { Fetching } from '../app/Fetching'
import { Caution, ProblemNotice } from '../app/Notice'
import { clockTime } from '../app/clock'
import { useSeatWords } from '../app/seating'
import { signOut } from '../app/signOut'
import { GoOn } from '../live/GoOn'
import type { Live } from '../live/useDeparture'
import { Arithmetic } from './Arithmetic'
import { ConditionForm } from './ConditionForm'
import { DeIcedForm } from './DeIcedForm'
import { DifferenceNotice } from './DifferenceNotice'
import { EntryForm } from './EntryForm'
import { ElsewherePanel } from './ElsewherePanel'
import { Envelope } from './Envelope'
import { FigureCell } from './FigureCell'
import { RunwayDrawing } from './RunwayDrawing'
import { SheetPanel } from './SheetPanel'
import { TakeoffForm } from './TakeoffForm'
import { useFigures } from './useFigures'
import { WindForm } from './WindForm'
import classes from './Figures.module.css'

type Panel = '' | 'condition' | 'sheet' | 'take-off' | 'wind' | 'de-iced' | 'elsewhere' | 'arithmetic'

interface FiguresStageProps {
  live: Live
  /** The procedures of the stage. */
  parts: PartView[]
  /** A step to begin at; empty for the first figure that is to be entered. */
  wanted: string
  /** The rest of the stage, where anything of it is open. */
  next: { title: string; go: () => void } | undefined
  onGo: (stage: string, step?: string) => void
}

const choicesOf = (f: FigureView, figures: FiguresView | undefined): string[] => {
  const c = figures?.choices
  if (!c) return []
  if (f.figure === 'runway') return c.runways
  if (f.figure === 'flap') return c.flaps
  const used = figures.worked?.runway?.runway ?? figures.given.runway
  return f.figure === 'intersection' && used ? ['FULL', ...(c.intersections[used] ?? [])] : []
}

/** The server's figures, or what came of those on this device since. */
const withHere = (told: FiguresView | undefined, here: Live['here']): FiguresView | undefined =>
  told && here
    ? {
        ...told,
        given: { ...here.given, fuelRead: told.given.fuelRead },
        missing: here.missing,
        changed: [],
        worked: here.worked,
      }
    : told

/** The figures on which the take-off depends: what they are worked out from, and each entered by two, alone. */
export const FiguresStage = ({ live, parts, wanted, next, onGo }: FiguresStageProps) => {
  const { view, seat, me, outbox } = live
  const query = useFigures(live)
  const figures = useMemo(() => withHere(query.data, live.here), [query.data, live.here])
  const all = Object.values(view.progress.figures)
  const tiedOff = view.progress.tiedOff !== undefined
  const seatsOf = new Map(parts.flatMap((p) => p.items.map((i) => [i.id, i.seats] as const)))
  const mine = (f: FigureView) => seat !== '' && (seatsOf.get(f.step) ?? []).includes(seat)
  const toEnter = (f: FigureView) =>
    mine(f) &&
    !f.notToday &&
    f.value === undefined &&
    f.standing !== 'differs' &&
    !f.entries.some((e) => e.who === me.id)
  const [chosen, setChosen] = useState(() => all.find((f) => f.step === wanted)?.figure ?? '')
  const [again, setAgain] = useState('')
  const [panel, setPanel] = useState<Panel>('')
  const differing = all.find((f) => f.standing === 'differs' && f.difference)
  const figure = all.find((f) => f.figure === chosen) ?? all.find(toEnter) ?? differing
  const settled = all.filter((f) => f.value !== undefined || f.notToday).length
  const disabled = tiedOff || seat === ''
  const asked = all.filter((f) => f.again !== '' && f.value === undefined).length
  const say = (kind: string, label: string) => (body: Record<string, unknown>) => {
    outbox.put(kind, body, label)
    setPanel('')
  }
  const enter = (f: FigureView) => (value: string) => {
    outbox.put('figure-entered', { figure: f.figure.replaceAll('-', '_'), value }, f.words)
    setAgain('')
    setChosen('')
  }
  const choose = (f: FigureView) => {
    setChosen(f.figure)
    setAgain('')
  }
  const commander = view.header.crew.some((c) => c.id === me.id && c.commander)
  const worked = figures?.worked
  const given = figures?.given
  // Without tables of the type nothing rests on a load sheet or on a choice of take-off.
  const tabled = figures?.tables !== ''
  const back = () => setPanel('')
  const below = figures?.elsewhere.some((a) => (a.report?.below.length ?? 0) > 0) ?? false
  const mayEnter = figure !== undefined && mine(figure) && !tiedOff && !figure.notToday
  const entering =
    figure && mayEnter && (toEnter(figure) || again === figure.figure) && (figures !== undefined || query.isError)
  // Two may use one device, each without sight of the other's.
  const draft = `figure/${view.header.id}/${me.id}/${figure?.figure ?? ''}`
  return (
    <div className={classes.stage} data-figures={figures ? figures.number : undefined}>
      <div className={classes.head}>
        <h1>
          Figures · {settled} of {all.length} agreed ·{' '}
          {figures?.alone === false ? 'one types, both look' : 'each alone, compared'}
        </h1>
        {worked?.runway && (
          <p>
            {worked.runway.take} · {worked.runway.heading} · {worked.condition}
          </p>
        )}
      </div>
      {query.error && !figures && <ProblemNotice problem={query.error} />}
      {!figures && !query.error && <Fetching what="the figures" />}
      {figures && (
        <div className={classes.given} role="group" aria-label="What they rest on">
          <Action
            hotkey="c"
            size="desk"
            main={tabled && !given?.condition && panel === ''}
            disabled={disabled}
            onAct={() => setPanel('condition')}
          >
            {given?.condition ? `Runway ${given.condition}` : 'How is the runway?'}
          </Action>
          {tabled && (
            <>
              <Action
                hotkey="s"
                size="desk"
                main={given?.condition !== '' && !given?.sheet && panel === ''}
                disabled={disabled && !given?.sheet}
                onAct={() => setPanel('sheet')}
              >
                {given?.sheet ? `Sheet ${given.sheet.edition}${given.sheet.changed && ', changed'}` : 'Load sheet'}
              </Action>
              <Action hotkey="r" size="desk" disabled={disabled} onAct={() => setPanel('take-off')}>
                {given?.runway || given?.flap || given?.thrust ? 'Take-off chosen' : 'Take-off'}
              </Action>
            </>
          )}
          <Action hotkey="t" size="desk" disabled={disabled} onAct={() => setPanel('wind')}>
            {given?.tower ? 'Tower wind' : 'Tower'}
          </Action>
          <Action hotkey="y" size="desk" disabled={disabled} onAct={() => setPanel('de-iced')}>
            {worked?.holdover?.least
              ? `Look from ${clockTime(worked.holdover.least, view.header.zone)}`
              : given?.deIced
                ? 'De-iced'
                : 'Not de-iced'}
          </Action>
          <Action
            hotkey="d"
            size="desk"
            disabled={figures.elsewhere.length === 0}
            onAct={() => setPanel('elsewhere')}
          >
            {below ? 'Below landing limits' : 'Destination'}
          </Action>
          {tabled && (
            <Action hotkey="v" size="desk" onAct={() => setPanel(panel === 'arithmetic' ? '' : 'arithmetic')}>
              Arithmetic
            </Action>
          )}
        </div>
      )}
      {figures && figures.missing.length > 0 && (
        <p className={classes.soft} role="status">
          {figures.missing.join(' ')}
        </p>
      )}
      {live.here && (
        <p className={classes.soft} role="status">
          Worked out on this device, without the network, from what was said here.{' '}
          {asked > 0 ? `${asked} to be entered again.` : settled > 0 && 'All that was agreed still comes out.'}
        </p>
      )}
      {live.waits && (
        <p className={classes.bad} role="status">
          What was said here since is not in these figures: that waits for the network.
        </p>
      )}
      {figures && !live.waits && figures.changed.length > 0 && (
        <p className={classes.soft} role="status">
          Worked out anew: another {figures.changed.join(', ')}.{' '}
          {asked === 0 ? 'All that was agreed still comes out.' : `${asked} to be entered again.`}
        </p>
      )}
      {worked?.runway && <RunwayDrawing runway={worked.runway} />}
      {worked?.runway?.caution && <Caution>{worked.runway.caution}</Caution>}
      {worked && !worked.runway && (
        <p className={classes.bad} role="alert">
          {worked.limits
            .filter((l) => !l.held)
            .map((l) => l.words)
            .join(' ')}
        </p>
      )}
      {panel === '' && (
        <ul className={classes.values} aria-label="The figures">
          {all.map((f) => (
            <FigureCell
              key={f.figure}
              figure={f}
              me={me.id}
              mine={mine(f)}
              current={f === figure}
              zone={view.header.zone}
              onChoose={() => choose(f)}
            />
          ))}
        </ul>
      )}
      <div className={classes.below} data-wide={panel !== '' || undefined}>
        <div>
          {figures && panel === 'condition' ? (
            <ConditionForm figures={figures} onSay={say('runway-reported', 'the runway condition')} onBack={back} />
          ) : figures && panel === 'sheet' ? (
            <SheetPanel
              departure={view.header.id}
              figures={figures}
              disabled={disabled}
              onTaken={() => setPanel((p) => (p === 'sheet' ? '' : p))}
              onRead={say('load-sheet-taken', 'the load sheet')}
              onChanged={say('load-sheet-changed', 'the change by hand')}
              onBack={back}
            />
          ) : figures && panel === 'take-off' ? (
            <TakeoffForm
              figures={figures}
              disabled={disabled}
              onSay={say('takeoff-chosen', 'the take-off')}
              onBack={back}
            />
          ) : figures && panel === 'wind' ? (
            <WindForm
              figures={figures}
              disabled={disabled}
              onSay={say('tower-wind-said', 'the tower wind')}
              onBack={back}
            />
          ) : figures && panel === 'de-iced' ? (
            <DeIcedForm
              figures={figures}
              zone={view.header.zone}
              disabled={disabled}
              onSay={say('de-iced', 'the de-icing')}
              onBack={back}
            />
          ) : figures && panel === 'elsewhere' ? (
            <ElsewherePanel
              departure={view.header.id}
              elsewhere={figures.elsewhere}
              disabled={disabled}
              onBack={back}
            />
          ) : figures && panel === 'arithmetic' ? (
            <Arithmetic figures={figures} figure={figure} onBack={back} />
          ) : figure?.difference && again !== figure.figure ? (
            <DifferenceNotice
              draft={draft}
              figure={figure}
              difference={figure.difference}
              commander={commander}
              disabled={!mayEnter}
              onAgain={() => setAgain(figure.figure)}
              onTake={(value, words) =>
                outbox.put('figure-taken', { figure: figure.figure.replaceAll('-', '_'), value, words }, figure.words)
              }
            />
          ) : entering ? (
            <EntryForm
              key={figure.figure}
              draft={draft}
              figure={figure}
              choices={choicesOf(figure, figures)}
              typed={figures?.alone === false && figure.standing === 'covered' ? figure.entries[0]?.value : undefined}
              oneTypes={figures?.alone === false}
              onEnter={enter(figure)}
            />
          ) : figure && mayEnter ? (
            <Entered figure={figure} me={me.id} onAgain={() => setAgain(figure.figure)} />
          ) : (
            <Done all={all.length} settled={settled} live={live} worked={worked} />
          )}
          {next && settled === all.length && (
            <div className={classes.actions}>
              <GoOn progress={view.progress} from="figures" next={next} onGo={onGo} />
            </div>
          )}
        </div>
        {worked && panel === '' && <Envelope envelope={worked.envelope} />}
      </div>
    </div>
  )
}

/** A figure this person has entered, and may enter anew. */
const Entered = ({ figure: f, me, onAgain }: { figure: FigureView; me: string; onAgain: () => void }) => {
  const waits = f.value === undefined && f.entries.some((e) => e.who === me)
  return (
    <section className={classes.panel}>
      <h2>{f.value === undefined ? `You have entered the ${f.words}` : `The ${f.words} is agreed`}</h2>
      {waits && <p>It stays covered until the other pilot has entered it too.</p>}
      <div className={classes.ways}>
        <Action hotkey="x" onAct={onAgain}>
          Enter it again
        </Action>
      </div>
    </section>
  )
}

interface DoneProps {
  all: number
  settled: number
  live: Live
  worked: WorkedView | undefined
}

/** Nothing is left to enter here: what it all comes to. */
const Done = ({ all, settled, live: { seat, view, me, out, outbox, connected }, worked }: DoneProps) => {
  const client = useQueryClient()
  const named = useSeatWords()
  const own = view.header.crew.find((c) => c.id === me.id)
  const other = view.header.crew.find((c) => c.id !== me.id && c.seat !== seat)
  return (
    <>
      <p className={classes.soft} role="status">
        {seat === ''
          ? 'Take your seat to enter figures.'
          : settled === all
            ? 'All figures are agreed.'
            : 'You have entered all of yours; what the other pilot has not entered is open still.'}
      </p>
      {seat === '' && own && (
        <div className={classes.ways}>
          <Action
            hotkey="o"
            main
            onAct={() => outbox.put('seat-taken', { seat: own.seat }, `the ${named(own.seat)}`)}
          >
            Take the {own.seat} seat
          </Action>
        </div>
      )}
      {seat !== '' && settled < all && other && (
        <div className={classes.ways}>
          <Action
            hotkey="o"
            disabled={!connected || out.waiting.length > 0}
            onAct={() => void signOut(client, window.location.pathname + window.location.search, other.id)}
          >
            {other.name} enters on this device
          </Action>
        </div>
      )}
      {worked && (
        <ul className={classes.facts}>
          {worked.runway && <li>At most {worked.runway.limiting} today</li>}
          {worked.proposed && <li>Proposed, {worked.proposed}</li>}
          <li>{worked.wind}</li>
          {worked.air.map((l) => (
            <li key={l}>{l}</li>
          ))}
        </ul>
      )}
    </>
  )
}
