import { Checkbox, NativeSelect, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { FiguresView, ThirdView } from '../api.gen'
import { Action } from '../app/Action'
import { numberOf } from '../app/number'
import { Panel } from './Panel'
import classes from './Figures.module.css'

interface Third {
  contaminant: ThirdView['contaminant']
  code: string
  depth: string
  coverage: string
}

/** As it was reported last, so that one third can be another without saying the others again. */
const given = (t: ThirdView): Third => ({
  contaminant: t.contaminant,
  code: String(t.code ?? ''),
  depth: String(t.depthMm ?? ''),
  coverage: String(t.coveragePercent ?? ''),
})

const DRY: Third = { contaminant: 'dry', code: '', depth: '', coverage: '' }
const BRAKING = ['', 'good', 'good-to-medium', 'medium', 'medium-to-poor', 'poor', 'less-than-poor']

interface ConditionFormProps {
  figures: FiguresView
  onSay: (body: Record<string, unknown>) => void
  onBack: () => void
}

const whole = (text: string, least: number, most: number): number | null | undefined => {
  if (text.trim() === '') return null
  const n = numberOf(text)
  return n !== undefined && Number.isInteger(n) && n >= least && n <= most ? n : undefined
}

/** How the runway is, as it was reported: for the whole of it or by thirds, and what a pilot said of the brakes. */
export const ConditionForm = ({ figures, onSay, onBack }: ConditionFormProps) => {
  const [thirds, setThirds] = useState<Third[]>(() =>
    figures.given.thirds.length > 0 ? figures.given.thirds.map(given) : [DRY],
  )
  const [braking, setBraking] = useState<string>(figures.given.braking ?? '')
  const [wrong, setWrong] = useState('')
  const kinds = figures.choices.contaminants
  const set = (n: number, change: Partial<Third>) =>
    setThirds(thirds.map((t, i) => (i === n ? { ...t, ...change } : t)))
  const say = (all: Third[], brakes: string) => {
    const read = all.map((t) => ({
      contaminant: t.contaminant,
      code: whole(t.code, 0, 6),
      depth: whole(t.depth, 0, 300),
      coverage: whole(t.coverage, 0, 100),
    }))
    if (read.some((t) => t.code === undefined || t.depth === undefined || t.coverage === undefined)) {
      setWrong('A code is 0 to 6, a depth whole millimetres, a coverage 0 to 100 per cent.')
      return
    }
    onSay({
      condition: {
        thirds: read.map((t) => ({
          code: t.code,
          contaminant: t.contaminant.replaceAll('-', '_'),
          'depth-mm': t.depth,
          'coverage-percent': t.coverage,
        })),
        braking: brakes === '' ? null : brakes.replaceAll('-', '_'),
      },
    })
  }
  return (
    <Panel
      title="How is the runway?"
      wrong={wrong}
      onBack={onBack}
      actions={
        <>
          <Action hotkey="alt+Enter" shown="alt enter" onAct={() => say(thirds, braking)}>
            So it was reported
          </Action>
        </>
      }
    >
      <div className={classes.ways}>
        <Action hotkey="alt+d" shown="alt d" main onAct={() => say([DRY], '')}>
          Dry
        </Action>
        <Action hotkey="alt+w" shown="alt w" onAct={() => say([{ ...DRY, contaminant: 'wet' }], '')}>
          Wet
        </Action>
        <Checkbox
          label="By thirds"
          checked={thirds.length === 3}
          onChange={(e) => setThirds(e.currentTarget.checked ? [thirds[0]!, thirds[0]!, thirds[0]!] : [thirds[0]!])}
        />
      </div>
      <div className={classes.rows}>
        {thirds.map((t, n) => {
          const where = thirds.length === 1 ? 'Whole runway' : `Third ${n + 1}`
          return (
            <div key={n} className={classes.row}>
              <NativeSelect
                label={where}
                value={t.contaminant}
                data={kinds.map((k) => ({ value: k.id, label: k.words }))}
                onChange={(e) => set(n, { contaminant: e.currentTarget.value as Third['contaminant'] })}
              />
              <TextInput
                label="Code"
                aria-label={`${where}, code`}
                inputMode="numeric"
                value={t.code}
                onChange={(e) => set(n, { code: e.currentTarget.value })}
              />
              <TextInput
                label="Depth, mm"
                aria-label={`${where}, depth in millimetres`}
                inputMode="numeric"
                disabled={!kinds.find((k) => k.id === t.contaminant)?.deep}
                value={t.depth}
                onChange={(e) => set(n, { depth: e.currentTarget.value })}
              />
              <TextInput
                label="Covered, %"
                aria-label={`${where}, covered, per cent`}
                inputMode="numeric"
                value={t.coverage}
                onChange={(e) => set(n, { coverage: e.currentTarget.value })}
              />
            </div>
          )
        })}
        <NativeSelect
          label="Braking, by a pilot who landed"
          value={braking}
          data={BRAKING.map((b) => ({ value: b, label: b === '' ? 'nothing said' : b.replaceAll('-', ' ') }))}
          onChange={(e) => setBraking(e.currentTarget.value)}
        />
      </div>
    </Panel>
  )
}
