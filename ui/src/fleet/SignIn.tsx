import { Button, PasswordInput, TextInput, UnstyledButton } from '@mantine/core'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { About, Me } from '../api.gen'
import { ask, type Problem } from '../app/api'
import { Key } from '../app/Key'
import { setServerNow } from '../app/clock'
import { handedTo } from '../app/signOut'
import { ProblemNotice } from '../app/Notice'
import { DayNight } from '../app/Switch'
import classes from './SignIn.module.css'

/** Who is there. In demo mode the demo's people and passwords stand below. */
export const SignIn = ({ onIn }: { onIn: (me: Me) => void }) => {
  const next = handedTo()
  const [who, setWho] = useState(next)
  const [password, setPassword] = useState('')
  const about = useQuery<About, Problem>({
    queryKey: ['about'],
    queryFn: async () => {
      const a = await ask<About>('GET', '/api/about')
      setServerNow(a)
      return a
    },
  })
  const enter = useMutation<Me, Problem, { who: string; password: string }>({
    mutationFn: (form) => ask('POST', '/api/session', form),
    onSuccess: (me) => {
      if (next !== '') history.replaceState(history.state, '', window.location.pathname + window.location.search)
      onIn(me)
    },
  })
  return (
    <main className={classes.page}>
      <div className={classes.cord} aria-hidden="true">
        <svg viewBox="0 0 120 800" preserveAspectRatio="xMidYMin slice">
          <defs>
            <pattern id="lay" width="10" height="10" patternUnits="userSpaceOnUse" patternTransform="rotate(-58)">
              <rect width="10" height="10" className={classes.strand} />
              <rect width="1.500" height="10" className={classes.gap} />
            </pattern>
          </defs>
          <rect x="36" width="9" height="800" fill="url(#lay)" />
          {[120, 260, 400, 540].map((y, i) => (
            <rect
              key={y}
              x="24"
              y={y}
              width="33"
              height="33"
              rx="8"
              className={i === 0 ? classes.now : classes.bead}
            />
          ))}
          <path d="M45 316h22m0-17h46l-9 17 9 17H67z" className={classes.tag} />
        </svg>
      </div>
      <section className={classes.form}>
        <h1>Neat Lanyard</h1>
        <p className={classes.lead}>
          Whatever is opened hangs as a tag until it is closed. A bare cord is ready to go.
        </p>
        <form
          onSubmit={(e) => {
            e.preventDefault()
            enter.mutate({ who: who.trim(), password })
          }}
        >
          <TextInput
            label="Name"
            value={who}
            onChange={(e) => setWho(e.currentTarget.value)}
            autoComplete="username"
            autoCapitalize="none"
            size="md"
            autoFocus={next === ''}
          />
          <PasswordInput
            label="Password"
            value={password}
            onChange={(e) => setPassword(e.currentTarget.value)}
            autoComplete="current-password"
            autoFocus={next !== ''}
            size="md"
            mt="sm"
          />
          {enter.error && <ProblemNotice problem={enter.error} />}
          <Button
            type="submit"
            variant="main"
            className={classes.enter!}
            disabled={enter.isPending}
            rightSection={<Key>enter</Key>}
          >
            Sign in
          </Button>
        </form>
        <DayNight />
        <p className={classes.caution}>
          For trained crews. The operator's manuals, the commander and licensed maintenance decide.
        </p>
      </section>
      {about.data?.demo && (
        <section className={classes.demo}>
          <h2>Demo: {about.data.operator}</h2>
          <p>Everybody and everything here is invented. Choose who you are.</p>
          <ul>
            {about.data.signIns.map((s) => (
              <li key={s.who}>
                <UnstyledButton onClick={() => enter.mutate({ who: s.who, password: s.password })}>
                  <b>{s.name}</b>
                  <span>{s.role}</span>
                  <code>
                    {s.who} · {s.password}
                  </code>
                </UnstyledButton>
              </li>
            ))}
          </ul>
        </section>
      )}
    </main>
  )
}
