import { Table } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useRef, type ReactNode } from 'react'
import type { RecordView as Record } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { Action } from '../app/Action'
import { clockTime } from '../app/clock'
import { ProblemNotice } from '../app/Notice'
import type { Live } from '../live/useDeparture'
import { useSeatWords } from '../app/seating'
import classes from './RecordView.module.css'

/** The closed record: who did what and when, the chain's head, and the file to take away. */
export const RecordView = ({ live, children }: { live: Live; children: ReactNode }) => {
  const named = useSeatWords()
  const { header, progress } = live.view
  const link = useRef<HTMLAnchorElement>(null)
  const page = useRef<HTMLAnchorElement>(null)
  const log = useQuery<Record, Problem>({
    queryKey: ['log', header.id, progress.number],
    queryFn: () => ask('GET', `/api/departures/${header.id}/log`),
  })
  const tied = progress.tiedOff
  return (
    <div>
      <p className={classes.where}>
        {header.tail}, {header.number.toLowerCase()}, {header.from.name} to {header.to.name}
      </p>
      <h1 className={classes.h1}>
        Tied off by {tied?.by} at {tied && clockTime(tied.at, header.zone)}
      </h1>
      {tied && tied.accepted.length > 0 && (
        <ul className={classes.accepted}>
          {tied.accepted.map((a) => (
            <li key={a.what}>
              <b>{a.what}</b> stays: {a.reason}
            </li>
          ))}
        </ul>
      )}
      {children}
      {log.error && <ProblemNotice problem={log.error} />}
      {log.data && (
        <>
          <p className={classes.head}>
            {log.data.check}. Head of the chain:
            <code>{log.data.head.match(/.{1,8}/g)?.join(' ')}</code>
          </p>
          <div className={classes.actions}>
            <Action hotkey="d" main onAct={() => link.current?.click()}>
              Download the record
            </Action>
            <a ref={link} href={`/api/departures/${header.id}/record`} download hidden>
              The record
            </a>
            <Action hotkey="p" onAct={() => page.current?.click()}>
              As a page
            </Action>
            <a ref={page} href={`/api/departures/${header.id}/record.pdf`} download hidden>
              The record as a page
            </a>
            <span className={classes.verify}>
              Anybody can check it: <code>./lanyard verify FILE</code>
            </span>
          </div>
          <Table className={classes.lines}>
            <Table.Thead>
              <Table.Tr>
                <Table.Th>No.</Table.Th>
                <Table.Th>Time</Table.Th>
                <Table.Th>Who</Table.Th>
                <Table.Th>What</Table.Th>
                <Table.Th>Hash</Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {log.data.lines.map((l) => (
                <Table.Tr key={l.number}>
                  <Table.Td>{l.number}</Table.Td>
                  <Table.Td>{clockTime(l.at, header.zone)}</Table.Td>
                  <Table.Td>
                    {l.by}
                    {l.seat && `, ${named(l.seat)}`}
                  </Table.Td>
                  <Table.Td>{l.words}</Table.Td>
                  <Table.Td>
                    <code title={l.hash}>{l.hash.slice(0, 8)}</code>
                  </Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </>
      )}
    </div>
  )
}
