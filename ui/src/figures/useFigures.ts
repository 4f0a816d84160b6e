import { useQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import type { FiguresView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import type { Live } from '../live/useDeparture'

/** The figures as they are drawn and read; asked for anew when something was said of them. */
export const useFigures = (live: Live) => {
  const { id } = live.view.header
  const { figuresNumber, cardKey } = live.view.progress
  const query = useQuery<FiguresView, Problem>({
    // One a departure, so that one is kept for when there is no network, and not one for each word.
    queryKey: ['figures', id],
    queryFn: () => ask<FiguresView>('GET', `/api/departures/${id}/figures`),
    staleTime: Infinity,
    retry: (n, p) => p.status === 0 && n < 20,
    retryDelay: 1500,
  })
  const { refetch, data } = query
  const newest = Math.max(figuresNumber, cardKey)
  const old = data !== undefined && data.number < newest
  useEffect(() => {
    if (old) void refetch()
  }, [old, newest, refetch])
  return query
}
