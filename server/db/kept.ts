/** What a write can concern: what lies in boxes, what lies in the stores, and all the rest. */
export type Matter = 'flies' | 'materials' | 'rest'

const EVERYTHING: readonly Matter[] = ['flies', 'materials', 'rest']

interface Writes {
  readonly all: number
  readonly by: Readonly<Record<Matter, number>>
}

const NONE: Writes = { all: 0, by: { flies: 0, materials: 0, rest: 0 } }

/** How many writes each open database has seen; what is no open database (a transaction) has no entry. */
const generations = new WeakMap<object, Writes>()

/** Counts a write of a database, and what it concerned; all of it unless told otherwise. */
export function noteWrite(db: object, matters: readonly Matter[] = EVERYTHING): void {
  const { all, by } = generations.get(db) ?? NONE
  const raised = Object.fromEntries(matters.map((matter) => [matter, by[matter] + 1]))
  generations.set(db, { all: all + 1, by: { ...by, ...raised } })
}

/** How many writes a database has seen. */
export const writesOf = (db: object): number => (generations.get(db) ?? NONE).all

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
 * A loader whose answer is kept until a write concerns it: several views of one page ask for the same rows. Within a
 * transaction it reads anew each time.
 */
export function keptUntilWrite<Key extends object, Value>(
  load: (db: Key) => Promise<Value>,
  matters: readonly Matter[],
): (db: Key) => Promise<Value> {
  const kept = new WeakMap<Key, { readonly generation: number; readonly value: Promise<Value> }>()
  return (db) => {
    const writes = generations.get(db)
    if (!writes) return load(db)
    const generation = matters.reduce((sum, matter) => sum + writes.by[matter], 0)
    const known = kept.get(db)
    if (known?.generation === generation) return known.value
    const value = load(db)
    kept.set(db, { generation, value })
    value.catch(() => kept.delete(db))
    return value
  }
}
