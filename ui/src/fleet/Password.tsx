import { Button, PasswordInput } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import type { Me } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { Key } from '../app/Key'
import { ProblemNotice } from '../app/Notice'
import classes from './SignIn.module.css'

/** Choosing one's own password. */
export const Password = ({ me, onChanged }: { me: Me; onChanged: (me: Me) => void }) => {
  const [now, setNow] = useState('')
  const [next, setNext] = useState('')
  const change = useMutation<Me, Problem>({
    mutationFn: () => ask('POST', '/api/session/password', { now, next }),
    onSuccess: onChanged,
  })
  return (
    <main className={classes.page} style={{ paddingLeft: '2rem' }}>
      <section className={classes.form}>
        <h1>{me.mustChange ? 'Choose your password' : 'Change your password'}</h1>
        <p className={classes.lead}>
          {me.mustChange ? 'The one you were given was for one use.' : `You are signed in as ${me.name}.`}
        </p>
        <form
          onSubmit={(e) => {
            e.preventDefault()
            change.mutate()
          }}
        >
          <PasswordInput
            label="Present password"
            value={now}
            onChange={(e) => setNow(e.currentTarget.value)}
            autoComplete="current-password"
            size="md"
          />
          <PasswordInput
            label="New password, 10 characters or more"
            value={next}
            onChange={(e) => setNext(e.currentTarget.value)}
            autoComplete="new-password"
            size="md"
            mt="sm"
          />
          {change.error && <ProblemNotice problem={change.error} />}
          <Button type="submit" variant="main" className={classes.enter!} rightSection={<Key>enter</Key>}>
            Change it
          </Button>
        </form>
        <a href="/">Back to the departures</a>
      </section>
    </main>
  )
}
