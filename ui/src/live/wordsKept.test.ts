import 'fake-indexeddb/auto'
import { describe, expect, it } from 'vitest'
import { v7 } from 'uuid'
import type { Outgoing } from './outboxState'
import { wordsKept } from './wordsKept'

const word = (label: string): Outgoing => ({
  id: v7(),
  deviceAt: '2027-01-14T07:25:00Z',
  device: 'd',
  kind: 'step-done',
  body: { step: label },
  label,
})

const LONG_AGO = '2027-01-01T00:00:00Z'

describe('words kept on a device', () => {
  it('wait in the order in which they were said, whichever tab said them, and go one by one', async () => {
    const said = Array.from({ length: 40 }, (_, i) => word(`s${i}`))
    for (let i = 0; i < said.length; i += 4)
      await Promise.all([
        wordsKept.put('adeyo/f1', said.slice(i, i + 2)),
        wordsKept.put('adeyo/f1', said.slice(i + 2, i + 4)),
      ])
    await wordsKept.put('marsk/f1', [word('hers')])
    const sent: string[] = []
    for (
      let some = await wordsKept.waiting('adeyo/f1', 7);
      some.length > 0;
      some = await wordsKept.waiting('adeyo/f1', 7)
    ) {
      const answers = some.map((event) => ({
        event,
        standing: { standing: 'taken' as const, number: sent.push(event.label) },
      }))
      await wordsKept.answered('adeyo/f1', answers, 10)
    }
    expect(sent).toEqual(said.map((w) => w.label))
    const kept = await wordsKept.all('adeyo/f1')
    expect(kept.waiting).toEqual([])
    expect(
      kept.taken.map((t) => t.number),
      'only the latest are remembered',
    ).toEqual([31, 32, 33, 34, 35, 36, 37, 38, 39, 40])
    expect((await wordsKept.all('marsk/f1')).waiting.map((w) => w.label)).toEqual(['hers'])
  })

  it('are found again by whose they are, and a refused one stays until it is read', async () => {
    const [a, b] = [word('a'), word('b')]
    await wordsKept.put('holm/f2', [a])
    await wordsKept.put('holm/f3', [b])
    expect((await wordsKept.departuresWaiting('holm', LONG_AGO)).sort()).toEqual(['f2', 'f3'])
    const refusal = { code: 'needs' as const, what: 'w', tryThis: 't', faults: [] }
    await wordsKept.answered('holm/f2', [{ event: a, standing: { standing: 'refused', refusal } }], 10)
    expect(await wordsKept.departuresWaiting('holm', LONG_AGO)).toEqual(['f3'])
    expect((await wordsKept.all('holm/f2')).refused).toMatchObject([{ code: 'needs', event: { label: 'a' } }])
    await wordsKept.drop(a.id)
    expect((await wordsKept.all('holm/f2')).refused).toEqual([])
  })

  it('that were taken long ago are forgotten, and those that wait are not', async () => {
    const [a, b] = [word('a'), word('b')]
    await wordsKept.put('quill/f4', [a, b])
    await wordsKept.answered('quill/f4', [{ event: a, standing: { standing: 'taken', number: 1 } }], 10)
    expect(await wordsKept.departuresWaiting('quill', '2027-02-01T00:00:00Z')).toEqual(['f4'])
    expect(await wordsKept.all('quill/f4')).toMatchObject({ waiting: [{ label: 'b' }], taken: [] })
  })
})
