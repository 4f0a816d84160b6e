import { Button, NativeSelect, Tabs, TextInput, UnstyledButton } from '@mantine/core'
import { getHotkeyHandler, useDebouncedValue, useHotkeys } from '@mantine/hooks'
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query'
import { memo, useEffect, useMemo, useReducer, useRef, useState } from 'react'
import type { CheckView, EditorView, PackView, PreviewDay } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { Action } from '../app/Action'
import { Fold } from '../app/Fold'
import { ProblemNotice } from '../app/Notice'
import { Pennant } from '../app/Pennant'
import { stored } from '../app/stored'
import { Findings } from './Findings'
import classes from './PackEditor.module.css'
import {
  find,
  freshId,
  moved,
  reduceHistory,
  type At,
  type Edit,
  type PackDoc,
  type ProcedureDoc,
  type StepDoc,
} from './packDoc'
import { dayOf, usePreview } from './preview'
import { PreviewDayForm } from './PreviewDayForm'
import { StatesRow } from './MachineRows'
import { StepForm } from './StepForm'

interface PackEditorProps {
  pack: PackView
  editor: EditorView
  /** Whether it may be changed: a draft, by somebody who draws up packs. */
  writes: boolean
  /** A step or procedure to begin at. */
  wanted: string
  onSaved: (pack: PackView) => void
}

/** Long enough that typing is not checked letter by letter, short enough to see a fault while one still looks. */
const PAUSE_MS = 350

/**
 * Hundreds of steps by keyboard or pointer: the outline, the step at hand, and beside it what the card makes of it.
 */
