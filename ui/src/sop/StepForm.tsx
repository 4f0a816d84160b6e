import { Checkbox, NativeSelect, Textarea, TextInput } from '@mantine/core'
import { useEffect, useRef } from 'react'
import type { EditorView } from '../api.gen'
import { Fold } from '../app/Fold'
import { AnswerRows } from './AnswerRows'
import { ConditionBuilder } from './ConditionBuilder'
import { Drop } from './Drop'
import { find, number, places, points, type At, type Json, type PackDoc, type States, type StepDoc } from './packDoc'
import classes from './StepForm.module.css'

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
}

/** One step: what people read, when it applies, and below it what it says to machines. */
export const StepForm = ({ doc, editor, at, faults, disabled, focus, onChange }: StepFormProps) => {
  const procedure = doc.procedures[at.p]!
  const step = procedure.steps[at.s]!
  const first = useRef<HTMLInputElement>(null)
  useEffect(() => {
    if (focus > 0) first.current?.focus()
  }, [focus])
  const fault = (field: string) => faults.find((f) => f.field === field)?.what
  const others = faults.filter((f) => !['challenge', 'response', 'caution', 'id', 'at'].includes(f.field))
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
        <div className={classes.line}>
          <span>Then wait</span>
          <input
            aria-label="Seconds to wait"
            size={5}
            value={step.waits?.seconds ?? ''}
            disabled={disabled}
            onChange={(e) =>
              onChange({
                waits:
                  e.currentTarget.value === ''
                    ? undefined
                    : { seconds: number(e.currentTarget.value), before: step.waits?.before ?? 'before the next' },
              } as Partial<StepDoc>)
            }
          />
          s
          {step.waits && (
            <input
              className={classes.wide}
              aria-label="Before what"
              value={step.waits.before}
              disabled={disabled}
              onChange={(e) => onChange({ waits: { ...step.waits!, before: e.currentTarget.value } })}
            />
          )}
        </div>
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
          <input
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
            <input
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
    s.value,
    s.course,
    s['tests-lights'],
  ].some((x) => x !== undefined)

interface StatesRowProps {
  label: string
  doc: PackDoc
  states: States | undefined
  /** Only what a hand moves. */
  controls?: boolean
  disabled: boolean
  onChange: (states: States) => void
}

export const StatesRow = ({ label, doc, states = {}, controls = false, disabled, onChange }: StatesRowProps) => {
  const all = points(doc).filter((p) => !controls || p.control)
  const statesOf = (id: string): string[] => {
    const p = all.find((x) => x.id === id)
    return p?.positions ?? p?.states ?? []
  }
  const free = all.filter((p) => !(p.id in states))
  return (
    <div className={classes.line}>
      <span>{label}</span>
      {Object.entries(states).map(([id, value]) => (
        <span key={id} className={classes.chip}>
          {all.find((p) => p.id === id)?.name ?? id}
          <select
            aria-label={`State of ${id}`}
            value={value}
            disabled={disabled}
            onChange={(e) => onChange({ ...states, [id]: e.currentTarget.value })}
          >
            {statesOf(id).map((s) => (
              <option key={s}>{s}</option>
            ))}
          </select>
          <Drop
            disabled={disabled}
            onDrop={() => onChange(Object.fromEntries(Object.entries(states).filter(([x]) => x !== id)))}
          />
        </span>
      ))}
      <Pick
        label={`Add to: ${label}`}
        disabled={disabled}
        items={free.map((p) => ({ value: p.id, label: `${p.name} (${p.place})` }))}
        onPick={(id) => onChange({ ...states, [id]: statesOf(id).at(-1) ?? '' })}
      />
    </div>
  )
}

interface StepsRowProps {
  label: string
  doc: PackDoc
  ids: string[] | undefined
  only?: (s: StepDoc) => boolean
  disabled: boolean
  onChange: (ids: string[]) => void
}

const StepsRow = ({ label, doc, ids = [], only = () => true, disabled, onChange }: StepsRowProps) => {
  const name = (id: string): string => {
    const at = find(doc, id)
    return at ? doc.procedures[at.p]!.steps[at.s]!.challenge : id
  }
  const items = doc.procedures.flatMap((p) =>
    p.steps
      .filter((s) => only(s) && !ids.includes(s.id))
      .map((s) => ({ value: s.id, label: `${s.challenge} (${p.title})` })),
  )
  return (
    <div className={classes.line}>
      <span>{label}</span>
      {ids.map((id) => (
        <span key={id} className={classes.chip}>
          {name(id)}
          <Drop disabled={disabled} onDrop={() => onChange(ids.filter((x) => x !== id))} />
        </span>
      ))}
      <Pick label={`Add to: ${label}`} disabled={disabled} items={items} onPick={(id) => onChange([...ids, id])} />
    </div>
  )
}

