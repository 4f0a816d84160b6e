import { describe, expect, it } from 'vitest'
import type { FigureView, KeptFigures, Progress } from '../api.gen'
import { askedOf, withFiguresHere } from './figuresHere'
import type { WorkedHere } from './here'
import type { OutboxState } from './outboxState'

const figure = (name: FigureView['figure'], value?: string): FigureView => ({
  figure: name,
  words: name,
  unit: 'kt',
  digits: true,
  step: `fi-${name}`,
  standing: value === undefined ? 'open' : 'agreed',
  notToday: false,
  entries: [],
  value,
  again: '',
  taken: '',
  restsOn: [],
})

const figures = { v1: figure('v1', '95'), vr: figure('vr', '96'), v2: figure('v2') }

const kept = {
  number: 7,
  flight: 'Flight 14',
  report: { text: 'METAR OLD', observed: '2027-01-14T07:20:00Z' },
  said: [{ kind: 'takeoff-chosen', body: { choice: {} } }],
} as unknown as KeptFigures

const word = (kind: string, body: Record<string, unknown>) => ({
  id: kind,
  deviceAt: '',
  device: '',
  kind,
  body,
  label: '',
})

const out = (waiting: OutboxState['waiting'], taken: OutboxState['taken'] = []): OutboxState => ({
  waiting,
  taken,
  refused: [],
})

describe('figures worked out on this device', () => {
  it('rest on what was said here and is not worked with yet, in its order', () => {
    expect(askedOf(kept, out([word('step-done', { step: 'x' })]), figures)).toBeUndefined()
    const asked = askedOf(
      kept,
      out(
        [word('tower-wind-said', { wind: null }), word('day-set', { report: 'METAR NEW' })],
        [
          { ...word('runway-reported', { condition: 'old' }), number: 7 },
          { ...word('runway-reported', { condition: { braking: null, thirds: [] } }), number: 8 },
        ],
      ),
      figures,
    )
    const read = JSON.parse(asked ?? '')
    expect(read.said).toEqual([
      { kind: 'takeoff-chosen', body: { choice: {} } },
      { kind: 'runway-reported', body: { condition: { thirds: [] } } },
      { kind: 'tower-wind-said', body: {} },
    ])
    expect(read.report.text).toBe('METAR NEW')
    expect(read.asked).toEqual(['v1', 'vr', 'v2'])
    expect(read.settled).toEqual({ v1: '95', vr: '96' })
    const taken = { ...figure('v1', '99'), standing: 'taken' as const }
    expect(JSON.parse(askedOf(kept, out([word('de-iced', {})]), { v1: taken }) ?? '').settled).toEqual({})
  })

  it('open what comes out otherwise, hang it, and say which limits hold now', () => {
    const limit = { what: 'stop', held: false, words: 'It does not stop.', source: '' }
    const progress = {
      beads: [],
      figures,
      tags: [{ key: 'limit/wind' }, { key: 'find/1' }],
    } as unknown as Progress
    const after = withFiguresHere(progress, {
      missing: [],
      otherwise: ['v1', 'v2'],
      worked: { limits: [limit, { ...limit, what: 'wind', held: true }] },
    } as unknown as WorkedHere)
    expect(after.figures.v1).toMatchObject({ standing: 'open', value: undefined })
    expect(after.figures.v1?.again).not.toBe('')
    expect(after.figures.vr).toBe(figures.vr)
    expect(after.tags.map((t) => t.key)).toEqual(['find/1', 'limit/stop', 'figure/here'])
    expect(after.tags.at(-1)?.title).toContain('Enter again: v1;')
    expect(progress.figures.v1?.value).toBe('95')
  })
})
