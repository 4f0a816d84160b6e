import { Button, Table, TextInput } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import type { HeadNamesView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { FileChoice } from '../app/FileChoice'
import { Fold } from '../app/Fold'
import { ProblemNotice } from '../app/Notice'
import { Sure } from '../app/Sure'
import classes from './Recordings.module.css'

interface HeadNamesProps {
  heads: readonly HeadNamesView[]
  mayKeep: boolean
  onChanged: () => void
}

/** What other people's recorders call their columns, by a name, for all to choose from. */
export const HeadNames = ({ heads, mayKeep, onChanged }: HeadNamesProps) => {
  const [name, setName] = useState('')
  const keep = useMutation<void, Problem, File>({
    mutationFn: async (file) => ask('POST', `/api/head-names/${encodeURIComponent(name.trim())}`, await file.text()),
    onSuccess: () => {
      setName('')
      onChanged()
    },
  })
  const drop = useMutation<void, Problem, string>({
    mutationFn: (of) => ask('DELETE', `/api/head-names/${encodeURIComponent(of)}`),
    onSuccess: onChanged,
  })
  return (
    <Fold line={`Heads of other recorders: ${heads.length} kept`}>
      <Table>
        <Table.Tbody>
          {heads.map((h) => (
            <Table.Tr key={h.name}>
              <Table.Td>
                <a href={`/api/head-names/${encodeURIComponent(h.name)}`}>{h.name}</a>
              </Table.Td>
              <Table.Td>
                {h.by}, {h.at.slice(0, 10)}
              </Table.Td>
              <Table.Td>
                {mayKeep && (
                  <Sure words="Take away" again={`Press again: ${h.name} goes`} onSure={() => drop.mutate(h.name)} />
                )}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {mayKeep ? (
        <div className={classes.row}>
          <TextInput
            label="Name"
            placeholder="such as the recorder's"
            value={name}
            maxLength={40}
            onChange={(e) => setName(e.currentTarget.value)}
          />
          <FileChoice accept=".yaml,.yml,.json" onChange={(f) => f && keep.mutate(f)}>
            {(props) => (
              <Button {...props} variant="outline" size="seat" disabled={name.trim() === ''}>
                Keep a file of heads by this name
              </Button>
            )}
          </FileChoice>
        </div>
      ) : (
        <p>Maintenance control and fleet standards keep them.</p>
      )}
      {keep.isError && <ProblemNotice problem={keep.error} />}
      {drop.isError && <ProblemNotice problem={drop.error} />}
    </Fold>
  )
}
