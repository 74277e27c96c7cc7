import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/libsql'
import type { LibSQLDatabase } from 'drizzle-orm/libsql'
import { migrate } from 'drizzle-orm/libsql/migrator'
import { copyFile, stat } from 'node:fs/promises'
import { pathToFileURL } from 'node:url'
import { noteWrite, writesOf } from './kept.ts'
import type { Matter } from './kept.ts'
import * as schema from './schema.ts'

export type Db = LibSQLDatabase<typeof schema>
/** A write transaction: every service that changes something gets one. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0]
/** Anything that can be read from. */
export type Reader = Pick<Db, 'select' | 'all' | 'get' | 'selectDistinct'>

export interface Database {
  readonly db: Db
  readonly client: Client
  /** runs writes one after another: two open write transactions at once would refuse each other */
  readonly write: <T>(work: (tx: Tx) => Promise<T>, matters?: readonly Matter[]) => Promise<T>
  /** how many writes were made since the start: what was read before the last of them may be stale */
  readonly writeCount: () => number
  readonly close: () => Promise<void>
}

const exists = (file: string) =>
  stat(file).then(
    () => true,
    () => false,
  )

/** Pages of the write-ahead log before it is written back: in small portions, so that no write waits long for the disk. */
const LOG_PAGES = 250

/** Pragmas do not carry over pooled connections, so a write sets what it needs. */
async function prepared<T>(tx: Tx, work: (tx: Tx) => Promise<T>): Promise<T> {
  await tx.run(sql.raw(`pragma wal_autocheckpoint = ${LOG_PAGES}`))
  return work(tx)
}

/**
 * Opens a database file, brings it up to date and puts one write queue before it.
 * Where it is not new, a copy stands beside it before migrations run.
 */
export async function openDatabase(file: string, migrationsFolder: string): Promise<Database> {
  const isOld = await exists(file)
  const client = createClient({ url: pathToFileURL(file).href })
  await client.execute('PRAGMA journal_mode = WAL')
  if (isOld) {
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
    await copyFile(file, `${file}.before-migration`)
  }
  const db = drizzle(client, { schema })
  await migrate(db, { migrationsFolder })
  let tail: Promise<unknown> = Promise.resolve()
  noteWrite(db)
  const write = <T>(work: (tx: Tx) => Promise<T>, matters?: readonly Matter[]): Promise<T> => {
    const next = tail
      .then(() => db.transaction((tx) => prepared(tx, work)))
      .finally(() => noteWrite(db, matters))
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
