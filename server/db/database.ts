import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/libsql'
import type { LibSQLDatabase } from 'drizzle-orm/libsql'
import { migrate } from 'drizzle-orm/libsql/migrator'
import { pathToFileURL } from 'node:url'
import type { RemoteDatabase } from './address.ts'
import { patiently } from './busy.ts'
import { TABLE_NAMES } from './feeds.ts'
import { openReader } from './reader.ts'
import type { FileReader } from './reader.ts'
import { countWrites, noteReads, noteWrite, noting, writesOf } from './kept.ts'
import * as schema from './schema.ts'

type Orm = LibSQLDatabase<typeof schema>
/** A write transaction: every service that changes something gets one. */
export type Tx = Parameters<Parameters<Orm['transaction']>[0]>[0]
/** Anything that can be read from. */
export type Reader = Pick<Orm, 'select' | 'all' | 'get' | 'selectDistinct' | '$count'>

/** An open database: reads go free, writes queue. */
export interface Database {
  readonly db: Reader
  /** for what the ORM does not know: pragmas, and copies of the whole */
  readonly client: Client
  /** runs writes one after another: two open write transactions at once would refuse each other */
  readonly write: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>
  /** how many writes were made since the start: what was read before the last of them may be stale */
  readonly writeCount: () => number
  readonly close: () => Promise<void>
}

/** Names of tables that stand anywhere in a statement, kept since pages ask the same again and again. */
const named = new Map<string, readonly string[]>()
const MOST_STATEMENTS = 1000

function tablesIn(text: string): readonly string[] {
  const known = named.get(text)
  if (known) return known
  if (named.size >= MOST_STATEMENTS) named.clear()
  const tables = [...new Set(text.match(/[a-z_]+/g))].filter((word) => TABLE_NAMES.has(word))
  named.set(text, tables)
  return tables
}

/** Pages of the write-ahead log before it is written back: in small portions, so that no write waits long for the disk. */
const LOG_PAGES = 250

/** The driver works while it is asked, so that a second connection of a client would only keep pages twice. */
const CONNECTIONS = 1

/** Pragmas do not carry over pooled connections, so a write sets what it needs. */
async function prepared<T>(tx: Tx, work: (tx: Tx) => Promise<T>): Promise<T> {
  await tx.run(sql.raw(`pragma wal_autocheckpoint = ${LOG_PAGES}`))
  return work(tx)
}

/**
 * Opens a database file, brings it up to date and puts one write queue before it. Writes have a connection of their own:
 * one that another program's lock refused is thrown away, and readers do not notice.
 *
 * @param file ours, as `standingOf` says, or not there yet
 */
export async function openDatabase(file: string, migrationsFolder: string): Promise<Database> {
  const url = pathToFileURL(file).href
  const client = createClient({ url, concurrency: CONNECTIONS })
  const writer = createClient({ url, concurrency: CONNECTIONS })
  await patiently(
    () => writer.execute('PRAGMA journal_mode = WAL'),
    () => writer.reconnect(),
  )
  return over({
    client,
    writer,
    migrationsFolder,
    prepare: prepared,
    settle: writeBack,
    read: () => openReader(file),
  })
}

/**
 * Opens a database that another server keeps: it locks it, keeps its log and copies it, so that nothing is asked of it
 * but to bring it up to date.
 */
export function openRemoteDatabase(remote: RemoteDatabase, migrationsFolder: string): Promise<Database> {
  const [client, writer] = [createClient({ ...remote }), createClient({ ...remote })]
  return over({
    client,
    writer,
    migrationsFolder,
    prepare: (tx, work) => work(tx),
    settle: async () => undefined,
    read: () => ({ byPlace: client, byName: client, close: () => undefined }),
  })
}

interface Opened {
  readonly client: Client
  readonly writer: Client
  readonly migrationsFolder: string
  /** opens what reads, once the database is up to date */
  readonly read: () => FileReader
  /** what a write sets before it works */
  readonly prepare: <T>(tx: Tx, work: (tx: Tx) => Promise<T>) => Promise<T>
  /** what is done before the database is closed */
  readonly settle: (client: Client) => Promise<unknown>
}

/** What is not written back now, as another program reads, lies in the log and is read from there. */
const writeBack = (client: Client) => client.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined)

/** What the ORM asks for columns it takes by their place; a statement in our own words, by name. */
function readerOver({ byPlace, byName }: FileReader): Reader {
  const logger = { logQuery: (text: string) => noteReads(tablesIn(text)) }
  const over = (client: Pick<Client, 'execute'>) => drizzle(client as Client, { schema, logger })
  const [built, own] = [over(byPlace), over(byName)]
  return {
    select: built.select.bind(built),
    selectDistinct: built.selectDistinct.bind(built),
    $count: built.$count.bind(built),
    all: own.all.bind(own),
    get: own.get.bind(own),
  }
}

async function over({ client, writer, migrationsFolder, prepare, settle, read }: Opened): Promise<Database> {
  const afresh = () => writer.reconnect()
  const writing = drizzle(writer, { schema })
  await patiently(() => migrate(writing, { migrationsFolder }), afresh)
  const reader = read()
  const db = readerOver(reader)
  let tail: Promise<unknown> = Promise.resolve()
  countWrites(db)
  const write = <T>(work: (tx: Tx) => Promise<T>): Promise<T> => {
    const changed = new Set<string>()
    const once = () => writing.transaction((tx) => prepare(tx, (open) => work(noting(open, changed))))
    const next = tail.then(() => patiently(once, afresh)).finally(() => noteWrite(db, changed))
    tail = next.catch(() => undefined)
    return next
  }
  const close = async () => {
    await tail
    await settle(client)
    writer.close()
    reader.close()
    client.close()
  }
  return { db, client, write, writeCount: () => writesOf(db), close }
}
