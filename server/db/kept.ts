/** How many writes each open database has seen; what is no open database (a transaction) has no entry. */
const generations = new WeakMap<object, number>()

/** Begins to count the writes of a database, and counts one more at each call after that. */
export function noteWrite(db: object): void {
  generations.set(db, (generations.get(db) ?? 0) + 1)
}

/** How many writes a database has seen. */
export const writesOf = (db: object): number => generations.get(db) ?? 0

/** A value worked out once for each database and kept while the process lives. */
export function keptFor<Key extends object, Value>(make: () => Value): (key: Key) => Value {
  const kept = new WeakMap<Key, Value>()
  return (key) => {
    const known = kept.get(key)
    if (known !== undefined) return known
    const made = make()
    kept.set(key, made)
    return made
  }
}

/**
 * A loader whose answer is kept until the next write: several views of one page ask for the same rows. Within a
 * transaction it reads anew each time.
 */
export function keptUntilWrite<Key extends object, Value>(
  load: (db: Key) => Promise<Value>,
): (db: Key) => Promise<Value> {
  const kept = new WeakMap<Key, { readonly writes: number; readonly value: Promise<Value> }>()
  return (db) => {
    if (!generations.has(db)) return load(db)
    const known = kept.get(db)
    if (known?.writes === writesOf(db)) return known.value
    const value = load(db)
    kept.set(db, { writes: writesOf(db), value })
    value.catch(() => kept.delete(db))
    return value
  }
}
