import { FileButton } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import type { AccountView, BroughtIn, Me, OneTimePassword } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import classes from './Desk.module.css'

const KINDS = [
  { path: '/api/fleet', title: 'Fleet', words: 'airfields, tails and people' },
  { path: '/api/flights', title: 'Flights', words: 'with their crews' },
]

/** Bringing in one's own fleet and flights, and who may sign in. */
export const Desk = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const accounts = useQuery<AccountView[], Problem>({ queryKey: ['accounts'], queryFn: () => ask('GET', '/api/accounts'), enabled: me.administers })
  const bring = useMutation<BroughtIn & { title: string }, Problem, { path: string; title: string; file: File }>({
    mutationFn: async ({ path, title, file }) => ({ title, ...(await ask<BroughtIn>('POST', path, await file.text())) }),
    onSuccess: () => client.invalidateQueries(),
  })
  const oneTime = useMutation<OneTimePassword, Problem, string>({
    mutationFn: (id) => ask('POST', `/api/accounts/${id}/one-time-password`),
    onSuccess: () => client.invalidateQueries({ queryKey: ['accounts'] }),
  })
  const given = [...(bring.data?.signIns ?? []), ...(oneTime.data ? [oneTime.data] : [])]
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <h1>Desk</h1>
        <p>Bring in YAML or JSON files. A file with a fault changes nothing; every fault is named with its place. Procedure packs are drawn up under Procedures.</p>
        <div className={classes.kinds}>
          {KINDS.map((k) => (
            <FileButton key={k.path} accept=".yaml,.yml,.json" onChange={(file) => file && bring.mutate({ path: k.path, title: k.title, file })}>
              {(props) => (
                <button {...props} type="button" className={classes.kind}>
                  <b>{k.title}</b>
                  <span>{k.words}</span>
                </button>
              )}
            </FileButton>
          ))}
        </div>
        {bring.error && <ProblemNotice problem={bring.error} />}
        {bring.data && (
          <p className={classes.done} role="status">
            {bring.data.title} brought in. {bring.data.what}
          </p>
        )}
        {given.length > 0 && (
          <>
            <h2>One-time passwords, shown once</h2>
            <table>
              <tbody>
                {given.map((s) => (
                  <tr key={s.who}>
                    <td>{s.name}</td>
                    <td>{s.who}</td>
                    <td>
                      <code>{s.password}</code>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )}
        {me.administers && (
          <>
            <h2>Sign-ins</h2>
            {oneTime.error && <ProblemNotice problem={oneTime.error} />}
            <table>
              <tbody>
                {accounts.data?.map((a) => (
                  <tr key={a.id}>
                    <td>
                      <b>{a.name}</b>
                    </td>
                    <td>{a.id}</td>
                    <td>{a.role}</td>
                    <td>{a.mustChange ? 'one-time password not used yet' : ''}</td>
                    <td>
                      <button type="button" className={classes.small} onClick={() => oneTime.mutate(a.id)}>
                        New one-time password
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )}
      </main>
    </>
  )
}
