import { Checkbox, NativeSelect, TextInput } from '@mantine/core'
import type { EditorView, PreviewDay } from '../api.gen'
import { useSeatWords } from '../app/seating'
import { REPORTS, reportOf } from './preview'
import classes from './PreviewDayForm.module.css'

interface PreviewDayFormProps {
  day: PreviewDay
  tails: string[]
  editor: EditorView
  /** Fewer fields, for the side of the editor. @default false */
  brief?: boolean
  onChange: (day: PreviewDay) => void
}

/** A tail, the seats and a day, to cut a card for. */
export const PreviewDayForm = ({ day, tails, editor, brief = false, onChange }: PreviewDayFormProps) => {
  const named = useSeatWords()
  return (
    <div className={classes.form} data-brief={brief || undefined}>
      <NativeSelect
        label="Tail"
        value={day.tail}
        data={tails}
        onChange={(e) => onChange({ ...day, tail: e.currentTarget.value })}
      />
      <NativeSelect
        label="Flying"
        value={day.flying}
        data={[
          { value: 'left', label: named('left') },
          { value: 'right', label: named('right') },
        ]}
        onChange={(e) => onChange({ ...day, flying: e.currentTarget.value })}
      />
      <NativeSelect
        label="Weather"
        value={REPORTS.find((r) => day.report.endsWith(r.weather))?.weather ?? ''}
        data={[
          ...REPORTS.map((r) => ({ value: r.weather, label: r.words })),
          { value: '', label: 'as the report says' },
        ]}
        onChange={(e) =>
          e.currentTarget.value && onChange({ ...day, report: reportOf(day.from, e.currentTarget.value) })
        }
      />
      <Checkbox
        label="Dark"
        checked={day.dark}
        onChange={(e) => onChange({ ...day, dark: e.currentTarget.checked })}
      />
      {!brief && (
        <>
          <TextInput
            label="From"
            value={day.from}
            maxLength={4}
            onChange={(e) => onChange({ ...day, from: e.currentTarget.value.toUpperCase() })}
          />
          <TextInput
            label="To"
            value={day.to}
            maxLength={4}
            onChange={(e) => onChange({ ...day, to: e.currentTarget.value.toUpperCase() })}
          />
          <TextInput
            className={classes.report}
            label="Station report"
            value={day.report}
            spellCheck={false}
            onChange={(e) => onChange({ ...day, report: e.currentTarget.value })}
          />
        </>
      )}
      <div className={classes.checks}>
        {editor.circumstances.map((c) => (
          <Checkbox
            key={c.id}
            label={c.words}
            checked={day.circumstances.includes(c.id)}
            onChange={(e) =>
              onChange({
                ...day,
                circumstances: e.currentTarget.checked
                  ? [...day.circumstances, c.id]
                  : day.circumstances.filter((x) => x !== c.id),
              })
            }
          />
        ))}
      </div>
    </div>
  )
}
