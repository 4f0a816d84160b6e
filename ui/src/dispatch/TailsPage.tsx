import { Button, Table } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from '@tanstack/react-router'
import type { BroughtInView, ImportView, Me, TailLine } from '../api.gen'
import { Fetching } from '../app/Fetching'
import { FileChoice } from '../app/FileChoice'
import { ask, type Problem } from '../app/api'
import { ProblemNotice } from '../app/Notice'
import { Sure } from '../app/Sure'
import { TopBar } from '../app/TopBar'
import classes from './TechLog.module.css'

const KINDS = [
  { path: '/api/tech-log', words: 'Lines of technical logs (CSV)' },
  { path: '/api/readings', words: 'Earlier readings (CSV)' },
  { path: '/api/control-history', words: 'What control checks measured (CSV)' },
  { path: '/api/dispatch-lists', words: 'A dispatch list (YAML)' },
]

const waits = (t: TailLine): string =>
  [
    t.open > 0 && `${t.open} open`,
    `${t.deferred || 'nothing'} deferred`,
    t.runOut > 0 ? `${t.runOut} run out` : t.next && `next until ${t.next}`,
  ]
    .filter(Boolean)
    .join(', ')

/** The fleet's tails, each with what its technical log holds open. */
export const TailsPage = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const tails = useQuery<TailLine[], Problem>({
    queryKey: ['tails'],
    queryFn: () => ask('GET', '/api/tails'),
    refetchInterval: 20_000,
  })
  const bring = useMutation<BroughtInView, Problem, { path: string; file: File }>({
    mutationFn: async ({ path, file }) => ask('POST', path, await file.text()),
    onSuccess: () => client.invalidateQueries(),
  })
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <h1 className={classes.h1}>Technical logs</h1>
        {tails.error && <ProblemNotice problem={tails.error} />}
        {tails.isPending && <Fetching what="the tails" />}
        <ul className={classes.tails}>
          {tails.data?.map((t) => (
            <li key={t.tail}>
              <Link to="/tails/$tail" params={{ tail: t.tail }} data-late={t.runOut + t.open > 0 || undefined}>
                <b>{t.tail}</b>
                <span>{t.type}</span>
                <span>{waits(t)}</span>
              </Link>
            </li>
          ))}
        </ul>
        {/* Once the tails are there: they would move these from under a press. */}
        {!tails.isPending && (
          <>
            <p>
              <Link to="/recordings" className={classes.link!}>
                Recordings of control checks: judge a file, lay two over each other
              </Link>
            </p>
            {tails.data?.length === 0 && <p>No tails yet. An administrator brings in the fleet.</p>}
            {me.role === 'maintenance' && (
              <section className={classes.bring}>
                <h2>Bring in</h2>
                <div className={classes.kinds}>
                  {KINDS.map((k) => (
                    <FileChoice
                      key={k.path}
                      inputProps={{ 'aria-label': k.words }}
                      onChange={(file) => file && bring.mutate({ path: k.path, file })}
                    >
                      {(props) => (
                        <Button {...props} size="desk">
                          {k.words}
                        </Button>
                      )}
                    </FileChoice>
                  ))}
                </div>
                {bring.error && <ProblemNotice problem={bring.error} />}
                {bring.data && <p role="status">{bring.data.what}</p>}
                <Files />
              </section>
            )}
          </>
        )}
      </main>
    </>
  )
}

const STANDING: Record<ImportView['standing'], string> = {
  'may-be-withdrawn': 'not used yet',
  'in-use': 'in use',
  withdrawn: 'withdrawn',
}

/** The files that were brought in: one that nobody has gone by yet can be withdrawn. */
const Files = () => {
  const client = useQueryClient()
  const files = useQuery<ImportView[], Problem>({
    queryKey: ['imports'],
    queryFn: () => ask('GET', '/api/imports'),
    refetchInterval: 20_000,
  })
  const withdraw = useMutation<void, Problem, number>({
    mutationFn: (number) => ask('DELETE', `/api/imports/${number}`),
    onSettled: () => client.invalidateQueries(),
  })
  if (!files.data?.length) return null
  return (
    <>
      <h2>Brought in</h2>
      {withdraw.error && <ProblemNotice problem={withdraw.error} />}
      <Table className={classes.files}>
        <Table.Tbody>
          {files.data.map((f) => (
            <Table.Tr key={f.number} data-withdrawn={f.standing === 'withdrawn' || undefined}>
              <Table.Td>
                <b>{f.rows}</b> {f.what}
                <span>{f.tails.join(', ')}</span>
              </Table.Td>
              <Table.Td>
                {f.at.slice(0, 16).replace('T', ' ')} UTC
                <span>{f.by}</span>
              </Table.Td>
              <Table.Td>
                {f.standing === 'may-be-withdrawn' ? (
                  <Sure
                    words="Withdraw"
                    again={`Press again: ${f.rows} rows go`}
                    onSure={() => withdraw.mutate(f.number)}
                  />
                ) : (
                  STANDING[f.standing]
                )}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  )
}
