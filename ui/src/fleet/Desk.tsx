import { Table, UnstyledButton } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import type { BroughtIn, DepartureLine, FiguresTextView, FleetView, Me } from '../api.gen'
import { Link } from '@tanstack/react-router'
import { FileChoice } from '../app/FileChoice'
import { ask, type Problem } from '../app/api'
import { Fetching } from '../app/Fetching'
import { ProblemNotice } from '../app/Notice'
import { Sure } from '../app/Sure'
import { TopBar } from '../app/TopBar'
import { Given } from './Given'
import classes from './Desk.module.css'

const KINDS = [
  { path: '/api/fleet', title: 'Fleet', words: 'airfields, tails and people' },
  { path: '/api/flights', title: 'Flights', words: 'with their crews' },
  {
    path: '/api/ground-events',
    title: 'Ground events',
    words: 'when flights are fuelled, boarded and cleared (CSV)',
  },
  { path: '/api/task-times', title: 'Task times', words: 'what crews took in earlier departures (CSV)' },
  { path: '/api/foretold', title: 'Foretold', words: 'what plans said of earlier departures, and what came (CSV)' },
  { path: '/api/take-off-tables', title: 'Take-off tables', words: 'of a type; before its figures' },
  { path: '/api/type-figures', title: 'Figures of a type', words: 'loading, limits, weighed tails' },
  { path: '/api/holdover', title: 'Holdover times', words: 'of the operator' },
]

/** Bringing in one's own fleet and flights. */
export const Desk = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const bring = useMutation<BroughtIn & { title: string }, Problem, { path: string; title: string; file: File }>({
    mutationFn: async ({ path, title, file }) => ({
      title,
      ...(await ask<BroughtIn>('POST', path, await file.text())),
    }),
    onSuccess: () => client.invalidateQueries(),
  })
  const withdraw = useMutation<BroughtIn & { title: string }, Problem, string>({
    mutationFn: async (edition) => ({
      title: 'The fleet before it',
      ...(await ask<BroughtIn>('DELETE', `/api/fleet?edition=${edition}`)),
    }),
    onSuccess: () => client.invalidateQueries(),
    onMutate: () => bring.reset(),
  })
  const bringIn = (one: { path: string; title: string; file: File }) => {
    withdraw.reset()
    bring.mutate(one)
  }
  const done =
    withdraw.data && !bring.data
      ? { ...withdraw.data, again: 'is in force again' }
      : bring.data && { ...bring.data, again: 'brought in' }
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <h1>Desk</h1>
        <p>
          Bring in YAML, JSON or CSV files. A file with a fault changes nothing; every fault is named with its place.
          Procedure packs are drawn up under Procedures.
        </p>
        <div className={classes.kinds}>
          {KINDS.map((k) => (
            <FileChoice
              key={k.path}
              accept=".yaml,.yml,.json,.csv"
              onChange={(file) => file && bringIn({ path: k.path, title: k.title, file })}
            >
              {(props) => (
                <UnstyledButton {...props} className={classes.kind}>
                  <b>{k.title}</b>
                  <span>{k.words}</span>
                </UnstyledButton>
              )}
            </FileChoice>
          ))}
        </div>
        {bring.error && <ProblemNotice problem={bring.error} />}
        {withdraw.error && <ProblemNotice problem={withdraw.error} />}
        {done && (
          <p className={classes.done} role="status">
            {done.title} {done.again}. {done.what}
          </p>
        )}
        <p>
          Take out: <a href="/api/ground-events">ground events</a>, <a href="/api/task-times">task times</a>,{' '}
          <a href="/api/foretold">foretold</a>. <Link to="/plans">How plans came true</Link>
        </p>
        <Given passwords={done?.signIns ?? []} />
        <Kept onWithdraw={(edition) => withdraw.mutate(edition)} />
      </main>
    </>
  )
}

const KIND_WORDS: Record<string, string> = {
  'type-figures': 'Figures of the type',
  'takeoff-tables': 'Take-off tables',
  holdover: 'Holdover times',
}

const useFiguresTexts = () =>
  useQuery<FiguresTextView[], Problem>({
    queryKey: ['figures-texts'],
    queryFn: () => ask('GET', '/api/figures-texts'),
  })

