import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import type { ChangesView, Me } from '../api.gen'
import { Fetching } from '../app/Fetching'
import { ask, type Problem } from '../app/api'
import { Action } from '../app/Action'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import { SeatingContext } from '../app/seating'
import { ChangesList } from './ChangesList'
import classes from './ReadingPage.module.css'

/** What changed in the procedures for the one who reads, and their word that they have read it. */
export const ReadingPage = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const owed = useQuery<ChangesView[], Problem>({ queryKey: ['reading'], queryFn: () => ask('GET', '/api/reading') })
  const read = useMutation<void, Problem, ChangesView>({
    mutationFn: (c) => ask('POST', `/api/packs/${c.to.id}/${encodeURIComponent(c.to.revision)}/acknowledge`, {}),
    onSuccess: () => client.invalidateQueries(),
  })
  const first = owed.data?.[0]
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        {owed.error && <ProblemNotice problem={owed.error} />}
        {read.error && <ProblemNotice problem={read.error} />}
        {owed.isPending && <Fetching what="what changed" />}
        {owed.data && !first && (
          <>
            <h1>Nothing to read</h1>
            <p className={classes.soft}>You have read all that changed for your seat.</p>
          </>
        )}
        {first && (
          <>
            <p className={classes.soft}>
              {first.to.title}
              {owed.data!.length > 1 ? ` · 1 of ${owed.data!.length}` : ''}
            </p>
            <h1>
              {first.changes.length} {first.changes.length === 1 ? 'thing' : 'things'} changed for you in revision{' '}
              {first.to.revision}
            </h1>
            <p className={classes.soft}>
              Since revision {first.since.revision}. {first.to.state === 'in force' ? 'In force' : 'Holds'} from{' '}
              {first.to.effective}. You open no departure on it before you have read it.
            </p>
            <SeatingContext value={first.to.seating}>
              <ChangesList changes={first.changes} />
            </SeatingContext>
            <div className={classes.actions}>
              <Action hotkey="a" main disabled={read.isPending} onAct={() => read.mutate(first)}>
                I have read it
              </Action>
            </div>
          </>
        )}
      </main>
    </>
  )
}
