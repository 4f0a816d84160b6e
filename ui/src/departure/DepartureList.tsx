import { UnstyledButton } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useNavigate } from '@tanstack/react-router'
import type { DepartureLine, DepartureView, Me, PlanLineView, TurnRoundView } from '../api.gen'
import { Fetching } from '../app/Fetching'
import { ask, type Problem } from '../app/api'
import { clockTime, span, useNow } from '../app/clock'
import { Key } from '../app/Key'
import { ProblemNotice } from '../app/Notice'
import { Pennant } from '../app/Pennant'
import { TopBar } from '../app/TopBar'
import { SeatingContext } from '../app/seating'
import { planWords, usePlans, useTurnRounds } from '../timeline/usePlan'
import classes from './DepartureList.module.css'

/** Today's departures, one's own first, those tied off last: who is where, what hangs, and what is late. */
export const DepartureList = ({ me }: { me: Me }) => {
  const navigate = useNavigate()
  const client = useQueryClient()
  const lines = useQuery<DepartureLine[], Problem>({
    queryKey: ['departures'],
    queryFn: () => ask('GET', '/api/departures'),
    refetchInterval: 20_000,
  })
  const plans = usePlans()
  const turnRounds = useTurnRounds()
  const open = useMutation<DepartureView, Problem, DepartureLine>({
    mutationFn: (line) =>
      (line.opened
        ? ask<DepartureView>('GET', `/api/departures/${line.id}`)
        : ask<DepartureView>('POST', `/api/departures/${line.id}/open`)
      ).catch((p: Problem) => {
        // Nobody answers: what this device has of it, until somebody does.
        const kept = p.status === 0 ? client.getQueryData<DepartureView>(['departure', line.id]) : undefined
        if (!kept) throw p
        return kept
      }),
    onSuccess: (view) => {
      client.setQueryData(['departure', view.header.id], view)
      void navigate({ to: '/departures/$id', params: { id: view.header.id }, search: {} })
    },
  })
  const sorted = [...(lines.data ?? [])].sort(
    (a, b) =>
      Number(a.tiedOff) - Number(b.tiedOff) ||
      Number(b.yours) - Number(a.yours) ||
      a.departs.localeCompare(b.departs),
  )
  useHotkeys(sorted.slice(0, 9).map((l, i) => [String(i + 1), () => open.mutate(l)]))
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <h1 className={classes.h1}>Departures</h1>
        {(lines.error ?? open.error) && <ProblemNotice problem={(lines.error ?? open.error)!} />}
        {lines.isPending && <Fetching what="the departures" />}
        {lines.data?.length === 0 && (
          <p>No flights yet. Fleet standards or an administrator bring them in at the desk.</p>
        )}
        <ul className={classes.list}>
          {sorted.map((l, i) => (
            <SeatingContext key={l.id} value={l.seating}>
              <Line
                line={l}
                plan={plans.data?.find((p) => p.id === l.id)}
                from={turnRounds.data?.filter((t) => t.next === l.id) ?? []}
                hotkey={i < 9 ? String(i + 1) : ''}
                onOpen={() => open.mutate(l)}
              />
            </SeatingContext>
          ))}
        </ul>
      </main>
    </>
  )
}

interface LineProps {
  line: DepartureLine
  plan: PlanLineView | undefined
  from: TurnRoundView[]
  hotkey: string
  onOpen: () => void
}

