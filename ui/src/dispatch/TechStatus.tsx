import { Button, TextInput } from '@mantine/core'
import { Link } from '@tanstack/react-router'
import { useState } from 'react'
import { Fold } from '../app/Fold'
import { day } from '../app/clock'
import type { Live } from '../live/useDeparture'
import classes from './TechStatus.module.css'

/** The technical log before anything else: is it this aircraft's, and does what is deferred allow the flight? */
export const TechStatus = ({ live }: { live: Live }) => {
  const { view, seat, outbox } = live
  const { deferrals, before, logTail } = view.progress.tech
  const [text, setText] = useState('')
  const tail = view.header.tail
  const read = () => {
    const plain = text.trim().toUpperCase()
    if (plain === '') return
    outbox.put('log-tail-read', { tail: plain }, 'the registration on the technical log')
    setText('')
  }
  return (
    <section className={classes.tech}>
      <h2>
        Technical log{' '}
        <Link to="/tails/$tail" params={{ tail }}>
          of {tail}
        </Link>
      </h2>
      {logTail === '' ? (
        <form
          onSubmit={(e) => {
            e.preventDefault()
            read()
          }}
        >
          <TextInput
            label="Registration on the log in the flight deck"
            value={text}
            disabled={!seat || view.progress.tiedOff !== undefined}
            autoCapitalize="characters"
            onChange={(e) => setText(e.currentTarget.value)}
          />
          <Button type="submit" size="desk" disabled={!seat || text.trim() === ''}>
            Compare
          </Button>
        </form>
      ) : (
        <p data-other={logTail !== tail || undefined} className={classes.compared}>
          {logTail === tail
            ? `The log in the flight deck is this aircraft's, ${tail}.`
            : `The log in the flight deck is of ${logTail}; this is ${tail}.`}
          {logTail !== tail && (
            <Button
              size="desk"
              disabled={!seat}
              onClick={() => outbox.put('log-tail-read', { tail }, 'the registration on the technical log')}
            >
              The right log is here now
            </Button>
          )}
        </p>
      )}
      <ul>
        {deferrals.map((d) => (
          <li key={d.defect} data-bars={d.bars !== '' || undefined}>
            <b>
              {d.entry} {d.title}
            </b>
            <span>{d.left}</span>
            <p>
              {d.note}.{d.operating && ` ${d.operating}`}
              {d.bars && ` Not for this flight: ${d.bars}.`}
            </p>
          </li>
        ))}
        {deferrals.length === 0 && <li>Nothing is deferred.</li>}
      </ul>
      {before.length > 0 && (
        <Fold line={`Found before: ${before.length}`}>
          <ul>
            {before.map((f) => (
              <li key={f.id}>
                {f.what} · {f.by}, {day(f.at)}
                {f.verdict && ` · ${f.verdict.toLowerCase()}`}
              </li>
            ))}
          </ul>
        </Fold>
      )}
    </section>
  )
}
