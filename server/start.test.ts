import { createClient } from '@libsql/client'
import { cp, mkdtemp, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { sql } from 'drizzle-orm'
import { v7 } from 'uuid'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { isTimeZone } from '../contract/index.ts'
import { openDataDirectory } from './db/dataDirectory.ts'
import { openDatabase } from './db/database.ts'
import { start } from './start.ts'
import type { Running, StartOptions } from './start.ts'
import { box } from './testing/smallBox.ts'
import { seedShipped } from './upkeep/seed.ts'

let folder: string
let running: Running[] = []
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'thistle-start-'))
})
afterEach(async () => {
  for (const one of running) await one.stop()
  running = []
  vi.unstubAllEnvs()
  await rm(folder, { recursive: true })
})

const dataPath = () => join(folder, 'own')
async function serve(options: Partial<StartOptions> = {}): Promise<Running> {
  const started = await start({
    dataPath: dataPath(),
    port: 0,
    rootPath: process.cwd(),
    webFolder: null,
    logLevel: 'silent',
    ...options,
  })
  running.push(started)
  return started
}
async function stop(): Promise<void> {
  for (const one of running) await one.stop()
  running = []
}
const ask = async <Answer>(path: string): Promise<Answer> =>
  (await (await fetch(running[0]!.address + path)).json()) as Answer
