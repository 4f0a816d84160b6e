import { createStore, del, get, keys, set } from 'idb-keyval'
import { v7 } from 'uuid'
import type { ReceivedView } from '../api.gen'
import { alone } from '../app/alone'
import { type Code, ask, asProblem, worthTryingAgain } from '../app/api'

/** A photo on its way: kept here until the server has the whole of it. */
interface Kept {
  id: string
  departure: string
  sha256: string
  bytes: ArrayBuffer
  label: string
  /** Why the server would not take it: it stays, without its bytes, until it is read. */
  refused?: { code: Code; what: string; tryThis: string }
}

export interface PhotoState {
  waiting: readonly string[]
  /** What the server would not take, to be read. */
  refused: readonly { id: string; label: string; problem: NonNullable<Kept['refused']> }[]
}

const LONGEST_SIDE = 1_600
const MOST_BYTES = 5 * 1024 * 1024
/** Small, so that a link that drops costs little. */
const PART_BYTES = 64 * 1024

const store = createStore('neat-lanyard-photos', 'photos')
const urls = new Map<string, string>()
const listeners = new Set<() => void>()
let state: PhotoState = { waiting: [], refused: [] }
let sending = false
let tries = 0
let timer: ReturnType<typeof setTimeout> | undefined

const become = (next: PhotoState) => {
  state = next
  listeners.forEach((l) => l())
}

export const photoState = (): PhotoState => state

export const onPhotos = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

const hex = (bytes: ArrayBuffer): string =>
  [...new Uint8Array(bytes)].map((b) => b.toString(16).padStart(2, '0')).join('')

/** The picture alone, small enough to send: drawing it anew leaves behind where and with what it was taken. */
const shrink = async (file: File): Promise<ArrayBuffer> => {
  const image = await createImageBitmap(file)
  const scale = Math.min(1, LONGEST_SIDE / Math.max(image.width, image.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(image.width * scale))
  canvas.height = Math.max(1, Math.round(image.height * scale))
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
  image.close()
  for (const quality of [0.85, 0.6, 0.35]) {
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality))
    if (blob && blob.size <= MOST_BYTES) return blob.arrayBuffer()
  }
  throw new Error('too large')
}

/** So that it can be seen here while it is on its way. */
const show = ({ id, bytes }: Kept) => {
  if (!urls.has(id)) urls.set(id, URL.createObjectURL(new Blob([bytes], { type: 'image/jpeg' })))
}

/** Keeps a photo here and sends it when the server answers. Throws words for a crew member if it is not a picture. */
export const takePhoto = async (departure: string, file: File, label: string): Promise<string> => {
  let bytes: ArrayBuffer
  try {
    bytes = await shrink(file)
  } catch {
    throw new Error(
      `"${file.name}" is not a picture this device can read. The find stands without it; take the photo again.`,
    )
  }
  const id = v7()
  const kept: Kept = { id, departure, sha256: hex(await crypto.subtle.digest('SHA-256', bytes)), bytes, label }
  try {
    await set(id, kept, store)
  } catch {
    throw new Error(
      'This browser keeps nothing: it is full, or private. ' +
        'The find stands without the photo; make room, or take it with another device.',
    )
  }
  show(kept)
  become({ ...state, waiting: [...state.waiting, id] })
  void sendPhotos()
  return id
}

/** Where a photo can be shown from: this device while it is on its way, else the server. */
export const photoUrl = (id: string): string => urls.get(id) ?? `/api/photos/${id}`

const sendOne = async (kept: Kept): Promise<void> => {
  let { received, whole } = await ask<ReceivedView>('GET', `/api/photos/${kept.id}/received`)
  while (!whole) {
    const part = kept.bytes.slice(received, received + PART_BYTES)
    const where = `sha256=${kept.sha256}&total=${kept.bytes.byteLength}&from=${received}`
    ;({ received, whole } = await ask<ReceivedView>(
      'POST',
      `/api/departures/${kept.departure}/photos/${kept.id}?${where}`,
      part,
    ))
    tries = 0
  }
}

/** The oldest that is here, of those that are not passed over. */
const nextPhoto = async (passed: Set<string>): Promise<Kept | undefined> => {
  for (const id of (await keys<string>(store)).sort()) {
    const kept = passed.has(id) ? undefined : await get<Kept>(id, store)
    if (kept && !kept.refused) return kept
  }
  return undefined
}

/**
 * Sends what is kept, one photo after another, also those taken meanwhile; each goes on from where the last part
 * arrived.
 */
export const sendPhotos = async (): Promise<void> => {
  if (sending) return
  sending = true
  clearTimeout(timer)
  await alone('photos', sendAll)
  sending = false
}

const sendAll = async (): Promise<void> => {
  // Of another crew, taken on the same device: they wait until one of that crew is signed in again.
  const others = new Set<string>()
  try {
    for (let kept = await nextPhoto(others); kept; kept = await nextPhoto(others)) {
      const { id, label } = kept
      show(kept)
      try {
        await sendOne(kept)
      } catch (thrown) {
        const problem = asProblem(thrown)
        if (problem.code === 'not-rostered') {
          others.add(id)
          continue
        }
        if (worthTryingAgain(problem) || problem.code === 'photo-hole') throw problem
        const refused = { code: problem.code, what: problem.what, tryThis: problem.tryThis }
        await set(id, { ...kept, bytes: new ArrayBuffer(0), refused }, store)
        become({
          waiting: state.waiting.filter((w) => w !== id),
          refused: [...state.refused, { id, label, problem: refused }],
        })
        continue
      }
      await del(id, store)
      become({ ...state, waiting: state.waiting.filter((w) => w !== id) })
    }
  } catch {
    timer = setTimeout(() => void sendPhotos(), Math.min(15_000, 500 * 2 ** tries++))
  }
}

export const dismissPhoto = (id: string): void => {
  become({ ...state, refused: state.refused.filter((r) => r.id !== id) })
  void del(id, store).catch(() => undefined)
}

/** After a restart: what is still here is still on its way. */
export const resumePhotos = async (): Promise<void> => {
  try {
    const kept = (await Promise.all((await keys<string>(store)).sort().map((id) => get<Kept>(id, store)))).filter(
      (k) => k !== undefined,
    )
    become({
      waiting: kept.filter((k) => !k.refused).map((k) => k.id),
      refused: kept.flatMap(({ id, label, refused }) => (refused ? [{ id, label, problem: refused }] : [])),
    })
    window.addEventListener('online', () => void sendPhotos())
    await sendPhotos()
  } catch {
    // A browser that keeps nothing: then there is nothing to resume.
  }
}
