import { NativeSelect, Table } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import type { Me, RecordingsView, RewrittenView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { Fetching } from '../app/Fetching'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import { HeadNames } from './HeadNames'
import { beside, courseOf } from './overlay'
import { OverlayPlot } from './OverlayPlot'
import { RecordingSlot, type Kept, type Shown } from './RecordingSlot'
import classes from './Recordings.module.css'

type Wanted = { slot: number } & ({ file: File } | Kept)

/** One or two recordings of control checks, judged and laid over each other, surface by surface. */
export const RecordingsPage = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const all = useQuery<RecordingsView, Problem>({
    queryKey: ['recordings'],
    queryFn: () => ask('GET', '/api/recordings'),
  })
  const [type, setType] = useState('')
  const [heads, setHeads] = useState('')
  const [shown, setShown] = useState<(Shown | undefined)[]>([undefined, undefined])
  const [channel, setChannel] = useState('')
  const chosen = type || all.data?.types[0]?.type || ''
  const query = `type=${encodeURIComponent(chosen)}&names=${encodeURIComponent(heads)}`
  const bring = useMutation<Shown, Problem, Wanted>({
    mutationFn: async (w) =>
      'file' in w
        ? {
            title: w.file.name,
            file: w.file,
            view: await ask('POST', `/api/recordings?${query}`, await w.file.arrayBuffer()),
          }
        : { title: w.label, view: await ask('GET', `/api/tails/${w.tail}/recordings/${w.departure}/${w.sha256}`) },
    onSuccess: (one, { slot }) => setShown((before) => before.map((s, i) => (i === slot ? one : s))),
  })
  const rewrite = useMutation<RewrittenView, Problem, File>({
    mutationFn: async (file) => ask('POST', `/api/recordings/rewritten?${query}`, await file.arrayBuffer()),
    onSuccess: ({ csv }, file) => save(file.name.replace(/(\.csv)?(\.gz)?$/, '-rewritten.csv'), csv),
  })
  const there = useMemo(() => shown.filter((s) => s !== undefined), [shown])
  const axes = there[0]?.view.controlCheck.axes ?? []
  const surfaces = axes.flatMap((a) => a.surfaces.map((surface) => ({ axis: a, surface })))
  const one = surfaces.find((s) => s.surface.channel === channel) ?? surfaces[0]
  const courses = useMemo(
    () => (one ? there.map((s) => courseOf(s.view, one.axis, one.surface)) : []),
    [there, one?.surface.channel],
  )
  if (!all.data) return all.error ? <ProblemNotice problem={all.error} /> : <Fetching what="the recordings" />
  const kept = all.data.tails
    .filter((t) => t.type === chosen)
    .flatMap((t) =>
      t.recordings.map((r, n) => ({
        ...r,
        tail: t.tail,
        label: `${t.tail}, flight ${r.flight}, ${r.departs.slice(0, 10)}, ${n + 1}`,
      })),
    )
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <h1>Recordings of control checks</h1>
        <p className={classes.facts}>
          Judged by the limits of the type in force today. It says where to look; licensed maintenance decides.
        </p>
        <div className={classes.row}>
          <NativeSelect
            label="Type"
            value={chosen}
            onChange={(e) => {
              setType(e.currentTarget.value)
              setShown([undefined, undefined])
            }}
            data={all.data.types.map((t) => ({ value: t.type, label: t.title }))}
          />
          <NativeSelect
            label="Heads of a file"
            value={heads}
            onChange={(e) => setHeads(e.currentTarget.value)}
            data={[
              { value: '', label: 'as in the open format' },
              ...all.data.heads.map((h) => ({ value: h.name, label: h.name })),
            ]}
          />
        </div>
        <div className={classes.slots}>
          {[0, 1].map((slot) => (
            <RecordingSlot
              key={slot}
              second={slot === 1}
              shown={shown[slot]}
              kept={kept}
              onFile={(f) => bring.mutate({ slot, file: f })}
              onKept={(k) => bring.mutate({ slot, ...k })}
              onSave={save}
              onRewrite={rewrite.mutate}
            />
          ))}
        </div>
        {bring.isError && <ProblemNotice problem={bring.error} />}
        {rewrite.isError && <ProblemNotice problem={rewrite.error} />}
        {one && (
          <>
            <NativeSelect
              label="Surface"
              value={one.surface.channel}
              onChange={(e) => setChannel(e.currentTarget.value)}
              data={surfaces.map((s) => ({ value: s.surface.channel, label: s.surface.name }))}
            />
            <OverlayPlot courses={courses} label={`${one.surface.name} over time`} />
            <p className={classes.facts}>
              ─ first{there.length > 1 && ', ╌ second'}; from when {one.axis.name.toLowerCase()} was first moved. Drag
              over a stretch to see it larger, click twice for all of it.
            </p>
            <Table>
              <Table.Thead>
                <Table.Tr>
                  <Table.Th>{one.surface.name}</Table.Th>
                  <Table.Th>Limit</Table.Th>
                  {there.map((s) => (
                    <Table.Th key={s.title}>{s.title}</Table.Th>
                  ))}
                </Table.Tr>
              </Table.Thead>
              <Table.Tbody>
                {beside(
                  there.map((s) => s.view),
                  one.surface.name,
                ).map((b) => (
                  <Table.Tr key={b.key}>
                    <Table.Td>{b.words}</Table.Td>
                    <Table.Td>{`${b.limit.toFixed(2)} ${b.unit}`}</Table.Td>
                    {b.measured.map((m, i) => (
                      <Table.Td key={i} data-wrong={b.wrong[i] || undefined}>
                        {m === undefined
                          ? ''
                          : `${m.toFixed(2)} ${b.unit}${b.wrong[i] ? ', not as it should be' : ''}`}
                      </Table.Td>
                    ))}
                  </Table.Tr>
                ))}
              </Table.Tbody>
            </Table>
          </>
        )}
        <HeadNames
          heads={all.data.heads}
          mayKeep={all.data.mayKeep}
          onChanged={() => client.invalidateQueries({ queryKey: ['recordings'] })}
        />
      </main>
    </>
  )
}

/** Gives a file to the browser to be kept. */
const save = (name: string, text: string) => {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/plain' }))
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 0)
}
