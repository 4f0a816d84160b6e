import { NativeSelect } from '@mantine/core'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useRef, useState, useSyncExternalStore } from 'react'
import type { Behaviour, FindingView, JudgementView } from '../api.gen'
import { FileChoice } from '../app/FileChoice'
import { ask, asProblem, type Problem } from '../app/api'
import { Action } from '../app/Action'
import { Fold } from '../app/Fold'
import { clockTime } from '../app/clock'
import { Caution, ProblemNotice } from '../app/Notice'
import { deviceName } from '../live/outbox'
import { GoOn } from '../live/GoOn'
import type { Live } from '../live/useDeparture'
import { AxisPlot } from './AxisPlot'
import classes from './ControlsStage.module.css'
import { onSamples, samplesOf } from '../live/samples'

/**
 * The flight control check: what the controls asked for and what the surfaces did, drawn as it happens, then
 * judged.
 */
export const ControlsStage = ({ live, onGo }: { live: Live; onGo: (stage: string) => void }) => {
  const { view, seat } = live
  const id = view.header.id
  const samples = useSyncExternalStore(onSamples, () => samplesOf(id))
  const [behaviour, setBehaviour] = useState('sound')
  const [startedAfter, setStartedAfter] = useState(-1)
  const behaviours = useQuery<Behaviour[], Problem>({
    queryKey: ['behaviours'],
    queryFn: () => ask('GET', '/api/simulated-aircraft'),
    staleTime: Infinity,
  })
  const start = useMutation<void, Problem>({
    mutationFn: () => ask('POST', `/api/departures/${id}/controls`, { device: deviceName(), behaviour }),
    onMutate: () => setStartedAfter(view.progress.number),
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
  const last = samples.values.at(-1)
  // The judgement of the check under way is in once the log has gone on since it was started.
  const running =
    start.isPending || (start.isSuccess && !samples.lost && (!done || view.progress.number === startedAfter))
  const shown = recorded.data?.judgement ?? (running ? undefined : done?.judgement)
  return (
    <div>
      <p className={classes.where}>Control check · {view.card?.controlCheckWhen}</p>
      <h1 className={classes.h1}>
        {recorded.data
          ? `Recorded trace ${recorded.data.name}: ${passed(recorded.data.judgement)}`
          : running
            ? 'Follow the controls: pitch, roll, yaw'
            : done
              ? done.again
                ? 'Control check: to be made again'
                : verdict(done.judgement)
              : 'Full, free, correct sense, back to neutral'}
      </h1>
      {shown ? (
        <p className={classes.summary}>{again ?? shown.summary}</p>
      ) : (
        <Caution>Look outside first: nobody near a surface. Not while anything else needs eyes outside.</Caution>
      )}
      <div className={classes.plots}>
        {view.header.axes.map((axis, n) => (
          <AxisPlot
            key={axis.name}
            axis={axis}
            input={n + 1}
            values={samples.values}
            failed={(shown?.findings ?? []).some(
              (f) => f.outcome === 'not-as-it-should-be' && f.axis === axis.name.toLowerCase(),
            )}
          />
        ))}
      </div>
      <div className={classes.data}>
        <p className={classes.source}>
          Upright: each surface's own travel. Level: the control's.
          <br />
          Data: simulated aircraft{last ? `, ${last[0]?.toFixed(1)} s` : ''}
        </p>
        <NativeSelect
          aria-label="How the simulated aircraft behaves"
          value={behaviour}
          onChange={(e) => setBehaviour(e.currentTarget.value)}
          className={classes.behaviour}
          data={(behaviours.data ?? []).map((b) => ({ value: b.name, label: `Simulated: ${b.words.toLowerCase()}` }))}
        />
      </div>
      <div className={classes.actions}>
        <Action
          hotkey="c"
          main={done?.judgement.verdict !== 'passed' || done.again !== undefined}
          disabled={!seat || running || view.progress.tiedOff !== undefined}
          onAct={() => {
            recorded.reset()
            start.mutate()
          }}
        >
          {running ? 'Check under way' : done ? 'Check again' : 'Start the check'}
        </Action>
        {done?.judgement.verdict === 'passed' && !done.again && (
          <GoOn progress={view.progress} from="controls" onGo={onGo} />
        )}
        <FileChoice accept=".csv,.gz,text/csv,application/gzip" onChange={(f) => f && recorded.mutate(f)}>
          {(props) => (
            <>
              <button {...props} ref={openFile} type="button" hidden aria-hidden="true" tabIndex={-1} />
              <Action hotkey="o" onAct={() => openFile.current?.click()}>
                Judge a recorded trace
              </Action>
            </>
          )}
        </FileChoice>
      </div>
      {start.isError && <ProblemNotice problem={asProblem(start.error)} />}
      {recorded.isError && <ProblemNotice problem={asProblem(recorded.error)} />}
      {recorded.data && (
        <p className={classes.source}>A recorded trace is judged and shown; it does not count for this departure.</p>
      )}
      {shown && <Findings judgement={shown} />}
      {done && !recorded.data && !running && (
        <p className={classes.source}>
          Made by {done.by} at {clockTime(done.at, view.header.zone)} with the {done.source}.{' '}
          <a href={`/api/departures/${id}/traces/${done.trace}`} download={`${view.header.tail}-controls.csv`}>
            The trace as CSV
          </a>
        </p>
      )}
    </div>
  )
}

const of = (j: JudgementView, outcome: FindingView['outcome']) => j.findings.filter((f) => f.outcome === outcome)
const passed = (j: JudgementView) =>
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
const verdict = (j: JudgementView) => VERDICTS[j.verdict]

const Findings = ({ judgement }: { judgement: JudgementView }) => {
  const fine = of(judgement, 'as-it-should-be')
  const unjudged = of(judgement, 'unjudged').filter((f) => !judgement.missing.includes(f.words))
  return (
    <>
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
