import { NativeSelect } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { ChangesView, PackView, RevisionView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { ProblemNotice } from '../app/Notice'
import { useSeatWords } from '../app/seating'
import { ChangesList } from './ChangesList'
import classes from './PackPage.module.css'

/** What this revision changed since another, filtered to a tail and a seat. */
export const ChangesPane = ({ pack, all }: { pack: PackView; all: RevisionView[] }) => {
  const { id, revision, tails } = pack.revision
  const others = all.filter((r) => r.id === id && r.revision !== revision)
  const before =
    others.filter((r) => r.published).sort((a, b) => (b.effective ?? '').localeCompare(a.effective ?? ''))[0] ??
    others[0]
  const [since, setSince] = useState(before?.revision ?? '')
  const [tail, setTail] = useState('')
  const [seat, setSeat] = useState('')
  const [role, setRole] = useState('')
  const named = useSeatWords()
  const query = new URLSearchParams({ since, ...(tail && { tail }), ...(seat && { seat }), ...(role && { role }) })
  const changes = useQuery<ChangesView, Problem>({
    queryKey: ['changes', id, revision, pack.revision.sha256, since, tail, seat, role],
    queryFn: () => ask('GET', `/api/packs/${id}/${encodeURIComponent(revision)}/changes?${query}`),
    enabled: since !== '',
  })
  if (!before) return <p className={classes.pane}>There is no other revision of this pack to compare it with.</p>
  return (
    <div className={classes.pane}>
      <div className={classes.filters}>
        <NativeSelect
          label="Since"
          value={since}
          data={others.map((r) => ({ value: r.revision, label: `${r.revision}, ${r.state}` }))}
          onChange={(e) => setSince(e.currentTarget.value)}
        />
        <NativeSelect
          label="What concerns"
          value={tail}
          data={[{ value: '', label: 'every tail' }, ...tails]}
          onChange={(e) => setTail(e.currentTarget.value)}
        />
        <NativeSelect
          label="and"
          value={seat}
          data={[
            { value: '', label: 'all seats' },
            { value: 'left', label: `the ${named('left')}` },
            { value: 'right', label: `the ${named('right')}` },
            { value: 'engineer', label: "the engineer's seat" },
          ]}
          onChange={(e) => setSeat(e.currentTarget.value)}
        />
        <NativeSelect
          label="as"
          value={role}
          data={[
            { value: '', label: 'anybody' },
            { value: 'captain', label: 'captain' },
            { value: 'first-officer', label: 'first officer' },
          ]}
          onChange={(e) => setRole(e.currentTarget.value)}
        />
      </div>
      {changes.error && <ProblemNotice problem={changes.error} />}
      {changes.data && (
        <>
          <h2>
            {changes.data.changes.length === 0
              ? 'Nothing that concerns them'
              : `${changes.data.changes.length} changes`}
          </h2>
          <ChangesList changes={changes.data.changes} />
        </>
      )}
    </div>
  )
}
