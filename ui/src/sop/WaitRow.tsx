import { Drop } from './Drop'
import { number, type StepDoc, type WaitDoc } from './packDoc'
import { SmallField } from './SmallField'
import classes from './StepForm.module.css'

interface WaitRowProps {
  wait: WaitDoc | undefined
  disabled: boolean
  onChange: (change: Partial<StepDoc>) => void
}

/** The time that must pass after a step, and from which latitude on it is another. */
export const WaitRow = ({ wait, disabled, onChange }: WaitRowProps) => {
  const nearer = wait?.['nearer-poles'] ?? []
  const set = (waits: WaitDoc | undefined) => onChange({ waits } as Partial<StepDoc>)
  const put = (rows: typeof nearer) => {
    const { 'nearer-poles': _, ...rest } = wait!
    set(rows.length > 0 ? { ...rest, 'nearer-poles': rows } : rest)
  }
  return (
    <div className={classes.line}>
      <span>Then wait</span>
      <SmallField
        aria-label="Seconds to wait"
        chars={5}
        value={wait?.seconds ?? ''}
        disabled={disabled}
        onChange={(e) => {
          const text = e.currentTarget.value
          set(text === '' ? undefined : { before: 'before the next', ...wait, seconds: number(text) })
        }}
      />
      s
      {wait && (
        <>
          <SmallField
            className={classes.wide}
            aria-label="Before what"
            value={wait.before}
            disabled={disabled}
            onChange={(e) => set({ ...wait, before: e.currentTarget.value })}
          />
          {nearer.map((row, i) => {
            const change = (to: Partial<typeof row>) => put(nearer.map((x, k) => (k === i ? { ...x, ...to } : x)))
            return (
              <span key={i} className={classes.chip}>
                from
                <SmallField
                  aria-label={`Latitude ${i + 1}, degrees`}
                  chars={3}
                  value={row['from-deg']}
                  disabled={disabled}
                  onChange={(e) => change({ 'from-deg': number(e.currentTarget.value) })}
                />
                ° north or south
                <SmallField
                  aria-label={`Seconds from latitude ${i + 1}`}
                  chars={5}
                  value={row.seconds}
                  disabled={disabled}
                  onChange={(e) => change({ seconds: number(e.currentTarget.value) })}
                />
                s
                <Drop disabled={disabled} onDrop={() => put(nearer.filter((_, k) => k !== i))} />
              </span>
            )
          })}
          {!disabled && (
            <button
              type="button"
              className={classes.latitude}
              onClick={() => put([...nearer, { 'from-deg': 60, seconds: wait.seconds }])}
            >
              From latitude
            </button>
          )}
        </>
      )}
    </div>
  )
}
