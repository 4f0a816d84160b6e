import { Table } from '@mantine/core'
import { useState } from 'react'
import type { EditorView, PackView, PreviewCard, PreviewDay } from '../api.gen'
import { Action } from '../app/Action'
import { ProblemNotice } from '../app/Notice'
import { Pennant } from '../app/Pennant'
import classes from './CardsView.module.css'
import { dayOf, usePreview } from './preview'
import { PreviewDayForm } from './PreviewDayForm'

/** The card for a tail, seats and a day; or two beside each other, and only what differs. */
export const CardsView = ({ pack, editor }: { pack: PackView; editor: EditorView }) => {
  const { id, revision, tails } = pack.revision
  const [days, setDays] = useState<PreviewDay[]>([dayOf(tails[0] ?? '', editor.airfields)])
  const preview = usePreview(id, revision, undefined, days)
  const two = days.length > 1
  const put = (i: number, d: PreviewDay) => setDays(days.map((x, k) => (k === i ? d : x)))
  return (
    <div className={classes.view}>
      <div className={classes.days} data-two={two || undefined}>
        {days.map((d, i) => (
          <section key={i} className={classes.day}>
            <h2>{two ? (i === 0 ? 'On the left' : 'On the right') : 'A tail and a day'}</h2>
            <PreviewDayForm day={d} tails={tails} editor={editor} onChange={(next) => put(i, next)} />
          </section>
        ))}
      </div>
      <div className={classes.actions}>
        <Action
          hotkey="b"
          main={!two}
          onAct={() =>
            setDays(
              two
                ? days.slice(0, 1)
                : [...days, { ...days[0]!, tail: tails.find((t) => t !== days[0]!.tail) ?? days[0]!.tail }],
            )
          }
        >
          {two ? 'One card alone' : 'Put another beside it'}
        </Action>
      </div>
      {preview.error && <ProblemNotice problem={preview.error} />}
      {preview.data && two && preview.data.cards.length > 1 ? (
        <Differences cards={preview.data.cards} differences={preview.data.differences} />
      ) : (
        preview.data && <Card card={preview.data.cards[0]!} />
      )}
    </div>
  )
}

const Card = ({ card }: { card: PreviewCard }) => (
  <>
    <h2>
      {card.tail}: {card.steps} steps, {card.leftOut.length} left out
    </h2>
    <div className={classes.parts}>
      {card.parts.map((p) => (
        <section key={p.id}>
          <h3>
            {p.title} <span>{p.items.length}</span>
          </h3>
          <ol>
            {p.items.map((i) => (
              <li key={i.id}>
                <Pennant seats={i.seats} />
                <b>{i.challenge}</b>
                <span>{i.response}</span>
                {i.added && <small>{i.added}</small>}
              </li>
            ))}
          </ol>
        </section>
      ))}
    </div>
  </>
)

interface Side {
  there: boolean
  seats: string[]
  why: string
}

const Differences = ({
  cards,
  differences,
}: {
  cards: PreviewCard[]
  differences: { step: string; part: string; challenge: string; response: string; left: Side; right: Side }[]
}) => (
  <>
    <h2>
      {differences.length === 0 ? 'Nothing differs' : `${differences.length} steps differ`}: {cards[0]!.tail} has{' '}
      {cards[0]!.steps}, {cards[1]!.tail} has {cards[1]!.steps}
    </h2>
    <Table className={classes.table}>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>Step</Table.Th>
          <Table.Th>Left, {cards[0]!.tail}</Table.Th>
          <Table.Th>Right, {cards[1]!.tail}</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {differences.map((d) => (
          <Table.Tr key={d.step}>
            <Table.Td>
              <b>{d.challenge}</b>
              <small>
                {d.part} · {d.response}
              </small>
            </Table.Td>
            <Cell side={d.left} />
            <Cell side={d.right} />
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  </>
)

const Cell = ({ side }: { side: Side }) => (
  <Table.Td data-out={!side.there || undefined}>
    {side.there ? (
      <>
        <Pennant seats={side.seats} /> on the card
      </>
    ) : (
      '– left out'
    )}
    {side.why && <small>{side.why}</small>}
  </Table.Td>
)
