import { UnstyledButton } from '@mantine/core'
import { memo } from 'react'
import type { EditorView } from '../api.gen'
import classes from './ConditionBuilder.module.css'
import {
  factChoices,
  isGroup,
  toTree,
  toWhen,
  unitOf,
  wants,
  type FactChoice,
  type FactNode,
  type Group,
  type Node,
} from './conditionTree'
import type { Condition, PackDoc } from './packDoc'
import { SmallField, SmallSelect } from './SmallField'

interface ConditionBuilderProps {
  doc: PackDoc
  editor: EditorView
  when: Condition | undefined
  disabled: boolean
  onChange: (when: Condition | undefined) => void
}

/** When a step applies, put together from facts in plain words; nothing to spell, nothing to know by heart. */
export const ConditionBuilder = memo(({ doc, editor, when, disabled, onChange }: ConditionBuilderProps) => {
  const tree = toTree(when)
  const choices = factChoices(doc, editor)
  const set = (g: Group) => onChange(toWhen(g, doc))
  return (
    <fieldset className={classes.builder} disabled={disabled}>
      <legend>Applies</legend>
      {tree.items.length === 0 ? (
        <p className={classes.always}>
          Always. <Add onFact={() => set({ ...tree, items: [fresh(choices)] })}>Only when</Add>
        </p>
      ) : (
        <GroupRows group={tree} doc={doc} choices={choices} depth={0} onChange={set} />
      )}
    </fieldset>
  )
})

const fresh = (choices: FactChoice[]): FactNode => ({
  fact: choices.find((c) => c.items.length > 0)!.items[0]!.value,
  value: '',
  not: false,
})

interface GroupRowsProps {
  group: Group
  doc: PackDoc
  choices: FactChoice[]
  depth: number
  onChange: (g: Group) => void
}

const DEEPEST = 3

const GroupRows = ({ group, doc, choices, depth, onChange }: GroupRowsProps) => {
  const put = (i: number, n: Node) => onChange({ ...group, items: group.items.map((x, k) => (k === i ? n : x)) })
  const drop = (i: number) => onChange({ ...group, items: group.items.filter((_, k) => k !== i) })
  return (
    <div className={classes.group} data-depth={depth}>
      {(group.items.length > 1 || depth > 0 || group.not) && (
        <p className={classes.how}>
          <Pick
            label="How the facts join"
            value={`${group.not ? 'not-' : ''}${group.op}`}
            items={[
              { value: 'all', label: 'when all of these are so' },
              { value: 'any', label: 'when any of these is so' },
              { value: 'not-all', label: 'when not all of these are so' },
              { value: 'not-any', label: 'when none of these is so' },
            ]}
            onPick={(v) => onChange({ ...group, not: v.startsWith('not-'), op: v.endsWith('any') ? 'any' : 'all' })}
          />
        </p>
      )}
      {group.items.map((n, i) => (
        <div key={i} className={classes.row}>
          {isGroup(n) ? (
            <GroupRows group={n} doc={doc} choices={choices} depth={depth + 1} onChange={(g) => put(i, g)} />
          ) : (
            <FactRow node={n} doc={doc} choices={choices} onChange={(f) => put(i, f)} />
          )}
          <UnstyledButton className={classes.drop} aria-label="Take this out" onClick={() => drop(i)}>
            −
          </UnstyledButton>
        </div>
      ))}
      <p className={classes.more}>
        <Add onFact={() => onChange({ ...group, items: [...group.items, fresh(choices)] })}>Another fact</Add>
        {depth < DEEPEST && (
          <Add
            onFact={() =>
              onChange({
                ...group,
                items: [
                  ...group.items,
                  { op: group.op === 'all' ? 'any' : 'all', not: false, items: [fresh(choices), fresh(choices)] },
                ],
              })
            }
          >
            A group
          </Add>
        )}
      </p>
    </div>
  )
}

const FactRow = ({
  node,
  doc,
  choices,
  onChange,
}: {
  node: FactNode
  doc: PackDoc
  choices: FactChoice[]
  onChange: (n: FactNode) => void
}) => (
  <>
    <Pick
      label="Whether it is so"
      value={node.not ? 'not' : 'is'}
      items={[
        { value: 'is', label: 'it is so:' },
        { value: 'not', label: 'it is not so:' },
      ]}
      onPick={(v) => onChange({ ...node, not: v === 'not' })}
    />
    <SmallSelect
      aria-label="Fact"
      className={classes.pick}
      value={node.fact}
      onChange={(e) => onChange({ ...node, fact: e.currentTarget.value, value: '' })}
    >
      {choices
        .filter((c) => c.items.length > 0)
        .map((c) => (
          <optgroup key={c.group} label={c.group}>
            {c.items.map((i) => (
              <option key={i.value} value={i.value}>
                {i.label}
              </option>
            ))}
          </optgroup>
        ))}
    </SmallSelect>
    {wants(node.fact) !== '' && (
      <SmallField
        className={classes.value}
        aria-label={wants(node.fact) === 'number' ? 'Number' : 'Airfield'}
        value={node.value}
        chars={6}
        inputMode={wants(node.fact) === 'number' ? 'decimal' : 'text'}
        onChange={(e) => onChange({ ...node, value: e.currentTarget.value })}
      />
    )}
    <span className={classes.unit}>{unitOf(node.fact, doc)}</span>
  </>
)

const Pick = ({
  label,
  value,
  items,
  onPick,
}: {
  label: string
  value: string
  items: { value: string; label: string }[]
  onPick: (v: string) => void
}) => (
  <SmallSelect
    aria-label={label}
    className={classes.pick}
    value={value}
    onChange={(e) => onPick(e.currentTarget.value)}
  >
    {items.map((i) => (
      <option key={i.value} value={i.value}>
        {i.label}
      </option>
    ))}
  </SmallSelect>
)

const Add = ({ children, onFact }: { children: string; onFact: () => void }) => (
  <UnstyledButton className={classes.add} onClick={onFact}>
    + {children}
  </UnstyledButton>
)
