import '@mantine/core/styles/baseline.layer.css'
import '@mantine/core/styles/default-css-variables.layer.css'
import '@mantine/core/styles/global.layer.css'
import '@mantine/core/styles/UnstyledButton.layer.css'
import '@mantine/core/styles/CloseButton.layer.css'
import '@mantine/core/styles/ActionIcon.layer.css'
import '@mantine/core/styles/Input.layer.css'
import '@mantine/core/styles/InlineInput.layer.css'
import '@mantine/core/styles/PasswordInput.layer.css'
import '@mantine/core/styles/Checkbox.layer.css'
import '@mantine/core/styles/RadioCard.layer.css'
import '@mantine/core/styles/Stack.layer.css'
import '@mantine/core/styles/Button.layer.css'
import '@mantine/core/styles/Accordion.layer.css'
import '@mantine/core/styles/Table.layer.css'
import '@mantine/core/styles/Tabs.layer.css'
import '@mantine/core/styles/Skeleton.layer.css'
import './theme/global.css'
// Before the screens, so that a screen's own stylesheet has the last word.
import { theme } from './theme/theme'
import { tokens } from './theme/tokens'
import { MantineProvider } from '@mantine/core'
import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query'
import {
  createRootRoute,
  createRoute,
  createRouter,
  Navigate,
  Outlet,
  RouterProvider,
  useLocation,
} from '@tanstack/react-router'
import { createContext, lazy, Suspense, use, useEffect, type ComponentType } from 'react'
import { createRoot } from 'react-dom/client'
import type { About, Me } from './api.gen'
import { Fetching } from './app/Fetching'
import { Action } from './app/Action'
import { ask, Problem } from './app/api'
import { setServerNow } from './app/clock'
import { keepQueries } from './app/kept'
import { ProblemNotice } from './app/Notice'
import { TopBar } from './app/TopBar'
import { DepartureList } from './departure/DepartureList'
import { DepartureScreen } from './departure/DepartureScreen'
import { Password } from './fleet/Password'
import { SignIn } from './fleet/SignIn'
import { resumeWords } from './live/outbox'
import { resumePhotos } from './live/photos'

const MeContext = createContext<Me | undefined>(undefined)

const useMe = (): Me => {
  const me = use(MeContext)
  if (!me) throw new Error('This screen stands inside the sign-in')
  return me
}

/** Everything but the sign-in itself stands behind it. */
const Gate = () => {
  const client = useQueryClient()
  const at = useLocation().pathname
  const session = useQuery<Me | null, Problem>({
    queryKey: ['me'],
    queryFn: async () => {
      setServerNow(await ask<About>('GET', '/api/about'))
      return ask<Me>('GET', '/api/session').catch((p: Problem) => {
        if (p.status === 401) return null
        throw p
      })
    },
    staleTime: Infinity,
    retry: true,
    retryDelay: 2000,
    // What was kept is shown at once; whether it still holds is asked each time.
    refetchOnMount: 'always',
  })
  const enter = (me: Me) => client.setQueryData(['me'], me)
  if (session.data === undefined) {
    if (!session.failureReason)
      return (
        <main style={{ padding: '2rem' }}>
          <Fetching what="who you are" />
        </main>
      )
    return (
      <main style={{ padding: '2rem' }}>
        <h1>Waiting for the server</h1>
        <ProblemNotice problem={session.failureReason} />
      </main>
    )
  }
  if (session.data === null) return <SignIn onIn={enter} />
  return <In me={session.data} at={at} onChanged={enter} />
}

/** Somebody is signed in: what they said before is still on its way. */
const In = ({ me, at, onChanged }: { me: Me; at: string; onChanged: (me: Me) => void }) => {
  useEffect(() => void resumeWords(me.id), [me.id])
  if (me.mustChange || at === '/password') {
    return (
      <Password
        me={me}
        onChanged={(changed) => {
          onChanged(changed)
          window.location.assign('/')
        }}
      />
    )
  }
  return (
    <MeContext value={me}>
      <Outlet />
    </MeContext>
  )
}

/** A fault of this program: what was said before is kept, on the server or in this device. */
const Broken = ({ error }: { error: unknown }) => (
  <main style={{ padding: '2rem' }}>
    <h1>This view failed</h1>
    <ProblemNotice
      problem={
        new Problem(
          0,
          'broken',
          'What you said before is kept. Load it again; if it fails again, use the paper checklist.',
          `For who keeps this program: ${error instanceof Error ? error.message : String(error)}`,
        )
      }
    />
    <Action hotkey="Enter" main onAct={() => window.location.reload()}>
      Load it again
    </Action>
  </main>
)

