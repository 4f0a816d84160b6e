import { Button, Table } from '@mantine/core'
import type { DrillLineView, TaskView } from '../api.gen'
import { Fold } from '../app/Fold'

interface PastDrillsProps {
  past: readonly DrillLineView[]
  tasks: readonly TaskView[]
  onAgain: (id: string) => void
}

/** What was drilled before, each to be done once more as it was drawn. */
export const PastDrills = ({ past, tasks, onAgain }: PastDrillsProps) =>
  past.length > 0 && (
    <Fold line={`${past.length} ${past.length === 1 ? 'drill' : 'drills'} so far`}>
      <Table>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>When</Table.Th>
            <Table.Th>Drill</Table.Th>
            <Table.Th>Found</Table.Th>
            <Table.Th>False alarms</Table.Th>
            <Table.Th>Whole checks</Table.Th>
            <Table.Th>Seed</Table.Th>
            <Table.Th />
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {past.map((p) => (
            <Table.Tr key={p.id}>
              <Table.Td>{p.at.slice(0, 16).replace('T', ' ')} UTC</Table.Td>
              <Table.Td>
                {tasks.find((t) => t.task === p.task)?.title}, {p.type}
              </Table.Td>
              <Table.Td>
                {p.task !== 'move' && `${p.detection.found} of ${p.detection.found + p.detection.missed}`}
              </Table.Td>
              <Table.Td>{p.task !== 'move' && p.detection.falseAlarms}</Table.Td>
              <Table.Td>{p.task !== 'watch' && `${p.complete} of ${p.rounds}`}</Table.Td>
              <Table.Td>{p.seed}</Table.Td>
              <Table.Td>
                <Button variant="plain" size="desk" onClick={() => onAgain(p.id)}>
                  Once more
                </Button>
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Fold>
  )
