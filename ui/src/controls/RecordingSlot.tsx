import { Button, NativeSelect } from '@mantine/core'
import { useRef } from 'react'
import type { RecordingView } from '../api.gen'
import { Action } from '../app/Action'
import { FileChoice } from '../app/FileChoice'
import classes from './Recordings.module.css'

/** A recording that is looked at. */
export interface Shown {
  title: string
  view: RecordingView
  /** Where it was brought in. */
  file?: File
}

/** One that a departure kept. */
export interface Kept {
  tail: string
  departure: string
  sha256: string
  label: string
}

interface RecordingSlotProps {
  second: boolean
  shown: Shown | undefined
  kept: readonly Kept[]
  onFile: (file: File) => void
  onKept: (kept: Kept) => void
  onSave: (name: string, text: string) => void
  onRewrite: (file: File) => void
}

const VERDICTS = { passed: 'passed', incomplete: 'incomplete', 'not-passed': 'not passed' } as const

/** One of the two recordings: where it comes from, what it showed, and out of here. */
export const RecordingSlot = ({ second, shown, kept, onFile, onKept, onSave, onRewrite }: RecordingSlotProps) => {
  const open = useRef<HTMLButtonElement>(null)
  const { title, view, file } = shown ?? {}
  const empty = second ? 'Second, laid over it' : 'First recording'
  return (
    <section className={classes.slot} data-second={second || undefined} aria-label={second ? 'Second' : 'First'}>
      <h2>{view ? `${title}: ${VERDICTS[view.judgement.verdict]}` : empty}</h2>
      {view && <p className={classes.facts}>{view.judgement.summary}</p>}
      <div className={classes.row}>
        <FileChoice accept=".csv,.gz,text/csv,application/gzip" onChange={(f) => f && onFile(f)}>
          {(props) => (
            <>
              <button {...props} ref={open} type="button" hidden aria-hidden="true" tabIndex={-1} />
              <Action hotkey={second ? '2' : '1'} size="seat" onAct={() => open.current?.click()}>
                A file
              </Action>
            </>
          )}
        </FileChoice>
        <NativeSelect
          aria-label={second ? 'A kept check, second' : 'A kept check, first'}
          value=""
          onChange={(e) => {
            const one = kept.find((k) => k.sha256 + k.departure === e.currentTarget.value)
            if (one) onKept(one)
          }}
          data={[
            { value: '', label: kept.length > 0 ? 'One that a departure kept' : 'No departure has kept one' },
            ...kept.map((k) => ({ value: k.sha256 + k.departure, label: k.label })),
          ]}
        />
      </div>
      {view && (
        <div className={classes.row}>
          <Button
            variant="plain"
            size="desk"
            onClick={() => onSave(`${title}-findings.json`, JSON.stringify(view.judgement, null, 2))}
          >
            Findings as JSON
          </Button>
          {file && (
            <Button variant="plain" size="desk" onClick={() => onRewrite(file)}>
              With our heads, as CSV
            </Button>
          )}
        </div>
      )}
    </section>
  )
}
