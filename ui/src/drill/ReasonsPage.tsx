import { useQuery } from '@tanstack/react-query'
import { useNavigate, useParams } from '@tanstack/react-router'
import { useState } from 'react'
import type { Me, ReasonView } from '../api.gen'
import { Action } from '../app/Action'
import { ask, type Problem } from '../app/api'
import { Fetching } from '../app/Fetching'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import classes from './Drills.module.css'

/** The steps of a type that say why they are done: say it to yourself, look, go on. Nothing of it is kept. */
export const ReasonsPage = ({ me }: { me: Me }) => {
  const { type } = useParams({ from: '/drills/reasons/$type' })
  const reasons = useQuery<ReasonView[], Problem>({
    queryKey: ['reasons', type],
    queryFn: () => ask('GET', `/api/drills/reasons/${encodeURIComponent(type)}`),
  })
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        {reasons.error && <ProblemNotice problem={reasons.error} />}
        {reasons.isPending && <Fetching what="the reasons" />}
        {reasons.data && <Round key={type} all={reasons.data} />}
      </main>
    </>
  )
}

/** Once through a set; what was not known makes the next. */
const Round = ({ all }: { all: ReasonView[] }) => {
  const navigate = useNavigate()
  const [set, setSet] = useState(all)
  const [at, setAt] = useState(0)
  const [open, setOpen] = useState(false)
  const [again, setAgain] = useState<ReasonView[]>([])
  const now = set[at]
  const leave = () => void navigate({ to: '/drills' })
  const begin = (reasons: ReasonView[]) => {
    setSet(reasons)
    setAgain([])
    setAt(0)
    setOpen(false)
  }
  const on = (known: boolean) => {
    if (!known && now) setAgain([...again, now])
    setAt(at + 1)
    setOpen(false)
  }
  if (!now)
    return (
      <>
        <h1>
          {set.length === 0
            ? 'No step of this type says why it is done'
            : `${set.length - again.length} of ${set.length} reasons known`}
        </h1>
        <p className={classes.facts}>
          {set.length === 0 ? 'Fleet standards write reasons under Procedures.' : 'This is not kept anywhere.'}
        </p>
        <div className={classes.actions}>
          {again.length > 0 ? (
            <Action hotkey="Space" shown="space" main onAct={() => begin(again)}>
              {again.length === 1 ? 'That one again' : `Those ${again.length} again`}
            </Action>
          ) : (
            set.length > 0 && (
              <Action hotkey="Space" shown="space" main onAct={() => begin(all)}>
                All of them once more
              </Action>
            )
          )}
          <Action hotkey="x" onAct={leave}>
            To the drills
          </Action>
        </div>
      </>
    )
  return (
    <>
      <p className={classes.facts}>
        {now.procedure} · {at + 1} of {set.length}
      </p>
      <h1>{now.challenge}</h1>
      <p className={classes.response}>{now.response}</p>
      <p className={classes.reason} role="status">
        {open ? now.why : 'Why? Say it to yourself first.'}
      </p>
      <div className={classes.actions}>
        {open ? (
          <>
            <Action hotkey="Space" shown="space" main onAct={() => on(true)}>
              I knew it
            </Action>
            <Action hotkey="a" onAct={() => on(false)}>
              Ask me again
            </Action>
          </>
        ) : (
          <Action hotkey="Space" shown="space" main onAct={() => setOpen(true)}>
            Show why
          </Action>
        )}
        <Action hotkey="x" onAct={leave}>
          Enough
        </Action>
      </div>
    </>
  )
}
