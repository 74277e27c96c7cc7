/** Rows by a key of theirs, each group in the order of the rows. */
export function grouped<Row, Key>(rows: readonly Row[], keyOf: (row: Row) => Key): Map<Key, Row[]> {
  const groups = new Map<Key, Row[]>()
  for (const row of rows) {
    const key = keyOf(row)
    const group = groups.get(key)
    if (group) group.push(row)
    else groups.set(key, [row])
  }
  return groups
}

/** A map of rows by their ids, to be asked for any text. */
export const mapOf = <Row, Value>(
  rows: readonly Row[],
  entryOf: (row: Row, at: number) => readonly [key: string, value: Value],
): ReadonlyMap<string, Value> => new Map(rows.map(entryOf))
