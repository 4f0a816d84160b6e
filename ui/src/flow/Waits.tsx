import { Button } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useEffect } from 'react'
import type { WaitView } from '../api.gen'
import { Key } from '../app/Key'
import { call } from '../app/call'
import { span, useNow } from '../app/clock'
import { stored } from '../app/stored'
import { indexOf } from '../live/marks'
import type { Live } from '../live/useDeparture'
import classes from './Waits.module.css'

interface WaitsProps {
  live: Live
  onGo: (stage: string, step: string) => void
}

const left = (w: WaitView, now: number): number => Date.parse(w.until) - now

const key = (w: WaitView): string => w.step + w.tag || 'holdover'

/** What the fluid on the wings is good for, once the least of its time is over. */
const held = (w: WaitView, now: number): string => {
  const most = w.most ? Date.parse(w.most) - now : 0
  return most > 0 ? `look at the wings within 5 min before take-off; ${span(most)} at most` : 'over: de-ice again'
}

/** The times that run, on every device; each calls once when it is over, and stays until somebody has seen it. */
export const Waits = ({ live, onGo }: WaitsProps) => {
  const { view, seat, outbox } = live
  const now = useNow()
  const { waits } = view.progress
  const byEnd = [...waits].sort((a, b) => a.until.localeCompare(b.until))
  const fluid = (w: WaitView) => w.step === '' && w.tag === ''
  const done = waits.filter((w) => left(w, now) <= 0)
  const over = done.filter((w) => !fluid(w))
  const stageOf = (step = '') => view.card && indexOf(view.card).partOf.get(step)?.stage
  const seen = (w: WaitView) =>
    w.tag ? outbox.put('tag-taken', { tag: w.tag }, w.words) : outbox.put('wait-seen', { step: w.step }, w.words)
  const called = `called/${view.header.id}`
  const calls = done.map((w) => `${key(w)} ${w.until}`).join()
  useEffect(() => {
    const before = stored.get<string[]>(called, [])
    const fresh = calls.split(',').filter((c) => c !== '' && !before.includes(c))
    if (fresh.length === 0) return
    stored.set(called, [...before, ...fresh])
    call()
  }, [calls, called])
  useHotkeys([['m', () => over[0] && seat && seen(over[0])]])
  if (waits.length === 0) return null
  return (
    <ul className={classes.waits} aria-label="Times that run">
      {byEnd.map((w) => (
        <li key={key(w)} data-over={left(w, now) <= 0 || undefined}>
          <span>{w.words}</span>
          {left(w, now) > 0 ? (
            <b>{span(left(w, now))}</b>
          ) : fluid(w) ? (
            <>
              <b>{held(w, now)}</b>
              {stageOf(w.look) && (
                <Button size="desk" onClick={() => onGo(stageOf(w.look)!, w.look!)}>
                  Look at them
                </Button>
              )}
            </>
          ) : (
            <Button size="desk" disabled={!seat} onClick={() => seen(w)} rightSection={w === over[0] && <Key>m</Key>}>
              {w.tag ? 'Done, take it off' : 'Over: seen'}
            </Button>
          )}
        </li>
      ))}
      {waits.length > over.length + 1 && (
        <li className={classes.more}>More times run; they call when they are over.</li>
      )}
    </ul>
  )
}
