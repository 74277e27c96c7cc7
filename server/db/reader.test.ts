import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { pathToFileURL } from 'node:url'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { isClosed } from './errors.ts'
import { openReader } from './reader.ts'
import type { FileReader } from './reader.ts'

let folder: string
let writer: Client
let reader: FileReader

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'thistle-reader-'))
  const file = join(folder, 'flies.db')
  writer = createClient({ url: pathToFileURL(file).href })
  await writer.execute('pragma journal_mode = wal')
  await writer.execute('create table fly (id integer primary key, hook text, mg real, photo blob)')
  await writer.execute(
    `with recursive n(i) as (select 1 union all select i + 1 from n where i < 250)
     insert into fly select i, '#' || i, i / 2.0, x'0102' from n`,
  )
  reader = openReader(file)
})

afterEach(async () => {
  reader.close()
  writer.close()
  await rm(folder, { recursive: true, force: true })
})

const hooks = { sql: 'select id, hook from fly where id between ? and ? order by id', args: [1, 250] }

describe('a connection that only reads', () => {
  it('gives rows by place or by name, however many, again and again', async () => {
    for (const last of [99, 100, 101, 200, 250, 0]) {
      const asked = { ...hooks, args: [1, last] }
      const { rows: byPlace } = await reader.byPlace.execute(asked)
      expect(byPlace).toHaveLength(last)
      const { rows: byName } = await reader.byName.execute(asked)
      expect(byName.map(({ id, hook }) => [id, hook])).toEqual(byPlace)
    }
    expect((await reader.byPlace.execute(hooks)).rows[9]).toEqual([10, '#10'])
    expect((await reader.byName.execute(hooks)).rows[9]).toEqual({ id: 10, hook: '#10' })
  })

  it('gives what the client of the driver gives, of each type', async () => {
    const asked = {
      sql: 'select id, hook, mg, null as none, 1 = ? as same from fly where id = 7',
      args: [true],
    }
    const { rows } = await writer.execute(asked)
    expect((await reader.byPlace.execute(asked)).rows[0]).toEqual([...Array(5).keys()].map((i) => rows[0]![i]))
    const photo = await reader.byPlace.execute('select photo from fly where id = 7')
    expect([...(photo.rows[0]![0] as unknown as Uint8Array)]).toEqual([1, 2])
  })

  it('sees what was written since by another, with a statement that it keeps', async () => {
    expect((await reader.byPlace.execute(hooks)).rows).toHaveLength(250)
    await writer.execute('delete from fly where id > 3')
    expect((await reader.byPlace.execute(hooks)).rows).toHaveLength(3)
    await writer.execute('alter table fly add column note text')
    expect((await reader.byName.execute('select * from fly where id = 1')).rows[0]).toHaveProperty('note', null)
  })

  it('writes nothing', async () => {
    for (const statement of ['delete from fly', "insert into fly values (999, '', 1, null)", 'drop table fly'])
      await expect(reader.byName.execute(statement)).rejects.toThrow(/readonly/)
    expect((await reader.byPlace.execute(hooks)).rows).toHaveLength(250)
  })

  it('says that it is closed to whoever was still reading', async () => {
    await reader.byPlace.execute(hooks)
    reader.close()
    for (const asked of [reader.byPlace, reader.byName]) {
      const error: unknown = await asked.execute(hooks).catch((caught: unknown) => caught)
      expect(isClosed(error)).toBe(true)
    }
  })

  it('holds nothing back after a statement that stopped midway', async () => {
    const bad = "select id, json_extract(case id when 150 then '{' else '{}' end, '$.a') from fly order by id"
    await expect(reader.byPlace.execute(bad)).rejects.toThrow(/JSON/)
    await expect(reader.byName.execute('select weight from fly')).rejects.toThrow(/no such column/)
    await writer.execute('delete from fly')
    expect((await reader.byPlace.execute(hooks)).rows).toEqual([])
    const checkpoint = await writer.execute('pragma wal_checkpoint(truncate)')
    expect(checkpoint.rows[0]).toMatchObject({ busy: 0 })
  })
})
