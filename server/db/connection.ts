import { LibsqlError } from '@libsql/client'
import type { Client, InStatement, ResultSet } from '@libsql/client'
import Driver from 'libsql'
import type { Statement } from 'libsql'

/** A connection to a file, of the shape that the ORM asks. */
export interface Connection extends Pick<Client, 'execute' | 'transaction'> {
  readonly close: () => void
}

/** Statements that are kept prepared: pages and commands ask the same ones again and again. */
const MOST_STATEMENTS = 500

const boundAs = (value: unknown) => (typeof value === 'boolean' ? Number(value) : value)

/**
 * Opens a connection whose statements stay prepared and whose rows come by the place of each column alone. The driver's
 * client prepares each statement anew and gives each cell twice, by place and by name: that takes three times as long.
 * The driver lets go of a prepared statement, and of the file with it, when it is collected as garbage.
 *
 * @param file   of a database that is there
 * @param pragma what the connection is set to
 */
export function openConnection(file: string, pragma: string): Connection {
  const driver = new Driver(file)
  driver.exec(`pragma ${pragma}`)
  const kept = new Map<string, Statement>()
  const prepared = (text: string) => {
    const known = kept.get(text)
    if (known) return known
    if (kept.size >= MOST_STATEMENTS) kept.clear()
    const statement = driver.prepare(text)
    if (statement.reader) statement.raw()
    kept.set(text, statement)
    return statement
  }
  const ask = (asked: InStatement): ResultSet => {
    // as while a copy is put in its place; said as the driver's client says it
    if (!driver.open) throw new LibsqlError('The client is closed', 'CLIENT_CLOSED')
    const { sql, args = [] } = typeof asked === 'string' ? { sql: asked } : asked
    const bound = Array.isArray(args) ? args.map(boundAs) : args
    try {
      const statement = prepared(sql)
      const rows = statement.reader ? (statement.all(bound) as ResultSet['rows']) : []
      const rowsAffected = statement.reader ? 0 : statement.run(bound).changes
      return {
        rows,
        columns: [],
        columnTypes: [],
        rowsAffected,
        lastInsertRowid: undefined,
        toJSON: () => rows,
      }
    } catch (error) {
      // one that stopped midway would hold on to what it was at
      kept.delete(sql)
      throw error
    }
  }
  const execute = async (asked: InStatement) => ask(asked)
  return {
    execute: execute as Client['execute'],
    transaction: async () => {
      ask('begin immediate')
      return {
        execute,
        commit: async () => void ask('commit'),
        rollback: async () => void (driver.open && driver.inTransaction && ask('rollback')),
      } as Awaited<ReturnType<Client['transaction']>>
    },
    close: () => {
      kept.clear()
      driver.close()
    },
  }
}
