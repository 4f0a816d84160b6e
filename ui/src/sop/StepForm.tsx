import { Checkbox, NativeSelect, Textarea, TextInput } from '@mantine/core'
import { useEffect, useRef } from 'react'
import type { EditorView } from '../api.gen'
import { Fold } from '../app/Fold'
import { AnswerRows } from './AnswerRows'
import { ConditionBuilder } from './ConditionBuilder'
import { DrawingsRow, MeasureRow, StatesRow, StepsRow, TagsRow } from './MachineRows'
import { number, places, type At, type PackDoc, type StepDoc } from './packDoc'
import classes from './StepForm.module.css'
import { SmallField } from './SmallField'
import { WaitRow } from './WaitRow'

interface StepFormProps {
  doc: PackDoc
  editor: EditorView
  at: At
  /** What is wrong with this step, by field. */
  faults: { field: string; what: string }[]
  disabled: boolean
  /** Counts up when the first field should be gone to. */
  focus: number
  onChange: (change: Partial<StepDoc>) => void
  /** How the place looks when all is right. */
  onGlance: (place: string, glance: string) => void
}

/** One step: what people read, when it applies, and below it what it says to machines. */
export const StepForm = ({ doc, editor, at, faults, disabled, focus, onChange, onGlance }: StepFormProps) => {
  const procedure = doc.procedures[at.p]!
  const step = procedure.steps[at.s]!
  const first = useRef<HTMLInputElement>(null)
  useEffect(() => {
    if (focus > 0) first.current?.focus()
  }, [focus])
  const place = places(doc).find((p) => p.id === step.at)
  const looks = (change: StepDoc['looks']) => {
    const { right = [], wrong = [] } = { ...step.looks, ...change }
    onChange({ looks: { ...(right.length > 0 && { right }), ...(wrong.length > 0 && { wrong }) } })
  }
  const fault = (field: string) => faults.find((f) => f.field === field)?.what
  const others = faults.filter((f) => !['challenge', 'response', 'says', 'caution', 'id', 'at'].includes(f.field))
  return (
    <div className={classes.form}>
      {others.length > 0 && (
        <div role="alert">
          <ul className={classes.faults}>
            {others.map((f) => (
              <li key={f.field + f.what}>{f.what}</li>
            ))}
          </ul>
        </div>
      )}
      <TextInput
        ref={first}
        label="Challenge"
        value={step.challenge}
        error={fault('challenge')}
        disabled={disabled}
        onChange={(e) => onChange({ challenge: e.currentTarget.value })}
      />
      <TextInput
        label="Response"
        value={step.response}
        error={fault('response')}
        disabled={disabled}
        onChange={(e) => onChange({ response: e.currentTarget.value })}
      />
      {procedure.kind === 'briefing' && (
        <Textarea
          label="What is said, with places for today such as {v1} or {wind}"
          placeholder="the response"
          value={step.says ?? ''}
          autosize
          minRows={2}
          error={fault('says')}
          disabled={disabled}
          onChange={(e) => onChange({ says: e.currentTarget.value })}
        />
      )}
      <div className={classes.pair}>
        <NativeSelect
          label="Whose"
          value={step.owner ?? ''}
          disabled={disabled}
          onChange={(e) => onChange({ owner: e.currentTarget.value })}
          data={[
            {
              value: '',
              label: procedure.owner
                ? `as the procedure: ${editor.owners.find((o) => o.id === procedure.owner)?.words}`
                : 'nobody yet',
            },
            ...editor.owners.map((o) => ({ value: o.id, label: o.words })),
          ]}
        />
        <NativeSelect
          label="Where"
          value={step.at}
          error={fault('at')}
          disabled={disabled}
          onChange={(e) => onChange({ at: e.currentTarget.value })}
          data={places(doc).map((p) => ({ value: p.id, label: p.name }))}
        />
      </div>
      {place && (
        <TextInput
          label={`${place.name} at one look, when all is right`}
          value={place.glance ?? ''}
          disabled={disabled}
          onChange={(e) => onGlance(place.id, e.currentTarget.value)}
        />
      )}
      <ConditionBuilder
        doc={doc}
        editor={editor}
        when={step.when}
        disabled={disabled}
        onChange={(when) => onChange({ when } as Partial<StepDoc>)}
      />
      <Textarea
        label="Caution"
        value={step.caution ?? ''}
        autosize
        minRows={1}
        disabled={disabled}
        onChange={(e) => onChange({ caution: e.currentTarget.value })}
      />
      <Textarea
        label="Why, for who wonders"
        value={step.why ?? ''}
        autosize
        minRows={1}
        disabled={disabled}
        onChange={(e) => onChange({ why: e.currentTarget.value })}
      />
      {(doc.drawings ?? []).length > 0 && (
        <>
          <DrawingsRow
            label="Looks right"
            doc={doc}
            ids={step.looks?.right}
            disabled={disabled}
            onChange={(right) => looks({ right })}
          />
          <DrawingsRow
            label="Looks wrong"
            doc={doc}
            ids={step.looks?.wrong}
            disabled={disabled}
            onChange={(wrong) => looks({ wrong })}
          />
        </>
      )}
      <div className={classes.marks}>
        <Checkbox
          label="Critical"
          checked={step.critical ?? false}
          disabled={disabled}
          onChange={(e) => onChange({ critical: e.currentTarget.checked })}
        />
        <Checkbox
          label="Alerting catches it"
          checked={step.alerted ?? false}
          disabled={disabled}
          onChange={(e) => onChange({ alerted: e.currentTarget.checked })}
        />
        <Checkbox
          label="Moves a trim: the control check is made again"
          checked={step['changes-trim'] ?? false}
          disabled={disabled}
          onChange={(e) => onChange({ 'changes-trim': e.currentTarget.checked })}
        />
        <Checkbox
          label="Never while fuelling"
          checked={step['not-while-fuelling'] ?? false}
          disabled={disabled}
          onChange={(e) => onChange({ 'not-while-fuelling': e.currentTarget.checked })}
        />
        {procedure.kind === 'checklist' && (
          <Checkbox
            label="Below the line"
            checked={step['below-line'] ?? false}
            disabled={disabled}
            onChange={(e) => onChange({ 'below-line': e.currentTarget.checked })}
          />
        )}
      </div>
      <Fold
        line="What it sets, needs, opens and measures, and how it is answered"
        unfolded={machine(step)}
        className={classes.machine!}
      >
        <StatesRow
          label="Sets"
          doc={doc}
          states={step.sets}
          controls
          disabled={disabled}
          onChange={(sets) => onChange({ sets })}
        />
        <StatesRow
          label="Expects"
          doc={doc}
          states={step.expects}
          disabled={disabled}
          onChange={(expects) => onChange({ expects })}
        />
        <StatesRow
          label="Verifies"
          doc={doc}
          states={step.verifies}
          disabled={disabled}
          onChange={(verifies) => onChange({ verifies })}
        />
        <StepsRow
          label="Needs"
          doc={doc}
          ids={step.needs}
          disabled={disabled}
          onChange={(needs) => onChange({ needs })}
        />
        <TagsRow
          label="Opens"
          doc={doc}
          hooks={step.opens}
          disabled={disabled}
          onChange={(opens) => onChange({ opens })}
        />
        <TagsRow
          label="Closes"
          doc={doc}
          hooks={step.closes}
          disabled={disabled}
          onChange={(closes) => onChange({ closes })}
        />
        <WaitRow wait={step.waits} disabled={disabled} onChange={onChange} />
        <StepsRow
          label="After the wait of"
          doc={doc}
          ids={step['after-wait']}
          only={(s) => s.waits !== undefined}
          disabled={disabled}
          onChange={(ids) => onChange({ 'after-wait': ids })}
        />
        <MeasureRow doc={doc} step={step} disabled={disabled} onChange={onChange} />
        <div className={classes.line}>
          <span>In turn</span>
          <SmallField
            className={classes.wide}
            aria-label="Choices, with commas"
            placeholder="one, two"
            value={step.alternates?.choices.join(', ') ?? ''}
            disabled={disabled}
            onChange={(e) =>
              onChange({
                alternates:
                  e.currentTarget.value === ''
                    ? undefined
                    : { ...step.alternates, choices: e.currentTarget.value.split(',').map((c) => c.trimStart()) },
              } as Partial<StepDoc>)
            }
          />
          {step.alternates && (
            <SmallField
              aria-label="Remembered as"
              placeholder="remembered as"
              value={step.alternates.memory ?? ''}
              disabled={disabled}
              onChange={(e) =>
                onChange({
                  alternates: {
                    choices: step.alternates!.choices,
                    ...(e.currentTarget.value && { memory: e.currentTarget.value }),
                  },
                })
              }
            />
          )}
        </div>
        <AnswerRows doc={doc} editor={editor} step={step} disabled={disabled} onChange={onChange} />
        <div className={classes.line}>
          <span>Number on the printed card</span>
          <SmallField
            aria-label="Number on the printed card"
            chars={5}
            value={step.number ?? ''}
            disabled={disabled}
            onChange={(e) =>
              onChange({
                number: e.currentTarget.value === '' ? undefined : number(e.currentTarget.value),
              } as Partial<StepDoc>)
            }
          />
        </div>
        <TextInput
          label="Name in the pack"
          value={step.id}
          error={fault('id')}
          disabled={disabled}
          onChange={(e) => onChange({ id: e.currentTarget.value })}
        />
      </Fold>
    </div>
  )
}

/** Opened at once where a step says anything to machines. */
const machine = (s: StepDoc): boolean =>
  [
    s.sets,
    s.expects,
    s.verifies,
    s.needs,
    s.opens,
    s.closes,
    s.waits,
    s['after-wait'],
    s.measures,
    s.alternates,
    s.enters,
    s.value,
    s.course,
    s.messages,
    s.number,
    s['tests-lights'],
  ].some((x) => x !== undefined)
