import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import type { Logger } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/libsql'
import type { LibSQLDatabase } from 'drizzle-orm/libsql'
import { migrate } from 'drizzle-orm/libsql/migrator'
import { pathToFileURL } from 'node:url'
import type { RemoteDatabase } from './address.ts'
import { patiently } from './busy.ts'
import { TABLE_NAMES } from './feeds.ts'
import { openConnection } from './connection.ts'
import { countWrites, noteReads, noteWrite, noting, writesOf } from './kept.ts'
import * as schema from './schema.ts'

type Orm = LibSQLDatabase<typeof schema>
/** Anything that can be read from. */
export type Reader = Pick<Orm, 'select' | 'selectDistinct' | 'values' | '$count'>
/** A write transaction: every service that changes something gets one. */
export type Tx = Reader & Pick<Orm, 'insert' | 'update' | 'delete' | 'run'>

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

/** What the ORM writes by, and how it begins anew where another program's lock refused it. */
interface Writer {
  readonly client: Pick<Client, 'transaction'>
  readonly afresh: () => unknown
  readonly close: () => void
}

/** A connection of its own to write by: readers do not notice where it is thrown away. */
function openWriter(file: string): Writer {
  const open = () => openConnection(file, `wal_autocheckpoint = ${LOG_PAGES}`)
  let connection = open()
  return {
    client: { transaction: () => connection.transaction() } as Writer['client'],
    afresh: () => {
      connection.close()
      connection = open()
    },
    close: () => connection.close(),
  }
}

/**
 * Opens a database file, brings it up to date and puts one write queue before it.
 *
 * @param file ours, as `standingOf` says, or not there yet
 */
export async function openDatabase(file: string, migrationsFolder: string): Promise<Database> {
  const client = createClient({ url: pathToFileURL(file).href, concurrency: CONNECTIONS })
  await patiently(
    () => client.execute('PRAGMA journal_mode = WAL'),
    () => client.reconnect(),
  )
  return over({
    client,
    migrationsFolder,
    settle: writeBack,
    connect: () => ({ reader: openConnection(file, 'query_only = on'), writer: openWriter(file) }),
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
    migrationsFolder,
    settle: async () => undefined,
    connect: () => ({
      reader: { execute: client.execute.bind(client) as Client['execute'], close: () => undefined },
      writer: { client: writer, afresh: () => writer.reconnect(), close: () => writer.close() },
    }),
  })
}

interface Opened {
  readonly client: Client
  readonly migrationsFolder: string
  /** connects what reads and what writes, once the database is up to date */
  readonly connect: () => {
    readonly reader: Pick<Client, 'execute' | 'close'>
    readonly writer: Writer
  }
  /** what is done before the database is closed */
  readonly settle: (client: Client) => Promise<unknown>
}

/** What is not written back now, as another program reads, lies in the log and is read from there. */
const writeBack = (client: Client) => client.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined)

/** What the ORM asks of a client is to run statements; those of a transaction go by the transaction. */
const ormOver = (client: Partial<Client>, logger?: Logger): Orm =>
  drizzle(client as Client, { schema, ...(logger && { logger }) })

async function over({ client, migrationsFolder, settle, connect }: Opened): Promise<Database> {
  await patiently(
    () => migrate(ormOver(client), { migrationsFolder }),
    () => client.reconnect(),
  )
  const { reader, writer } = connect()
  const db = ormOver(reader, { logQuery: (text) => noteReads(tablesIn(text)) })
  const writing = ormOver(writer.client)
  let tail: Promise<unknown> = Promise.resolve()
  countWrites(db)
  const write = <T>(work: (tx: Tx) => Promise<T>): Promise<T> => {
    const changed = new Set<string>()
    const once = () => writing.transaction((tx) => work(noting(tx, changed)))
    const next = tail.then(() => patiently(once, writer.afresh)).finally(() => noteWrite(db, changed))
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
