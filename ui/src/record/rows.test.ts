import { describe, expect, it } from 'vitest'
import type { DepartureView, TagView } from '../api.gen'
import { tieOffRows } from './rows'

const tag = (key: string, go: string, mayStay = true): TagView =>
  ({ key, title: `${key} title`, detail: key, by: '', closes: 'a step', go, mayStay }) as TagView

describe('the rows of a tie-off', () => {
  it('are a tag each, and one for all that is unfinished in a stage', () => {
    const view = {
      progress: {
        beads: [{ stage: 'flows', title: 'Flows' }],
        tags: [tag('covers', 'walkaround')],
        unfinished: [
          tag('unfinished/left', 'flows'),
          tag('unfinished/right', 'flows'),
          tag('unfinished/walk', 'walkaround'),
          tag('controls/controls', 'controls', false),
        ],
      },
    } as unknown as DepartureView
    const rows = tieOffRows(view)
    expect(rows.map((r) => r.key)).toEqual(['covers', 'controls/controls', 'stage/flows', 'unfinished/walk'])
    expect(rows[2]).toMatchObject({ title: 'Flows: 2 procedures with steps open', go: 'flows', mayStay: true })
    expect(rows[2]?.tags.map((t) => t.key)).toEqual(['unfinished/left', 'unfinished/right'])
    expect(rows.flatMap((r) => r.tags)).toHaveLength(5)
    expect(rows[1]?.mayStay).toBe(false)
  })
})
