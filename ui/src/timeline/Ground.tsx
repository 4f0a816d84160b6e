import { Button, NativeSelect, NumberInput } from '@mantine/core'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { GroundEventView, PlanView } from '../api.gen'
import { Fold } from '../app/Fold'
import { ProblemNotice } from '../app/Notice'
import { ask, type Problem } from '../app/api'
import { clockTime, serverNow } from '../app/clock'
import type { Live } from '../live/useDeparture'
import classes from './PlanStage.module.css'

const MINUTE_MS = 60_000
const MOST_MIN = 720

const KINDS: { value: GroundEventView['kind']; label: string; moment?: true }[] = [
  { value: 'crew-bus', label: 'Crew bus', moment: true },
  { value: 'fuelling', label: 'Fuelling' },
  { value: 'loading', label: 'Loading' },
  { value: 'boarding', label: 'Boarding' },
  { value: 'load-sheet', label: 'Load sheet', moment: true },
  { value: 'clearance', label: 'Clearance', moment: true },
  { value: 'de-icing', label: 'De-icing' },
  { value: 'slot', label: 'Slot' },
]

/** What others do, who says so, and what the crew may say or take back. */
export const Ground = ({ live, plan }: { live: Live; plan: PlanView }) => {
  const { zone, id } = live.view.header
  const client = useQueryClient()
  const simulated = plan.ground.some((g) => g.simulated)
  const callOff = useMutation<GroundEventView[], Problem, GroundEventView>({
    mutationFn: (g) => ask<GroundEventView[]>('DELETE', `/api/departures/${id}/ground-events/${g.kind}`),
    onSuccess: () => client.refetchQueries({ queryKey: ['plan', id] }),
  })
  return (
    <Fold line={`What others do${simulated ? ' · simulated ground service' : ''}`}>
      <ul className={classes.ground}>
        {plan.ground.map((g) => (
          <li key={g.kind}>
            <b>{g.words}</b> {clockTime(g.begins, zone)}
            {g.ends !== g.begins && ` to ${clockTime(g.ends, zone)}`}
            <span className={classes.soft}> {g.source}</span>
            {live.seat && !g.simulated && (
              <Button variant="plain" size="desk" disabled={callOff.isPending} onClick={() => callOff.mutate(g)}>
                Take {g.words.toLowerCase()} back
              </Button>
            )}
          </li>
        ))}
        {plan.ground.length === 0 && <li>Nobody has said anything of it.</li>}
      </ul>
      {callOff.error && <ProblemNotice problem={callOff.error} />}
      {live.seat && <GroundForm live={live} />}
    </Fold>
  )
}

/** What somebody was told of the others' times: in so many minutes, for so many. */
const GroundForm = ({ live }: { live: Live }) => {
  const { id } = live.view.header
  const client = useQueryClient()
  const [kind, setKind] = useState(KINDS[0]!)
  const [begins, setBegins] = useState<number | string>(0)
  const [takes, setTakes] = useState<number | string>(10)
  const say = useMutation<GroundEventView[], Problem>({
    mutationFn: () => {
      const from = serverNow() + Number(begins) * MINUTE_MS
      return ask<GroundEventView[]>('POST', `/api/departures/${id}/ground-events`, {
        kind: kind.value,
        begins: new Date(from).toISOString(),
        ...(!kind.moment && { ends: new Date(from + Number(takes) * MINUTE_MS).toISOString() }),
      })
    },
    onSuccess: () => client.refetchQueries({ queryKey: ['plan', id] }),
  })
  return (
    <form
      className={classes.form}
      aria-label="Say when others are due"
      onSubmit={(e) => {
        e.preventDefault()
        say.mutate()
      }}
    >
      <NativeSelect
        size="md"
        label="What"
        value={kind.value}
        onChange={(e) => setKind(KINDS.find((k) => k.value === e.currentTarget.value)!)}
        data={KINDS.map((k) => ({ value: k.value, label: k.label }))}
      />
      <NumberInput size="md" label="In minutes" min={-MOST_MIN} max={MOST_MIN} value={begins} onChange={setBegins} />
      {!kind.moment && (
        <NumberInput size="md" label="Takes, minutes" min={0} max={MOST_MIN} value={takes} onChange={setTakes} />
      )}
      <Button type="submit" size="seat" variant="outline" loading={say.isPending}>
        Say so
      </Button>
      {say.error && <ProblemNotice problem={say.error} />}
    </form>
  )
}