async function send(kind: string, body: object): Promise<number> {
  const response = await fetch(`${running[0]!.address}/api/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id: v7(), kind, body }),
  })
  return response.status
}
const post = (path: string, body: object) =>
  fetch(running[0]!.address + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
/** The boxes but for the tray, which always comes last. */
const boxes = async () =>
  (await ask<{ boxes: { name: string }[] }>('/api/boxes')).boxes.map(({ name }) => name).slice(0, -1)

describe('a data directory', () => {
  it('belongs to one process; a killed one frees it', async () => {
    const first = await openDataDirectory(folder)
    await first.announce('http://127.0.0.1:9')
    await expect(openDataDirectory(folder)).rejects.toThrow('http://127.0.0.1:9')
    await first.release()
    await (await openDataDirectory(folder)).release()
  })

  it('is refused to a second server also when its lock was removed', async () => {
    const { address } = await serve()
    await rm(join(dataPath(), 'lock.db'))
    await expect(serve()).rejects.toThrow(`already serves this data directory at ${address}`)
    await stop()
    await serve()
  })

  it('is not taken for served by another program that has its port by now', async () => {
    const { address } = await serve()
    const other = join(folder, 'other')
    await (await openDataDirectory(other)).release()
    await writeFile(join(other, 'serving.txt'), `${address} an-instance-that-was-killed\n`)
    await serve({ dataPath: other })
  })

  it('says that it cannot be written', async () => {
    await writeFile(join(folder, 'file'), '')
    await expect(openDataDirectory(join(folder, 'file'))).rejects.toThrow('cannot be written')
  })

  it('is for its user alone', async () => {
    await serve()
    await send('boxCreate', box)
    const mode = async (name: string) => (await stat(join(dataPath(), name))).mode & 0o777
    expect(await mode('.')).toBe(0o700)
    expect(await mode('heavy-thistle.db')).toBe(0o600)
    expect(await mode('heavy-thistle.db-wal')).toBe(0o600)
    expect(await mode('serving.txt')).toBe(0o600)
  })
})

describe('a first start', () => {
  it('that is ended in the middle leaves nothing, and the next is whole', async () => {
    const halfWay: StartOptions['fill'] = async (database) => {
      await database.write((tx) => tx.run('update setting set is_demo = 1'))
      throw new Error('ended in the middle')
    }
    await expect(serve({ fill: halfWay })).rejects.toThrow('ended in the middle')
    expect(await readdir(dataPath())).not.toContain('heavy-thistle.db')
    await serve()
    expect(await ask('/api/frame')).toMatchObject({ isDemo: false })
    expect((await readdir(dataPath())).filter((name) => name.includes('filling'))).toEqual([])
  })

  it('is not made where a database was: that is said, with the copy to put back', async () => {
    await serve()
    await send('boxCreate', box)
    expect((await post('/api/backups/make', {})).status).toBe(200)
    await stop()
    await rm(join(dataPath(), 'heavy-thistle.db'))
    const again = serve()
    await expect(again).rejects.toThrow(/is gone.*npm run restore -- --data .* --from .*-asked\.db/)
    await expect(again).rejects.not.toThrow('\n')
  })

  it.each(['', 'CEST-2', 'Nowhere/Land'])('with TZ=%j takes a zone that works, and says so', async (zone) => {
    vi.stubEnv('TZ', zone)
    const { notes } = await serve()
    const frame = await ask<{ settings: { timeZone: string }; today: string }>('/api/frame')
    expect(isTimeZone(frame.settings.timeZone)).toBe(true)
    expect(frame.today).toMatch(/^\d{4}-\d\d-\d\d$/)
    if (notes.length > 0) expect(notes).toEqual([expect.stringContaining('UTC is taken')])
  })

  it('goes on in UTC where the zone of its settings is not known any more, and says which', async () => {
    await serve()
    expect(await send('settingsSave', { change: { timeZone: 'Atlantis/Harbour' } })).toBe(400)
    await running[0]!.database.write((tx) =>
      tx.run(sql`update setting set body = json_set(body, '$.timeZone', 'Atlantis/Harbour')`),
    )
    await stop()
    await serve()
    expect(await ask('/api/frame')).toMatchObject({
      settings: { timeZone: 'UTC' },
      unknownZone: 'Atlantis/Harbour',
    })
    expect(await send('settingsSave', { change: { timeZone: 'Europe/Vienna' } })).toBe(200)
    expect(await ask('/api/frame')).toMatchObject({
      settings: { timeZone: 'Europe/Vienna' },
      unknownZone: null,
    })
  })
})

describe('a database that cannot be opened', () => {
  async function withDatabase(spoil: (file: string) => Promise<void>): Promise<Promise<Running>> {
    await serve()
    await send('boxCreate', box)
    await stop()
    await spoil(join(dataPath(), 'heavy-thistle.db'))
    return serve()
  }

  it.each([
    [
      'damaged',
      async (file: string) => writeFile(file, (await readFile(file)).fill(0, 4096, 40_000)),
      /is damaged: .*npm run restore/,
    ],
    [
      'cut short',
      async (file: string) => writeFile(file, (await readFile(file)).subarray(0, 30_000)),
      /is damaged: .*npm run restore/,
    ],
    [
      'of another program',
      async (file: string) => {
        await rm(file)
        const client = createClient({ url: pathToFileURL(file).href })
        await client.execute('create table recipes (id)')
        client.close()
      },
      /is none of Heavy Thistle/,
    ],
    [
      'of a later version',
      async (file: string) => {
        const client = createClient({ url: pathToFileURL(file).href })
        await client.execute(
          "insert into __drizzle_migrations (hash, created_at) values ('later', 99999999999999)",
        )
        client.close()
      },
      /later version \(step \d+ of its history; this one knows \d+\)/,
    ],
  ] as const)('because it is %s is refused in one line and left as it is', async (_what, spoil, words) => {
    let left = Buffer.alloc(0)
    const refused = withDatabase(async (file) => {
      await spoil(file)
      left = await readFile(file)
    })
    await expect(refused).rejects.toThrow(words)
    await expect(refused).rejects.not.toThrow('\n')
    expect((await readFile(join(dataPath(), 'heavy-thistle.db'))).equals(left)).toBe(true)
  })
})

describe('an older database', () => {
  it('is copied before it is brought up to date, and one of today is not', async () => {
    const migrations = join(process.cwd(), 'server', 'migrations')
    const older = join(folder, 'older')
    await cp(migrations, older, { recursive: true })
    const journal = join(older, 'meta', '_journal.json')
    const { entries, ...head } = JSON.parse(await readFile(journal, 'utf8')) as { entries: unknown[] }
    const directory = await openDataDirectory(dataPath())
    const today = await openDatabase(directory.databaseFile, migrations)
    await seedShipped(today, 'Europe/London')
    await today.close()
    await directory.release()
    await serve()
    await stop()
    expect(await readdir(dataPath())).not.toContain('backups')
    // taken back by two steps of its history
    const client = createClient({ url: pathToFileURL(directory.databaseFile).href })
    await client.batch([
      'drop index material_drawer',
      'create unique index material_drawer on material (family_id, size_key, colour_key)',
      'delete from __drizzle_migrations where rowid > (select max(rowid) - 2 from __drizzle_migrations)',
    ])
    client.close()
    await writeFile(journal, JSON.stringify({ ...head, entries: entries.slice(0, -2) }))
    await serve()
    const [copy, ...others] = await readdir(join(dataPath(), 'backups'))
    expect(copy).toMatch(/-upgrade\.db$/)
    expect(others).toEqual([])
    const kept = createClient({ url: pathToFileURL(join(dataPath(), 'backups', copy!)).href })
    expect((await kept.execute('select count(*) as n from __drizzle_migrations')).rows[0]?.n).toBe(
      entries.length - 2,
    )
    const indexOf = "select sql from sqlite_master where name = 'material_drawer'"
    expect((await kept.execute(indexOf)).rows[0]?.sql).not.toContain('archived')
    kept.close()
    const now = createClient({ url: pathToFileURL(directory.databaseFile).href })
    expect((await now.execute(indexOf)).rows[0]?.sql).toContain('archived')
    now.close()
  })
})

describe('copies', () => {
  interface Backups {
    backups: { name: string; reason: string }[]
    trouble: string | null
    restored: string | null
  }

  it('are made on request, say what would be lost, and go back while the page is open', async () => {
    await serve()
    await send('boxCreate', box)
    const made = (await (await post('/api/backups/make', {})).json()) as Backups
    const name = made.backups[0]!.name
    await send('boxCreate', {
      ...box,
      boxId: v7(),
      name: 'Later',
      compartments: [{ ...box.compartments[0]!, id: v7() }],
    })
    expect(await ask(`/api/backups/${name}/preview`)).toMatchObject({
      lostCount: 1,
      lost: [{ label: expect.stringContaining('Later') }],
      counts: { actions: { now: 2, then: 1 } },
    })
    expect((await post('/api/backups/restore', { name })).status).toBe(200)
    await vi.waitFor(async () => expect(await boxes()).toEqual(['Small Box']), 120_000)
    const after = await ask<Backups>('/api/backups')
    expect(after.restored).toContain(name)
    expect(after.backups.map(({ reason }) => reason).sort()).toEqual(['asked', 'restore'])
    // what was there before goes back as well, and is written to again
    const aside = after.backups.find(({ reason }) => reason === 'restore')!
    await post('/api/backups/restore', { name: aside.name })
    await vi.waitFor(async () => expect(await boxes()).toEqual(['Later', 'Small Box']), 120_000)
    expect(await send('settingsSave', { change: { parCount: 5 } })).toBe(200)
  })

  it('that are damaged or no names of copies are refused, and nothing is swapped', async () => {
    await serve()
    await send('boxCreate', box)
    const made = (await (await post('/api/backups/make', {})).json()) as Backups
    const name = made.backups[0]!.name
    await writeFile(
      join(dataPath(), 'backups', name),
      'spoiled, and more than a hundred bytes long. '.repeat(9),
    )
    const refused = await post('/api/backups/restore', { name })
    expect(refused.status).toBe(409)
    expect(await refused.json()).toMatchObject({ code: 'damagedCopy' })
    for (const bad of ['../own/heavy-thistle.db', 'heavy-thistle.db', ''])
      expect((await post('/api/backups/restore', { name: bad })).status).toBe(400)
    expect((await post('/api/backups/restore', { name: name.replace('-asked', '-daily') })).status).toBe(404)
    expect(await boxes()).toEqual(['Small Box'])
  })

  it('that cannot be opened once they are in place make room for what was there', async () => {
    await serve()
    await send('boxCreate', box)
    const made = (await (await post('/api/backups/make', {})).json()) as Backups
    const name = made.backups[0]!.name
    const copy = createClient({ url: pathToFileURL(join(dataPath(), 'backups', name)).href })
    await copy.executeMultiple('pragma foreign_keys = off; drop table family;')
    copy.close()
    expect((await post('/api/backups/restore', { name })).status).toBe(200)
    await vi.waitFor(
      async () => expect((await ask<Backups>('/api/backups')).trouble).toMatch(/could not be put back/),
      40_000,
    )
    expect(await boxes()).toEqual(['Small Box'])
    expect(await send('settingsSave', { change: { parCount: 5 } })).toBe(200)
  })
})
