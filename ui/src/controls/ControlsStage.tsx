import { useMutation } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import type { FindingView, JudgementView } from '../api.gen'
import { Action } from '../app/Action'
import { ask, asProblem, type Problem } from '../app/api'
import { clockTime } from '../app/clock'
import { FileChoice } from '../app/FileChoice'
import { Fold } from '../app/Fold'
import { Caution, ProblemNotice } from '../app/Notice'
import { GoOn } from '../live/GoOn'
import { deviceName } from '../live/outbox'
import type { Live } from '../live/useDeparture'
import { AxisPlot } from './AxisPlot'
import { ByEye } from './ByEye'
import { ControlsLive } from './ControlsLive'
import classes from './ControlsStage.module.css'
import { AS_IT_SHOULD_BE, SimulatedForm } from './SimulatedForm'
import { useCheck } from './useCheck'

/** What was done after which a check that passed no longer stands. */
const UPSETS = [
  { by: 'computer_reset', hotkey: 'r', words: 'A computer was reset' },
  { by: 'trim_changed', hotkey: 't', words: 'A trim was changed' },
  { by: 'maintenance', hotkey: 'm', words: 'Maintenance worked on it' },
] as const

/**
 * The flight control check: what the controls ask for and what the surfaces do, drawn and judged as it happens; then
 * what it showed.
 */
export const ControlsStage = ({ live, onGo }: { live: Live; onGo: (stage: string) => void }) => {
  const { view, seat, outbox } = live
  const id = view.header.id
  const followed = useCheck(id)
  const { check, picture, silentS } = followed
  const [told, setTold] = useState(AS_IT_SHOULD_BE)
  const [byEye, setByEye] = useState(false)
  const [since, setSince] = useState(false)
  // Pressed here and not told of by the stream yet.
  const [asked, setAsked] = useState('')
  const stands = check ? `${check.number}/${check.part}/${check.stands}` : 'none'
  const start = useMutation<void, Problem, boolean>({
    mutationFn: (goOn) =>
      ask('POST', `/api/departures/${id}/controls`, {
        ...told,
        device: deviceName(),
        goOn,
        seed: told.seed === '' ? undefined : Number(told.seed),
      }),
    onMutate: () => setAsked(stands),
    onError: () => setAsked(''),
  })
  const recorded = useMutation<{ name: string; judgement: JudgementView }, Problem, File>({
    mutationFn: async (file) => ({
      name: file.name,
      judgement: await ask('POST', `/api/departures/${id}/recorded-controls`, await file.arrayBuffer()),
    }),
  })
  const openFile = useRef<HTMLButtonElement>(null)
  const done = view.progress.controls
  // What was done to the aircraft since is said before what the check had shown.
  const again = recorded.data ? undefined : done?.again
  const waits = live.connected && asked === stands
  const running = waits || check?.stands === 'under-way'
  // What came until it broke off was judged then; a check by eye, which has no trace, was made after it.
  const broken = check?.stands === 'broken-off' && !waits && done?.trace !== ''
  const shown = recorded.data?.judgement ?? (running || broken ? undefined : done?.judgement)
  const passed = done?.judgement.verdict === 'passed' && !done.again
  const free = !!seat && !running && view.progress.tiedOff === undefined
  const begin = (goOn: boolean) => {
    recorded.reset()
    start.mutate(goOn)
  }
  if (byEye) return <ByEye wanted={view.header.controlCheck} outbox={outbox} onDone={() => setByEye(false)} />
  return (
    <div>
      <p className={classes.where}>Control check · {view.card?.controlCheckWhen}</p>
      <h1 className={classes.h1}>
        {recorded.data
          ? `Recorded trace ${recorded.data.name}: ${verdictOf(recorded.data.judgement)}`
          : running
            ? silentS > 0
              ? `Nothing has come for ${silentS} s`
              : picture?.words || 'Let go, and wait'
            : broken
              ? 'The link broke off'
              : done
                ? done.again
                  ? 'Control check: to be made again'
                  : VERDICTS[done.judgement.verdict]
                : 'Full, free, correct sense, back to neutral'}
      </h1>
      {shown ? (
        <p className={classes.summary}>{again ?? shown.summary}</p>
      ) : broken ? (
        <p className={classes.summary}>What came until then is kept; a movement that was not over is made again.</p>
      ) : running ? (
        silentS > 0 && <p className={classes.summary}>The link stutters. What came is kept; hold what you hold.</p>
      ) : (
        <Caution>Look outside first: nobody near a surface. Not while anything else needs eyes outside.</Caution>
      )}
      {followed.failed && (
        <p className={classes.summary}>
          This device cannot judge as it comes: {followed.failed} It is judged at its end.
        </p>
      )}
      {!running && (
        <div className={classes.actions}>
          {broken && (
            <Action hotkey="g" main disabled={!free} onAct={() => begin(true)}>
              Go on with the check
            </Action>
          )}
          {passed && <GoOn progress={view.progress} from="controls" onGo={onGo} />}
          <Action hotkey="c" main={!passed && !broken} disabled={!free} onAct={() => begin(false)}>
            {broken ? 'Begin anew' : done ? 'Check again' : 'Start the check'}
          </Action>
          {passed && (
            <Action hotkey="d" size="seat" disabled={!free} onAct={() => setSince(!since)}>
              Done to it since
            </Action>
          )}
          <Action hotkey="e" size="seat" disabled={!free} onAct={() => setByEye(true)}>
            No data: by eye
          </Action>
          <FileChoice accept=".csv,.gz,text/csv,application/gzip" onChange={(f) => f && recorded.mutate(f)}>
            {(props) => (
              <>
                <button {...props} ref={openFile} type="button" hidden aria-hidden="true" tabIndex={-1} />
                <Action hotkey="o" size="seat" onAct={() => openFile.current?.click()}>
                  Judge a recorded trace
                </Action>
              </>
            )}
          </FileChoice>
        </div>
      )}
      {passed && free && since && (
        <div className={classes.actions}>
          {UPSETS.map((u) => (
            <Action
              key={u.by}
              hotkey={u.hotkey}
              onAct={() => {
                outbox.put('controls-upset', { by: u.by }, u.words)
                setSince(false)
              }}
            >
              {u.words}
            </Action>
          ))}
        </div>
      )}
      {start.isError && <ProblemNotice problem={asProblem(start.error)} />}
      {recorded.isError && <ProblemNotice problem={asProblem(recorded.error)} />}
      {!shown && <ControlsLive live={live} followed={followed} />}
      {shown && <Findings judgement={shown} stiffness={recorded.data ? [] : (done?.stiffness ?? [])} />}
      {!running && <SimulatedForm told={told} onTell={setTold} />}
      <p className={classes.source}>
        Data: simulated aircraft{running ? '' : ', by these choices'}. It suggests; maintenance decides, and it
        releases nothing.
      </p>
      {recorded.data && (
        <p className={classes.source}>A recorded trace is judged and shown; it does not count for this departure.</p>
      )}
      {shown && !recorded.data && check && done?.trace !== '' && (
        <Fold line="Each surface against its control" className={classes.fine!}>
          <div className={classes.plots}>
            {view.header.controlCheck.axes.map((axis) => (
              <AxisPlot key={axis.axis} axis={axis} check={check} failed={failedIn(shown, axis.axis)} />
            ))}
          </div>
          <p className={classes.source}>Upright: each surface's own travel. Level: the control's.</p>
        </Fold>
      )}
      {done && !recorded.data && !running && (
        <p className={classes.source}>
          Made by {done.by} at {clockTime(done.at, view.header.zone)} with the {done.source}.{' '}
          {done.trace && (
            <a href={`/api/departures/${id}/traces/${done.trace}`} download={`${view.header.tail}-controls.csv`}>
              The trace as CSV
            </a>
          )}
        </p>
      )}
    </div>
  )
}

