import { sql } from 'drizzle-orm'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 } from 'uuid'
import type { CommandInput, CommandKind } from '../contract/index.ts'
import { checkDatabase } from './upkeep/verify.ts'
import { rowsOf } from './db/ownWords.ts'
import { action, flyEntry } from './db/schema.ts'
import { seedShipped } from './upkeep/seed.ts'
import { makePlainLedger } from './testing/plainLedger.ts'
import { box, hook, id, midge, placeA, placeB, thread } from './testing/smallBox.ts'
import { makeTemplate } from './testing/testServer.ts'
import type { TestServer } from './testing/testServer.ts'

const [small, large] = [id('test:small'), id('test:large')]
const VARIANTS = [small, large] as const
const PLACES = [placeA, placeB] as const

let template: Awaited<ReturnType<typeof makeTemplate>>
beforeAll(async () => {
  template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
})
afterAll(() => template.remove())

async function opened(): Promise<TestServer> {
  const server = await template.open()
  await server.command('boxCreate', box).expect(200)
  const variant = (variantId: never, label: string) => ({
    id: variantId,
    label,
    hookMaterialId: hook,
    swaps: [],
    parCount: null,
    homeCompartmentId: placeA,
  })
  await server
    .command('patternSave', midge({ variants: [variant(small, 'small'), variant(large, 'large')] }))
    .expect(200)
  return server
}

const place = fc.constantFrom(...PLACES)
const variant = fc.constantFrom(...VARIANTS)
const few = fc.integer({ min: 1, max: 4 })

/** A step of someone's evening, or of two evenings in two tabs. */
const step = fc.oneof(
  fc.record({ kind: fc.constant('count' as const), place, variant, counted: fc.integer({ min: 0, max: 5 }) }),
  fc.record({ kind: fc.constant('found' as const), place, variant, count: few, anyway: fc.boolean() }),
  fc.record({ kind: fc.constant('move' as const), from: place, to: place, variant, count: few }),
  fc.record({ kind: fc.constant('lose' as const), place, variant, count: few }),
  fc.record({ kind: fc.constant('tie' as const), place, variant, done: few, spoiled: fc.nat(2) }),
  fc.record({ kind: fc.constant('undo' as const), which: fc.nat(30) }),
  fc.record({ kind: fc.constant('replay' as const), which: fc.nat(30) }),
)
type Step = (typeof step extends fc.Arbitrary<infer T> ? T : never) & object

interface Sent {
  readonly id: string
  readonly kind: CommandKind
  readonly body: object
}

/** A run of steps against a real database file, with the plain ledger beside it. */
function makeRun(server: TestServer) {
  const plain = makePlainLedger()
  const accepted: Sent[] = []

  async function send<Kind extends CommandKind>(
    kind: Kind,
    body: CommandInput<Kind>,
    commandId: string = v7(),
  ): Promise<Sent | null> {
    const { status } = await server.command(kind, body, commandId)
    expect([200, 400, 404, 409]).toContain(status)
    if (status !== 200) return null
    const sent = { id: commandId, kind, body: body as object }
    accepted.push(sent)
    return sent
  }
  const change = (actionId: string | undefined, changes: Parameters<typeof plain.apply>[1]) =>
    actionId ? plain.apply(actionId, changes) : undefined

  async function tie({ place: at, variant: fly, done, spoiled }: Step & { kind: 'tie' }): Promise<void> {
    const batchId = v7() as never
    const planned = { batchId, variantId: fly, plannedCount: done + spoiled, compartmentId: at, onVise: true }
    await send('batchPlan', planned)
    const counted = (kind: 'done' | 'spoiled', count: number) =>
      send('batchCount', { eventId: v7(), batchId, kind, stepKey: null, count, spoiledCause: null })
    await counted('done', done)
    if (spoiled > 0) await counted('spoiled', spoiled)
    // two tabs end the same batch: one of them is told so
    const ended = await Promise.all([
      send('batchFinish', { batchId, abandon: false, anyway: true }),
      send('batchFinish', { batchId, abandon: false, anyway: true }),
    ])
    const ends = ended.filter((sent) => sent !== null)
    expect(ends).toHaveLength(1)
    change(ends[0]?.id, [{ place: at, variant: fly, delta: done }])
  }

  async function take(now: Step): Promise<void> {
    switch (now.kind) {
      case 'count': {
        const before = plain.at(now.place, now.variant)
        const sent = await send('fliesCount', {
          compartmentId: now.place,
          variantId: now.variant,
          counted: now.counted,
        })
        return change(sent?.id, [{ place: now.place, variant: now.variant, delta: now.counted - before }])
      }
      case 'found': {
        const line = { compartmentId: now.place, variantId: now.variant, count: now.count }
        const body = {
          how: 'found' as const,
          anyway: now.anyway,
          newMaterials: [],
          newFlies: [],
          lines: [line],
        }
        const sent = await send('fliesPutIn', body)
        return change(sent?.id, [{ place: now.place, variant: now.variant, delta: now.count }])
      }
      case 'move': {
        const sent = await send('fliesMove', {
          fromCompartmentId: now.from,
          toCompartmentId: now.to,
          variantId: now.variant,
          count: now.count,
        })
        return change(sent?.id, [
          { place: now.from, variant: now.variant, delta: -now.count },
          { place: now.to, variant: now.variant, delta: now.count },
        ])
      }
      case 'lose': {
        const loss = { compartmentId: now.place, variantId: now.variant, count: now.count }
        const sent = await send('fliesLose', { outingId: null, losses: [{ ...loss, cause: 'tree' }] })
        return change(sent?.id, [{ place: now.place, variant: now.variant, delta: -now.count }])
      }
      case 'tie':
        return tie(now)
      case 'undo': {
        const target = accepted[now.which % Math.max(accepted.length, 1)]
        if (!target || target.kind === 'undo') return
        const sent = await send('undo', { actionId: target.id })
        return sent ? plain.undo(sent.id, target.id) : undefined
      }
      case 'replay': {
        const target = accepted[now.which % Math.max(accepted.length, 1)]
        if (!target) return
        const again = await server.command(target.kind, target.body as never, target.id)
        expect(again.status).toBe(200)
        expect(again.body.actionId).toBe(target.id)
      }
    }
  }
  return { take, plain, accepted }
}

