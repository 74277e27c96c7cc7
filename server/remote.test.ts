import { createClient } from '@libsql/client'
import { mkdtemp, readdir, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { BackupsView, BoxesView } from '../contract/index.ts'
import { readAddress } from './db/address.ts'
import { start } from './start.ts'
import type { Running } from './start.ts'
import { hasDatabaseServer, startDatabaseServer } from './testing/databaseServer.ts'
import { box, midge, placeA, variantId } from './testing/smallBox.ts'

describe('HEAVY_THISTLE_DATABASE', () => {
  const read = (text?: string) => readAddress('/data/own', { HEAVY_THISTLE_DATABASE: text, HEAVY_THISTLE_DATABASE_TOKEN: 'key' }) // prettier-ignore

  it('is the data directory, a file of that name in another, or a server', () => {
    expect(read()).toEqual({ dataPath: '/data/own', remote: null })
    expect(read('')).toEqual({ dataPath: '/data/own', remote: null })
    expect(read('file:///srv/thistle/heavy-thistle.db')).toEqual({ dataPath: '/srv/thistle', remote: null })
    expect(read('file:club/heavy-thistle.db')).toEqual({ dataPath: resolve('club'), remote: null })
    const remote = { url: 'https://flies.example', authToken: 'key' }
    expect(read('https://flies.example')).toEqual({ dataPath: '/data/own', remote })
  })

  it.each([
    'postgres://flies.example',
    'file:/srv/other.db',
    'https://',
    'heavy-thistle.db',
    'ws://flies.example',
  ])('is refused in one line as %s', (text) => {
    expect(() => read(text)).toThrow(`HEAVY_THISTLE_DATABASE is ${text}. Write file:`)
  })
})

describe.skipIf(!hasDatabaseServer)('a database that another server keeps', () => {
  let folder: string
  let server: Awaited<ReturnType<typeof startDatabaseServer>>
  let running: Running | null = null
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'thistle-remote-'))
    server = await startDatabaseServer(join(folder, 'served'))
    process.env.HEAVY_THISTLE_DATABASE = server.url
  })
  afterAll(async () => {
    delete process.env.HEAVY_THISTLE_DATABASE
    await running?.stop()
    await server.stop()
    await rm(folder, { recursive: true })
  })
  const open = async (name: string) => {
    running = await start({ dataPath: join(folder, name), port: 0, rootPath: process.cwd(), webFolder: null, logLevel: 'silent' }) // prettier-ignore
  }
  const post = (path: string, body: object) =>
    fetch(`${running?.address}${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }) // prettier-ignore
  const send = (kind: string, body: object) => post('/api/commands', { id: v7(), kind, body })
  const flies = async () => {
    const { boxes } = (await (await fetch(`${running?.address}/api/boxes`)).json()) as BoxesView
    return boxes.flatMap(({ compartments }) => compartments).flatMap(({ flies: there }) => there.map(({ count }) => count)) // prettier-ignore
  }

  it('is made, written to with transactions, and found again from another folder', async () => {
    await open('one')
    for (const [kind, body] of [['boxCreate', box], ['patternSave', midge()]] as const) expect((await send(kind, body)).status).toBe(200) // prettier-ignore
    const counted = { compartmentId: placeA, variantId, counted: 5 }
    expect((await send('fliesCount', counted)).status).toBe(200)
    // all or nothing: the second loss cannot be, and so neither is the first
    const loss = { compartmentId: placeA, variantId, cause: 'tree' }
    const refused = await send('fliesLose', {
      outingId: null,
      losses: [
        { ...loss, count: 2 },
        { ...loss, count: 9 },
      ],
    })
    expect(refused.status).toBe(409)
    expect(await flies()).toEqual([5])
    await running?.stop()
    await open('two')
    expect(await flies()).toEqual([5])
  })

  it('leaves locks, log and copies to its server, and says so', async () => {
    expect(await readdir(join(folder, 'two'))).not.toContain('heavy-thistle.db')
    const view = (await (await fetch(`${running?.address}/api/backups`)).json()) as BackupsView
    expect(view).toMatchObject({
      backups: [],
      trouble: expect.stringMatching(/kept by another server/) as string,
    })
    expect((await post('/api/backups/make', {})).status).toBe(400)
  })

  it('is not opened where a later version wrote it', async () => {
    await running?.stop()
    running = null
    const client = createClient({ url: server.url })
    await client.execute('insert into __drizzle_migrations (hash, created_at) values (0, 99999999999999)')
    await expect(open('three')).rejects.toThrow(/written by a later version/)
    await client.execute('delete from __drizzle_migrations where created_at = 99999999999999')
    client.close()
  })

  it('that cannot be reached makes writes wait, and is found again', async () => {
    await open('four')
    await server.stop()
    expect((await send('fliesCount', { compartmentId: placeA, variantId, counted: 3 })).status).toBe(503)
    await running?.stop()
    running = null
    await expect(open('five')).rejects.toThrow(/cannot be used/)
  })
})
