import { readdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { getTableName, is, SQL, StringChunk, Table } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { fixedId } from '../server/db/ids.ts'
import type { Reader } from '../server/db/database.ts'
import { openTestServer } from '../server/testing/testServer.ts'
import type { TestServer } from '../server/testing/testServer.ts'
import { copyOfDemo } from './testing/filledDemo.ts'

/** Some record of each kind. */
type Some = Readonly<
  Record<'variantId' | 'reachId' | 'patternId' | 'batchId' | 'materialId' | 'revisionId', string>
>
const SOME = `select (select id from reach limit 1) as reachId, (select id from pattern limit 1) as patternId,
  (select id from batch limit 1) as batchId, (select id from material limit 1) as materialId,
  (select id from variant_revision limit 1) as revisionId, (select id from variant limit 1) as variantId`

/** What a loader is asked beside the database, where it needs more. */
const ASKED: Readonly<Record<string, (some: Some) => readonly unknown[]>> = {
  loadStageStock: () => [3],
  loadLikely: ({ reachId }) => [
    { reachId, on: '2026-06-06', localMin: 780 },
    { smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' },
  ],
  loadSeason: ({ reachId }) => [reachId, 2026],
  loadSkill: ({ reachId }) => [reachId, fixedId('stage:dark-olive-dun')],
  loadUnlearned: ({ reachId }) => [reachId, 2026],
  loadHours: ({ reachId }) => [{ reachId, on: '2026-06-06' }, 600, 720],
  loadCuts: ({ revisionId }) => [
    [revisionId],
    { smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' },
  ],
  loadShowings: ({ reachId, variantId }) => [
    {
      reachId, on: '2026-06-06', ways: ['dry'], school: 'sizeAndStage', rules: {},
      variantIds: [variantId], stageIds: [fixedId('stage:dark-olive-dun')],
    }, // prettier-ignore
  ],
  loadComingOutings: () => ['2026-06-05'],
  loadCover: () => [
    {
      outingId: 'asked', on: '2026-06-06', fromLocalMin: 600, hours: 2, waterKind: 'river', bedMm: 1000, surfaceSpeedMmPerS: 500,
      snagginess: 2, techniques: ['dry'], rules: {}, whatever: [0.4, 0.4, 0.4, 0.4],
      foods: [{ foodStageId: fixedId('stage:dark-olive-dun'), onIt: [0.2, 0.3, 0.3, 0.2], lengthMmLow: 6, lengthMmHigh: 8 }],
    }, // prettier-ignore
  ],
  loadHoursIfRead: ({ reachId }) => [{ reachId, on: '2026-06-06', localMin: 660, tempC: 12 }, 600, 720],
  loadYear: ({ reachId }) => [reachId, 2026],
  loadEarlier: ({ patternId, batchId }) => [patternId, batchId],
  loadProgress: ({ batchId }) => [batchId],
  loadCounted: ({ batchId }) => [batchId],
  loadMaterials: ({ materialId }) => [[materialId]],
  loadFigure: ({ revisionId }) => [revisionId],
  loadBills: ({ revisionId }) => [[revisionId]],
}

type Loader = ((db: Reader, ...asked: readonly unknown[]) => Promise<unknown>) & { reads: ReadonlySet<string> }

const folder = join(dirname(fileURLToPath(import.meta.url)), '..', 'server', 'read')
const files = readdirSync(folder).filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
const modules = await Promise.all(
  files.map((name) => import(join(folder, name)) as Promise<Readonly<Record<string, unknown>>>),
)
const loaders = modules.flatMap((module) =>
  Object.entries(module).filter((entry): entry is [string, Loader] => 'reads' in Object(entry[1])),
)

/** The text of a statement in its own words; tables that it names by the schema are noted. */
const textOf = (query: SQL, read: Set<string>): string =>
  query.queryChunks
    .map((chunk) => {
      if (is(chunk, SQL)) return textOf(chunk, read)
      if (is(chunk, Table)) read.add(getTableName(chunk))
      return is(chunk, StringChunk) ? chunk.value.join('') : ''
    })
    .join(' ')

/** A reader that notes each table that a query reads from, in its text as SQLite gets it or by the builder. */
function noted(db: Reader, read: Set<string>): Reader {
  const watch = <Query extends object>(query: Query): Query =>
    new Proxy(query, {
      get(target, name) {
        const member: unknown = Reflect.get(target, name, target)
        if (typeof member !== 'function') return member
        return (...args: unknown[]) => {
          const joins = name === 'from' || String(name).endsWith('Join')
          if (joins && is(args[0], Table)) read.add(getTableName(args[0]))
          const answer: unknown = (member as (...all: unknown[]) => unknown).apply(target, args)
          return answer === target ? watch(query) : name === 'then' ? answer : watchable(answer)
        }
      },
    })
  const watchable = (answer: unknown) => (answer && typeof answer === 'object' ? watch(answer) : answer)
  return new Proxy(db, {
    get(target, name) {
      const member: unknown = Reflect.get(target, name, target)
      if (name === 'values') {
        return (query: SQL) => {
          const text = textOf(query, read)
          // what a statement names itself is no table
          const own = new Set([...text.matchAll(/with ([a-z_]+) as/g)].map(([, name]) => name))
          for (const [, table] of text.matchAll(/(?:from|join) ([a-z_]+)\b(?!\()/g))
            if (!own.has(table)) read.add(table!)
          return (member as (query: unknown) => unknown).call(target, query)
        }
      }
      return typeof member === 'function'
        ? (...args: unknown[]) => watchable((member as (...all: unknown[]) => unknown).apply(target, args))
        : member
    },
  })
}

describe('loaders', () => {
  let server: TestServer
  let remove: () => Promise<void>
  beforeAll(async () => {
    const copy = await copyOfDemo(inject('demoData'))
    remove = copy.remove
    server = await openTestServer(join(copy.path, 'heavy-thistle.db'))
  })
  afterAll(async () => {
    await server.close()
    await remove()
  })

  it('are all found', () => {
    expect(loaders.length).toBeGreaterThanOrEqual(25)
  })

  it.each(loaders)('%s reads no table that it does not name', async (name, load) => {
    const { rows } = await server.database.client.execute(SOME)
    const read = new Set<string>()
    const asked = ASKED[name]?.(rows[0] as unknown as Some) ?? []
    await load(noted(server.database.db, read), ...asked)
    expect(read.size, name).toBeGreaterThan(0)
    expect([...read].filter((table) => !load.reads.has(table))).toEqual([])
  })
})
