import { NativeSelect, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import type { Behaviour, CheckForm, SimulatedChoices } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { Fold } from '../app/Fold'
import classes from './SimulatedForm.module.css'

export type Told = Pick<CheckForm, 'behaviour' | 'recorder' | 'link' | 'pressurePct'> & { seed: string }

export const AS_IT_SHOULD_BE: Told = {
  behaviour: 'sound',
  recorder: 'good',
  link: 'steady',
  pressurePct: 110,
  seed: '',
}

const options = (all: readonly Behaviour[] | undefined, before = '') =>
  (all ?? []).map((b) => ({ value: b.name, label: before + (before ? b.words.toLowerCase() : b.words) }))

/** How the simulated aircraft behaves, records and is reached. */
export const SimulatedForm = ({ told, onTell }: { told: Told; onTell: (told: Told) => void }) => {
  const choices = useQuery<SimulatedChoices, Problem>({
    queryKey: ['simulated-aircraft'],
    queryFn: () => ask('GET', '/api/simulated-aircraft'),
    staleTime: Infinity,
  }).data
  const otherwise = told.recorder !== 'good' || told.link !== 'steady' || told.pressurePct !== 110 || told.seed !== ''
  return (
    <div className={classes.form}>
      <NativeSelect
        aria-label="How the simulated aircraft behaves"
        value={told.behaviour}
        onChange={(e) => onTell({ ...told, behaviour: e.currentTarget.value })}
        data={options(choices?.behaviours, 'Simulated: ')}
      />
      <Fold line={`More of the simulated aircraft${otherwise ? ': not as usual' : ''}`}>
        <div className={classes.more}>
          <NativeSelect
            label="Recorder"
            value={told.recorder}
            onChange={(e) => onTell({ ...told, recorder: e.currentTarget.value })}
            data={options(choices?.recorders)}
          />
          <NativeSelect
            label="Link"
            value={told.link}
            onChange={(e) => onTell({ ...told, link: e.currentTarget.value })}
            data={options(choices?.links)}
          />
          <NativeSelect
            label="Hydraulic pressure"
            value={String(told.pressurePct)}
            onChange={(e) => onTell({ ...told, pressurePct: Number(e.currentTarget.value) })}
            data={[
              { value: '110', label: '110 % of the least' },
              { value: '90', label: '90 % of the least' },
              { value: '40', label: '40 % of the least' },
            ]}
          />
          <TextInput
            label="Seed"
            placeholder="the usual one"
            inputMode="numeric"
            value={told.seed}
            onChange={(e) => onTell({ ...told, seed: e.currentTarget.value.replace(/\D/g, '').slice(0, 15) })}
          />
        </div>
      </Fold>
    </div>
  )
}
