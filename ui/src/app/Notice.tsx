import { Link } from '@tanstack/react-router'
import type { ReactNode } from 'react'
import type { Problem } from './api'
import classes from './Notice.module.css'

/** A refusal or a fault: what is wrong, each fault by its place, and what to do. */
export const ProblemNotice = ({ problem, children }: { problem: Problem; children?: ReactNode }) => (
  <div className={classes.notice} role="alert">
    <p className={classes.what}>{problem.what}</p>
    {problem.faults.length > 0 && (
      <ul className={classes.faults}>
        {problem.faults.slice(0, 30).map((f) => (
          <li key={f}>{f}</li>
        ))}
        {problem.faults.length > 30 && <li>and {problem.faults.length - 30} more</li>}
      </ul>
    )}
    <p className={classes.try}>{problem.tryThis}</p>
    {problem.code === 'not-read' && (
      <p className={classes.try}>
        <Link to="/reading">Read what changed</Link>
      </p>
    )}
    {children}
  </div>
)

/** Where the danger is. */
export const Caution = ({ children }: { children: ReactNode }) => (
  <p className={classes.caution}>
    <svg viewBox="0 0 24 22" aria-hidden="true">
      <path d="M12 2 22.500 20.500H1.500z M12 8.500v6 M12 16.800v1.400" />
    </svg>
    <span>
      <b>Caution.</b> {children}
    </span>
  </p>
)

/** Why something is on today's card. */
export const Added = ({ children }: { children: ReactNode }) => (
  <p className={classes.added}>Added today: {children}.</p>
)

/** Why a step that was done is asked for again. */
export const AskedAgain = ({ because }: { because: string }) => (
  <p className={classes.added}>Asked again: {because || 'it was opened since it was last done'}.</p>
)
