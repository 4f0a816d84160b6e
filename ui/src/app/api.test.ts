import { afterEach, describe, expect, it, vi } from 'vitest'
import { ask, Problem, worthTryingAgain } from './api'

afterEach(() => vi.unstubAllGlobals())

/** A link that is there and says nothing. */
const hangs = (_: string, init: RequestInit): Promise<Response> =>
  new Promise((_resolve, reject) => {
    init.signal?.addEventListener('abort', () => reject(new DOMException('', 'TimeoutError')))
  })

describe('asking', () => {
  it('gives up on a link that hangs, and may be tried again', async () => {
    vi.stubGlobal('document', { cookie: 'XSRF-TOKEN=x' })
    vi.stubGlobal('fetch', hangs)
    const thrown: unknown = await ask('POST', '/api/x', {}, 20).catch((e: unknown) => e)
    expect(thrown).toBeInstanceOf(Problem)
    expect(worthTryingAgain(thrown as Problem)).toBe(true)
  })
})
