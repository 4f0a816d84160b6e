import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useNavigate } from '@tanstack/react-router'
import { useHotkeys } from '@mantine/hooks'
import type { DepartureLine, DepartureView, Me } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { clockTime, span, useNow } from '../app/clock'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import classes from './DepartureList.module.css'

/** Today's departures, one's own first. */
export const DepartureList = ({ me }: { me: Me }) => {
  const navigate = useNavigate()
  const client = useQueryClient()
  const lines = useQuery<DepartureLine[], Problem>({ queryKey: ['departures'], queryFn: () => ask('GET', '/api/departures'), refetchInterval: 20_000 })
  const open = useMutation<DepartureView, Problem, DepartureLine>({
    mutationFn: (line) =>
      (line.opened ? ask<DepartureView>('GET', `/api/departures/${line.id}`) : ask<DepartureView>('POST', `/api/departures/${line.id}/open`)).catch((p: Problem) => {
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
  const sorted = [...(lines.data ?? [])].sort((a, b) => Number(b.yours) - Number(a.yours) || a.departs.localeCompare(b.departs))
  useHotkeys(sorted.slice(0, 9).map((l, i) => [String(i + 1), () => open.mutate(l)]))
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <h1 className={classes.h1}>Departures</h1>
        {(lines.error ?? open.error) && <ProblemNotice problem={(lines.error ?? open.error)!} />}
        {lines.data?.length === 0 && <p>No flights yet. Fleet standards or an administrator bring them in at the desk.</p>}
        <ul className={classes.list}>
          {sorted.map((l, i) => (
            <Line key={l.id} line={l} hotkey={i < 9 ? String(i + 1) : ''} onOpen={() => open.mutate(l)} />
          ))}
        </ul>
      </main>
    </>
  )
}

const Line = ({ line, hotkey, onOpen }: { line: DepartureLine; hotkey: string; onOpen: () => void }) => {
  const left = Date.parse(line.departs) - useNow()
  return (
    <li>
      <button type="button" className={classes.line} data-yours={line.yours || undefined} onClick={onOpen}>
        <span className={classes.time}>{clockTime(line.departs, line.zone)}</span>
        <span className={classes.tail}>{line.tail}</span>
        <span>
          <b>
            {line.from.name} – {line.to.name}
          </b>
          <span className={classes.crew}>
            {line.number} · {line.crew.map((c) => c.name).join(', ')}
          </span>
        </span>
        <span className={classes.state}>
          <span>{line.tiedOff || line.opened ? line.note : line.yours ? 'Open' : 'Not opened'}</span>
          <span className={classes.crew}>
            {line.tiedOff ? '' : [line.tags > 0 && `${line.tags} ${line.tags === 1 ? 'tag' : 'tags'}`, left > 0 ? `in ${span(left)}` : left <= 0 && `${span(left)} past`].filter(Boolean).join(' · ')}
          </span>
        </span>
        <kbd>{hotkey}</kbd>
      </button>
    </li>
  )
}
