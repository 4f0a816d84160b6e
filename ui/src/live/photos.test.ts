import { beforeEach, describe, expect, it, vi } from 'vitest'

const db = new Map<string, unknown>()
vi.mock('idb-keyval', () => ({
  createStore: () => undefined,
  set: async (k: string, v: unknown) => void db.set(k, v),
  get: async (k: string) => db.get(k),
  del: async (k: string) => void db.delete(k),
  keys: async () => [...db.keys()],
}))

/** A server that keeps what it is sent, and what it says to a photo when it says something else. */
const server = {
  received: new Map<string, number>(),
  parts: [] as string[],
  says: new Map<string, { status: number; code: string }>(),
  dropEvery: 0,
  tries: 0,
}

const answer = (status: number, body: object) => new Response(JSON.stringify(body), { status })

vi.stubGlobal('document', { cookie: 'XSRF-TOKEN=t' })
vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
  if (server.dropEvery && ++server.tries % server.dropEvery === 0) throw new TypeError('the link dropped')
  const id = /photos\/([a-z0-9]+)/.exec(path)![1]!
  if (init.method === 'GET') return answer(200, { received: server.received.get(id) ?? 0, whole: false })
  const said = server.says.get(id)
  if (said) return answer(said.status, { code: said.code, detail: 'no', tryThis: '' })
  const from = Number(/from=(\d+)/.exec(path)![1])
  const here = server.received.get(id) ?? 0
  if (from !== here) return answer(409, { code: 'photo-hole', detail: 'hole', tryThis: '' })
  const now = here + (init.body as ArrayBuffer).byteLength
  server.received.set(id, now)
  server.parts.push(id)
  return answer(200, { received: now, whole: now === Number(/total=(\d+)/.exec(path)![1]) })
})

const photo = (id: string, size = 150_000) =>
  db.set(id, { id, departure: 'f1', sha256: 'x', bytes: new ArrayBuffer(size), label: `photo ${id}` })

describe('photos on their way', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    vi.resetModules()
    db.clear()
    Object.assign(server, { received: new Map(), parts: [], says: new Map(), dropEvery: 0, tries: 0 })
    return () => vi.useRealTimers()
  })

  it('go in parts, one after another, the oldest first, and go on from where the last part arrived', async () => {
    const { sendPhotos } = await import('./photos')
    photo('a')
    photo('b', 10)
    server.received.set('a', 65_536)
    await sendPhotos()
    expect(server.parts).toEqual(['a', 'a', 'b'])
    expect(server.received.get('a')).toBe(150_000)
    expect(db.size).toBe(0)
  })

  it('taken while others are being sent are sent too', async () => {
    const { sendPhotos } = await import('./photos')
    photo('a')
    const sending = sendPhotos()
    photo('b')
    await sending
    expect(db.size).toBe(0)
  })

  it('arrive whole over a link that drops', async () => {
    const { sendPhotos } = await import('./photos')
    for (const id of ['a', 'b', 'c']) photo(id)
    server.dropEvery = 3
    await sendPhotos()
    await vi.runAllTimersAsync()
    expect(db.size).toBe(0)
    expect([...server.received.values()]).toEqual([150_000, 150_000, 150_000])
  })

  it('that are refused stay until they are read, over a restart too, and the next one goes', async () => {
    const { sendPhotos, photoState, dismissPhoto } = await import('./photos')
    photo('a')
    photo('b')
    server.says.set('a', { status: 422, code: 'not-a-picture' })
    await sendPhotos()
    expect(photoState().refused.map((r) => r.label)).toEqual(['photo a'])
    expect(server.received.get('b')).toBe(150_000)
    await sendPhotos()
    expect([...db.keys()]).toEqual(['a'])
    dismissPhoto('a')
    expect(photoState().refused).toEqual([])
    expect(db.size).toBe(0)
  })

  it('of another crew wait on the device, and hold up nobody', async () => {
    const { sendPhotos, photoState } = await import('./photos')
    photo('a')
    photo('b')
    server.says.set('a', { status: 403, code: 'not-rostered' })
    await sendPhotos()
    expect([...db.keys()]).toEqual(['a'])
    expect(photoState().refused).toEqual([])
    expect(server.received.get('b')).toBe(150_000)
  })
})
