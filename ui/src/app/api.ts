/** A request that was not answered as wanted (RFC 9457). `status` 0: nobody answered. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
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

/** Whether sending the same again could help: nobody there, signed out, or the server in trouble. */
export const worthTryingAgain = (p: Problem): boolean => p.status === 0 || p.status === 401 || p.status === 429 || p.status >= 500

const problemOf = async (response: Response): Promise<Problem> => {
  const body: Record<string, unknown> = await response.json().catch(() => ({}))
  const text = (field: string, otherwise: string) => (typeof body[field] === 'string' ? body[field] : otherwise)
  return new Problem(
    response.status,
    text('code', 'unknown'),
    text('detail', `The server answered ${response.status}.`),
    text('tryThis', 'Try again.'),
    Array.isArray(body.faults) ? body.faults.map(String) : [],
  )
}

/** Asks the server; a string body goes as text, bytes as bytes, anything else as JSON. Throws `Problem`. */
export const ask = async <T>(method: 'GET' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<T> => {
  const headers: Record<string, string> = { Accept: 'application/json' }
  if (method !== 'GET') headers['X-XSRF-TOKEN'] = decodeURIComponent(cookie('XSRF-TOKEN'))
  if (body !== undefined) headers['Content-Type'] = body instanceof ArrayBuffer ? 'application/octet-stream' : typeof body === 'string' ? 'text/plain' : 'application/json'
  const init: RequestInit = { method, headers }
  if (body !== undefined) init.body = typeof body === 'string' || body instanceof ArrayBuffer ? body : JSON.stringify(body)
  let response: Response
  try {
    response = await fetch(path, init)
  } catch {
    throw new Problem(0, 'no-answer', 'The server cannot be reached.', 'What you entered is kept here and sent when it answers.')
  }
  if (!response.ok) throw await problemOf(response)
  const text = await response.text()
  return (text === '' ? undefined : JSON.parse(text)) as T
}

/** What went wrong, whatever was thrown. */
export const asProblem = (thrown: unknown): Problem =>
  thrown instanceof Problem ? thrown : new Problem(-1, 'unexpected', String(thrown), 'Reload the page.')