const failedIn = (j: JudgementView, axis: string) => of(j, 'not-as-it-should-be').some((f) => f.axis === axis)
const of = (j: JudgementView, outcome: FindingView['outcome']) => j.findings.filter((f) => f.outcome === outcome)
const verdictOf = (j: JudgementView) =>
  j.verdict === 'passed'
    ? 'passed'
    : j.verdict === 'incomplete'
      ? 'incomplete'
      : `${of(j, 'not-as-it-should-be').length} not as it should be`
const VERDICTS = {
  passed: 'Control check passed',
  incomplete: 'Control check incomplete',
  'not-passed': 'Control check not passed',
} as const

const Findings = ({ judgement, stiffness }: { judgement: JudgementView; stiffness: readonly string[] }) => {
  const fine = of(judgement, 'as-it-should-be')
  const unjudged = of(judgement, 'unjudged').filter((f) => !judgement.missing.includes(f.words))
  return (
    <>
      {stiffness.length > 0 && (
        <>
          <h2 className={classes.h2}>Stiffness first, after de-icing</h2>
          <ul className={classes.stiffness}>
            {stiffness.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </>
      )}
      <ul className={classes.failed}>
        {of(judgement, 'not-as-it-should-be').map((f) => (
          <li key={f.words}>{f.words}</li>
        ))}
      </ul>
      {judgement.missing.length > 0 && (
        <>
          <h2 className={classes.h2}>Still to show</h2>
          <ul className={classes.missing}>
            {judgement.missing.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </>
      )}
      {judgement.suggestions.length > 0 && (
        <>
          <h2 className={classes.h2}>What it looks like</h2>
          <ol className={classes.looksLike}>
            {judgement.suggestions.map((s) => (
              <li key={s.cause}>{s.words}</li>
            ))}
          </ol>
          <p className={classes.source}>
            A suggestion from the measurements. Maintenance decides; it releases nothing.
          </p>
        </>
      )}
      {unjudged.length > 0 && (
        <Fold line={`${unjudged.length} not judged: the recording does not tell`} className={classes.fine!}>
          <ul>
            {unjudged.map((f) => (
              <li key={f.words}>{f.words}</li>
            ))}
          </ul>
        </Fold>
      )}
      <Fold line={`${fine.length} found as they should be, with their numbers`} className={classes.fine!}>
        <ul>
          {fine.map((f) => (
            <li key={f.words}>{f.words}</li>
          ))}
        </ul>
      </Fold>
    </>
  )
}