export const PackEditor = ({ pack, editor, writes, wanted, onSaved }: PackEditorProps) => {
  const { id, revision } = pack.revision
  // The edition this one was made from, whatever has been saved meanwhile by somebody else.
  const [edition, setEdition] = useState(pack.revision.edition)
  const kept = `pack-draft/${id}/${revision}/${edition}`
  const saved = useMemo(() => JSON.parse(pack.document) as PackDoc, [pack.document])
  const baseline = useMemo(() => JSON.stringify(saved), [saved])
  const [history, act] = useReducer(reduceHistory, saved, (doc) => ({
    past: [],
    now: writes ? stored.get(kept, doc) : doc,
    future: [],
    last: '',
  }))
  const doc = history.now
  const [at, setAt] = useState<At>(() => (wanted ? (place(doc, wanted) ?? { p: 0, s: 0 }) : { p: 0, s: 0 }))
  const [search, setSearch] = useState('')
  const [side, setSide] = useState<'card' | 'findings'>('card')
  const [day, setDay] = useState<PreviewDay>(() => dayOf(doc.tails[0]?.id ?? '', editor.airfields))
  const [focus, setFocus] = useState(0)
  const searchField = useRef<HTMLInputElement>(null)
  const text = useMemo(() => JSON.stringify(doc), [doc])
  const dirty = text !== baseline
  const [settled] = useDebouncedValue(text, PAUSE_MS)
  const check = useQuery<CheckView, Problem>({
    queryKey: ['pack-check', settled],
    queryFn: () => ask('POST', '/api/packs/reading', settled),
    placeholderData: keepPreviousData,
    initialData: settled === baseline ? pack.check : undefined,
    staleTime: Infinity,
    gcTime: 10_000,
  })
  const faulty = (check.data?.faults.length ?? 0) > 0
  const preview = usePreview(id, revision, faulty ? undefined : settled, [day])
  const save = useMutation<PackView, Problem>({
    mutationFn: () => ask('POST', `/api/packs/${id}/${encodeURIComponent(revision)}/draft?edition=${edition}`, text),
    onSuccess: (next) => {
      stored.remove(kept)
      setEdition(next.revision.edition)
      act({ type: 'saved', doc: JSON.parse(next.document) as PackDoc })
      onSaved(next)
    },
  })

  useEffect(() => {
    // What is not saved yet outlives a reload.
    if (writes && dirty) stored.set(kept, doc)
    else stored.remove(kept)
  }, [writes, dirty, kept, doc])

  useEffect(() => {
    // Where one arrives, in the middle of the outline.
    document.querySelector('[data-now]')?.scrollIntoView({ block: 'center' })
  }, [])

  const edit = (e: Edit) => writes && act({ type: 'edit', edit: e })
  const here = doc.procedures[at.p]?.steps[at.s]
  const to = (next: At) => {
    setAt(next)
    document.getElementById(`step-${next.p}-${next.s}`)?.scrollIntoView({ block: 'nearest' })
  }
  const step = (by: 1 | -1) => {
    const flat = doc.procedures
      .flatMap((p, pi) => p.steps.map((s, si) => ({ p: pi, s: si, shown: matches(s, search) })))
      .filter((x) => x.shown)
    const now = flat.findIndex((x) => x.p === at.p && x.s === at.s)
    const next = flat[Math.max(0, Math.min(flat.length - 1, now + by))]
    if (next) to({ p: next.p, s: next.s })
  }
  const shift = (by: 1 | -1) => {
    const next = moved(doc, at, by)
    edit({ type: 'move', at, by })
    to(next)
  }
  const insert = (like: StepDoc | undefined) => {
    const step: StepDoc = like
      ? { ...like, id: freshId(doc, like.id) }
      : {
          id: freshId(doc, here?.id ?? 'step'),
          at: here?.at ?? '',
          ...(here?.owner && { owner: here.owner }),
          challenge: '',
          response: '',
        }
    edit({ type: 'insert', at: { p: at.p, s: at.s + 1 }, step })
    to({ p: at.p, s: at.s + 1 })
    setFocus((n) => n + 1)
  }
  const remove = () => {
    if (doc.procedures[at.p]!.steps.length < 2) return
    edit({ type: 'remove', at })
    to({ p: at.p, s: Math.max(0, at.s - 1) })
  }
  const go = (name: string) => {
    const there = place(doc, name)
    if (there) to(there)
  }
  const commit = () => dirty && !faulty && !save.isPending && save.mutate()
  useHotkeys([
    ['ArrowDown', () => step(1)],
    ['ArrowUp', () => step(-1)],
    ['alt+ArrowDown', () => shift(1)],
    ['alt+ArrowUp', () => shift(-1)],
    ['Enter', () => setFocus((n) => n + 1)],
    ['n', () => insert(undefined)],
    ['c', () => insert(here)],
    ['Delete', remove],
    ['/', () => searchField.current?.focus()],
  ])
  useHotkeys(
    [
      ['mod+Z', () => act({ type: 'undo' })],
      ['mod+shift+Z', () => act({ type: 'redo' })],
      ['mod+S', commit],
    ],
    [],
  )
  const prefix = `/procedures/${at.p}/steps/${at.s}`
  const faults = (check.data?.faults ?? [])
    .filter((f) => f.path === prefix || f.path.startsWith(`${prefix}/`))
    .map((f) => ({ field: f.path.slice(prefix.length + 1).split('/')[0]!, what: f.what }))
  const marked = useMemo(() => marks(doc, check.data), [doc, check.data])
  const open =
    (check.data?.findings ?? []).filter((f) => f.waived === undefined || f.waived === null).length +
    (check.data?.faults.length ?? 0)
  return (
    <div className={classes.editor}>
      <div className={classes.outline}>
        <TextInput
          ref={searchField}
          aria-label="Find a step"
          placeholder="Find a step  /"
          value={search}
          onChange={(e) => setSearch(e.currentTarget.value)}
          onKeyDown={getHotkeyHandler([
            ['Escape', () => setSearch('')],
            [
              'ArrowDown',
              () => {
                step(1)
                searchField.current?.blur()
              },
            ],
          ])}
        />
        <div className={classes.scroll}>
          {doc.procedures.map((p, pi) => (
            <section key={p.id} hidden={!p.steps.some((s) => matches(s, search))}>
              <h2 className={classes.procedure}>
                {p.title} <span>{p.steps.length}</span>
              </h2>
              {p.steps.map((s, si) =>
                matches(s, search) ? (
                  <Row
                    key={s.id}
                    step={s}
                    p={pi}
                    s={si}
                    now={pi === at.p && si === at.s}
                    mark={marked.get(s.id) ?? ''}
                    onGo={to}
                  />
                ) : null,
              )}
            </section>
          ))}
        </div>
        {writes && (
          <p className={classes.keys}>
            <kbd>↑ ↓</kbd> go <kbd>alt ↑ ↓</kbd> move <kbd>enter</kbd> write <kbd>n</kbd> new <kbd>c</kbd> copy{' '}
            <kbd>del</kbd> out <kbd>ctrl z</kbd> undo
          </p>
        )}
      </div>
      <div className={classes.middle}>
        {writes && (
          <div className={classes.bar}>
            <Action
              hotkey="mod+alt+S"
              shown="ctrl s"
              main={dirty && !faulty}
              disabled={!dirty || faulty || save.isPending}
              onAct={commit}
            >
              {faulty ? 'Cannot be saved yet' : dirty ? 'Save the draft' : 'Saved'}
            </Action>
            <Button
              size="desk"
              variant="rest"
              disabled={history.past.length === 0}
              onClick={() => act({ type: 'undo' })}
            >
              Undo
            </Button>
            <Button
              size="desk"
              variant="rest"
              disabled={history.future.length === 0}
              onClick={() => act({ type: 'redo' })}
            >
              Redo
            </Button>
            <Button size="desk" variant="rest" onClick={() => insert(undefined)}>
              New step
            </Button>
            <Button size="desk" variant="rest" onClick={remove}>
              Take out
            </Button>
          </div>
        )}
        {save.error && <ProblemNotice problem={save.error} />}
        {here ? (
          <>
            <p className={classes.where}>
              {doc.procedures[at.p]!.title} · {at.s + 1} of {doc.procedures[at.p]!.steps.length}
              {writes && (
                <span>
                  <Button size="desk" variant="rest" onClick={() => shift(-1)}>
                    Move up
                  </Button>
                  <Button size="desk" variant="rest" onClick={() => shift(1)}>
                    Move down
                  </Button>
                </span>
              )}
            </p>
            <StepForm
              doc={doc}
              editor={editor}
              at={at}
              faults={faults}
              disabled={!writes}
              focus={focus}
              onChange={(change) => edit({ type: 'step', at, change })}
              onGlance={(id, glance) => edit({ type: 'place', id, change: { glance } })}
            />
          </>
        ) : (
          <p>Choose a step.</p>
        )}
        <ProcedureForm
          doc={doc}
          p={at.p}
          editor={editor}
          disabled={!writes}
          onChange={(change) => edit({ type: 'procedure', p: at.p, change })}
        />
        <Fold
          line={`How this fleet does it: ${editor.matters.length} matters in which crews differ`}
          className={classes.policy!}
        >
          {editor.matters.map((m) => (
            <NativeSelect
              key={m.id}
              label={m.words}
              value={doc.policy?.[m.id] ?? m.schools[0]!.id}
              disabled={!writes}
              data={m.schools.map((s, n) => ({ value: s.id, label: n === 0 ? `${s.words} (by default)` : s.words }))}
              onChange={(e) => edit({ type: 'policy', matter: m.id, school: e.currentTarget.value })}
            />
          ))}
        </Fold>
        <Fold
          line={`Take-off configuration: ${Object.keys(doc.takeoff ?? {}).length} controls`}
          className={classes.policy!}
        >
          <StatesRow
            label="Wanted on the runway"
            doc={doc}
            states={doc.takeoff}
            controls
            byFigure={false}
            disabled={!writes}
            onChange={(states) => edit({ type: 'takeoff', states })}
          />
        </Fold>
      </div>
      <aside className={classes.side}>
        <Tabs value={side} onChange={(to) => setSide(to === 'findings' ? 'findings' : 'card')}>
          <Tabs.List>
            <Tabs.Tab value="card">Card</Tabs.Tab>
            <Tabs.Tab value="findings">{open === 0 ? 'Check: clean' : `Check: ${open} found`}</Tabs.Tab>
          </Tabs.List>
        </Tabs>
        <div className={classes.scroll}>
          {side === 'findings' ? (
            <Findings
              check={check.data}
              onGo={go}
              {...(writes && {
                onWaive: (f, reason) => edit({ type: 'waive', rule: f.rule, at: f.at, reason }),
                onUnwaive: (f) => edit({ type: 'unwaive', rule: f.rule, at: f.at }),
              })}
            />
          ) : (
            <>
              <PreviewDayForm brief day={day} tails={doc.tails.map((t) => t.id)} editor={editor} onChange={setDay} />
              {preview.error && <ProblemNotice problem={preview.error} />}
              <PreviewPart doc={doc} at={at} preview={preview.data?.cards[0]} onGo={to} />
            </>
          )}
        </div>
      </aside>
    </div>
  )
}

