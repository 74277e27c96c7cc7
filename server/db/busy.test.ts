import { createClient } from '@libsql/client'
import { eq } from 'drizzle-orm'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { box } from '../testing/smallBox.ts'
import { openTestServer } from '../testing/testServer.ts'
import type { TestServer } from '../testing/testServer.ts'
import { seedShipped } from '../upkeep/seed.ts'
import { isBusy } from './errors.ts'
import { setting } from './schema.ts'

let folder: string
let server: TestServer
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'thistle-busy-'))
  server = await openTestServer(join(folder, 'it.db'))
  await seedShipped(server.database, 'Europe/London')
})
afterEach(async () => {
  await server.close()
  await rm(folder, { recursive: true })
})

/** Another program that writes to the same file and does not come to an end. */
async function otherProgram() {
  const client = createClient({ url: pathToFileURL(join(folder, 'it.db')).href })
  const held = await client.transaction('write')
  await held.execute("update setting set data_id = 'changed by another'")
  return async () => {
    await held.commit()
    client.close()
  }
}
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

describe('a database that another program holds', () => {
  it('is waited for: a write goes through when it is free after 0.4 s', async () => {
    const letGo = await otherProgram()
    const writing = server.command('boxCreate', box)
    const answered = writing.then(({ status }) => status)
    await wait(400)
    await letGo()
    expect(await answered).toBe(200)
    expect((await server.get('/api/boxes').expect(200)).body.boxes[0].name).toBe(box.name)
  })

  it('is read meanwhile', async () => {
    const letGo = await otherProgram()
    await server.get('/api/frame').expect(200)
    await server.get('/api/boxes').expect(200)
    await letGo()
  })

  it('answers 503 when it stays held, and writes again afterwards', async () => {
    const letGo = await otherProgram()
    const { status, body } = await server.command('boxCreate', box)
    expect(status).toBe(503)
    expect(body).toMatchObject({ code: 'busy', detail: expect.stringContaining('Try again') })
    await letGo()
    await server.command('boxCreate', box).expect(200)
    await server.command('settingsSave', { change: { parCount: 4 } }).expect(200)
    const [row] = await server.database.db.select().from(setting).where(eq(setting.id, 'settings'))
    expect(row).toMatchObject({ dataId: 'changed by another', body: { parCount: 4 } })
  })

  it('is closed without a fault', async () => {
    const letGo = await otherProgram()
    await expect(server.database.close()).resolves.toBeUndefined()
    await letGo()
    server = await openTestServer(join(folder, 'it.db'))
  })
})

describe('isBusy', () => {
  it('knows a lock however deep it lies, and nothing else', () => {
    const locked = Object.assign(new Error('locked'), { code: 'SQLITE_BUSY' })
    expect(isBusy(new Error('failed', { cause: new Error('query', { cause: locked }) }))).toBe(true)
    expect(isBusy(Object.assign(new Error('table'), { code: 'SQLITE_LOCKED_SHAREDCACHE' }))).toBe(true)
    expect(isBusy(Object.assign(new Error('full'), { code: 'SQLITE_FULL' }))).toBe(false)
    expect(isBusy(new Error('SQLITE_BUSY'))).toBe(false)
    expect(isBusy(null)).toBe(false)
  })
})
