import { Button, Table } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { AccessView, AccountView, Me, OneTimePassword } from '../api.gen'
import { Fetching } from '../app/Fetching'
import { ask, type Problem } from '../app/api'
import { ProblemNotice } from '../app/Notice'
import { Sure } from '../app/Sure'
import { TopBar } from '../app/TopBar'
import classes from './Desk.module.css'
import { Given } from './Given'

/** Rows of wrong passwords that are shown at first. */
const FEW = 3

const utc = (at: string): string => at.slice(0, 16).replace('T', ' ')

const where = (a: AccountView): string => {
  const [last] = a.devices
  if (!last) return 'not signed in'
  const devices = a.devices.length === 1 ? '1 device' : `${a.devices.length} devices`
  return `signed in on ${devices}, last ${utc(last.begun)} UTC from ${last.address}`
}

/** Who may come in, who is in, and what was done about it. */
export const AccessPage = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const accounts = useQuery<AccountView[], Problem>({
    queryKey: ['accounts'],
    queryFn: () => ask('GET', '/api/accounts'),
  })
  const log = useQuery<AccessView, Problem>({ queryKey: ['access'], queryFn: () => ask('GET', '/api/access') })
  const act = useMutation<
    OneTimePassword | undefined,
    Problem,
    { id: string; act: 'one-time-password' | 'take-away' | 'sign-out' }
  >({
    mutationFn: ({ id, act }) => ask('POST', `/api/accounts/${id}/${act}`),
    onSettled: () =>
      client.invalidateQueries({ predicate: (q) => ['accounts', 'access'].includes(String(q.queryKey[0])) }),
  })
  const [all, setAll] = useState(false)
  const failures = log.data?.failures ?? []
  const given = act.data?.password ? [act.data] : []
  const problem = accounts.error ?? log.error ?? act.error
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <h1>Access</h1>
        <p>
          A new one-time password, access taken away or a new role counts at once: whoever is in under that name is
          out.
        </p>
        {problem && <ProblemNotice problem={problem} />}
        <Given passwords={given} />
        {failures.length > 0 && (
          <>
            <h2>Wrong passwords of late</h2>
            <Table>
              <Table.Tbody>
                {failures.slice(0, all ? undefined : FEW).map((f) => (
                  <Table.Tr key={`${f.last}/${f.name}/${f.address}`}>
                    <Table.Td>{utc(f.last)} UTC</Table.Td>
                    <Table.Td>
                      <b>{f.name || 'no name'}</b>
                    </Table.Td>
                    <Table.Td>
                      from {f.address}
                      {f.times > 1 ? `, ${f.times} times in a row` : ''}
                    </Table.Td>
                  </Table.Tr>
                ))}
              </Table.Tbody>
            </Table>
            {failures.length > FEW && !all && (
              <Button size="desk" onClick={() => setAll(true)}>
                Show {failures.length - FEW} more
              </Button>
            )}
          </>
        )}
        <h2>Sign-ins</h2>
        {accounts.isPending && <Fetching what="the sign-ins" />}
        <Table>
          <Table.Tbody>
            {accounts.data?.map((a) => (
              <Table.Tr key={a.id} data-away={a.takenAway || undefined}>
                <Table.Td>
                  <b>{a.name}</b>
                  <br />
                  {a.id}, {a.role}
                </Table.Td>
                <Table.Td>{a.state === 'in use' ? where(a) : `${a.state}, ${where(a)}`}</Table.Td>
                <Table.Td>
                  <div className={classes.acts}>
                    <Button size="desk" onClick={() => act.mutate({ id: a.id, act: 'one-time-password' })}>
                      One-time password
                    </Button>
                    {a.devices.length > 0 && (
                      <Button size="desk" onClick={() => act.mutate({ id: a.id, act: 'sign-out' })}>
                        Sign out everywhere
                      </Button>
                    )}
                    {!a.takenAway && a.id !== me.id && (
                      <Sure
                        words="Take away"
                        again={`Press again: ${a.name} is out`}
                        onSure={() => act.mutate({ id: a.id, act: 'take-away' })}
                      />
                    )}
                  </div>
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
        <h2>What was done</h2>
        <p>Nobody can change or delete these lines.</p>
        <Table>
          <Table.Tbody>
            {log.data?.lines.map((l, i) => (
              <Table.Tr key={`${l.at}/${i}`}>
                <Table.Td>{utc(l.at)} UTC</Table.Td>
                <Table.Td>{l.by}</Table.Td>
                <Table.Td>
                  {l.act}
                  {l.about !== l.by ? `: ${l.about}` : ''}
                </Table.Td>
                <Table.Td>{l.words}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </main>
    </>
  )
}
