import { Button } from '@mantine/core'
import { useState } from 'react'
import type { CaseView, DepartureView, FindView } from '../api.gen'
import { Action } from '../app/Action'
import { Fold } from '../app/Fold'
import { clockTime, day } from '../app/clock'
import { WordsForm } from '../app/WordsForm'
import { indexOf } from '../live/marks'
import type { Live } from '../live/useDeparture'
import { ReadingNote } from '../gauge/ReadingNote'
import { PhotoRow } from './Photo'
import { Walk } from '../drawing/Walk'
import { CaseNote } from './CaseNote'
import classes from './FindsStage.module.css'

const VERDICTS: { name: CaseView['allowed'][number]; words: string; means: string; hotkey: string }[] = [
  { name: 'nothing-to-enter', words: 'Nothing to enter', means: 'It is as it may be.', hotkey: 'q' },
  {
    name: 'fly-with-entry',
    words: 'Fly with an entry',
    means: 'Under the entry named; you say what is entered.',
    hotkey: 'w',
  },
  {
    name: 'maintenance-first',
    words: 'Maintenance first',
    means: 'The aircraft waits for licensed maintenance.',
    hotkey: 'e',
  },
  { name: 'stops-the-flight', words: 'Stops the flight', means: 'This aircraft does not go.', hotkey: 'r' },
]

/** What was found at the same place before, to hold beside this one. */
const Before = ({ view, find }: { view: DepartureView; find: FindView }) => {
  const before = view.progress.tech.before.filter(
    (b) => b.step === find.step || (find.place !== '' && b.place === find.place),
  )
  if (before.length === 0) return null
  return (
    <Fold line={`Found at this place before: ${before.length}`} className={classes.before!}>
      {before.map((b) => (
        <div key={b.id}>
          {b.what} · {b.by}, {day(b.at)}
          {b.verdict && ` · ${b.verdict.toLowerCase()}`}
          <PhotoRow ids={b.photos} of={b.what} />
        </div>
      ))}
    </Fold>
  )
}

/** Finds and the commander's decision on each. */
export const FindsStage = ({ live }: { live: Live }) => {
  const { view, me, outbox } = live
  const [verdict, setVerdict] = useState('')
  const [again, setAgain] = useState('')
  const finds = view.progress.finds
  const find = finds.find((f) => f.id === again) ?? finds.find((f) => f.verdict === '')
  const kept = live.raised
  const commander = view.header.crew.some((c) => c.id === me.id && c.commander)
  const station = view.card?.places.find((p) => p.id === find?.place && p.width === 0)
  const chosen = VERDICTS.find((v) => v.name === verdict)
  const decide = (f: FindView, name: string, words: string) => {
    outbox.put(
      'verdict-taken',
      { find: f.id, verdict: name.replaceAll('-', '_'), words },
      `the decision on ${f.challenge}`,
    )
    setVerdict('')
    setAgain('')
  }
  return (
    <div>
      <p className={classes.where}>Finds · {finds.filter((f) => f.verdict === '').length} without a decision</p>
      {find ? (
        <>
          <h1 className={classes.note}>{find.note}</h1>
          <p className={classes.facts}>
            {find.challenge} · {find.by}, {clockTime(find.at, view.header.zone)}
          </p>
          <p className={classes.facts}>
            {find.severity}
            {find.count > 1 && `, ${find.count} of them`}
            {find.entry && `, named as ${find.entry}`}
          </p>
          <PhotoRow ids={find.photos} of={find.challenge} />
          {view.card && station && find.spot && (
            <div className={classes.spot}>
              <Walk
                planform={view.card.planform}
                places={view.card.places}
                route={[station.id]}
                here=""
                left={new Set()}
                spots={[find.spot]}
                around={station}
              />
            </div>
          )}
          {find.measured && <ReadingNote name={find.challenge} reading={view.progress.steps[find.step]?.reading} />}
          <Before view={view} find={find} />
          {find.proposed && <CaseNote of={find.proposed} />}
          <p>The operator's manuals and licensed maintenance say what may go; the commander decides.</p>
          {!commander ? (
            <p className={classes.facts}>The commander decides on it.</p>
          ) : chosen ? (
            <WordsForm
              key={find.id + verdict}
              draft={`${view.header.id}/${find.id}/${verdict}`}
              label={`${chosen.words}: why, and what is entered?`}
              action={chosen.words}
              onCancel={() => setVerdict('')}
              onSay={(words) => decide(find, verdict, words)}
            />
          ) : (
            <div className={classes.actions}>
              {VERDICTS.map((v) => (
                <Action
                  key={v.name}
                  hotkey={v.hotkey}
                  disabled={view.progress.tiedOff !== undefined || find.proposed?.allowed.includes(v.name) === false}
                  onAct={() => (v.name === 'nothing-to-enter' ? decide(find, v.name, '') : setVerdict(v.name))}
                >
                  {v.words}
                  <small className={classes.means}>
                    {find.proposed?.allowed.includes(v.name) === false ? 'The list does not support it.' : v.means}
                  </small>
                </Action>
              ))}
            </div>
          )}
        </>
      ) : (
        <h1 className={classes.note}>
          {kept.length > 0 ? 'Kept on this device' : finds.length === 0 ? 'No finds' : 'Every find has its decision'}
        </h1>
      )}
      {kept.length > 0 && (
        <ul className={classes.list} aria-label="Kept on this device">
          {kept.map((k) => (
            <li key={k.id}>
              <b>{view.card && indexOf(view.card).byId.get(k.step)?.challenge}</b>: {k.note}
              <span>kept on this device; the commander decides once it is sent</span>
              <PhotoRow ids={k.photos} of={k.note} />
            </li>
          ))}
        </ul>
      )}
      <ul className={classes.list}>
        {finds
          .filter((f) => f.id !== find?.id)
          .map((f) => (
            <li key={f.id}>
              <b>{f.challenge}</b>: {f.note}
              <span>
                {f.verdict ? `${f.verdict}${f.words ? `, ${f.words}` : ''} (${f.decidedBy})` : 'no decision yet'}{' '}
                {commander && f.verdict && !view.progress.tiedOff && (
                  <Button size="desk" className={classes.again!} onClick={() => setAgain(f.id)}>
                    Decide again
                  </Button>
                )}
              </span>
            </li>
          ))}
      </ul>
    </div>
  )
}
