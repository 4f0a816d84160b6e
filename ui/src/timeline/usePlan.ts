import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import type { TrialsView, PlanLineView, PlanView, TurnRoundView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import type { Live } from '../live/useDeparture'

/** Between two words of a crew: a plan is not worked out for each of several said in a row. */
const SETTLES_MS = 2_000
const ANEW_MS = 30_000

/** The plan, worked out anew when something was said and as time goes by. */
export const usePlan = (live: Live) => {
  const { id } = live.view.header
  const { number } = live.view.progress
  const query = useQuery<PlanView, Problem>({
    queryKey: ['plan', id],
    queryFn: () => ask<PlanView>('GET', `/api/departures/${id}/plan`),
    refetchInterval: ANEW_MS,
    refetchOnMount: 'always',
    retry: (n, p) => p.status === 0 && n < 20,
    retryDelay: 1500,
  })
  const { refetch, data } = query
  const old = data !== undefined && data.number < number
  useEffect(() => {
    if (!old) return
    const timer = setTimeout(() => void refetch(), SETTLES_MS)
    return () => clearTimeout(timer)
  }, [old, number, refetch])
  return query
}

/** The plan as it would be if a task began at another time; nothing of it is kept. */
export const useTried = (id: string, plan: PlanView | undefined, what: string, at: number) =>
  useQuery<PlanView, Problem>({
    queryKey: ['plan-beginning', id, plan?.number, plan?.at, what, at],
    queryFn: () =>
      ask<PlanView>(
        'GET',
        `/api/departures/${id}/plan/beginning?what=${encodeURIComponent(what)}&at=${new Date(at).toISOString()}`,
      ),
    enabled: what !== '',
    staleTime: Infinity,
    retry: false,
    placeholderData: keepPreviousData,
  })

/** How the plans stand of all departures that are under way, or of one alone. */
export const usePlans = (of = '') =>
  useQuery<PlanLineView[], Problem>({
    queryKey: ['plans', of],
    queryFn: () => ask('GET', `/api/plans${of && `?of=${encodeURIComponent(of)}`}`),
    refetchInterval: ANEW_MS,
  })

/** Which flights wait for the aircraft or the people of another. */
export const useTurnRounds = () =>
  useQuery<TurnRoundView[], Problem>({
    queryKey: ['turn-rounds'],
    queryFn: () => ask('GET', '/api/turn-rounds'),
    refetchInterval: ANEW_MS,
  })

/** One of them in a few words; empty where nothing is planned. */
export const planWords = (plan: PlanLineView | undefined): string => {
  if (!plan) return ''
  if (plan.state !== 'planned') return 'it cannot be done'
  const late = Math.round(plan.lateS / 60)
  return late > 0 ? `${late} min late` : `${Math.floor(plan.slackS / 60)} min to spare`
}

/** What would buy time and what waiting costs, for the plan that is shown. */
export const useChoices = (id: string, plan: PlanView, wanted: boolean) =>
  useQuery<TrialsView, Problem>({
    queryKey: ['plan-choices', id, plan.number, plan.ground],
    queryFn: () => ask<TrialsView>('GET', `/api/departures/${id}/plan/choices`),
    enabled: wanted,
    staleTime: ANEW_MS,
    retry: false,
  })
