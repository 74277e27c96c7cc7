// @vitest-environment jsdom
import { createServer } from 'node:http'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { json } from 'node:stream/consumers'
import { act, cleanup, renderHook, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { WatersideTap } from '../../contract/index.ts'
import { useSendHome } from './useSendHome.ts'

const tap = (n: number) => ({ id: `tap-${n}`, kind: 'step', atMs: n }) as unknown as WatersideTap
const taps = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => tap(from + i))

/** Home on this machine: what it got, and with what it answers next; 200 where nothing is said. */
let home: { server: Server; address: string; got: string[][]; answers: number[] }

beforeEach(async () => {
  const [got, answers]: [string[][], number[]] = [[], []]
  const server = createServer((request, response) => {
    void json(request).then((body) => {
      const { id, taps: sent } = body as { id: string; taps: readonly WatersideTap[] }
      expect(id).toMatch(/^[\da-f-]{36}$/)
      got.push(sent.map((one) => one.id))
      response.writeHead(answers.shift() ?? 200, { 'access-control-allow-origin': '*' }).end()
    })
  })
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening))
  home = { server, address: `http://127.0.0.1:${(server.address() as AddressInfo).port}/log`, got, answers }
})

afterEach(() => {
  cleanup()
  home.server.closeAllConnections()
  home.server.close()
})

function noting(
  known: readonly WatersideTap[],
  noted: readonly WatersideTap[],
  to: string | null = home.address,
) {
  const { result, rerender } = renderHook(({ all }) => useSendHome(to, known, all), {
    initialProps: { all: noted },
  })
  return { now: () => result.current, note: (all: readonly WatersideTap[]) => rerender({ all }) }
}
const until = (look: () => boolean) => waitFor(() => expect(look()).toBe(true), { timeout: 20_000 })

describe('what is noted at the water', () => {
  it('goes home of itself, each tap once, and not what home had', async () => {
    const known = taps(1, 2)
    const { now, note } = noting(known, known)
    expect(now()).toEqual({ waiting: 0, state: 'home' })
    note(taps(1, 3))
    expect(now()).toEqual({ waiting: 1, state: 'onTheWay' })
    await until(() => now().waiting === 0)
    expect(now().state).toBe('home')
    note(taps(1, 5))
    await until(() => now().waiting === 0)
    expect(home.got).toEqual([['tap-3'], ['tap-4', 'tap-5']])
  })

  it('goes five hundred at a time', async () => {
    const { now } = noting([], taps(1, 501))
    expect(now().waiting).toBe(501)
    await until(() => now().waiting === 0)
    expect(home.got.map((sent) => sent.length)).toEqual([500, 1])
  })

  it('waits where home breaks, and is sent again when home comes near', async () => {
    home.answers.push(503)
    const { now } = noting([], taps(1, 1))
    await until(() => now().state === 'away')
    expect(now().waiting).toBe(1)
    act(() => void dispatchEvent(new Event('online')))
    await until(() => now().waiting === 0)
    expect(now().state).toBe('home')
    expect(home.got).toEqual([['tap-1'], ['tap-1']])
  })

  it('is sent again of itself after a while where nobody answered', async () => {
    home.answers.push(500)
    const { now } = noting([], taps(1, 1))
    await until(() => now().state === 'away')
    await until(() => now().waiting === 0)
    expect(home.got).toHaveLength(2)
  })

  it.each([[401, 'shownOut'], [400, 'refused'], [499, 'refused'], [500, 'away']] as const)('is kept here after an answer of %i: %s', async (status, state) => {
    home.answers.push(status)
    const { now } = noting([], taps(1, 1))
    await until(() => now().state === state)
    expect(now().waiting).toBe(1)
    expect(home.got).toHaveLength(1)
  }) // prettier-ignore

  it('is kept where no home is said, or none is there', async () => {
    expect(noting([], taps(1, 2), null).now()).toEqual({ waiting: 2, state: 'onTheWay' })
    const { now } = noting([], taps(1, 2), 'http://127.0.0.1:1/log')
    await until(() => now().state === 'away')
    expect(now().waiting).toBe(2)
    expect(home.got).toEqual([])
  })
})