interface ProcedureFormProps {
  doc: PackDoc
  p: number
  editor: EditorView
  disabled: boolean
  onChange: (change: Partial<ProcedureDoc>) => void
}

/** What is said of a procedure as a whole. */
const ProcedureForm = ({ doc, p, editor, disabled, onChange }: ProcedureFormProps) => {
  const procedure = doc.procedures[p]!
  const kind = editor.kinds.find((k) => k.id === procedure.kind)?.words
  const stage = editor.stages.find((s) => s.id === procedure.stage)?.words.toLowerCase()
  return (
    <Fold line={`${procedure.title}, as a whole: ${kind}, ${stage}`} className={classes.policy!}>
      <TextInput
        label="Title"
        value={procedure.title}
        disabled={disabled}
        onChange={(e) => onChange({ title: e.currentTarget.value })}
      />
      <NativeSelect
        label="Stage"
        value={procedure.stage}
        disabled={disabled}
        data={editor.stages.map((s) => ({ value: s.id, label: s.words }))}
        onChange={(e) => onChange({ stage: e.currentTarget.value })}
      />
      <NativeSelect
        label="Whose, where a step does not say"
        value={procedure.owner ?? ''}
        disabled={disabled}
        data={[
          { value: '', label: 'each step says it' },
          ...editor.owners.map((o) => ({ value: o.id, label: o.words })),
        ]}
        onChange={(e) => onChange({ owner: e.currentTarget.value })}
      />
      <StatesRow
        label="Leaves"
        doc={doc}
        states={procedure.leaves}
        controls
        disabled={disabled}
        onChange={(leaves) => onChange({ leaves })}
      />
    </Fold>
  )
}

