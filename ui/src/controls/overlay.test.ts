import { expect, test } from 'vitest'
import type { RecordingView } from '../api.gen'
import { beside, courseOf } from './overlay'

const elevator = {
  channel: 'elevator',
  name: 'Elevator',
  spoiler: false,
  positiveDeg: 24,
  negativeDeg: -16,
  toleranceDeg: 1,
}
const pitch = {
  axis: 'pitch' as const,
  name: 'Pitch',
  positive: 'nose up',
  negative: 'nose down',
  surfaces: [elevator],
}

const recording = (start: number, reached: number): RecordingView => ({
  judgement: {
    verdict: 'passed',
    summary: '',
    missing: [],
    suggestions: [],
    findings: [
      {
        axis: 'pitch',
        subject: 'Elevator',
        criterion: 'full-travel',
        movement: 1,
        outcome: reached < 22.5 ? 'not-as-it-should-be' : 'as-it-should-be',
        measured: reached,
        limit: 22.5,
        uncertainty: 0,
        unit: '°',
        words: '',
      },
    ],
  },
  controlCheck: {
    axes: [pitch],
    wanted: [],
    practice: { order: [], bothSticks: false, disconnected: false, standing: false, called: false },
  },
  samples: 3,
  channels: ['left-pitch', 'right-pitch', 'elevator'],
  values: [
    [start, 0, 0, 0],
    [start + 1, 60, 0, null as unknown as number],
    [start + 2, 100, 0, reached],
  ],
})

test('two recordings are laid over each other from where the control was first moved', () => {
  const [a, b] = [recording(0, 24), recording(7.5, 18)].map((r) => courseOf(r, pitch, elevator))
  expect(a!.seconds).toEqual([-1, 0, 1])
  expect(b!.seconds).toEqual([-1, 0, 1])
  expect(b!.control).toEqual([0, 60, 100])
  expect(b!.deg).toEqual([0, null, 18])
})

test('each criterion stands once, with the number of either', () => {
  const [row, ...more] = beside([recording(0, 24), recording(0, 18)], 'Elevator')
  expect(more).toEqual([])
  expect(row).toMatchObject({
    words: 'full travel, movement 1',
    measured: [24, 18],
    wrong: [false, true],
    limit: 22.5,
  })
})
