import { createClient } from '@libsql/client'
import { copyFile, cp, mkdir, mkdtemp, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { openDatabase } from '../db/database.ts'
import { standingOf } from '../db/standing.ts'
import { putBack, RestoreError } from './restore.ts'

const MIGRATIONS = join(process.cwd(), 'server', 'migrations')
const DB = 'heavy-thistle.db'

let folder: string
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'thistle-restore-'))
})
afterEach(() => rm(folder, { recursive: true }))

/**
 * A data directory as a killed process leaves it: what was acknowledged lies in the log. Made by copying the files of an
 * open database, whose log nobody has written back.
 */
async function killed(name: string, boxes: readonly string[]): Promise<string> {
  const [live, left] = [join(folder, `${name}-live`), join(folder, name)]
  await mkdir(live)
  const database = await openDatabase(join(live, DB), MIGRATIONS)
  await database.client.execute('pragma wal_checkpoint(truncate)')
  for (const [i, box] of boxes.entries())
    await database.client.execute({
      sql: "insert into box (id, name, name_key, kind) values (?, ?, ?, 'box')",
      args: [`box-${name}-${i}`, box, `${name}-${i}`],
    })
  await cp(live, left, { recursive: true })
  await database.close()
  await rm(live, { recursive: true })
  expect((await stat(join(left, `${DB}-wal`))).size).toBeGreaterThan(0)
  return left
}

async function boxesIn(file: string): Promise<readonly unknown[]> {
  const client = createClient({ url: pathToFileURL(file).href })
  try {
    return (await client.execute('select name from box order by id')).rows.map(({ name }) => name)
  } finally {
    client.close()
  }
}

describe('putting a copy back', () => {
  it('takes what the log of a crashed folder holds along, from the folder or its file', async () => {
    const crashed = await killed('crashed', ['One', 'Two', 'Three'])
    const before = await readFile(join(crashed, DB))
    for (const [to, from] of [
      ['a', crashed],
      ['b', join(crashed, DB)],
    ] as const) {
      await mkdir(join(folder, to))
      expect(await putBack(from, join(folder, to), MIGRATIONS)).toBeNull()
      expect(await boxesIn(join(folder, to, DB))).toEqual(['One', 'Two', 'Three'])
    }
    // the source is as it was, log and all
    expect((await readFile(join(crashed, DB))).equals(before)).toBe(true)
    expect((await stat(join(crashed, `${DB}-wal`))).size).toBeGreaterThan(0)
  })

  it('keeps all that was acknowledged before a kill in what it puts aside', async () => {
    const mine = await killed('mine', ['Mine', 'Mine too'])
    const other = await killed('other', ['Another'])
    const aside = await putBack(other, mine, MIGRATIONS)
    expect(await boxesIn(join(mine, DB))).toEqual(['Another'])
    expect(await boxesIn(aside!)).toEqual(['Mine', 'Mine too'])
    // and it goes back the same way
    await putBack(aside!, mine, MIGRATIONS)
    expect(await boxesIn(join(mine, DB))).toEqual(['Mine', 'Mine too'])
  })

  it('keeps every earlier database, also within one second', async () => {
    const mine = await killed('mine', ['First'])
    const now = Date.parse('2026-06-04T18:00:00Z')
    const asides = []
    for (const name of ['second', 'third', 'fourth'])
      asides.push(await putBack(await killed(name, [name]), mine, MIGRATIONS, now))
    expect(await Promise.all(asides.map((aside) => boxesIn(aside!)))).toEqual([
      ['First'],
      ['second'],
      ['third'],
    ])
    expect(new Set(asides).size).toBe(3)
    expect(await boxesIn(join(mine, DB))).toEqual(['fourth'])
  })

  it('changes nothing where the copy cannot be used', async () => {
    const mine = await killed('mine', ['Mine'])
    const [damaged, foreign, newer] = [
      join(folder, 'damaged.db'),
      join(folder, 'foreign.db'),
      join(folder, 'newer.db'),
    ]
    const good = await killed('good', ['Good'])
    await copyFile(join(good, DB), damaged)
    const bytes = await readFile(damaged)
    bytes.fill(0, 4096, 65_536)
    await writeFile(damaged, bytes)
    const client = createClient({ url: pathToFileURL(foreign).href })
    await client.execute('create table recipes (id)')
    client.close()
    await copyFile(join(good, DB), newer)
    const later = createClient({ url: pathToFileURL(newer).href })
    await later.execute("insert into __drizzle_migrations (hash, created_at) values ('later', 99999999999999)")
    later.close()
    for (const [file, words] of [
      [damaged, 'damaged'],
      [foreign, 'no database of Heavy Thistle'],
      [newer, 'later version'],
      [join(folder, 'nowhere.db'), 'There is no'],
    ] as const) {
      const refused = putBack(file, mine, MIGRATIONS)
      await expect(refused).rejects.toThrow(RestoreError)
      await expect(refused).rejects.toThrow(words)
    }
    expect(await boxesIn(join(mine, DB))).toEqual(['Mine'])
    expect((await readdir(mine)).filter((name) => /restoring|backups/.test(name))).toEqual([])
  })

  it('leaves the database in place where the disk takes no copy', async () => {
    const mine = await killed('mine', ['Mine'])
    const other = await killed('other', ['Another'])
    // no folder of copies can be made where a file has its name
    await writeFile(join(mine, 'backups'), 'in the way')
    await expect(putBack(other, mine, MIGRATIONS)).rejects.toThrow(/EEXIST|ENOTDIR/)
    expect(await boxesIn(join(mine, DB))).toEqual(['Mine'])
  })

  it('puts a copy in the place of a damaged database, and keeps that one', async () => {
    const mine = await killed('mine', ['Mine'])
    await writeFile(join(mine, DB), Buffer.alloc(50_000, 7))
    await rm(join(mine, `${DB}-wal`))
    const aside = await putBack(await killed('other', ['Another']), mine, MIGRATIONS)
    expect(await boxesIn(join(mine, DB))).toEqual(['Another'])
    expect((await readFile(aside!)).equals(Buffer.alloc(50_000, 7))).toBe(true)
  })
})

describe('what stands in a file', () => {
  it('is told before anything is done with it', async () => {
    const at = (name: string) => join(folder, name)
    expect(await standingOf(at('nothing.db'), MIGRATIONS)).toEqual({ kind: 'absent' })
    await writeFile(at('empty.db'), '')
    expect(await standingOf(at('empty.db'), MIGRATIONS)).toMatchObject({ kind: 'damaged' })
    await writeFile(at('text.db'), 'a letter to a friend, of more than a hundred bytes. '.repeat(20))
    expect(await standingOf(at('text.db'), MIGRATIONS)).toMatchObject({ kind: 'damaged' })
    const database = await openDatabase(at('ours.db'), MIGRATIONS)
    await database.close()
    const ours = await standingOf(at('ours.db'), MIGRATIONS)
    expect(ours.kind === 'ours' && ours.steps === ours.known && ours.steps > 15).toBe(true)
    const whole = await readFile(at('ours.db'))
    await writeFile(at('cut.db'), whole.subarray(0, 100_000))
    expect(await standingOf(at('cut.db'), MIGRATIONS)).toMatchObject({ kind: 'damaged' })
  })
})
