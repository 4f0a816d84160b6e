import { UnstyledButton } from '@mantine/core'
import type { ItemView, StepView } from '../api.gen'
import { Slot } from '../app/Slot'
import classes from './RunUpSheet.module.css'

interface RunUpSheetProps {
  items: ItemView[]
  /** The step at hand. */
  at: ItemView | undefined
  placeName: (place: string) => string
  steps: Record<string, StepView>
  statusOf: (i: ItemView) => string
  onChoose: (step: string) => void
}

const unique = (words: string[]): string[] => [...new Set(words)]

/** The run-up on one sheet: a column an engine, a row a reading, each as it was read and how it was judged. */
export const RunUpSheet = ({ items, at, placeName, steps, statusOf, onChoose }: RunUpSheetProps) => {
  const engines = unique(items.map((i) => i.place))
  const rows = unique(items.map((i) => i.challenge))
  return (
    <div className={classes.sheet}>
      <table aria-label="Run-up sheet">
        <thead>
          <tr>
            <th scope="col">Reading</th>
            {engines.map((e) => (
              <th scope="col" key={e} data-now={at?.place === e || undefined}>
                {placeName(e)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const first = items.find((i) => i.challenge === row)
            return (
              <tr key={row}>
                <th scope="row">
                  {row}
                  {first?.measure && <span className={classes.unit}> {first.measure.unit}</span>}
                </th>
                {engines.map((e) => {
                  const item = items.find((i) => i.challenge === row && i.place === e)
                  if (!item) return <td key={e} />
                  const reading = steps[item.id]?.reading
                  return (
                    <td key={e}>
                      <UnstyledButton
                        className={classes.cell}
                        data-now={item.id === at?.id || undefined}
                        data-level={reading?.level}
                        aria-label={`${row}, ${placeName(e)}`}
                        onClick={() => onChoose(item.id)}
                      >
                        {reading ? (
                          <>
                            {reading.value}
                            {reading.level !== 'as-it-should-be' && (
                              <span className={classes.word}>{reading.level === 'soon' ? 'soon' : 'find'}</span>
                            )}
                          </>
                        ) : (
                          <Slot status={statusOf(item)} />
                        )}
                      </UnstyledButton>
                    </td>
                  )
                })}
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}
