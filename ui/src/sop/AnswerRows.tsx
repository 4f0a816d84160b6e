import { Checkbox, UnstyledButton } from '@mantine/core'
import type { EditorView } from '../api.gen'
import { Drop } from './Drop'
import { FiguresRow } from './MachineRows'
import { number, points, type PackDoc, type StepDoc, type ValueDoc } from './packDoc'
import classes from './StepForm.module.css'
import { SmallField, SmallSelect } from './SmallField'

interface AnswerRowsProps {
  doc: PackDoc
  editor: EditorView
  step: StepDoc
  disabled: boolean
  onChange: (change: Partial<StepDoc>) => void
}

/** How a step is answered where a press is not enough: with a value of today, or part by part. */
export const AnswerRows = ({ doc, editor, step, disabled, onChange }: AnswerRowsProps) => (
  <>
    <ValueRow doc={doc} editor={editor} step={step} disabled={disabled} onChange={onChange} />
    {step.value?.agreed !== undefined && (
      <FiguresRow
        label="Figures agreed"
        editor={editor}
        figures={[step.value.agreed].flat()}
        disabled={disabled}
        onChange={(agreed) => onChange({ value: withAgreed(step.value!, agreed) } as Partial<StepDoc>)}
      />
    )}
    <FiguresRow
      label="Entered by two"
      editor={editor}
      figures={step.enters ?? []}
      disabled={disabled}
      onChange={(enters) => onChange({ enters })}
    />
    <PairsRow
      label="Test in parts"
      one="Part"
      pairs={step.course ?? []}
      fields={[
        ['act', 'press'],
        ['see', 'see'],
      ]}
      empty={{ act: '', see: '' }}
      disabled={disabled}
      onChange={(course) => onChange({ course })}
    />
    <PairsRow
      label="A display may show"
      one="Message"
      pairs={step.messages ?? []}
      fields={[
        ['shows', 'as it reads'],
        ['expected', 'expected, as'],
      ]}
      empty={{ shows: '' }}
      disabled={disabled}
      onChange={(messages) => onChange({ messages })}
    />
    <Checkbox
      label="It is the lights test: what it does not light is listed"
      checked={step['tests-lights'] ?? false}
      disabled={disabled}
      onChange={(e) => onChange({ 'tests-lights': e.currentTarget.checked })}
    />
  </>
)

/** The sources of a value as one choice: a figure of the flight, a control's position, or whose turn it is. */
const sourceOf = (v: ValueDoc | undefined): string =>
  !v ? '' : v.turn ? 'turn' : v.agreed ? 'agreed' : v.position ? `position/${v.position}` : `of/${v.of}`

const withSource = (source: string, back: boolean | undefined): ValueDoc | undefined => {
  const [kind, name = ''] = source.split('/')
  const rest = back ? { back } : {}
  if (kind === 'turn') return { turn: true, ...rest }
  if (kind === 'agreed') return { agreed: ['v1'], ...rest }
  if (kind === 'position') return { position: name, ...rest }
  return kind === 'of' ? { of: name, ...rest } : undefined
}

/** One figure can be asked back, several cannot; none is no value. */
const withAgreed = ({ back, ...value }: ValueDoc, agreed: string[]): ValueDoc | undefined =>
  agreed.length === 0 ? undefined : { ...value, agreed, ...(back && agreed.length === 1 && { back }) }

const ValueRow = ({ doc, editor, step, disabled, onChange }: AnswerRowsProps) => {
  const value = step.value
  const set = (next: ValueDoc | undefined) => onChange({ value: next } as Partial<StepDoc>)
  const held = points(doc).filter((p) =>
    [step.sets, step.expects, step.verifies].some((s) => s !== undefined && p.id in s),
  )
  const agreed = [value?.agreed ?? []].flat()
  return (
    <div className={classes.line}>
      <span>Value of today</span>
      <SmallSelect
        aria-label="Value of today"
        value={sourceOf(value)}
        disabled={disabled}
        onChange={(e) => set(withSource(e.currentTarget.value, value?.back))}
      >
        <option value="">none</option>
        {editor.figures.map((f) => (
          <option key={f.id} value={`of/${f.id}`}>
            {f.words}
          </option>
        ))}
        {held.map((p) => (
          <option key={p.id} value={`position/${p.id}`}>
            position of {p.name}
          </option>
        ))}
        <option value="agreed">figures both agreed on</option>
        {step.alternates && <option value="turn">whose turn it is</option>}
      </SmallSelect>
      {value?.of && (
        <>
          and
          <SmallField
            aria-label="Added to it"
            chars={6}
            placeholder="0"
            value={value.plus ?? ''}
            disabled={disabled}
            onChange={(e) => {
              const { plus: _, ...rest } = value
              set(e.currentTarget.value === '' ? rest : { ...rest, plus: number(e.currentTarget.value) })
            }}
          />
        </>
      )}
      {value && agreed.length < 2 && (
        <Checkbox
          label="asked back"
          checked={value.back ?? false}
          disabled={disabled}
          onChange={(e) => {
            const { back: _, ...rest } = value
            set(e.currentTarget.checked ? { ...rest, back: true } : rest)
          }}
        />
      )}
    </div>
  )
}

interface PairsRowProps<T extends object> {
  label: string
  /** What one of them is called. */
  one: string
  pairs: T[]
  /** The two fields of a pair, each with what it is called. */
  fields: [keyof T & string, string][]
  empty: T
  disabled: boolean
  onChange: (pairs: T[]) => void
}

/** Things said in pairs, one after the other: what is pressed and seen, what is shown and why. */
const PairsRow = <T extends object>({ label, one, pairs, fields, empty, disabled, onChange }: PairsRowProps<T>) => (
  <div className={classes.line}>
    <span>{label}</span>
    {pairs.map((pair, n) => (
      <span key={n} className={classes.chip}>
        {fields.map(([field, words]) => (
          <SmallField
            key={field}
            aria-label={`${one} ${n + 1}, ${words}`}
            placeholder={words}
            chars={14}
            value={String(pair[field] ?? '')}
            disabled={disabled}
            onChange={(e) => onChange(pairs.map((p, i) => (i === n ? { ...p, [field]: e.currentTarget.value } : p)))}
          />
        ))}
        <Drop
          what={`${one.toLowerCase()} ${n + 1}`}
          disabled={disabled}
          onDrop={() => onChange(pairs.filter((_, i) => i !== n))}
        />
      </span>
    ))}
    <UnstyledButton
      className={classes.add}
      disabled={disabled}
      aria-label={`Add a ${one.toLowerCase()}`}
      onClick={() => onChange([...pairs, empty])}
    >
      +
    </UnstyledButton>
  </div>
)