const root = createRootRoute({ component: Gate, notFoundComponent: () => <Navigate to="/" /> })
const List = () => <DepartureList me={useMe()} />
const One = () => <DepartureScreen me={useMe()} />

/**
 * What is done at a desk comes when it is asked for; a crew on the ramp need not wait for it. It is kept on the
 * device all the same.
 */
const atDesk = (page: () => Promise<{ default: ComponentType<{ me: Me }> }>) => {
  const Page = lazy(page)
  return () => {
    const me = useMe()
    return (
      <Suspense fallback={<TopBar me={me} />}>
        <Page me={me} />
      </Suspense>
    )
  }
}
const Accesses = atDesk(async () => ({ default: (await import('./fleet/AccessPage')).AccessPage }))
const AtDesk = atDesk(async () => ({ default: (await import('./fleet/Desk')).Desk }))
const Packs = atDesk(async () => ({ default: (await import('./sop/PacksPage')).PacksPage }))
const OnePack = atDesk(async () => ({ default: (await import('./sop/PackPage')).PackPage }))
const Reads = atDesk(async () => ({ default: (await import('./sop/ReadingPage')).ReadingPage }))
const Tails = atDesk(async () => ({ default: (await import('./dispatch/TailsPage')).TailsPage }))
const OneLog = atDesk(async () => ({ default: (await import('./dispatch/TechLogPage')).TechLogPage }))
const Trends = atDesk(async () => ({ default: (await import('./dispatch/TrendsPage')).ControlTrendsPage }))
const ReadTrends = atDesk(async () => ({ default: (await import('./dispatch/TrendsPage')).ReadingTrendsPage }))
const Recorded = atDesk(async () => ({ default: (await import('./controls/RecordingsPage')).RecordingsPage }))
const Drilled = atDesk(async () => ({ default: (await import('./drill/DrillsPage')).DrillsPage }))
const Reasoned = atDesk(async () => ({ default: (await import('./drill/ReasonsPage')).ReasonsPage }))
const CameTrue = atDesk(async () => ({ default: (await import('./timeline/CalibrationPage')).CalibrationPage }))
const router = createRouter({
  defaultErrorComponent: Broken,
  routeTree: root.addChildren([
    createRoute({ getParentRoute: () => root, path: '/', component: List }),
    createRoute({
      getParentRoute: () => root,
      path: '/departures/$id',
      component: One,
      validateSearch: (s: Record<string, unknown>): { stage?: string } =>
        typeof s.stage === 'string' ? { stage: s.stage } : {},
    }),
    createRoute({ getParentRoute: () => root, path: '/desk', component: AtDesk }),
    createRoute({ getParentRoute: () => root, path: '/plans', component: CameTrue }),
    createRoute({ getParentRoute: () => root, path: '/access', component: Accesses }),
    createRoute({ getParentRoute: () => root, path: '/packs', component: Packs }),
    createRoute({
      getParentRoute: () => root,
      path: '/packs/$id/$revision',
      component: OnePack,
      validateSearch: (s: Record<string, unknown>): { view?: string; step?: string } => ({
        ...(typeof s.view === 'string' ? { view: s.view } : {}),
        ...(typeof s.step === 'string' ? { step: s.step } : {}),
      }),
    }),
    createRoute({ getParentRoute: () => root, path: '/reading', component: Reads }),
    createRoute({ getParentRoute: () => root, path: '/tails', component: Tails }),
    createRoute({ getParentRoute: () => root, path: '/tails/$tail', component: OneLog }),
    createRoute({ getParentRoute: () => root, path: '/tails/$tail/controls', component: Trends }),
    createRoute({ getParentRoute: () => root, path: '/tails/$tail/readings', component: ReadTrends }),
    createRoute({ getParentRoute: () => root, path: '/recordings', component: Recorded }),
    createRoute({ getParentRoute: () => root, path: '/drills', component: Drilled }),
    createRoute({ getParentRoute: () => root, path: '/drills/reasons/$type', component: Reasoned }),
    createRoute({ getParentRoute: () => root, path: '/password', component: () => null }),
  ]),
})

declare module '@tanstack/react-router' {
  interface Register {
    router: typeof router
  }
}

const client = new QueryClient({
  defaultOptions: {
    queries: { refetchOnWindowFocus: false, gcTime: Infinity, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
})
await keepQueries(client)
void resumePhotos()

createRoot(document.getElementById('root')!).render(
  <MantineProvider theme={theme} cssVariablesResolver={tokens} defaultColorScheme="auto">
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </MantineProvider>,
)
