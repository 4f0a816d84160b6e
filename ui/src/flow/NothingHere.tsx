import type { DepartureView, PartView } from '../api.gen'
import { Action } from '../app/Action'
import { nextForMe } from './nextForMe'
import classes from './NothingHere.module.css'

interface NothingHereProps {
  view: DepartureView
  part: PartView
  seat: string
  /** The next procedure of this stage with something for this seat, where there is one. */
  next: { title: string; go: () => void } | undefined
  onGo: (stage: string) => void
}

/** First of all for a seat that looks on: that nothing here is its own, and where its own work is, one press away. */
export const NothingHere = ({ view, part, seat, next, onGo }: NothingHereProps) => {
  const mine = nextForMe(view, part, seat)
  if (!seat || mine?.part === part) return null
  const stage = view.progress.beads.find((b) => b.stage === mine?.part.stage)
  return (
    <div className={classes.nothing}>
      <p>
        Nothing here for you
        {mine
          ? `; next is your ${mine.part.title.toLowerCase()}, ${mine.items} ${mine.items === 1 ? 'item' : 'items'}.`
          : ', and nothing is left for you.'}
      </p>
      {mine && stage && (
        <Action
          hotkey="g"
          main
          onAct={() => (next && mine.part.stage === part.stage ? next.go() : onGo(stage.stage))}
        >
          Go to {mine.part.stage === part.stage ? mine.part.title.toLowerCase() : stage.title.toLowerCase()}
        </Action>
      )}
    </div>
  )
}
