/**
 * What a write can concern: what lies in boxes, what lies in the stores, warmth and notes of the season, the larder,
 * patterns with their variants, and all the rest.
 */
export const EVERYTHING = ['flies', 'materials', 'season', 'foods', 'patterns', 'rest'] as const
export type Matter = (typeof EVERYTHING)[number]

interface Writes {
  readonly all: number
  readonly by: Readonly<Record<Matter, number>>
}

const NONE: Writes = { all: 0, by: { flies: 0, materials: 0, season: 0, foods: 0, patterns: 0, rest: 0 } }

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

/** Answers of one loader kept for different arguments before all of them are let go. */
const MOST_KEPT = 50

/**
 * A loader whose answer is kept, for each set of arguments, until a write concerns it: several views of one page ask
 * for the same rows. Within a transaction it reads anew each time.
 *
 * @param load its arguments after the database are plain values, as JSON has them
 */
export function keptUntilWrite<Key extends object, Asked extends readonly unknown[], Value>(
  load: (db: Key, ...asked: Asked) => PromiseLike<Value>,
  matters: readonly Matter[],
): (db: Key, ...asked: Asked) => Promise<Value> {
  const kept = new WeakMap<Key, { readonly generation: number; readonly values: Map<string, Promise<Value>> }>()
  return (db, ...asked) => {
    const writes = generations.get(db)
    if (!writes) return Promise.resolve(load(db, ...asked))
    const generation = matters.reduce((sum, matter) => sum + writes.by[matter], 0)
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
}
