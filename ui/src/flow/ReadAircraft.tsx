import { NativeSelect } from '@mantine/core'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Behaviour } from '../api.gen'
import { ask, asProblem, type Problem } from '../app/api'
import { Action } from '../app/Action'
import { clockTime } from '../app/clock'
import { ProblemNotice } from '../app/Notice'
import { deviceName } from '../live/outbox'
import type { Live } from '../live/useDeparture'
import classes from './ReadAircraft.module.css'

/** What the simulated aircraft shows, and the press that reads it. */
export const ReadAircraft = ({ live, first }: { live: Live; first: string }) => {
  const { view, seat } = live
  const url = `/api/departures/${view.header.id}/aircraft`
  const [behaviour, setBehaviour] = useState(first)
  const behaviours = useQuery<Behaviour[], Problem>({
    queryKey: ['aircraft', view.header.id],
    queryFn: () => ask('GET', url),
    staleTime: Infinity,
  })
  const read = useMutation<unknown, Problem>({
    mutationFn: () => ask('POST', url, { device: deviceName(), behaviour }),
  })
  const told = view.progress.aircraft
  return (
    <div className={classes.read}>
      <NativeSelect
        aria-label="What the simulated aircraft shows"
        value={behaviour}
        onChange={(e) => setBehaviour(e.currentTarget.value)}
        data={(behaviours.data ?? []).map((b) => ({ value: b.name, label: `Simulated: ${b.words.toLowerCase()}` }))}
      />
      <Action
        hotkey="q"
        disabled={!seat || !live.connected || view.progress.tiedOff !== undefined}
        onAct={() => read.mutate()}
      >
        Read the aircraft
      </Action>
      {read.isError && <ProblemNotice problem={asProblem(read.error)} />}
      {told && (
        <p>
          {told.source} at {clockTime(told.at, view.header.zone)}
        </p>
      )}
    </div>
  )
}
