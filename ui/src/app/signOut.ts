import type { QueryClient } from '@tanstack/react-query'
import { ask } from './api'
import { forgetKept } from './kept'

/**
 * Leaves this device to the next person, with nothing of what was kept on it.
 *
 * @param to where they come to
 * @param who signs in next, where that is known
 */
export const signOut = async (client: QueryClient, to: string, who = ''): Promise<void> => {
  await ask('DELETE', '/api/session')
  client.clear()
  await forgetKept()
  window.location.assign(who === '' ? to : `${to}#${who}`)
  // Another hash alone loads nothing.
  if (who !== '') window.location.reload()
}

/** Who was handed this device; empty where nobody was named. */
export const handedTo = (): string => window.location.hash.slice(1)
