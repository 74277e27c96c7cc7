import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/libsql'
import type { LibSQLDatabase } from 'drizzle-orm/libsql'
import { migrate } from 'drizzle-orm/libsql/migrator'
import { readFile, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { countWrites, noteWrite, noting, writesOf } from './kept.ts'
import * as schema from './schema.ts'

/** The database, for reading. */
export type Db = LibSQLDatabase<typeof schema>
/** A write transaction: every service that changes something gets one. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0]
/** Anything that can be read from. */
export type Reader = Pick<Db, 'select' | 'all' | 'get' | 'selectDistinct'>

/** An open database: reads go free, writes queue. */
export interface Database {
  readonly db: Db
  readonly client: Client
  /** runs writes one after another: two open write transactions at once would refuse each other */
  readonly write: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>
  /** how many writes were made since the start: what was read before the last of them may be stale */
  readonly writeCount: () => number
  readonly close: () => Promise<void>
}

/** Pages of the write-ahead log before it is written back: in small portions, so that no write waits long for the disk. */
const LOG_PAGES = 250

/** Pragmas do not carry over pooled connections, so a write sets what it needs. */
async function prepared<T>(tx: Tx, work: (tx: Tx) => Promise<T>): Promise<T> {
  await tx.run(sql.raw(`pragma wal_autocheckpoint = ${LOG_PAGES}`))
  return work(tx)
}

/** Whether migrations are to come to a database that has had some already. */
async function isBehind(db: Db, migrationsFolder: string): Promise<boolean> {
  const [table] = await db.all(sql`select 1 from sqlite_master where name = '__drizzle_migrations'`)
  if (!table) return false
  const journal = JSON.parse(await readFile(join(migrationsFolder, 'meta', '_journal.json'), 'utf8')) as {
    readonly entries: readonly { readonly when: number }[]
  }
  const row = await db.get<{ last: number }>(sql`select max(created_at) as last from __drizzle_migrations`)
  return journal.entries.some(({ when }) => when > row.last)
}

/**
 * Copies the database beside itself. By SQLite, never by reading the file: closing a file of this process's own would
 * drop the locks that its connections hold on it.
 */
async function copyAside(client: Client, file: string): Promise<void> {
  const copy = `${file}.before-migration`
  await rm(copy, { force: true })
  await client.execute({ sql: 'VACUUM INTO ?', args: [copy] })
}

/**
 * Opens a database file, brings it up to date and puts one write queue before it.
 * A copy of an older one stands beside it before migrations run.
 */
export async function openDatabase(file: string, migrationsFolder: string): Promise<Database> {
  const client = createClient({ url: pathToFileURL(file).href })
  await client.execute('PRAGMA journal_mode = WAL')
  const db = drizzle(client, { schema })
  if (await isBehind(db, migrationsFolder)) await copyAside(client, file)
  await migrate(db, { migrationsFolder })
  let tail: Promise<unknown> = Promise.resolve()
  countWrites(db)
  const write = <T>(work: (tx: Tx) => Promise<T>): Promise<T> => {
    const changed = new Set<string>()
    const next = tail
      .then(() => db.transaction((tx) => prepared(tx, (open) => work(noting(open, changed)))))
      .finally(() => noteWrite(db, changed))
    tail = next.catch(() => undefined)
    return next
  }
  const close = async () => {
    await tail
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
    client.close()
  }
  return { db, client, write, writeCount: () => writesOf(db), close }
}
