import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { GroundPlanView, TaxiView } from '../api.gen'
import { Action } from '../app/Action'
import type { Live } from '../live/useDeparture'
import classes from './Clearance.module.css'

interface ClearanceProps {
  live: Live
  plan: GroundPlanView
  taxi: TaxiView
}

/** The taxi clearance: each pilot says alone what was heard, and the two are compared. */
export const Clearance = ({ live, plan, taxi }: ClearanceProps) => {
  const { seat, outbox, view } = live
  const [open, setOpen] = useState(false)
  const mine = seat !== '' && taxi.saidBy.includes(seat)
  const pilots = seat === 'left' || seat === 'right'
  const unsent = live.out.waiting.some((w) => w.kind === 'taxi-cleared')
  const across = view.header.crew.find((c) => c.seat !== seat && c.seat !== 'engineer')
  const other = across?.name.split(' ').at(-1) ?? 'The other pilot'
  const closed = !pilots || view.progress.tiedOff !== undefined
  return (
    <div className={classes.clearance} aria-label="Taxi clearance" role="group">
      <p className={classes.stands} data-standing={taxi.standing} role="status">
        {unsent ? 'Said here, not sent yet; the other seat cannot be compared.' : words(taxi, mine, other)}
      </p>
      {taxi.standing === 'differs' && (
        <>
          {taxi.differences.map((d) => (
            <p key={d} className={classes.differs}>
              {d}
            </p>
          ))}
          {taxi.heard.map((h) => (
            <p key={h.by} className={classes.heard}>
              <b>{h.by}</b> {h.words}
            </p>
          ))}
        </>
      )}
      {taxi.before !== '' && taxi.standing !== 'agreed' && (
        <p className={classes.heard}>
          <b>Changed.</b> Before it was {taxi.before}
        </p>
      )}
      {open ? (
        <Entry
          plan={plan}
          onBack={() => setOpen(false)}
          onSay={(from, heard) => {
            outbox.put('taxi-cleared', { from, words: heard }, `the clearance ${heard}`)
            setOpen(false)
          }}
        />
      ) : (
        <Action hotkey="c" size="seat" disabled={closed} onAct={() => setOpen(true)}>
          {taxi.standing === 'none'
            ? 'Enter the clearance'
            : taxi.standing === 'agreed'
              ? 'A changed clearance'
              : mine
                ? 'Enter it again'
                : 'Enter what you heard'}
        </Action>
      )}
    </div>
  )
}

const words = (taxi: TaxiView, mine: boolean, other: string): string => {
  switch (taxi.standing) {
    case 'none':
      return 'No clearance yet. Each enters alone what was heard; the two are compared.'
    case 'by-one':
      return mine
        ? `You have entered it. ${other} enters what was heard.`
        : `${other} has entered it, covered. Enter what you heard.`
    case 'differs':
      return 'Heard differently. Ask again, and read back.'
    default:
      return `Both heard: ${taxi.way?.words ?? taxi.heard[0]?.words ?? ''}`
  }
}

interface EntryProps {
  plan: GroundPlanView
  onSay: (from: string, heard: string) => void
  onBack: () => void
}

/** Typed, or picked name by name, in the order in which it is heard. */
const Entry = ({ plan, onSay, onBack }: EntryProps) => {
  const [from, setFrom] = useState('')
  const [heard, setHeard] = useState('')
  const stands = plan.spots.filter((s) => s.kind === 'stand')
  const holding = plan.spots.filter((s) => s.kind === 'holding').map((s) => s.name)
  const lanes = plan.lanes.filter((l) => !l.apron && !l.onRunway && !holding.includes(l.name)).map((l) => l.name)
  const backtrack = plan.spots.filter((s) => s.kind === 'turn-pad')
  const add = (name: string) => setHeard((h) => `${h.trim()} ${name}`.trim())
  const row = (label: string, names: { shown: string; said: string }[]) =>
    names.length > 0 && (
      <div className={classes.row} role="group" aria-label={label}>
        <span>{label}</span>
        {names.map((n) => (
          <Button key={n.said} size="seat" variant="rest" onClick={() => add(n.said)}>
            {n.shown}
          </Button>
        ))}
      </div>
    )
  const plain = (names: string[]) => names.map((n) => ({ shown: n, said: n }))
  return (
    <form
      className={classes.entry}
      onSubmit={(e) => {
        e.preventDefault()
        if (from && heard.trim()) onSay(from, heard.trim())
      }}
    >
      <div className={classes.row} role="group" aria-label="From stand">
        <span>From stand</span>
        {stands.map((s) => (
          <Button
            key={s.name}
            size="seat"
            variant={from === s.name ? 'main' : 'rest'}
            aria-pressed={from === s.name}
            onClick={() => setFrom(s.name)}
          >
            {s.name}
          </Button>
        ))}
      </div>
      <TextInput
        label="As you heard it, limit or route first"
        placeholder="A1 via A"
        value={heard}
        autoComplete="off"
        maxLength={300}
        onChange={(e) => setHeard(e.currentTarget.value)}
      />
      {row('Via', plain(lanes))}
      {row('Hold at', plain(holding))}
      {row(
        'Cross',
        plan.strips.map((s) => ({ shown: s.name, said: `cross ${s.name}` })),
      )}
      {row(
        'Backtrack',
        backtrack.map((s) => ({ shown: s.name.slice(1), said: `backtrack ${s.name.slice(1)}` })),
      )}
      <div className={classes.ways}>
        <Button type="submit" disabled={!from || !heard.trim()}>
          That is what I heard
        </Button>
        <Button disabled={!heard} onClick={() => setHeard('')}>
          Clear
        </Button>
        <Button onClick={onBack}>Back</Button>
      </div>
    </form>
  )
}
