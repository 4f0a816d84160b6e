import { Button, Textarea } from '@mantine/core'
import { Action } from '../app/Action'
import { useDraft } from '../app/useDraft'
import type { Live } from '../live/useDeparture'
import { LaterLists } from '../checklist/LaterLists'
import { RecordView } from './RecordView'
import { tieOffRows } from './rows'
import classes from './TieOffStage.module.css'

/** The last bead: what is still in the way, the commander's reasons, and the record. */
export const TieOffStage = ({ live, onGo }: { live: Live; onGo: (stage: string) => void }) => {
  const { view, me, outbox } = live
  const [text, setText, drop] = useDraft(`reasons/${view.header.id}`, '{}')
  const reasons = JSON.parse(text) as Record<string, string>
  const inTheWay = tieOffRows(view)
  const commander = view.header.crew.find((c) => c.commander)
  const yours = commander?.id === me.id
  if (view.progress.tiedOff)
    return (
      <RecordView live={live}>
        <LaterLists live={live} />
      </RecordView>
    )
  const never = inTheWay.filter((t) => !t.mayStay)
  const unsaid = inTheWay.filter((t) => t.mayStay && !reasons[t.key]?.trim())
  const tieOff = () => {
    const accepted = inTheWay
      .filter((r) => r.mayStay)
      .flatMap((r) => r.tags.map((t) => ({ tag: t.key, reason: reasons[r.key]?.trim() ?? '' })))
    outbox.put('tied-off', { accepted }, 'tying off')
    drop()
  }
  return (
    <div>
      <p className={classes.where}>Tie off</p>
      <h1 className={classes.h1}>
        {inTheWay.length === 0
          ? 'The cord is bare'
          : `${inTheWay.length} ${inTheWay.length === 1 ? 'thing is' : 'things are'} in the way`}
      </h1>
      <p className={classes.lead}>
        {inTheWay.length === 0
          ? `${commander?.name} ties off; the record is closed.`
          : yours
            ? 'Close each, or say why it may stay.'
            : `Close each; or ${commander?.name}, who commands, says why it may stay.`}
      </p>
      <ul className={classes.list}>
        {inTheWay.map((t) => (
          <li key={t.key} className={classes.item}>
            <div>
              <p className={classes.title}>{t.title}</p>
              <p className={classes.detail}>{t.detail}</p>
              {t.closes && <p className={classes.closes}>Closed by: {t.closes}</p>}
              <Button size="desk" className={classes.go!} onClick={() => onGo(t.go)}>
                Go there
              </Button>
            </div>
            {!t.mayStay ? (
              <p className={classes.never}>This may not stay, whatever the reason.</p>
            ) : (
              yours && (
                <Textarea
                  label="It may stay, because"
                  value={reasons[t.key] ?? ''}
                  maxLength={2000}
                  autosize
                  minRows={1}
                  onChange={(e) => setText(JSON.stringify({ ...reasons, [t.key]: e.currentTarget.value }))}
                />
              )
            )}
          </li>
        ))}
      </ul>
      <div className={classes.actions}>
        <Action hotkey="mod+Enter" shown="ctrl enter" main disabled={!yours} onAct={tieOff}>
          Tie off
        </Action>
        <span className={classes.why}>
          {!yours
            ? `Only ${commander?.name} ties off.`
            : never.length > 0
              ? 'It will be refused: something may not stay.'
              : unsaid.length > 0
                ? `It will be refused: ${unsaid.length} without a reason.`
                : ''}
        </span>
      </div>
    </div>
  )
}
