import type { Progress } from '../api.gen'
import { Action } from '../app/Action'

interface GoOnProps {
  progress: Progress
  /** The stage on the screen; from there one goes on to the one at hand, if that is another. */
  from: string
  /** The next procedure of this stage with something open, where there is one. */
  next?: { title: string; go: () => void }
  onGo: (stage: string) => void
}

/** On to the next procedure of the stage, or to the stage at hand. */
export const GoOn = ({ progress, from, next, onGo }: GoOnProps) => {
  if (next) {
    return (
      <Action hotkey="g" main onAct={next.go}>
        Go to {next.title.toLowerCase()}
      </Action>
    )
  }
  const current = progress.beads.find((b) => b.state === 'current')
  if (!current || current.stage === from) return null
  return (
    <Action hotkey="g" main onAct={() => onGo(current.stage)}>
      Go to {current.title.toLowerCase()}
    </Action>
  )
}