const Line = ({ line, plan, from, hotkey, onOpen }: LineProps) => {
  const left = Date.parse(line.departs) - useNow()
  return (
    <li>
      <UnstyledButton
        className={classes.line}
        data-yours={line.yours || undefined}
        data-over={line.tiedOff || undefined}
        onClick={onOpen}
      >
        <span className={classes.when}>
          <b>{clockTime(line.departs, line.zone)}</b>
          {!line.tiedOff && <span>{left > 0 ? `in ${span(left)}` : `${span(left)} past`}</span>}
        </span>
        <span className={classes.what}>
          <b className={classes.route}>
            {line.from.name} – {line.to.name}
          </b>
          <span className={classes.tail}>
            {line.tail}, {line.number.toLowerCase()}
          </span>
          {line.remark && !line.tiedOff && <span className={classes.remark}>{line.remark}</span>}
          {!line.tiedOff && from.map((t) => <From key={t.before} turn={t} departs={line.departs} />)}
        </span>
        <Crew line={line} />
        <Standing line={line} plan={plan} />
        {hotkey && <Key>{hotkey}</Key>}
      </UnstyledButton>
    </li>
  )
}

/** Who and what comes from another flight, and whether in time. */
const From = ({ turn: t, departs }: { turn: TurnRoundView; departs: string }) => {
  const come = [...t.who, ...(t.aircraft ? ['the aircraft'] : [])]
  const late = Math.round(t.lateS / 60)
  if (Date.parse(t.there) > Date.parse(departs))
    return (
      <span className={classes.from} data-late>
        {come.join(', ')} {come.length > 1 ? 'are' : 'is'} on {t.before.toLowerCase()} until{' '}
        {clockTime(t.there, t.zone)}
      </span>
    )
  return (
    <span className={classes.from} data-late={late > 0 || undefined}>
      {come.join(', ')} {come.length > 1 ? 'come' : 'comes'} from {t.before.toLowerCase()}, there{' '}
      {clockTime(t.there, t.zone)}
      {late > 0 && `: departs ${late} min late for it`}
    </span>
  )
}

/** What its plan comes to, in a line. */
const Planned = ({ plan }: { plan: PlanLineView }) => (
  <span data-late={plan.state !== 'planned' || plan.lateS >= 30 || undefined}>
    by its plan {planWords(plan)}
    {plan.state === 'planned' && `, on time in ${Math.round(plan.likely * 100)} of 100`}
  </span>
)

/** Who is on it, and once it is open where they are. */
const Crew = ({ line }: { line: DepartureLine }) => (
  <span className={classes.crew}>
    {line.seats.length === 0 || line.tiedOff
      ? line.crew.map((c) => (
          <span key={c.id}>
            <Pennant seats={[c.seat]} /> {c.name}
          </span>
        ))
      : line.seats.map((s) => (
          <span key={s.seat}>
            <Pennant seats={[s.seat]} /> {s.name}
            <span className={classes.doing}>
              {!s.taken
                ? 'not in the seat yet'
                : s.away
                  ? `called away since ${clockTime(s.away, line.zone)}`
                  : s.all > 0
                    ? `${s.doing}, ${s.done} of ${s.all}`
                    : s.doing}
            </span>
          </span>
        ))}
  </span>
)

/** The stage it is in, how late that is, and what hangs. */
const Standing = ({ line, plan }: Pick<LineProps, 'line' | 'plan'>) => {
  const left = line.due ? Date.parse(line.due) - useNow() : undefined
  const more = line.tags - line.first.length
  return (
    <span className={classes.standing}>
      <b>{line.opened ? line.note : line.yours ? 'Open it' : 'Not opened'}</b>
      {line.opened && !line.tiedOff && left !== undefined && (
        <span data-late={left < 0 || undefined}>{left < 0 ? `${span(left)} late` : `${span(left)} left for it`}</span>
      )}
      {!line.tiedOff && plan && <Planned plan={plan} />}
      {!line.tiedOff &&
        line.first.map((t, i) => (
          <span key={`${i}/${t.title}`} className={classes.tag} data-late={t.late || undefined}>
            {t.title}
          </span>
        ))}
      {!line.tiedOff && more > 0 && (
        <span>
          and {more} more {more === 1 ? 'tag' : 'tags'}
        </span>
      )}
      {line.seats.length > 0 && !line.tiedOff && line.tags === 0 && <span>no tag hangs</span>}
    </span>
  )
}
