import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { DepartureView, Me, Progress, SeatView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { catchUp, checkOf, heardCall, heardOfCheck, heardSamples } from './samples'
import { deviceName, outboxOf, type Outbox } from './outbox'
import type { OutboxState } from './outboxState'
import type { RaisedHere } from './looseEnds'
import { useFiguresHere, withFiguresHere } from './figuresHere'
import type { WorkedHere } from './here'
import { withUnsent, type Who } from './overlay'
import { changed } from './progress'
import { sendPhotos } from './photos'

export interface Live {
  view: DepartureView
  /** Finds made here that the server has not told of yet. */
  raised: readonly RaisedHere[]
  me: Me
  /** The seat this person has taken; empty before. */
  seat: SeatView['seat'] | ''
  outbox: Outbox
  out: OutboxState
  /** Figures worked out on this device; nothing while the server's stand. */
  here: WorkedHere | undefined
  /** Whether something was said here that no figures are worked out with yet. */
  waits: boolean
  /** Whether the live stream stands, and the server answered when something was said last. */
  connected: boolean
}

/** As marks name people. */
const familyName = (name: string): string => name.slice(name.lastIndexOf(' ') + 1)

/** One departure, live: its view, kept fresh by its stream, and this person's outbox. */
export const useDeparture = (id: string, me: Me): { live?: Live; problem?: Problem } => {
  const client = useQueryClient()
  const query = useQuery<DepartureView, Problem>({
    queryKey: ['departure', id],
    queryFn: async () => {
      const asked = await ask<DepartureView>('GET', `/api/departures/${id}`)
      // The stream may have told of more while this was on its way.
      const known = client.getQueryData<DepartureView>(['departure', id])
      return known?.card?.key === asked.card?.key && known && known.progress.number > asked.progress.number
        ? { ...asked, progress: known.progress }
        : asked
    },
    // What was kept is shown at once; whether it is still so is asked each time.
    refetchOnMount: 'always',
    retry: (n, p) => p.status === 0 || (p.status >= 500 && n < 20),
    retryDelay: 1500,
    staleTime: Infinity,
  })
  const outbox = outboxOf(id, me.id)
  const out = useSyncExternalStore(outbox.subscribe, outbox.snapshot)
  // Until it is known not to be: a notice that comes and goes as a page opens moves what a thumb is about to press.
  const [connected, setConnected] = useState(true)
  const there = query.data !== undefined

  useEffect(() => {
    if (!there) return
    let closed = false
    let source: EventSource | undefined
    let timer: ReturnType<typeof setTimeout> | undefined
    const connect = () => {
      source = new EventSource(`/api/departures/${id}/stream`)
      source.onopen = () => {
        setConnected(true)
        // Of a check that is known here something may have been missed.
        if (checkOf(id)) void catchUp(id)
        void outbox.send()
        void sendPhotos()
      }
      // What this stream has told so far; what was asked for beside it may be newer.
      let told: Progress | undefined
      const tell = (progress: Progress) => {
        told = progress
        const before = client.getQueryData<DepartureView>(['departure', id])
        if (before && (before.card?.key ?? 0) === progress.cardKey) {
          if (progress.number >= before.progress.number)
            client.setQueryData(['departure', id], { ...before, progress })
        } else {
          void client.invalidateQueries({ queryKey: ['departure', id] })
        }
      }
      source.addEventListener('progress', (e) => tell(JSON.parse((e as MessageEvent<string>).data)))
      source.addEventListener('change', (e) => {
        const progress = told && changed(told, JSON.parse((e as MessageEvent<string>).data))
        if (progress) return tell(progress)
        // Something was missed: the whole comes with a new stream.
        source?.close()
        connect()
      })
      source.addEventListener('samples', (e) => heardSamples(id, JSON.parse((e as MessageEvent<string>).data)))
      source.addEventListener('call', (e) => heardCall(id, JSON.parse((e as MessageEvent<string>).data)))
      source.addEventListener('check', (e) => heardOfCheck(id, JSON.parse((e as MessageEvent<string>).data)))
      source.onerror = () => {
        setConnected(false)
        if (source?.readyState === EventSource.CLOSED && !closed) {
          clearTimeout(timer)
          timer = setTimeout(connect, 2000)
        }
      }
    }
    connect()
    return () => {
      closed = true
      clearTimeout(timer)
      source?.close()
    }
  }, [id, there, client, outbox])

  const seat = query.data?.progress.seats.find((s) => s.id === me.id && s.taken)?.seat ?? ''
  const said = useMemo(() => {
    if (!query.data) return undefined
    const who: Who = { id: me.id, name: familyName(me.name), device: deviceName(), seat }
    return withUnsent(query.data, out.waiting, out.taken, who)
  }, [query.data, out, me.id, me.name, seat])

  const answered = connected && !out.unanswered
  const here = useFiguresHere(said?.view, out, answered)
  const view = useMemo(
    () =>
      said && here.worked ? { ...said.view, progress: withFiguresHere(said.view.progress, here.worked) } : said?.view,
    [said, here.worked],
  )

  if (!query.data || (query.error && query.error.status > 0)) return { problem: query.error ?? undefined }
  return {
    live: { ...said!, view: view!, here: here.worked, waits: here.waits, me, seat, outbox, out, connected: answered },
  }
}
