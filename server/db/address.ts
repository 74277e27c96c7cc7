import { basename, dirname, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { DATABASE, DataDirectoryError } from './dataDirectory.ts'

/** A database that another server keeps and this one speaks to over HTTP. */
export interface RemoteDatabase {
  readonly url: string
  readonly authToken: string | undefined
}

/** Where data are kept: a folder of this machine with the database in it, or the database elsewhere. */
export interface DatabaseAddress {
  /** the folder that this process holds alone */
  readonly dataPath: string
  /** a database that another server keeps, in the place of the folder's */
  readonly remote: RemoteDatabase | null
}

/** Said where someone wants of a remote database what only its own server can do. */
export const KEPT_ELSEWHERE =
  'The database is kept by another server (HEAVY_THISTLE_DATABASE): it locks, logs and copies it, and puts copies back.'

/**
 * Reads `HEAVY_THISTLE_DATABASE`: nothing (the data directory), `file:` with the path of a `heavy-thistle.db`, or `http:` or `https:` of
 * a server that speaks libSQL's protocol, with `HEAVY_THISTLE_DATABASE_TOKEN` for it.
 *
 * @throws DataDirectoryError for any other address
 */
export function readAddress(
  dataPath: string,
  { HEAVY_THISTLE_DATABASE: text, HEAVY_THISTLE_DATABASE_TOKEN: authToken }: NodeJS.ProcessEnv,
): DatabaseAddress {
  if (!text) return { dataPath, remote: null }
  if (/^https?:\/\/[^/\s]+/.test(text)) return { dataPath, remote: { url: text, authToken } }
  if (text.startsWith('file:')) {
    // a path may stand after file: as it is
    const file = text.startsWith('file://') ? fileURLToPath(text) : resolve(text.slice('file:'.length))
    if (basename(file) === DATABASE) return { dataPath: dirname(file), remote: null }
  }
  throw new DataDirectoryError(
    `HEAVY_THISTLE_DATABASE is ${text}. Write file:/path/to/${DATABASE}, or http:// or https:// of a server that keeps it.`,
  )
}
