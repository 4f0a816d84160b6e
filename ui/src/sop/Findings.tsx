import { Button, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import type { CheckView, PackFinding } from '../api.gen'
import { WordsForm } from '../app/WordsForm'
import classes from './Findings.module.css'

interface FindingsProps {
  check: CheckView | undefined
  /** Goes to the step, procedure or panel a finding is at. */
  onGo: (at: string) => void
  /** Accepts a finding with a reason; absent where nothing may be changed. */
  onWaive?: (finding: PackFinding, reason: string) => void
  onUnwaive?: (finding: PackFinding) => void
}

/** What the pack check finds: where, why it matters, what would mend it; waived ones below with their reason. */
export const Findings = ({ check, onGo, onWaive, onUnwaive }: FindingsProps) => {
  const [waiving, setWaiving] = useState('')
  if (!check) return <p className={classes.none}>Checking.</p>
  const key = (f: PackFinding, n: number) => `${f.rule}/${f.at}/${n}`
  if (check.faults.length > 0) {
    return (
      <>
        <h3 className={classes.h3}>Cannot be read as it stands</h3>
        <ul className={classes.list}>
          {check.faults.map((f) => (
            <li key={f.path + f.what}>
              <p className={classes.what}>{f.what}</p>
            </li>
          ))}
        </ul>
      </>
    )
  }
  const open = check.findings.filter((f) => f.waived === undefined || f.waived === null)
  const waived = check.findings.filter((f) => f.waived !== undefined && f.waived !== null)
  return (
    <>
      {open.length === 0 && (
        <p className={classes.none}>The pack check finds nothing{waived.length > 0 ? ' that was not waived' : ''}.</p>
      )}
      <ul className={classes.list}>
        {open.map((f, n) => (
          <li key={key(f, n)} data-fault={f.fault || undefined}>
            <UnstyledButton className={classes.where} onClick={() => onGo(f.at)}>
              {f.where}
            </UnstyledButton>
            <p className={classes.title}>
              {f.fault ? 'Fault' : 'Advice'}: {f.title.toLowerCase()}
            </p>
            <p className={classes.what}>{f.what}</p>
            <p className={classes.why}>
              {f.why} <cite>{f.source}</cite>
            </p>
            <p className={classes.why}>To mend it: {f.mend}</p>
            {onWaive &&
              (waiving === key(f, n) ? (
                <WordsForm
                  draft={`waive/${key(f, n)}`}
                  label="Accepted, because"
                  action="Waive it"
                  onCancel={() => setWaiving('')}
                  onSay={(reason) => {
                    onWaive(f, reason)
                    setWaiving('')
                  }}
                />
              ) : (
                <Button size="desk" variant="rest" className={classes.small!} onClick={() => setWaiving(key(f, n))}>
                  Waive with a reason
                </Button>
              ))}
          </li>
        ))}
      </ul>
      {waived.length > 0 && (
        <>
          <h3 className={classes.h3}>Waived</h3>
          <ul className={classes.list}>
            {waived.map((f, n) => (
              <li key={key(f, n)}>
                <UnstyledButton className={classes.where} onClick={() => onGo(f.at)}>
                  {f.where}
                </UnstyledButton>
                <p className={classes.title}>{f.title}</p>
                <p className={classes.what}>Accepted: {f.waived}</p>
                {onUnwaive && (
                  <Button size="desk" variant="rest" className={classes.small!} onClick={() => onUnwaive(f)}>
                    Take the waiver back
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  )
}
