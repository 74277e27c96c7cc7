import assert from 'node:assert/strict'
import { randomFrom } from '../../core/index.ts'
import type { TestServer } from '../../server/testing/testServer.ts'
import { anyCommand } from './anyCommand.ts'

/** What a user sees, but for how often a row was written. */
const VIEWS = ['tonight', 'plan', 'waters', 'larder', 'patterns', 'families', 'bench', 'boxes', 'history', 'outings', 'rigs', 'drills', 'stores', 'measurements', 'frame'] // prettier-ignore
const COUNTERS = new Set(['version', 'variantVersion', 'lastAction', 'queued'])
const withoutCounters = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(withoutCounters)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value).flatMap(([key, inner]) =>
            COUNTERS.has(key) ? [] : [[key, withoutCounters(inner)]],
          ),
        )
      : value
/** All views of the page, as a server answers them. */
export async function allViews(server: TestServer): Promise<Readonly<Record<string, unknown>>> {
  const views = await Promise.all(
    VIEWS.map(async (name) => [name, (await server.get(`/api/${name}`).expect(200)).body as unknown] as const),
  )
  return Object.fromEntries(views)
}
const seen = async (server: TestServer) => withoutCounters(await allViews(server))

interface Done {
  readonly kind: string
  readonly id: string
}

/** Does so many commands by chance, all of which can be taken back. */
export async function doSome(
  server: TestServer,
  count: number,
  random: () => number,
): Promise<readonly Done[]> {
  const done: Done[] = []
  for (let tries = 0; done.length < count && tries < count * 5; tries += 1) {
    const some = await anyCommand(server, random)
    if (!some) continue
    const { status, body } = await server.command(some.kind, some.body as never)
    assert.ok(status === 200 || status === 409, `${some.kind}: ${JSON.stringify(body)}`)
    const { actionId, undoable } = body as { actionId: string; undoable: boolean }
    if (status === 200 && undoable) done.push({ kind: some.kind, id: actionId })
  }
  return done
}
const undo = async (server: TestServer, id: string) => server.command('undo', { actionId: id as never })

/** Takes one action back, which has to go. */
async function mustUndo(server: TestServer, id: string, what: string): Promise<string> {
  const { status, body } = await undo(server, id)
  assert.equal(status, 200, `${what}: ${JSON.stringify(body)}`)
  return (body as { actionId: string }).actionId
}

/** What was tried. */
export interface Tried {
  readonly commands: number
  readonly kinds: number
}
const triedOf = (done: readonly Done[]): Tried => ({
  commands: done.length,
  kinds: new Set(done.map(({ kind }) => kind)).size,
})

/**
 * Does so many commands of all kinds, drawn by a seed, takes them back in reverse, does them again and takes them back
 * once more.
 *
 * @throws AssertionError where a view is not what it was
 */
export async function takeBackInReverse(server: TestServer, seed: number, count: number): Promise<Tried> {
  const before = await seen(server)
  const done = await doSome(server, count, randomFrom(seed))
  const after = await seen(server)
  const undone: string[] = []
  for (const { id, kind } of [...done].reverse()) undone.unshift(await mustUndo(server, id, kind))
  assert.deepEqual(await seen(server), before)
  const redone: string[] = []
  for (const [i, id] of undone.entries()) redone.unshift(await mustUndo(server, id, `again ${done[i]?.kind}`))
  assert.deepEqual(await seen(server), after)
  for (const id of redone) await mustUndo(server, id, 'once more')
  assert.deepEqual(await seen(server), before)
  return triedOf(done)
}

interface Refusal {
  readonly current?: { readonly inTheWay?: { readonly actionId: string; readonly label: string } }
}

/**
 * Does so many commands and takes them back in an order drawn by the seed. One that is refused has to name the action in
 * its way, and that one, or the one in its way, can be taken back.
 *
 * @throws AssertionError where a refusal leads nowhere, or a view is not what it was
 */
export async function takeBackInAnyOrder(server: TestServer, seed: number, count: number): Promise<Tried> {
  const random = randomFrom(seed)
  const before = await seen(server)
  const done = await doSome(server, count, random)
  const left = new Map(done.map(({ id, kind }) => [id, kind]))
  while (left.size > 0) {
    let id = [...left.keys()][Math.floor(random() * left.size)] ?? ''
    for (let hops = 0; ; hops += 1) {
      const { status, body } = await undo(server, id)
      if (status === 200) break
      const { inTheWay } = (body as Refusal).current ?? {}
      assert.ok(inTheWay && inTheWay.label !== '' && hops <= count, `${left.get(id)}: ${JSON.stringify(body)}`)
      id = inTheWay.actionId
    }
    left.delete(id)
  }
  assert.deepEqual(await seen(server), before)
  return triedOf(done)
}
