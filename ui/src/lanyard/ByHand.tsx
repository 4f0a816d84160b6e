import { NativeSelect } from '@mantine/core'
import { useState } from 'react'
import { v7 } from 'uuid'
import type { TagView } from '../api.gen'
import { Action } from '../app/Action'
import { clockTime, serverNow } from '../app/clock'
import { WordsForm } from '../app/WordsForm'
import type { Live } from '../live/useDeparture'
import classes from './ByHand.module.css'

const MINUTE_MS = 60_000

/** Minutes after which a tag may call. */
const CALLS = ['1', '2', '3', '5', '10', '15', '20']

/** A tag of one's own words, hung at the bead by whose end it must be gone. */
export const HangTag = ({ live, onDone }: { live: Live; onDone: () => void }) => {
  const { header, progress } = live.view
  const ahead = progress.beads.filter((b) => b.state !== 'done')
  const [due, setDue] = useState<string>(ahead[0]?.stage ?? 'tie-off')
  const [minutes, setMinutes] = useState('')
  return (
    <section className={classes.hand} aria-label="Hang a tag">
      <WordsForm
        draft={`${header.id}/tag`}
        label="What must not be forgotten?"
        action="Hang it"
        onCancel={onDone}
        onSay={(words) => {
          live.outbox.put(
            'tag-hung',
            {
              tag: v7(),
              words,
              due: due.replaceAll('-', '_'),
              ...(minutes && { calls: new Date(serverNow() + Number(minutes) * MINUTE_MS).toISOString() }),
            },
            words,
          )
          onDone()
        }}
      >
        <div className={classes.when}>
          <NativeSelect
            size="md"
            label="Gone by the end of"
            value={due}
            onChange={(e) => setDue(e.currentTarget.value)}
            data={ahead.map((b) => ({ value: b.stage, label: b.title }))}
          />
          <NativeSelect
            size="md"
            label="Call"
            value={minutes}
            onChange={(e) => setMinutes(e.currentTarget.value)}
            data={[
              { value: '', label: 'not by the clock' },
              ...CALLS.map((m) => ({ value: m, label: `after ${m} min` })),
            ]}
          />
        </div>
      </WordsForm>
    </section>
  )
}

/** A tag that was hung by hand, held in the hand again. */
export const TakeTag = ({ live, tag, onDone }: { live: Live; tag: TagView; onDone: () => void }) => (
  <section className={classes.hand} aria-label="A tag hung by hand">
    <h2>{tag.title}</h2>
    <p>
      Hung by {tag.by}
      {tag.since && ` at ${clockTime(tag.since, live.view.header.zone)}`}, gone by the end of {tag.due.toLowerCase()}.
    </p>
    <div>
      <Action
        hotkey="Enter"
        main
        disabled={!live.seat || live.view.progress.tiedOff !== undefined}
        onAct={() => {
          live.outbox.put('tag-taken', { tag: tag.hand }, tag.title)
          onDone()
        }}
      >
        Done, take it off
      </Action>
      <Action hotkey="Escape" onAct={onDone}>
        Leave it
      </Action>
    </div>
  </section>
)
