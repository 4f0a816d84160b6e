import type { EditorView } from '../api.gen'
import { Drop } from './Drop'
import { find, number, points, type Json, type PackDoc, type States, type StepDoc } from './packDoc'
import classes from './StepForm.module.css'
import { SmallField, SmallSelect } from './SmallField'

interface StatesRowProps {
  label: string
  doc: PackDoc
  states: States | undefined
  /** Only what a hand moves. */
  controls?: boolean
  /** Whether a figure may say the position. @default true */
  byFigure?: boolean
  disabled: boolean
  onChange: (states: States) => void
}

/** Stands for the position that a figure says. */
const BY_FIGURE = 'agreed'

/** The states a step sets, expects or verifies. */
export const StatesRow = ({
  label,
  doc,
  states = {},
  controls = false,
  byFigure = true,
  disabled,
  onChange,
}: StatesRowProps) => {
  const all = points(doc).filter((p) => !controls || p.control)
  const statesOf = (id: string): string[] => {
    const p = all.find((x) => x.id === id)
    return [...(byFigure && p?.agreed ? [BY_FIGURE] : []), ...(p?.positions ?? p?.states ?? [])]
  }
  const free = all.filter((p) => !(p.id in states))
  return (
    <div className={classes.line}>
      <span>{label}</span>
      {Object.entries(states).map(([id, value]) => (
        <span key={id} className={classes.chip}>
          {all.find((p) => p.id === id)?.name ?? id}
          <SmallSelect
            aria-label={`State of ${id}`}
            value={value}
            disabled={disabled}
            onChange={(e) => onChange({ ...states, [id]: e.currentTarget.value })}
          >
            {statesOf(id).map((s) => (
              <option key={s} value={s}>
                {s === BY_FIGURE ? 'as agreed' : s}
              </option>
            ))}
          </SmallSelect>
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

/** Other steps that a step names. */
export const StepsRow = ({ label, doc, ids = [], only = () => true, disabled, onChange }: StepsRowProps) => {
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

interface DrawingsRowProps {
  label: string
  doc: PackDoc
  ids: string[] | undefined
  disabled: boolean
  onChange: (ids: string[]) => void
}

/** Drawings of the pack that show how a step looks. */
export const DrawingsRow = ({ label, doc, ids = [], disabled, onChange }: DrawingsRowProps) => {
  const all = doc.drawings ?? []
  return (
    <div className={classes.line}>
      <span>{label}</span>
      {ids.map((id) => (
        <span key={id} className={classes.chip}>
          {all.find((d) => d.id === id)?.title ?? id}
          <Drop what={id} disabled={disabled} onDrop={() => onChange(ids.filter((x) => x !== id))} />
        </span>
      ))}
      <Pick
        label={`Add to: ${label}`}
        disabled={disabled}
        items={all.filter((d) => !ids.includes(d.id)).map((d) => ({ value: d.id, label: d.title }))}
        onPick={(id) => onChange([...ids, id])}
      />
    </div>
  )
}

interface FiguresRowProps {
  label: string
  editor: EditorView
  figures: string[]
  disabled: boolean
  onChange: (figures: string[]) => void
}

/** Critical figures that a step enters or gives. */
export const FiguresRow = ({ label, editor, figures, disabled, onChange }: FiguresRowProps) => {
  const words = (id: string) => editor.criticalFigures.find((f) => f.id === id)?.words ?? id
  return (
    <div className={classes.line}>
      <span>{label}</span>
      {figures.map((f) => (
        <span key={f} className={classes.chip}>
          {words(f)}
          <Drop what={words(f)} disabled={disabled} onDrop={() => onChange(figures.filter((x) => x !== f))} />
        </span>
      ))}
      <Pick
        label={`Add to: ${label}`}
        disabled={disabled}
        items={editor.criticalFigures
          .filter((f) => !figures.includes(f.id))
          .map((f) => ({ value: f.id, label: f.words }))}
        onPick={(id) => onChange([...figures, id])}
      />
    </div>
  )
}

interface Hook {
  tag: string
  items: string[]
}

/** What a step hangs on the cord or takes off it, as a pack writes it. */
const hookOf = (h: Json): Hook =>
  typeof h === 'string'
    ? { tag: h, items: [] }
    : {
        tag: String((h as Record<string, Json>).tag),
        items: ((h as Record<string, Json>).items as string[] | undefined) ?? [],
      }
const written = (h: Hook): Json => (h.items.length === 0 ? h.tag : { tag: h.tag, items: h.items })

/** The tags a step hangs on the cord or takes off it. */
export const TagsRow = ({
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
          <SmallField
            aria-label={`Items of ${h.tag}, with commas`}
            placeholder="the whole tag"
            value={h.items.join(', ')}
            disabled={disabled}
            chars={Math.max(12, h.items.join(', ').length)}
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

/** What a step measures, and between what. */
export const MeasureRow = ({
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
      <SmallSelect
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
      </SmallSelect>
      {m && (
        <>
          from{' '}
          <SmallField
            aria-label="Least"
            chars={6}
            value={m.least ?? ''}
            disabled={disabled}
            onChange={(e) => set('least', e.currentTarget.value)}
          />
          to{' '}
          <SmallField
            aria-label="Most"
            chars={6}
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
  <SmallSelect
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
  </SmallSelect>
)