interface Hook {
  tag: string
  items: string[]
}

const hookOf = (h: Json): Hook =>
  typeof h === 'string'
    ? { tag: h, items: [] }
    : {
        tag: String((h as Record<string, Json>).tag),
        items: ((h as Record<string, Json>).items as string[] | undefined) ?? [],
      }
const written = (h: Hook): Json => (h.items.length === 0 ? h.tag : { tag: h.tag, items: h.items })

const TagsRow = ({
  label,
  doc,
  hooks = [],
  disabled,
  onChange,
}: {
  label: string
  doc: PackDoc
  hooks: Json[] | undefined
  disabled: boolean
  onChange: (hooks: Json[]) => void
}) => {
  const all = hooks.map(hookOf)
  const tags = (doc.tags ?? []).filter((t) => (t['hangs-on'] ?? 'step') === 'step')
  const put = (next: Hook[]) => onChange(next.map(written))
  return (
    <div className={classes.line}>
      <span>{label}</span>
      {all.map((h, i) => (
        <span key={h.tag} className={classes.chip}>
          {h.tag}
          <input
            aria-label={`Items of ${h.tag}, with commas`}
            placeholder="the whole tag"
            value={h.items.join(', ')}
            disabled={disabled}
            size={Math.max(12, h.items.join(', ').length)}
            onChange={(e) =>
              put(
                all.map((x, k) =>
                  k === i
                    ? {
                        ...x,
                        items:
                          e.currentTarget.value === ''
                            ? []
                            : e.currentTarget.value.split(',').map((v) => v.trimStart()),
                      }
                    : x,
                ),
              )
            }
          />
          <Drop disabled={disabled} onDrop={() => put(all.filter((_, k) => k !== i))} />
        </span>
      ))}
      <Pick
        label={`Add to: ${label}`}
        disabled={disabled}
        items={tags.filter((t) => !all.some((h) => h.tag === t.id)).map((t) => ({ value: t.id, label: t.title }))}
        onPick={(id) => put([...all, { tag: id, items: [] }])}
      />
    </div>
  )
}

const MeasureRow = ({
  doc,
  step,
  disabled,
  onChange,
}: {
  doc: PackDoc
  step: StepDoc
  disabled: boolean
  onChange: (change: Partial<StepDoc>) => void
}) => {
  const m = step.measures
  const set = (field: 'least' | 'most', text: string) => {
    const { [field]: _, ...rest } = m!
    onChange({
      measures: (text === '' ? rest : { ...rest, [field]: number(text) }) as NonNullable<StepDoc['measures']>,
    })
  }
  return (
    <div className={classes.line}>
      <span>Measures</span>
      <select
        aria-label="What it measures"
        value={m?.quantity ?? ''}
        disabled={disabled}
        onChange={(e) => {
          const q = doc.quantities?.find((x) => x.id === e.currentTarget.value)
          onChange({ measures: q ? { quantity: q.id, unit: q.unit } : undefined } as Partial<StepDoc>)
        }}
      >
        <option value="">nothing</option>
        {(doc.quantities ?? []).map((q) => (
          <option key={q.id} value={q.id}>
            {q.name}
          </option>
        ))}
      </select>
      {m && (
        <>
          from{' '}
          <input
            aria-label="Least"
            size={6}
            value={m.least ?? ''}
            disabled={disabled}
            onChange={(e) => set('least', e.currentTarget.value)}
          />
          to{' '}
          <input
            aria-label="Most"
            size={6}
            value={m.most ?? ''}
            disabled={disabled}
            onChange={(e) => set('most', e.currentTarget.value)}
          />{' '}
          {m.unit}
        </>
      )}
    </div>
  )
}

const Pick = ({
  label,
  items,
  disabled,
  onPick,
}: {
  label: string
  items: { value: string; label: string }[]
  disabled: boolean
  onPick: (value: string) => void
}) => (
  <select
    className={classes.add}
    aria-label={label}
    value=""
    disabled={disabled}
    onChange={(e) => onPick(e.currentTarget.value)}
  >
    <option value="">+</option>
    {items.map((i) => (
      <option key={i.value} value={i.value}>
        {i.label}
      </option>
    ))}
  </select>
)
