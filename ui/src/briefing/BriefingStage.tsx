import type { BriefingLineView, PartView } from '../api.gen'
import { Action } from '../app/Action'
import { clockTime } from '../app/clock'
import { Fold } from '../app/Fold'
import { GoOn } from '../live/GoOn'
import { statusOf } from '../live/marks'
import type { Live } from '../live/useDeparture'
import { BriefedLine } from './BriefedLine'
import { Length } from './Length'
import { lengthWords } from './length'
import classes from './Briefing.module.css'

interface BriefingStageProps {
  live: Live
  part: PartView
  next: { title: string; go: () => void } | undefined
  onGo: (stage: string) => void
}

const KINDS = [
  { kind: 'differs', title: 'Different today' },
  { kind: 'today', title: 'Figures and the way' },
] as const

const lines = (n: number): string => (n === 1 ? '1 line' : `${n} lines`)

/** Today's briefing: read by one, heard by the other; what has become untrue comes back alone. */
export const BriefingStage = ({ live, part, next, onGo }: BriefingStageProps) => {
  const { view, seat, me, outbox } = live
  const { progress, header } = view
  const { briefing, steps } = progress
  const disabled = progress.tiedOff !== undefined || seat === ''
  const seats = new Map(part.items.map((i) => [i.id, i.seats]))
  const holds = (l: BriefingLineView) => l.read !== undefined && l.read.words === l.words
  const owed = (l: BriefingLineView) => seat !== '' && (steps[l.step]?.owes ?? seats.get(l.step) ?? []).includes(seat)
  const unread = briefing.filter((l) => !holds(l))
  const again = unread.filter((l) => l.read !== undefined)
  const unheard = briefing.filter((l) => holds(l) && l.read?.who !== me.id && owed(l))
  const settled = briefing.filter((l) => holds(l) && steps[l.step]?.settled)
  const seconds = briefing.reduce((sum, l) => sum + l.seconds, 0)
  const missing = [...new Set(briefing.flatMap((l) => l.missing))]
  const usual = briefing.filter((l) => l.kind === 'usual' && !again.includes(l))
  const last = [...briefing].flatMap((l) => l.read ?? []).sort((a, b) => b.at.localeCompare(a.at))[0]
  const read = () =>
    outbox.put(
      'briefing-read',
      { lines: unread.map((l) => ({ line: l.step, words: l.words })) },
      `the briefing, ${lines(unread.length)} read`,
    )
  const heard = () =>
    outbox.put(
      'briefing-heard',
      { lines: unheard.map((l) => l.step) },
      `the briefing, ${lines(unheard.length)} heard`,
    )
  const row = (l: BriefingLineView) => (
    <BriefedLine
      key={l.step}
      live={live}
      line={l}
      status={!holds(l) && l.read ? 'again' : statusOf(progress, l.step)}
      disabled={disabled}
    />
  )
  return (
    <div className={classes.stage}>
      <div className={classes.head}>
        <h1>
          {part.title} · {lengthWords(seconds)}
        </h1>
        <a href={`/api/departures/${header.id}/briefing.pdf`} target="_blank" rel="noreferrer">
          With the figures on one page
        </a>
      </div>
      <Length lines={briefing} />
      {(live.here || live.waits) && (
        <p role="alert">
          Put together before what was said here without the network: brief by the stage Figures, and again when
          connected.
        </p>
      )}
      {missing.length > 0 && <p className={classes.soft}>Not known yet: {missing.join(', ')}.</p>}
      {again.length > 0 && (
        <section aria-label="Read again">
          <h2>Another since it was read</h2>
          <ul className={classes.lines}>{again.map(row)}</ul>
        </section>
      )}
      {KINDS.map(({ kind, title }) => {
        const all = briefing.filter((l) => l.kind === kind && !again.includes(l))
        return (
          all.length > 0 && (
            <section key={kind} aria-label={title}>
              <h2>{title}</h2>
              <ul className={classes.lines}>{all.map(row)}</ul>
            </section>
          )
        )
      })}
      {usual.length > 0 && (
        <Fold tone="rest" line={`As usual: ${usual.map((l) => l.title).join(' · ')}`}>
          <ul className={classes.lines}>{usual.map(row)}</ul>
        </Fold>
      )}
      <div className={classes.foot}>
        {seat === '' && (
          <p className={classes.soft}>Take your seat to read the briefing, or to say that you heard it.</p>
        )}
        <div className={classes.ways}>
          {unheard.length > 0 && (
            <Action hotkey="e" main disabled={disabled} onAct={heard}>
              {unheard.length === briefing.length ? 'I heard it' : `I heard ${lines(unheard.length)}`}
            </Action>
          )}
          {unread.length > 0 && (
            <Action hotkey="r" main={unheard.length === 0} disabled={disabled} onAct={read}>
              {unread.length === briefing.length ? 'I read it aloud' : `I read ${lines(unread.length)} aloud`}
            </Action>
          )}
          {settled.length === briefing.length && (
            <GoOn progress={progress} from={part.stage} {...(next && { next })} onGo={onGo} />
          )}
        </div>
        {last && (
          <p className={classes.soft} role="status">
            {settled.length === briefing.length
              ? `Read by ${last.by} at ${clockTime(last.at, header.zone)}, and heard.`
              : unread.length > 0
                ? `${lines(unread.length)} to be read.`
                : unheard.length > 0
                  ? `Read by ${last.by} at ${clockTime(last.at, header.zone)}.`
                  : `Read by ${last.by} at ${clockTime(last.at, header.zone)}; to be heard.`}
          </p>
        )}
      </div>
    </div>
  )
}
