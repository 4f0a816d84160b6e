import { useEffect, useState, useSyncExternalStore } from 'react'
import { catchUp, checkOf, onCheck, type Check } from '../live/samples'
import type { FromWorker, Picture, ToWorker } from './picture'

/** Samples are taken to the worker and the silence is looked at so often, ms: as often as the stream tells. */
const EVERY_MS = 40

/** A steady link is never silent for so long, ms. */
const SILENT_MS = 600

interface Followed {
  check: Check | undefined
  /** Nothing before the device has judged something. */
  picture: Picture | undefined
  /** Whole seconds for which nothing has come from a check that is under way; 0 where it comes. */
  silentS: number
  /** Why this device cannot judge. */
  failed: string
}

const flat = (rows: readonly (readonly (number | null)[])[], width: number): Float64Array => {
  const all = new Float64Array(rows.length * width)
  rows.forEach((row, i) => row.forEach((v, c) => (all[i * width + c] = v ?? NaN)))
  return all
}

/** The check of a departure, judged on this device as it comes. */
export const useCheck = (departure: string): Followed => {
  const check = useSyncExternalStore(onCheck, () => checkOf(departure))
  const [told, setTold] = useState<FromWorker>()
  const [silentS, setSilentS] = useState(0)
  const part = check ? `${check.number}/${check.part}` : ''

  // One that broke off, or began before this screen was opened.
  useEffect(() => void catchUp(departure), [departure])

  useEffect(() => {
    if (!part) return
    const worker = new Worker(new URL('./controls.worker.ts', import.meta.url), { type: 'module' })
    const send = (message: ToWorker) => worker.postMessage(message)
    worker.onmessage = ({ data }: MessageEvent<FromWorker>) => setTold(data)
    worker.onerror = (e) => setTold({ part, failed: e.message })
    let rows = 0
    let calls = 0
    let began = false
    const bring = () => {
      const now = checkOf(departure)
      if (!now || `${now.number}/${now.part}` !== part) return
      if (!began) send({ what: 'begin', part, basis: now.basis })
      began = true
      now.calls.slice(calls).forEach((c) => send({ what: 'call', seconds: c.seconds, axis: c.axis, sign: c.sign }))
      calls = now.calls.length
      if (now.rows.length > rows) send({ what: 'rows', rows: flat(now.rows.slice(rows), now.channels.length + 1) })
      rows = now.rows.length
      const silent = performance.now() - now.heardAt
      // Nothing comes any more.
      if (now.stands === 'ended') clearInterval(timer)
      setSilentS(now.stands === 'under-way' && silent > SILENT_MS ? Math.max(1, Math.floor(silent / 1000)) : 0)
    }
    const timer = setInterval(bring, EVERY_MS)
    bring()
    return () => {
      clearInterval(timer)
      worker.terminate()
    }
  }, [departure, part])

  const mine = told?.part === part ? told : undefined
  return { check, picture: mine?.picture, silentS, failed: mine?.failed ?? '' }
}
