import { AsyncLocalStorage } from 'node:async_hooks'
import { getTableName } from 'drizzle-orm'
import type { Table } from 'drizzle-orm'
import { changedWith } from './feeds.ts'
import { textHash } from './ids.ts'

/** Stands for every table. */
const ANY = '*'

/**
 * How many writes an open database has seen, and which of them was the last to each table. What is no open database (a
 * transaction) has no entry.
 */
const generations = new WeakMap<object, { all: number; readonly last: Map<string, number> }>()

/** Begins to count the writes of an open database. */
export const countWrites = (db: object): void => {
  generations.set(db, { all: 0, last: new Map() })
}

/** Counts a write of a database, and the tables that it changed. */
export function noteWrite(db: object, tables: ReadonlySet<string>): void {
  const writes = generations.get(db)
  if (!writes) return
  writes.all += 1
  for (const table of tables) writes.last.set(table, writes.all)
}

/** How many writes a database has seen. */
export const writesOf = (db: object): number => generations.get(db)?.all ?? 0

/** Which write was the last to any of some tables; 0 for none since the start. */
export function lastWriteTo(db: object, tables: ReadonlySet<string>): number {
  const last = generations.get(db)?.last
  let latest = last?.get(ANY) ?? 0
  // a loop, since each loader asks this each time
  for (const table of tables) latest = Math.max(latest, last?.get(table) ?? 0)
  return latest
}

/** Tables that the work which runs now has read. */
const readNow = new AsyncLocalStorage<Set<string>>()

/** Notes that tables are read, for whoever listens with {@link listening}. */
export function noteReads(tables: Iterable<string>): void {
  const read = readNow.getStore()
  if (read) for (const table of tables) read.add(table)
}

/** Runs work and answers, beside what it gives, the tables that it has read so far: all of them once it is done. */
export function listening<T>(work: () => Promise<T>): {
  readonly value: Promise<T>
  readonly read: ReadonlySet<string>
} {
  const read = new Set<string>()
  return { value: readNow.run(read, work), read }
}

/** A transaction that notes the tables it writes to. */
export function noting<Tx extends object>(tx: Tx, changed: Set<string>): Tx {
  return new Proxy(tx, {
    get(target, name, receiver) {
      const member: unknown = Reflect.get(target, name, receiver)
      // a statement of its own may write to any table
      if (name === 'run') changed.add(ANY)
      if (name !== 'insert' && name !== 'update' && name !== 'delete') return member
      return (table: Table) => {
        for (const one of changedWith(table, name)) changed.add(one)
        return (member as (table: Table) => unknown).call(target, table)
      }
    },
  })
}

/** A value made once for each database, or for each transaction, and kept as long as that. */
export function keptFor<Key extends object, Value>(make: (key: Key) => Value): (key: Key) => Value {
  const kept = new WeakMap<Key, Value>()
  return (key) => {
    const known = kept.get(key)
    if (known !== undefined) return known
    const made = make(key)
    kept.set(key, made)
    return made
  }
}

/** A loader whose answer is kept; it says which tables it reads. */
export interface Kept<Key extends object, Asked extends readonly unknown[], Value> {
  (db: Key, ...asked: Asked): Promise<Value>
  readonly reads: ReadonlySet<string>
}

/** Answers of one loader kept for different arguments before all of them are let go. */
const MOST_KEPT = 50

/**
 * A loader whose answer is kept, for each set of arguments, until one of the tables that it reads is written to: several
 * views of one page ask for the same rows. Within a transaction it reads anew each time.
 *
 * @param load  its arguments after the database are plain values, as JSON has them
 * @param reads the tables that it reads, and the loaders that it asks
 */
export function keptUntilWrite<Key extends object, Asked extends readonly unknown[], Value>(
  load: (db: Key, ...asked: Asked) => PromiseLike<Value>,
  reads: readonly (Table | { readonly reads: ReadonlySet<string> })[],
): Kept<Key, Asked, Value> {
  const tables = new Set([
    ANY,
    ...reads.flatMap((one) => ('reads' in one ? [...one.reads] : [getTableName(one)])),
  ])
  const kept = new WeakMap<Key, { readonly generation: number; readonly values: Map<string, Promise<Value>> }>()
  const loader = (db: Key, ...asked: Asked): Promise<Value> => {
    const writes = generations.get(db)
    if (!writes) return Promise.resolve(load(db, ...asked))
    noteReads(tables)
    const generation = lastWriteTo(db, tables)
    let known = kept.get(db)
    if (known?.generation !== generation || known.values.size >= MOST_KEPT) {
      known = { generation, values: new Map() }
      kept.set(db, known)
    }
    const { values } = known
    const key = JSON.stringify(asked)
    // a query is run anew each time that it is waited for; a promise of it is not
    const value = values.get(key) ?? Promise.resolve(load(db, ...asked))
    values.set(key, value)
    value.catch(() => values.delete(key))
    return value
  }
  return Object.assign(loader, { reads: tables })
}

/**
 * Keeps what takes long to work out by all that it comes from: much that is written moves none of that, an undo brings it
 * back, and it is the same whichever database asks.
 *
 * @param workOut from plain values, as JSON has them, and from nothing else
 * @param most    values that are kept: those that were asked for last
 */
export function keptByOrigin<Origin, Value>(
  workOut: (from: Origin) => Promise<Value>,
  most: number,
): (from: Origin) => Promise<Value> {
  const kept = new Map<string, Promise<Value>>()
  return (from) => {
    const key = textHash(JSON.stringify(from))
    const value = kept.get(key) ?? workOut(from)
    kept.delete(key)
    kept.set(key, value)
    const [oldest] = kept.keys()
    if (oldest !== undefined && kept.size > most) kept.delete(oldest)
    value.catch(() => kept.delete(key))
    return value
  }
}
