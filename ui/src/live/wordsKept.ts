import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Outgoing, OutboxState, Refused } from './outboxState'

/** How a word stands: not acknowledged yet, taken as the entry of a number, or not taken and not read yet. */
export type Standing =
  | { standing: 'waiting' }
  | { standing: 'taken'; number: number }
  | { standing: 'refused'; refusal: Omit<Refused, 'event'> }

type Row = { id: string; box: string; event: Outgoing } & Standing

interface Words extends DBSchema {
  words: { key: string; value: Row; indexes: { standing: [string, string, string]; box: string } }
}

/** One person's words in one departure, on this device: for all tabs of its browser. */
const boxOf = (who: string, departure: string): string => `${who}/${departure}`

let open: Promise<IDBPDatabase<Words>> | undefined

/** Opened once; where it fails, the next word tries again: the browser may have got room meanwhile. */
const opened = (): Promise<IDBPDatabase<Words>> => {
  open ??= openDB<Words>('neat-lanyard-words', 1, {
    upgrade: (db) => {
      const words = db.createObjectStore('words', { keyPath: 'id' })
      // Identifiers are in the order of their making (UUID version 7), so an index that ends in them is too.
      words.createIndex('standing', ['box', 'standing', 'id'])
      words.createIndex('box', 'box')
    },
    terminated: () => (open = undefined),
  })
  open.catch(() => (open = undefined))
  return open
}

const between = (box: string, standing: string) => IDBKeyRange.bound([box, standing, ''], [box, standing, '￿'])

/** Where words are kept on the device until the server has them. Each throws where the browser keeps nothing. */
export const wordsKept = {
  boxOf,

  async all(box: string): Promise<OutboxState> {
    const rows = (await (await opened()).getAllFromIndex('words', 'box', box)).sort((a, b) => (a.id < b.id ? -1 : 1))
    return {
      waiting: rows.filter((r) => r.standing === 'waiting').map((r) => r.event),
      taken: rows.flatMap((r) =>
        r.standing === 'taken'
          ? [{ id: r.id, deviceAt: r.event.deviceAt, kind: r.event.kind, body: r.event.body, number: r.number }]
          : [],
      ),
      refused: rows.flatMap((r) => (r.standing === 'refused' ? [{ event: r.event, ...r.refusal }] : [])),
    }
  },

  /** Keeps new words, all or none; they are on the disk when it is done. */
  async put(box: string, events: Outgoing[]): Promise<void> {
    const tx = (await opened()).transaction('words', 'readwrite', { durability: 'strict' })
    await Promise.all([
      ...events.map((event) => tx.store.put({ id: event.id, box, event, standing: 'waiting' })),
      tx.done,
    ])
  },

  /** Those that wait, the oldest first. @param most of them */
  async waiting(box: string, most: number): Promise<Outgoing[]> {
    const rows = await (await opened()).getAllFromIndex('words', 'standing', between(box, 'waiting'), most)
    return rows.map((r) => r.event)
  },

  /** Words have been answered. Of those that were taken only the latest are remembered. */
  async answered(box: string, answers: { event: Outgoing; standing: Standing }[], mostTaken: number): Promise<void> {
    const tx = (await opened()).transaction('words', 'readwrite')
    await Promise.all(answers.map(({ event, standing }) => tx.store.put({ id: event.id, box, event, ...standing })))
    if (answers.some((a) => a.standing.standing === 'taken')) {
      const old = await tx.store.index('standing').getAllKeys(between(box, 'taken'))
      await Promise.all(old.slice(0, Math.max(0, old.length - mostTaken)).map((id) => tx.store.delete(id)))
    }
    await tx.done
  },

  async drop(id: string): Promise<void> {
    await (await opened()).delete('words', id)
  },

  /** The departures in which somebody has words that wait. What was taken long ago goes: its departures have left. */
  async departuresWaiting(who: string, since: string): Promise<string[]> {
    const tx = (await opened()).transaction('words', 'readwrite')
    const waiting = new Set<string>()
    const prefix = boxOf(who, '')
    for (let cursor = await tx.store.openCursor(); cursor; cursor = await cursor.continue()) {
      const { box, standing, event } = cursor.value
      if (standing === 'taken' && event.deviceAt < since) await cursor.delete()
      if (standing === 'waiting' && box.startsWith(prefix)) waiting.add(box.slice(prefix.length))
    }
    await tx.done
    return [...waiting]
  },
}

/** What the version before kept elsewhere is taken over once, and forgotten there. */
export const takeOver = async (): Promise<void> => {
  const keys = Object.keys(localStorage).filter((k) => k.startsWith('outbox/'))
  for (const key of keys) {
    const old = JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<OutboxState>
    const box = key.slice('outbox/'.length)
    await wordsKept.put(box, [...(old.waiting ?? [])])
    for (const { event, ...refusal } of old.refused ?? [])
      await wordsKept.answered(box, [{ event, standing: { standing: 'refused', refusal } }], 0)
    localStorage.removeItem(key)
  }
}
