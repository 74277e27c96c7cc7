import { copyFile, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { pino } from 'pino'
import request from 'supertest'
import { v7 } from 'uuid'
import type { CommandInput, CommandKind } from '../../contract/index.ts'
import { createApps } from '../app.ts'
import { makeClock } from '../clock/clock.ts'
import { openDatabase } from '../db/database.ts'
import type { Database } from '../db/database.ts'
import { setting } from '../db/schema.ts'
import { makePairing } from '../pairing/pairing.ts'
import { makeBackupService } from '../upkeep/backupService.ts'

const MIGRATIONS = join(process.cwd(), 'server', 'migrations')

/** Makes one filled database file for a suite; each test works on a copy. */
export async function makeTemplate(fill: (database: Database) => Promise<void>) {
  const folder = await mkdtemp(join(tmpdir(), 'thistle-test-'))
  const file = join(folder, 'template.db')
  const database = await openDatabase(file, MIGRATIONS)
  await fill(database)
  await database.client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
  await database.close()
  let copies = 0
  return {
    async open() {
      copies += 1
      const copy = join(folder, `copy-${copies}.db`)
      await copyFile(file, copy)
      return openTestServer(copy)
    },
    remove: () => rm(folder, { recursive: true, force: true }),
  }
}

/** The application over an open database. */
export async function testApp(database: Database, file: string, webFolder: string | null = null) {
  const [settings] = await database.db.select().from(setting)
  return createApps({
    database,
    clock: makeClock(settings?.clockStandsAtMs ?? null, undefined),
    buildId: 'test',
    log: pino({ level: 'silent' }),
    webFolder,
    backups: makeBackupService({
      database,
      dataPath: dirname(file),
      databaseFile: file,
      migrationsFolder: MIGRATIONS,
      news: { trouble: null, restored: null },
      swapFor: () => undefined,
    }),
    valley: null,
    alive: { instance: 'test', dataId: settings?.dataId ?? '' },
    pairing: await makePairing(dirname(file)),
  }).own
}

/** The real application over a database file. */
export async function openTestServer(file: string) {
  const database = await openDatabase(file, MIGRATIONS)
  const app = await testApp(database, file)
  const agent = request(app)
  return {
    database,
    app,
    agent,
    get: (path: string) => agent.get(path).set('Host', '127.0.0.1:4180'),
    send: (body: object, headers: Record<string, string> = {}) =>
      agent
        .post('/api/commands')
        .set({ Host: '127.0.0.1:4180', ...headers })
        .send(body),
    command<Kind extends CommandKind>(kind: Kind, body: CommandInput<Kind>, id: string = v7()) {
      return agent.post('/api/commands').set('Host', '127.0.0.1:4180').send({ id, kind, body })
    },
    close: () => database.close(),
  }
}
export type TestServer = Awaited<ReturnType<typeof openTestServer>>