const matches = (s: StepDoc, search: string): boolean =>
  search === '' || `${s.challenge} ${s.response} ${s.id}`.toLowerCase().includes(search.toLowerCase())

/** Where a name is: a step, or the first step of a procedure or at a place. */
const place = (doc: PackDoc, name: string): At | undefined => {
  const step = find(doc, name)
  if (step) return step
  const p = doc.procedures.findIndex((x) => x.id === name)
  if (p >= 0) return { p, s: 0 }
  const first = doc.procedures.flatMap((x) => x.steps).find((s) => s.at === name || s.opens?.includes(name))
  return first ? find(doc, first.id) : undefined
}

/** Steps with something wrong, and how wrong. */
const marks = (doc: PackDoc, check: CheckView | undefined): Map<string, 'fault' | 'advice'> => {
  const found = new Map<string, 'fault' | 'advice'>()
  for (const f of check?.findings ?? []) {
    if (f.waived === undefined || f.waived === null)
      if (found.get(f.at) !== 'fault') found.set(f.at, f.fault ? 'fault' : 'advice')
  }
  for (const f of check?.faults ?? []) {
    const [, p, s] = /^\/procedures\/(\d+)\/steps\/(\d+)/.exec(f.path) ?? []
    const step = p === undefined ? undefined : doc.procedures[Number(p)]?.steps[Number(s)]
    if (step) found.set(step.id, 'fault')
  }
  return found
}

interface RowProps {
  step: StepDoc
  p: number
  s: number
  now: boolean
  mark: '' | 'fault' | 'advice'
  onGo: (at: At) => void
}

const Row = memo(
  ({ step, p, s, now, mark, onGo }: RowProps) => (
    <UnstyledButton
      id={`step-${p}-${s}`}
      className={classes.row}
      data-now={now || undefined}
      data-mark={mark || undefined}
      onClick={() => onGo({ p, s })}
    >
      <span className={classes.rowChallenge}>{step.challenge || 'no challenge yet'}</span>
      <span className={classes.rowFacts}>
        {mark === 'fault' ? 'fault' : mark === 'advice' ? 'advice' : ''} {step.critical ? 'critical' : ''}{' '}
        {step.when ? 'when…' : ''}
      </span>
    </UnstyledButton>
  ),
  (a, b) => a.step === b.step && a.now === b.now && a.mark === b.mark && a.p === b.p && a.s === b.s,
)

interface PreviewPartProps {
  doc: PackDoc
  at: At
  preview:
    | {
        steps: number
        parts: { id: string; items: { id: string; seats: string[]; added: string }[] }[]
        leftOut: { step: string; why: string }[]
      }
    | undefined
  onGo: (at: At) => void
}

/** The procedure at hand as its card has it that day: what is on it, and what is left out and why. */
const PreviewPart = ({ doc, at, preview, onGo }: PreviewPartProps) => {
  if (!preview) return null
  const procedure = doc.procedures[at.p]!
  const items = preview.parts.find((p) => p.id === procedure.id)?.items ?? []
  return (
    <>
      <p className={classes.previewHead}>
        {procedure.title}: {items.length} of {procedure.steps.length} on this card of {preview.steps}
      </p>
      <ol className={classes.preview}>
        {procedure.steps.map((s, si) => {
          const item = items.find((i) => i.id === s.id)
          const out = preview.leftOut.find((l) => l.step === s.id)
          return (
            <li key={s.id} data-out={!item || undefined} data-now={si === at.s || undefined}>
              <UnstyledButton onClick={() => onGo({ p: at.p, s: si })}>
                {item ? <Pennant seats={item.seats} /> : <span className={classes.dash}>–</span>}
                <span>{s.challenge}</span>
                <small>{item ? item.added : out?.why}</small>
              </UnstyledButton>
            </li>
          )
        })}
      </ol>
    </>
  )
}
