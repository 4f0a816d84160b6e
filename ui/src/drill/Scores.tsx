import { Table } from '@mantine/core'
import type { DrillsView, TaskScoreView } from '../api.gen'
import classes from './Drills.module.css'

/** How somebody does over all their drills. */
export const Scores = ({ drills: { scores, tasks, kinds, harder } }: { drills: DrillsView }) => {
  if (scores.length === 0)
    return (
      <section className={classes.scores} aria-label="How you do">
        <h2>How it goes</h2>
        <p>
          In half of the rounds, by chance, something is wrong: a surface short of its travel, late, in jumps, the
          wrong way.
        </p>
        <p>{harder}</p>
      </section>
    )
  return (
    <section className={classes.scores} aria-label="How you do">
      <h2>How you do</h2>
      {scores.map((s) => (
        <p key={s.task}>
          <b>{tasks.find((t) => t.task === s.task)?.title}</b> {told(s)}
        </p>
      ))}
      {kinds.length > 0 && (
        <Table className={classes.kinds!}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Fault</Table.Th>
              <Table.Th>Size</Table.Th>
              <Table.Th>Found</Table.Th>
              <Table.Th>Stopped after</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {kinds.flatMap((k) =>
              k.bands.map((b, i) => (
                <Table.Tr key={k.title + b.size}>
                  <Table.Td>{i === 0 && k.title}</Table.Td>
                  <Table.Td>{b.size}</Table.Td>
                  <Table.Td>
                    {b.found} of {b.of}
                  </Table.Td>
                  <Table.Td>{b.reactionS !== undefined && `${b.reactionS.toFixed(1)} s`}</Table.Td>
                </Table.Tr>
              )),
            )}
          </Table.Tbody>
        </Table>
      )}
      <p className={classes.small}>
        d′ says how far apart wrong and right stand for you: 0 is guessing, 1 is fair, over 2 is good. Sizes are times
        what the type allows; stopped after: the middle one of those found.
      </p>
    </section>
  )
}

const told = ({ task, detection: d, complete, rounds, limits }: TaskScoreView): string => {
  if (task === 'move') return `${complete} of ${rounds} checks whole.`
  const nothing = d.falseAlarms + d.letPass
  const found = `${d.found} of ${d.found + d.missed} found, ${d.falseAlarms} of ${nothing} stopped for nothing.`
  const m = d.measured
  if (!m) return found
  const measured = `d′ ${m.dPrime.toFixed(1)} ± ${m.error.toFixed(1)}, criterion ${m.criterion.toFixed(1)}.`
  return `${found} ${measured} ${m.words} Now at ${limits.toFixed(1)} times the limit.`
}
