import { Button, Textarea } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import type { FiguresView } from '../api.gen'
import { Action } from '../app/Action'
import { ask, type Problem } from '../app/api'
import { ProblemNotice } from '../app/Notice'
import { ChangeByHand } from './ChangeByHand'
import { sheetHere } from '../live/here'
import { deviceName } from '../live/outbox'
import classes from './Figures.module.css'

interface SheetPanelProps {
  departure: string
  figures: FiguresView
  disabled: boolean
  onTaken: () => void
  /** A sheet that this device has read, where nobody answers. */
  onRead: (body: Record<string, unknown>) => void
  onChanged: (body: Record<string, unknown>) => void
  onBack: () => void
}

/** The load sheet as it was received, and the ways to get one. */
export const SheetPanel = ({ departure, figures, disabled, onTaken, onRead, onChanged, onBack }: SheetPanelProps) => {
  const [text, setText] = useState<string>()
  const [changing, setChanging] = useState(false)
  const take = useMutation<unknown, Problem, string | undefined>({
    mutationFn: (sheet) =>
      sheet === undefined
        ? ask('POST', `/api/departures/${departure}/load-sheet`, { device: deviceName() })
        : ask('POST', `/api/departures/${departure}/load-sheet-text`, { device: deviceName(), text: sheet }).then(
            onTaken,
            async (p: Problem) => {
              if (p.status !== 0) throw p
              await sheetHere(sheet)
              onRead({ text: sheet })
            },
          ),
    onSuccess: (_, sheet) => sheet === undefined && onTaken(),
  })
  const sheet = figures.given.sheet
  return (
    <section className={classes.panel} aria-label="Load sheet">
      <h2>{sheet ? `Load sheet, edition ${sheet.edition}` : 'No load sheet yet'}</h2>
      {sheet && (
        <>
          <p className={classes.soft}>As it was received: {sheet.from}</p>
          {sheet.changed && <p>Changed by hand since: {sheet.changed}</p>}
          {!changing && (
            <ul>
              {[...sheet.states, ...sheet.fuel].map((l) => (
                <li key={l}>{l}</li>
              ))}
            </ul>
          )}
          {!changing && figures.given.fuelRead.length > 0 && (
            <>
              <h3>Fuel, as it was read</h3>
              <ul>
                {figures.given.fuelRead.map((l) => (
                  <li key={l}>{l}</li>
                ))}
              </ul>
            </>
          )}
        </>
      )}
      {take.error && <ProblemNotice problem={take.error} />}
      {changing && sheet ? (
        <ChangeByHand figures={figures} onSay={onChanged} onBack={() => setChanging(false)} />
      ) : text === undefined ? (
        <div className={classes.ways}>
          <Action hotkey="s" main={!sheet} disabled={disabled || take.isPending} onAct={() => take.mutate(undefined)}>
            {sheet ? 'Ask' : 'Take it from'} the {figures.choices.sheetService}
            {sheet ? ' for a newer one' : ''}
          </Action>
          {sheet && (
            <Action hotkey="k" disabled={disabled} onAct={() => setChanging(true)}>
              Last-minute change
            </Action>
          )}
          <Button disabled={disabled} onClick={() => setText('')}>
            Bring one in by its text
          </Button>
          <Button onClick={onBack}>Back</Button>
        </div>
      ) : (
        <>
          <Textarea
            label="The sheet, in the open format, JSON, YAML or CSV"
            autosize
            minRows={4}
            maxRows={9}
            value={text}
            onChange={(e) => setText(e.currentTarget.value)}
          />
          <div className={classes.ways}>
            <Button variant="main" disabled={text.trim() === '' || take.isPending} onClick={() => take.mutate(text)}>
              Take it
            </Button>
            <Button onClick={() => setText(undefined)}>Back</Button>
          </div>
        </>
      )}
    </section>
  )
}