const useFleet = () =>
  useQuery<FleetView | null, Problem>({
    queryKey: ['fleet'],
    queryFn: async () => (await ask<FleetView | null>('GET', '/api/fleet')) ?? null,
  })

const useFlights = () =>
  useQuery<DepartureLine[], Problem>({
    queryKey: ['departures'],
    queryFn: () => ask('GET', '/api/departures'),
  })

/** What was brought in and may go, all at once: a list that came later would move the others from under a press. */
const Kept = ({ onWithdraw }: { onWithdraw: (edition: string) => void }) => {
  const asked = [useFiguresTexts(), useFleet(), useFlights()]
  if (asked.some((q) => q.isPending)) return <Fetching what="what was brought in" />
  return (
    <>
      <FiguresInForce />
      <InForce onWithdraw={onWithdraw} />
      <Withdraw />
    </>
  )
}

/** What the figures rest on, the newest of each; one that is wrong goes by bringing in the right one. */
const FiguresInForce = () => {
  const texts = useFiguresTexts()
  if (!texts.data?.length) return null
  return (
    <>
      <h2>What figures rest on</h2>
      <Table>
        <Table.Tbody>
          {texts.data.map((t) => (
            <Table.Tr key={`${t.kind}/${t.type}`}>
              <Table.Td>
                <b>{KIND_WORDS[t.kind] ?? t.kind}</b>
              </Table.Td>
              <Table.Td>{t.type || 'for all types'}</Table.Td>
              <Table.Td>
                <a href={`/api/figures-texts/${t.sha256}`}>edition {t.edition}</a>
              </Table.Td>
              <Table.Td>
                {t.at.slice(0, 16).replace('T', ' ')} UTC, {t.by}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  )
}

/** The fleet in force; one brought in by mistake can go, and the one before it is in force again. */
const InForce = ({ onWithdraw }: { onWithdraw: (edition: string) => void }) => {
  const fleet = useFleet()
  if (!fleet.data) return null
  const { operator, tails, people, at, by, edition, mayBeWithdrawn } = fleet.data
  return (
    <>
      <h2>Fleet in force</h2>
      <Table>
        <Table.Tbody>
          <Table.Tr>
            <Table.Td>
              <b>{operator}</b>
            </Table.Td>
            <Table.Td>
              {tails} tails, {people} people
            </Table.Td>
            <Table.Td>
              {at.slice(0, 16).replace('T', ' ')} UTC, {by}
            </Table.Td>
            <Table.Td>
              {mayBeWithdrawn ? (
                <Sure
                  words="Withdraw"
                  again="Press again: the fleet before it is in force"
                  onSure={() => onWithdraw(edition)}
                />
              ) : (
                'the first one brought in'
              )}
            </Table.Td>
          </Table.Tr>
        </Table.Tbody>
      </Table>
    </>
  )
}

/** Flights that nobody has opened yet: brought in by mistake, they can go. */
const Withdraw = () => {
  const client = useQueryClient()
  const flights = useFlights()
  const withdraw = useMutation<void, Problem, string>({
    mutationFn: (id) => ask('DELETE', `/api/flights/${id}`),
    onSettled: () => client.invalidateQueries({ queryKey: ['departures'] }),
  })
  const unopened = (flights.data ?? []).filter((f) => !f.opened)
  if (unopened.length === 0 && !withdraw.error) return null
  return (
    <>
      <h2>Flights nobody has opened</h2>
      {withdraw.error && <ProblemNotice problem={withdraw.error} />}
      <Table>
        <Table.Tbody>
          {unopened.map((f) => (
            <Table.Tr key={f.id}>
              <Table.Td>
                <b>{f.number}</b>
              </Table.Td>
              <Table.Td>
                {f.from.name} – {f.to.name}
              </Table.Td>
              <Table.Td>{f.tail}</Table.Td>
              <Table.Td>{f.departs.slice(0, 16).replace('T', ' ')} UTC</Table.Td>
              <Table.Td>
                <Sure words="Withdraw" again={`Press again: ${f.number} goes`} onSure={() => withdraw.mutate(f.id)} />
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  )
}