async function balances(server: TestServer): Promise<Map<string, number>> {
  const rows = await rowsOf<readonly [string, string, number]>(
    server.database.db,
    sql`select b.compartment_id, r.variant_id, sum(b.count)
      from fly_balance b join variant_revision r on r.id = b.variant_revision_id group by 1, 2 having sum(b.count) <> 0`,
  )
  return new Map(rows.map(([place, fly, count]) => [`${place} ${fly}`, count]))
}

describe('the ledger of flies', () => {
  it('holds what a plain reckoning says, whatever is tied, lost, moved, counted, undone and sent twice', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 5, maxLength: 22 }), async (steps) => {
        const server = await opened()
        const run = makeRun(server)
        for (const now of steps) await run.take(now)
        expect(await balances(server)).toEqual(run.plain.counts())
        const report = await checkDatabase(server.database)
        expect(report.filter((line) => !line.startsWith('ok'))).toEqual([])
        expect(await server.database.db.$count(action)).toBe(run.accepted.length + 2)
        await server.close()
      }),
      { numRuns: 25, seed: 20260603 },
    )
  })

  it('books a materials list once for each fly tied or spoiled, and an undone batch gives it all back', async () => {
    const server = await opened()
    const run = makeRun(server)
    await run.take({ kind: 'tie', place: placeA, variant: small, done: 3, spoiled: 2 })
    const amountOf = async () => {
      const [row] = await rowsOf<readonly [number]>(
        server.database.db,
        sql`select amount from material_balance where material_id = ${thread}`,
      )
      return row?.[0] ?? 0
    }
    const used = await amountOf()
    expect(used).toBeLessThan(0)
    expect(-used % 5).toBe(0)
    const finish = run.accepted.find(({ kind }) => kind === 'batchFinish')
    await server.command('undo', { actionId: finish?.id as never }).expect(200)
    expect(await amountOf()).toBe(0)
    await server.close()
  })

  it('serves many tabs at once: of flies that are there, each is taken by one of them', async () => {
    const server = await opened()
    const seen = { compartmentId: placeA, variantId: small, counted: 6 }
    await server.command('fliesCount', seen).expect(200)
    const asked = Array.from({ length: 10 }, () =>
      server.command('fliesLose', {
        outingId: null,
        losses: [{ compartmentId: placeA, variantId: small, count: 1, cause: 'fish' }],
      }),
    )
    const statuses = (await Promise.all(asked)).map(({ status }) => status).sort()
    expect(statuses).toEqual([200, 200, 200, 200, 200, 200, 409, 409, 409, 409])
    expect(await balances(server)).toEqual(new Map())
    expect(await server.database.db.$count(flyEntry)).toBe(7)
    await server.close()
  })
})
