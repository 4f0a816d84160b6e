import { Button } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { LaterListView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { clockTime } from '../app/clock'
import { ProblemNotice } from '../app/Notice'
import { useDraft } from '../app/useDraft'
import type { Live } from '../live/useDeparture'
import classes from './LaterLists.module.css'

/** The lists after take-off to securing, each by itself; what is answered is kept on this device until it ends. */
export const LaterLists = ({ live }: { live: Live }) => {
  const { id, zone } = live.view.header
  const client = useQueryClient()
  const lists = useQuery<LaterListView[], Problem>({
    queryKey: ['later', id],
    queryFn: () => ask('GET', `/api/departures/${id}/later`),
  })
  const [open, setOpen] = useState('')
  const end = useMutation<unknown, Problem, { phase: string; answered: number[] }>({
    mutationFn: ({ phase, answered }) => ask('POST', `/api/departures/${id}/later/${phase}`, { answered }),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['later', id] })
      setOpen('')
    },
  })
  const list = lists.data?.find((l) => l.phase === open)
  if (lists.data && lists.data.length === 0) return null
  return (
    <section className={classes.later} aria-label="Lists after take-off">
      <h2>After the line-up</h2>
      {lists.error && <ProblemNotice problem={lists.error} />}
      {end.error && <ProblemNotice problem={end.error} />}
      {list ? (
        <Reading
          key={list.phase}
          of={id}
          list={list}
          mine={live.seat !== ''}
          ending={end.isPending}
          onBack={() => setOpen('')}
          onEnd={(answered, kept) => end.mutate({ phase: list.phase, answered }, { onSuccess: kept })}
        />
      ) : (
        <ul className={classes.lists}>
          {(lists.data ?? []).map((l) => (
            <li key={l.phase}>
              <Button size="seat" onClick={() => setOpen(l.phase)}>
                {l.title}
              </Button>
              <span>
                {l.held
                  ? `${l.held.answered} of ${l.held.all} answered, ${l.held.by} at ${clockTime(l.held.at, zone)}`
                  : `${l.items.length} items`}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

interface ReadingProps {
  of: string
  list: LaterListView
  /** Whether this person is on the crew. */
  mine: boolean
  ending: boolean
  onBack: () => void
  /** @param kept what to do once the server has it */
  onEnd: (answered: number[], kept: () => void) => void
}

/** One list; each item is pressed when it is answered, and pressed again when it is not after all. */
const Reading = ({ of, list, mine, ending, onBack, onEnd }: ReadingProps) => {
  const [text, setText, drop] = useDraft(`later/${of}/${list.phase}`, '[]')
  const answered = JSON.parse(text) as number[]
  const press = (n: number) =>
    setText(JSON.stringify(answered.includes(n) ? answered.filter((a) => a !== n) : [...answered, n]))
  const left = list.items.length - answered.length
  return (
    <div>
      <h3>{list.title}</h3>
      <ol className={classes.items}>
        {list.items.map((i, n) => (
          <li key={i.challenge}>
            <Button
              size="seat"
              fullWidth
              variant={answered.includes(n) ? 'rest' : 'outline'}
              aria-pressed={answered.includes(n)}
              disabled={!mine}
              onClick={() => press(n)}
            >
              <span className={classes.item} data-done={answered.includes(n) || undefined}>
                <b>{i.challenge}</b>
                <span>{i.response}</span>
                <small>{answered.includes(n) ? 'answered' : ''}</small>
              </span>
            </Button>
          </li>
        ))}
      </ol>
      <div className={classes.ways}>
        <Button variant="main" disabled={!mine || ending} onClick={() => onEnd(answered, drop)}>
          {left === 0 ? `${list.title} complete` : `End it with ${left} not answered`}
        </Button>
        <Button onClick={onBack}>Back</Button>
      </div>
    </div>
  )
}
