import type { ItemView } from '../api.gen'
import { WordsForm } from '../app/WordsForm'
import { FindForm } from '../dispatch/FindForm'
import type { Live } from '../live/useDeparture'

interface Words {
  label: string
  action: string
  /** What is sent, and the field of it that carries the words. */
  kind: string
  field: 'reason' | 'words'
}

/** What can be said of a step in words of one's own, a find apart. */
const WORDS = {
  later: {
    label: 'What is in the way? It hangs on the cord until it is looked at again.',
    action: 'Look again later',
    kind: 'step-later',
    field: 'reason',
  },
  held: {
    label: 'What is missing? It is held in sight until it can be answered.',
    action: 'Hold it',
    kind: 'step-later',
    field: 'reason',
  },
  'not-today': { label: 'Why not today?', action: 'Not today', kind: 'step-not-today', field: 'reason' },
  'does-not-fit': {
    label: 'What does not fit, on this tail or today? Fleet standards read it.',
    action: 'Tell fleet standards',
    kind: 'does-not-fit',
    field: 'words',
  },
  pass: {
    label: 'Why go past it? It hangs as a tag until what comes before is so.',
    action: 'Go past it',
    kind: 'overridden',
    field: 'words',
  },
} satisfies Record<string, Words>

export type WordsFor = 'find' | keyof typeof WORDS

/** Whether the step is left with it; who tells standards of it or goes past a gate has still to answer it. */
const leaves = (saying: WordsFor): boolean => saying !== 'does-not-fit' && saying !== 'pass'

interface SayingFormProps {
  live: Live
  item: ItemView
  saying: WordsFor
  onCancel: () => void
  /** @param left whether the next step is at hand now */
  onSaid: (left: boolean) => void
}

/** Words or a find of the step at hand, in the place of the buttons that asked for them. */
export const SayingForm = ({ live, item, saying, onCancel, onSaid }: SayingFormProps) => {
  const { view, outbox } = live
  const say = (kind: string, body: object) => {
    outbox.put(kind, { step: item.id, ...body }, item.challenge)
    onSaid(leaves(saying))
  }
  if (saying === 'find')
    return (
      <FindForm
        key={item.id}
        departure={view.header.id}
        card={view.card!}
        item={item}
        onCancel={onCancel}
        onRaise={(find) => say('find-raised', find)}
      />
    )
  const { label, action, kind, field } = WORDS[saying]
  return (
    <WordsForm
      key={`${item.id}/${saying}`}
      draft={`${view.header.id}/${item.id}/${saying}`}
      label={label}
      action={action}
      onCancel={onCancel}
      onSay={(words) => say(kind, { [field]: words })}
    />
  )
}
