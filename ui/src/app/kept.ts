import type { QueryClient } from '@tanstack/react-query'
import { clear, createStore, entries, set } from 'idb-keyval'

/**
 * What a device without a network still shows: who is signed in, the list, and each departure that was opened on
 * it with its figures, and with what it works them out by itself from then on.
 */
const KEPT = ['me', 'departures', 'departure', 'figures', 'figures-kept', 'figures-text']

/** Set by the build: another for each form of what the server says. */
declare const SHAPE: string

const KEPT_BY = 'neat-lanyard-kept/'
const KEPT_HERE = KEPT_BY + SHAPE

const AT_MOST_EVERY_MS = 300

interface Kept {
  data: unknown
  at: number
}

const store = (() => {
  try {
    return createStore(KEPT_HERE, 'kept')
  } catch {
    return undefined
  }
})()

/** Fills the client with what was kept, then keeps what it learns. Without a place to keep it, it does nothing. */
export const keepQueries = async (client: QueryClient): Promise<void> => {
  if (!store) return
  void forgetOthers()
  try {
    for (const [key, kept] of await entries<string, Kept>(store))
      client.setQueryData(JSON.parse(key) as unknown[], kept.data, { updatedAt: kept.at })
  } catch {
    return
  }
  const fresh = new Map<string, Kept>()
  let timer: ReturnType<typeof setTimeout> | undefined
  client.getQueryCache().subscribe((e) => {
    if (e.type !== 'updated' || e.action.type !== 'success' || !KEPT.includes(String(e.query.queryKey[0]))) return
    fresh.set(JSON.stringify(e.query.queryKey), { data: e.query.state.data, at: e.query.state.dataUpdatedAt })
    timer ??= setTimeout(() => {
      timer = undefined
      for (const [key, kept] of fresh) void set(key, kept, store).catch(() => undefined)
      fresh.clear()
    }, AT_MOST_EVERY_MS)
  })
}

/** What an earlier form kept is of no use any more. */
const forgetOthers = async (): Promise<void> => {
  const all = (await indexedDB.databases?.().catch(() => [])) ?? []
  for (const { name } of all) if (name?.startsWith(KEPT_BY) && name !== KEPT_HERE) indexedDB.deleteDatabase(name)
}

/** Forgets all of it, for the next person on a shared tablet. */
export const forgetKept = async (): Promise<void> => {
  if (store) await clear(store).catch(() => undefined)
  if ('caches' in window) await caches.delete('photos').catch(() => undefined)
}
