import { useState } from 'react'
import type { DrillBegunView, RoundForm } from '../api.gen'
import { Action } from '../app/Action'
import { Fetching } from '../app/Fetching'
import { AircraftPicture } from '../controls/AircraftPicture'
import { AxisBars } from '../controls/AxisBars'
import { CallKeys } from '../controls/Calls'
import { StillToMove } from '../controls/StillToMove'
import { Strip } from '../controls/Strip'
import classes from './DrillRun.module.css'
import type { Ended } from '../../../device/target/browser/controls.js'
import { Stick } from './Stick'
import { useFlying } from './useFlying'

interface DrillRunProps {
  drill: DrillBegunView
  /** @param answers to the rounds that were flown; none where somebody left before the first was over */
  onDone: (answers: RoundForm[]) => void
}

/** One drill, round by round: what is seen is what an aircraft would show, and nothing says what is wrong. */
export const DrillRun = ({ drill, onDone }: DrillRunProps) => {
  const [answers, setAnswers] = useState<RoundForm[]>([])
  const [last, setLast] = useState<Ended>()
  const [flies, setFlies] = useState(false)
  const { flying, picture, failed } = useFlying(drill, (ended) => {
    setLast(ended)
    setFlies(false)
    setAnswers((before) => [...before, ended.answer])
  })
  if (failed)
    return (
      <main className={classes.main}>
        <p role="alert">This device cannot fly a drill: {failed}</p>
        <Action hotkey="x" main onAct={() => onDone([])}>
          Back
        </Action>
      </main>
    )
  if (!flying) return <Fetching what="the made-up aircraft" />
  const { axes } = drill.controlCheck
  const round = answers.length + (flies || !last ? 1 : 0)
  // Of a check that was stopped nothing was to be whole.
  const lacked = last && !last.answer.stoppedS ? last.missing : []
  const begin = () => {
    flying.begin()
    setFlies(true)
  }
  const leave = () => onDone(answers)
  return (
    <main className={classes.main} data-flies={flies || undefined}>
      <p className={classes.where}>
        Drill, made-up aircraft · {drill.title} · round {round} of {drill.rounds}
      </p>
      <h1 className={classes.h1}>{flies ? TELLS[drill.task] : last ? last.words : BEFORE[drill.task]}</h1>
      {drill.task === 'watch' && <p className={classes.facts}>{!flies && last && calls(last.answer)}</p>}
      <div className={classes.live}>
        <div className={classes.aircraft}>
          <AircraftPicture planform={drill.planform} axes={axes} picture={picture} moments={flying.moments} />
        </div>
        <div className={classes.beside}>
          <div className={classes.actions}>
            {flies ? (
              <>
                {drill.task !== 'move' && (
                  <Action hotkey="Space" main onAct={() => flying.end(true)}>
                    Stop: something is wrong
                  </Action>
                )}
                {drill.task !== 'watch' && (
                  <Action hotkey="Enter" main={drill.task === 'move'} onAct={() => flying.end(false)}>
                    {drill.task === 'move' ? 'The check is made' : 'All of it moved, all right'}
                  </Action>
                )}
              </>
            ) : !last || last.more ? (
              <>
                <Action hotkey="Enter" main onAct={begin}>
                  {last ? 'Next round' : 'Begin'}
                </Action>
                <Action hotkey="x" size="seat" onAct={leave}>
                  {answers.length > 0 ? 'Enough for today' : 'Not now'}
                </Action>
              </>
            ) : (
              <Action hotkey="Enter" main onAct={leave}>
                How I did
              </Action>
            )}
          </div>
          {drill.task === 'watch' ? (
            <CallKeys moments={flying.moments} off={!flies} onCall={({ axis, sign }) => flying.call(axis, sign)} />
          ) : flies || lacked.length === 0 ? (
            <Stick hands={flying.hands} />
          ) : (
            <ul className={classes.missing}>
              {lacked.map((m) => (
                <li key={m}>{m}</li>
              ))}
            </ul>
          )}
          {drill.task === 'move' && flies && <StillToMove picture={picture} />}
        </div>
        <div className={classes.below}>
          <AxisBars axes={axes} picture={picture} moments={flying.moments} />
          <Strip axes={axes} moments={flying.moments} />
        </div>
      </div>
    </main>
  )
}

const BEFORE = {
  watch: 'Call what is there, and stop what is wrong',
  move: 'Move all of it, and hold it at each stop',
  both: 'Move all of it, and stop what is wrong',
} as const

const TELLS = {
  watch: 'It moves: call, or stop it',
  move: 'Pitch, roll, yaw: both ways, held, back to neutral',
  both: 'Both ways, held, back to neutral: and look',
} as const

const calls = ({ callsRight, callsWrong }: RoundForm): string => {
  if (callsRight + callsWrong === 0) return 'You called nothing.'
  const right = `${callsRight} ${callsRight === 1 ? 'call' : 'calls'} right`
  return callsWrong > 0 ? `${right}, ${callsWrong} before it was there.` : `${right}.`
}
