import { LibsqlError } from '@libsql/client'
import type { Client, InStatement, ResultSet } from '@libsql/client'
import Connection from 'libsql'
import type { Statement } from 'libsql'

/** What the ORM asks of a client. */
type Asked = Pick<Client, 'execute'>

/** A connection that only reads, as two clients: one answers rows by the place of each column, one by its name. */
export interface FileReader {
  readonly byPlace: Asked
  readonly byName: Asked
  readonly close: () => void
}

/** Statements that are kept prepared: pages ask the same ones again and again. */
const MOST_STATEMENTS = 500

const boundAs = (value: unknown) => (typeof value === 'boolean' ? Number(value) : value)

/**
 * A connection of its own to read by. Its statements stay prepared and each row comes in one form, where the driver's client
 * prepares each statement anew and gives each cell twice, by place and by name: that takes three times as long as to read.
 * The driver lets go of a prepared statement, and of the file with it, when it is collected as garbage.
 *
 * @param file of a database that is there and up to date
 */
export function openReader(file: string): FileReader {
  const connection = new Connection(file)
  connection.exec('pragma query_only = on')
  const answering = (byPlace: boolean) => {
    const kept = new Map<string, Statement>()
    const prepared = (text: string) => {
      const known = kept.get(text)
      if (known) return known
      if (kept.size >= MOST_STATEMENTS) kept.clear()
      const statement = connection.prepare(text)
      if (byPlace) statement.raw()
      kept.set(text, statement)
      return statement
    }
    const execute = async (asked: InStatement): Promise<ResultSet> => {
      // as while a copy is put in its place; said as the driver's client says it
      if (!connection.open) throw new LibsqlError('The client is closed', 'CLIENT_CLOSED')
      const { sql, args = [] } = typeof asked === 'string' ? { sql: asked } : asked
      try {
        const rows = prepared(sql).all(Array.isArray(args) ? args.map(boundAs) : args) as ResultSet['rows']
        return {
          rows,
          columns: [],
          columnTypes: [],
          rowsAffected: 0,
          lastInsertRowid: undefined,
          toJSON: () => rows,
        }
      } catch (error) {
        // one that stopped midway would hold on to what it was reading
        kept.delete(sql)
        throw error
      }
    }
    return { asked: { execute } as Asked, kept }
  }
  const [byPlace, byName] = [answering(true), answering(false)]
  return {
    byPlace: byPlace.asked,
    byName: byName.asked,
    close: () => {
      byPlace.kept.clear()
      byName.kept.clear()
      connection.close()
    },
  }
}
