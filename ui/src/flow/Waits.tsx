import { Button } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useEffect } from 'react'
import type { WaitView } from '../api.gen'
import { Key } from '../app/Key'
import { call } from '../app/call'
import { span, useNow } from '../app/clock'
import { stored } from '../app/stored'
import type { Live } from '../live/useDeparture'
import classes from './Waits.module.css'

const left = (w: WaitView, now: number): number => Date.parse(w.until) - now

/** The times that run, on every device; each calls once when it is over, and stays until somebody has seen it. */
export const Waits = ({ live }: { live: Live }) => {
  const { view, seat, outbox } = live
  const now = useNow()
  const { waits } = view.progress
  const over = waits.filter((w) => left(w, now) <= 0)
  const seen = (w: WaitView) =>
    w.tag ? outbox.put('tag-taken', { tag: w.tag }, w.words) : outbox.put('wait-seen', { step: w.step }, w.words)
  const called = `called/${view.header.id}`
  const calls = over.map((w) => `${w.step}${w.tag} ${w.until}`).join()
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
      {waits.map((w) => (
        <li key={w.step + w.tag} data-over={left(w, now) <= 0 || undefined}>
          <span>{w.words}</span>
          {left(w, now) > 0 ? (
            <b>{span(left(w, now))}</b>
          ) : (
            <Button size="desk" disabled={!seat} onClick={() => seen(w)} rightSection={w === over[0] && <Key>m</Key>}>
              {w.tag ? 'Done, take it off' : 'Over: seen'}
            </Button>
          )}
        </li>
      ))}
    </ul>
  )
}
