import type { RefusedView } from '../api.gen'

/** Why something is not as wanted: as the server says, or of this device alone. */
export type Code = RefusedView['code'] | 'no-answer' | 'unknown' | 'unexpected' | 'unkept' | 'broken'

/** A request that was not answered as wanted (RFC 9457). `status` 0: nobody answered. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: Code,
    readonly what: string,
    readonly tryThis: string,
    readonly faults: string[] = [],
  ) {
    super(what)
  }
}

const cookie = (name: string): string =>
  document.cookie
    .split('; ')
    .find((c) => c.startsWith(`${name}=`))
    ?.slice(name.length + 1) ?? ''

/**
 * Whether sending the same again could help: nobody there, signed out or without a token, too often, or the server
 * in trouble.
 */
export const worthTryingAgain = (p: Problem): boolean =>
  p.status <= 0 || [401, 403, 408, 429].includes(p.status) || p.status >= 500

const TOKEN = 'XSRF-TOKEN'

/** The token against forged requests comes with any answer; without one every word would be refused. */
const fetchToken = async (): Promise<void> => {
  await fetch('/api/about').catch(() => undefined)
}

const BUSY_TRIES = 4

/** How long to wait before asking again, where the server said it is busy; undefined where it did not. */
const busyFor = (response: Response): number | undefined => {
  const seconds = Number(response.headers.get('Retry-After'))
  return response.status === 503 || response.status === 429
    ? seconds > 0 && seconds <= 3
      ? seconds * 1000
      : undefined
    : undefined
}

const problemOf = async (response: Response): Promise<Problem> => {
  const body: Record<string, unknown> = await response.json().catch(() => ({}))
  const text = (field: string, otherwise: string) => (typeof body[field] === 'string' ? body[field] : otherwise)
  return new Problem(
    response.status,
    text('code', 'unknown') as Code,
    text('detail', `The server answered ${response.status}.`),
    text('tryThis', 'Try again.'),
    Array.isArray(body.faults) ? body.faults.map(String) : [],
  )
}

const nobody = (): Problem =>
  new Problem(
    0,
    'no-answer',
    'The server cannot be reached.',
    'What you entered is kept here and sent when it answers.',
  )

/**
 * Asks the server; a string body goes as text, bytes as bytes, anything else as JSON. Throws `Problem`; also when no
 * answer has come within so many milliseconds, where that is said: a link that hangs fails by itself after minutes.
 */
export const ask = async <T>(
  method: 'GET' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
  within?: number,
): Promise<T> => {
  const send = async (): Promise<Response> => {
    const headers: Record<string, string> = { Accept: 'application/json' }
    if (method !== 'GET') {
      if (!cookie(TOKEN)) await fetchToken()
      headers['X-XSRF-TOKEN'] = decodeURIComponent(cookie(TOKEN))
    }
    if (body !== undefined)
      headers['Content-Type'] =
        body instanceof ArrayBuffer
          ? 'application/octet-stream'
          : typeof body === 'string'
            ? 'text/plain'
            : 'application/json'
    const init: RequestInit = { method, headers }
    if (within !== undefined) init.signal = AbortSignal.timeout(within)
    if (body !== undefined)
      init.body = typeof body === 'string' || body instanceof ArrayBuffer ? body : JSON.stringify(body)
    try {
      return await fetch(path, init)
    } catch {
      throw nobody()
    }
  }
  let response = await send()
  // The token is of another session, or of a server that was set up anew: fetched again once.
  if (response.status === 403 && (await problemOf(response.clone())).code === 'no-token') {
    await fetchToken()
    response = await send()
  }
  for (let n = 1, wait = busyFor(response); wait !== undefined && n < BUSY_TRIES; n++, wait = busyFor(response)) {
    await new Promise((go) => setTimeout(go, wait))
    response = await send()
  }
  if (!response.ok) throw await problemOf(response)
  // A page where an answer was asked for comes from something in between, such as a network that wants a sign-in.
  if (response.headers.get('Content-Type')?.startsWith('text/html')) throw nobody()
  const text = await response.text()
  return (text === '' ? undefined : JSON.parse(text)) as T
}

/** What went wrong, whatever was thrown. */
export const asProblem = (thrown: unknown): Problem =>
  thrown instanceof Problem ? thrown : new Problem(-1, 'unexpected', String(thrown), 'Reload the page.')
