import { NativeSelect, Table, TextInput } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useNavigate } from '@tanstack/react-router'
import { useState } from 'react'
import type { DrillBegunView, DrillForm, DrillResultView, DrillsView, Me, RoundForm } from '../api.gen'
import { Action } from '../app/Action'
import { ask, type Problem } from '../app/api'
import { Choice } from '../app/Choice'
import { Fetching } from '../app/Fetching'
import { Fold } from '../app/Fold'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import { DrillRun } from './DrillRun'
import classes from './Drills.module.css'
import { PastDrills } from './PastDrills'
import { Scores } from './Scores'

const LENGTHS = [
  { value: '6', label: '6 rounds, about 1½ minutes' },
  { value: '12', label: '12 rounds, about 3 minutes' },
  { value: '24', label: '24 rounds, about 6 minutes' },
]

/** Drills of the control check: begin one, fly it, see what it showed. Nothing here belongs to a departure. */
export const DrillsPage = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const [running, setRunning] = useState<DrillBegunView>()
  const drills = useQuery<DrillsView, Problem>({ queryKey: ['drills'], queryFn: () => ask('GET', '/api/drills') })
  const begin = useMutation<DrillBegunView, Problem, Partial<DrillForm>>({
    mutationFn: (form) => ask('POST', '/api/drills', form),
    onSuccess: setRunning,
  })
  const answer = useMutation<DrillResultView, Problem, { id: string; answers: RoundForm[] }>({
    mutationFn: ({ id, answers }) => ask('POST', `/api/drills/${id}/answers`, { answers }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['drills'] }),
  })
  if (running)
    return (
      <DrillRun
        key={running.id}
        drill={running}
        onDone={(answers) => {
          setRunning(undefined)
          if (answers.length > 0) answer.mutate({ id: running.id, answers })
        }}
      />
    )
  const result = answer.data
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        {result ? (
          <Result
            result={result}
            onAgain={() => begin.mutate({ again: result.line.id })}
            onMore={() => answer.reset()}
          />
        ) : (
          <>
            <h1>Drills: the control check</h1>
            <p className={classes.facts}>
              A made-up aircraft, of a type of the fleet. A drill belongs to no departure and releases nothing; what
              you did is shown to you alone.
            </p>
            {answer.isError && (
              <div>
                <ProblemNotice problem={answer.error} />
                <div className={classes.actions}>
                  <Action hotkey="Enter" main onAct={() => answer.mutate(answer.variables)}>
                    Send the answers again
                  </Action>
                  <Action hotkey="x" onAct={answer.reset}>
                    Let them go
                  </Action>
                </div>
              </div>
            )}
            {drills.data ? (
              <div className={classes.both}>
                <BeginForm drills={drills.data} waits={begin.isPending || answer.isError} onBegin={begin.mutate} />
                <Scores drills={drills.data} />
              </div>
            ) : drills.error ? (
              <ProblemNotice problem={drills.error} />
            ) : (
              <Fetching what="your drills" />
            )}
          </>
        )}
        {begin.isError && <ProblemNotice problem={begin.error} />}
        {!result && drills.data && (
          <PastDrills
            past={drills.data.past}
            tasks={drills.data.tasks}
            onAgain={(id) => begin.mutate({ again: id })}
          />
        )}
      </main>
    </>
  )
}

interface BeginFormProps {
  drills: DrillsView
  waits: boolean
  onBegin: (form: Partial<DrillForm>) => void
}

const BeginForm = ({ drills, waits, onBegin }: BeginFormProps) => {
  const [type, setType] = useState(drills.types[0]?.type ?? '')
  const [task, setTask] = useState<string | undefined>(drills.tasks[0]?.task)
  const [rounds, setRounds] = useState('12')
  const [seed, setSeed] = useState('')
  const navigate = useNavigate()
  if (drills.types.length === 0)
    return <p>No procedures with controls are in force: fleet standards publish them under Procedures.</p>
  return (
    <section className={classes.begin} aria-label="Begin a drill">
      <Choice
        label="What you do"
        chosen={task ?? ''}
        onChoose={setTask}
        options={drills.tasks.map((t) => ({
          value: t.task,
          words: (
            <>
              <b>{t.title}</b>
              <br />
              {t.words}
            </>
          ),
        }))}
      />
      <NativeSelect
        label="Type"
        value={type}
        onChange={(e) => setType(e.currentTarget.value)}
        data={drills.types.map((t) => ({ value: t.type, label: t.title }))}
      />
      <NativeSelect label="Length" value={rounds} onChange={(e) => setRounds(e.currentTarget.value)} data={LENGTHS} />
      <Fold line={seed ? `By the seed ${seed}` : 'By a seed, to have the same again'}>
        <TextInput
          label="Seed"
          placeholder="another each time"
          inputMode="numeric"
          value={seed}
          onChange={(e) => setSeed(e.currentTarget.value.replace(/\D/g, '').slice(0, 15))}
        />
      </Fold>
      <Action
        hotkey="Enter"
        main
        disabled={waits}
        onAct={() =>
          onBegin({ type, ...(task && { task }), rounds: Number(rounds), ...(seed && { seed: Number(seed) }) })
        }
      >
        Begin the drill
      </Action>
      <Action hotkey="w" onAct={() => void navigate({ to: '/drills/reasons/$type', params: { type } })}>
        Why it is done: the reasons of this type
      </Action>
    </section>
  )
}

interface ResultProps {
  result: DrillResultView
  onAgain: () => void
  onMore: () => void
}

const Result = ({ result: { line, rounds }, onAgain, onMore }: ResultProps) => {
  const right = rounds.filter((r) => r.right).length
  return (
    <>
      <h1>
        {right} of {rounds.length} rounds right
      </h1>
      <p className={classes.facts}>{told(line)}</p>
      <div className={classes.actions}>
        <Action hotkey="Enter" main onAct={onMore}>
          On
        </Action>
        <Action hotkey="a" onAct={onAgain}>
          The same once more
        </Action>
      </div>
      <Table className={classes.rounds!}>
        <Table.Tbody>
          {rounds.map((r, i) => (
            <Table.Tr key={i} data-wrong={!r.right || undefined}>
              <Table.Td>{i + 1}</Table.Td>
              <Table.Td>{r.right ? 'right' : 'not right'}</Table.Td>
              <Table.Td>{r.words}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  )
}

const told = ({ task, detection: d, callsRight, callsWrong, limits, seed }: DrillResultView['line']): string =>
  task === 'move'
    ? `Seed ${seed}.`
    : [
        `${d.found} of ${d.found + d.missed} faults found,`,
        `${d.falseAlarms} false ${d.falseAlarms === 1 ? 'alarm' : 'alarms'}.`,
        task === 'watch' && callsRight + callsWrong > 0
          ? `${callsRight} of ${callsRight + callsWrong} calls were right.`
          : '',
        `The next faults are ${limits.toFixed(1)} times the limit. Seed ${seed}.`,
      ].join(' ')
