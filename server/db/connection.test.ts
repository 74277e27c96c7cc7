import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { pathToFileURL } from 'node:url'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { constraintCode, isBusy, isClosed } from './errors.ts'
import { openConnection } from './connection.ts'
import type { Connection } from './connection.ts'

let folder: string
let file: string
let client: Client
let reader: Connection

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'thistle-reader-'))
  file = join(folder, 'flies.db')
  client = createClient({ url: pathToFileURL(file).href })
  await client.execute('pragma journal_mode = wal')
  await client.execute('create table fly (id integer primary key, hook text, mg real, photo blob)')
  await client.execute(
    `with recursive n(i) as (select 1 union all select i + 1 from n where i < 250)
     insert into fly select i, '#' || i, i / 2.0, x'0102' from n`,
  )
  reader = openConnection(file, 'query_only = on')
})

afterEach(async () => {
  reader.close()
  client.close()
  await rm(folder, { recursive: true, force: true })
})

const hooks = { sql: 'select id, hook from fly where id between ? and ? order by id', args: [1, 250] }

describe('a connection that only reads', () => {
  it('gives rows by the place of their columns, however many, again and again', async () => {
    for (const last of [99, 100, 101, 200, 250, 0]) {
      const { rows } = await reader.execute({ ...hooks, args: [1, last] })
      expect(rows).toHaveLength(last)
    }
    expect((await reader.execute(hooks)).rows[9]).toEqual([10, '#10'])
  })

  it('gives what the client of the driver gives, of each type', async () => {
    const asked = {
      sql: 'select id, hook, mg, null as none, 1 = ? as same from fly where id = 7',
      args: [true],
    }
    const { rows } = await client.execute(asked)
    expect((await reader.execute(asked)).rows[0]).toEqual([...Array(5).keys()].map((i) => rows[0]![i]))
    const photo = await reader.execute('select photo from fly where id = 7')
    expect([...(photo.rows[0]![0] as unknown as Uint8Array)]).toEqual([1, 2])
  })

  it('sees what was written since by another, with a statement that it keeps', async () => {
    const everything = 'select * from fly where id = 1'
    expect((await reader.execute(hooks)).rows).toHaveLength(250)
    expect((await reader.execute(everything)).rows[0]).toHaveLength(4)
    await client.execute('delete from fly where id > 3')
    expect((await reader.execute(hooks)).rows).toHaveLength(3)
    await client.execute("alter table fly add column note text default 'stiff'")
    expect((await reader.execute(everything)).rows[0]?.[4]).toBe('stiff')
  })

  it('writes nothing', async () => {
    for (const statement of ['delete from fly', "insert into fly values (999, '', 1, null)", 'drop table fly'])
      await expect(reader.execute(statement)).rejects.toThrow(/readonly/)
    expect((await reader.execute(hooks)).rows).toHaveLength(250)
  })

  it('says that it is closed to whoever was still reading', async () => {
    await reader.execute(hooks)
    reader.close()
    const error: unknown = await reader.execute(hooks).catch((caught: unknown) => caught)
    expect(isClosed(error)).toBe(true)
  })

  it('holds nothing back after a statement that stopped midway', async () => {
    const bad = "select id, json_extract(case id when 150 then '{' else '{}' end, '$.a') from fly order by id"
    await expect(reader.execute(bad)).rejects.toThrow(/JSON/)
    await expect(reader.execute('select weight from fly')).rejects.toThrow(/no such column/)
    await client.execute('delete from fly')
    expect((await reader.execute(hooks)).rows).toEqual([])
    const checkpoint = await client.execute('pragma wal_checkpoint(truncate)')
    expect(checkpoint.rows[0]).toMatchObject({ busy: 0 })
  })
})

describe('a connection that writes', () => {
  let writer: Connection
  beforeEach(() => {
    writer = openConnection(file, 'wal_autocheckpoint = 250')
  })
  afterEach(() => writer.close())

  const flyOf = (id: number) => ({ sql: 'insert into fly (id, hook) values (?, ?)', args: [id, '#14'] })
  const count = async () => (await reader.execute('select count(*) from fly')).rows[0]?.[0]

  it('shows others what it wrote once it is committed, and nothing of what it took back', async () => {
    const kept = await writer.transaction('write')
    expect((await kept.execute(flyOf(1001))).rowsAffected).toBe(1)
    expect((await kept.execute('select count(*) from fly')).rows[0]?.[0]).toBe(251)
    expect(await count()).toBe(250)
    await kept.commit()
    expect(await count()).toBe(251)
    const left = await writer.transaction('write')
    await left.execute(flyOf(1002))
    await left.rollback()
    // as the ORM does where a commit failed: a second time there is nothing to take back
    await left.rollback()
    expect(await count()).toBe(251)
  })

  it('goes on after a statement that was refused, with what was kept of it', async () => {
    const refused = await writer.transaction('write')
    await refused.execute(flyOf(1001))
    const error: unknown = await refused.execute(flyOf(7)).catch((caught: unknown) => caught)
    expect(constraintCode(error)).toBe('SQLITE_CONSTRAINT_PRIMARYKEY')
    await refused.rollback()
    const next = await writer.transaction('write')
    for (const id of [1001, 1002]) await next.execute(flyOf(id))
    await next.commit()
    expect(await count()).toBe(252)
  })

  it('is refused while another writes, and says so as the driver does', async () => {
    const other = await client.transaction('write')
    const error: unknown = await writer.transaction('write').catch((caught: unknown) => caught)
    expect(isBusy(error)).toBe(true)
    await other.commit()
  })

  it('says that it is closed, and has nothing to take back then', async () => {
    const open = await writer.transaction('write')
    await open.execute(flyOf(1001))
    writer.close()
    const error: unknown = await open.execute(flyOf(1002)).catch((caught: unknown) => caught)
    expect(isClosed(error)).toBe(true)
    await open.rollback()
    await expect(writer.transaction('write')).rejects.toThrow(/closed/)
  })
})
