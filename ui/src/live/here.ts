import type { FigureView, GivenView, WorkedView } from '../api.gen'
import { Problem } from '../app/api'
import { serverNow } from '../app/clock'

/** What came of what is given, worked out on this device. */
export interface WorkedHere {
  given: GivenView
  missing: string[]
  worked?: WorkedView
  /** Figures that were agreed and come out otherwise now. */
  otherwise: FigureView['figure'][]
}

/** A text as it was read on this device. */
export interface ReadHere {
  /** In words; none of a load sheet. */
  facts?: string[]
  faults?: string[]
}

export type Question =
  | {
      what: 'figures'
      /** Figures of the type, take-off tables, holdover times, airfields of departure and of the destination. */
      texts: [string, string, string, string, string]
      asked: string
    }
  | { what: 'report'; text: string; now: string }
  | { what: 'sheet'; text: string }

export interface Answer {
  number: number
  told?: WorkedHere | ReadHere
  failed?: string
}

let worker: Worker | undefined
let number = 0

/** Asks core's rules on this device. One worker for all, started once it is needed. */
export const askHere = <T extends WorkedHere | ReadHere>(question: Question): Promise<T> => {
  worker ??= new Worker(new URL('./figures.worker.ts', import.meta.url), { type: 'module' })
  const at = worker
  const mine = ++number
  return new Promise((resolve, reject) => {
    const done = () => {
      at.removeEventListener('message', hear)
      at.removeEventListener('error', lost)
    }
    const fail = (why: string) => {
      done()
      reject(
        new Problem(-1, 'broken', `This device cannot work it out: ${why}`, 'It is tried again with the network.'),
      )
    }
    const hear = ({ data }: MessageEvent<Answer>) => {
      if (data.number !== mine) return
      if (data.told === undefined) return fail(data.failed ?? '')
      done()
      resolve(data.told as T)
    }
    const lost = (e: ErrorEvent) => {
      if (worker === at) worker = undefined
      fail(e.message)
    }
    at.addEventListener('message', hear)
    at.addEventListener('error', lost)
    at.postMessage({ ...question, number: mine })
  })
}

const good = (read: ReadHere, what: string): ReadHere => {
  if (read.faults) throw new Problem(422, 'faulty', what, 'Mend what is named; nothing was changed.', read.faults)
  return read
}

/** A station report in words, read on this device. Throws the problem that the server would name. */
export const reportHere = async (text: string): Promise<string[]> => {
  const now = new Date(serverNow()).toISOString()
  return (
    good(await askHere<ReadHere>({ what: 'report', text, now }), 'The station report cannot be read.').facts ?? []
  )
}

/** Whether a load sheet can be read, tried on this device. Throws the problem that the server would name. */
export const sheetHere = async (text: string): Promise<void> => {
  good(await askHere<ReadHere>({ what: 'sheet', text }), 'The load sheet has faults.')
}
