import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { get } from 'node:http'
import type { IncomingMessage } from 'node:http'
import { json } from 'node:stream/consumers'
import { createClient } from '@libsql/client'
import { access, chmod, constants, mkdir, readFile, rm, stat, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import type { RemoteDatabase } from './address.ts'

/** A data directory that cannot be used, with words for whoever started the program. */
export class DataDirectoryError extends Error {}

/** A folder of data that this process holds alone. */
export interface DataDirectory {
  readonly path: string
  readonly databaseFile: string
  /** a database that another server keeps, in the place of the file */
  readonly remote: RemoteDatabase | null
  /** tells this process from any other that answers at its address later */
  readonly instance: string
  /** whether a database was kept here before, so that an empty one would hide a loss */
  readonly wasFilled: boolean
  /** notes that a database is kept here from now on */
  readonly markFilled: () => Promise<void>
  /** notes at which address this process serves, for a second start to tell */
  readonly announce: (address: string) => Promise<void>
  readonly release: () => Promise<void>
}

/** Name of the database within a data directory. */
export const DATABASE = 'heavy-thistle.db'
const NOTE = 'about-this-folder.txt'
const ABOUT = `Heavy Thistle keeps its data in this folder.

heavy-thistle.db   all records; -wal and -shm beside it belong to it while it is in use
backups            dated copies, made by the program
lock.db            held by the program while it serves
phones.json        phones that were paired; of this machine, and in no copy

To copy or move the data use "npm run backup" and "npm run restore".
`

/** How long a program that is said to serve has to answer. */
const PROBE_MS = 2000

/** Who serves: where, and what it answers to be told from another program that has the port since. */
interface Serving {
  readonly address: string
  readonly instance: string
}

/** Whether a process still serves; one that takes connections and stands still does. */
async function serves({ address, instance }: Serving): Promise<boolean> {
  try {
    // not by fetch: to load it takes longer than to ask
    const asking = get(`${address}/api/alive`, { signal: AbortSignal.timeout(PROBE_MS) })
    const [response] = (await once(asking, 'response')) as [IncomingMessage]
    return ((await json(response)) as { instance?: unknown }).instance === instance
  } catch (error) {
    return (error as Error).name === 'AbortError'
  }
}

const servingFile = (path: string) => join(path, 'serving.txt')
async function readServing(path: string): Promise<Serving | null> {
  const text = await readFile(servingFile(path), 'utf8').catch(() => '')
  const [address, instance = ''] = text.trim().split(/\s+/)
  return address ? { address, instance } : null
}

function inUse(path: string, serving: Serving | null): DataDirectoryError {
  return new DataDirectoryError(
    serving
      ? `Heavy Thistle already serves this data directory at ${serving.address}`
      : `Another process uses the data directory ${path}.`,
  )
}

async function lock(path: string): Promise<() => Promise<void>> {
  const client = createClient({ url: pathToFileURL(join(path, 'lock.db')).href })
  try {
    const held = await client.transaction('write')
    return async () => {
      held.close()
      client.close()
    }
  } catch {
    client.close()
    throw inUse(path, await readServing(path))
  }
}

const exists = (path: string) =>
  stat(path).then(
    () => true,
    () => false,
  )

/**
 * Opens a data directory for this process alone. The lock is held by an open transaction, so that a killed process
 * frees it; where someone removed its file, the program that still answers at the address noted here is found by asking.
 *
 * @throws DataDirectoryError where it cannot be written or is in use
 */
export async function openDataDirectory(
  path: string,
  remote: RemoteDatabase | null = null,
): Promise<DataDirectory> {
  try {
    const made = await mkdir(path, { recursive: true, mode: 0o700 })
    if (made) await chmod(path, 0o700)
    await access(path, constants.W_OK)
    await writeFile(join(path, '.write-test'), '')
    await rm(join(path, '.write-test'))
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error)
    throw new DataDirectoryError(`The data directory ${path} cannot be written: ${reason}`)
  }
  const unlock = await lock(path)
  const serving = await readServing(path)
  if (serving && (await serves(serving))) {
    await unlock()
    throw inUse(path, serving)
  }
  const databaseFile = join(path, DATABASE)
  // a folder of others that was merely named stays as open as it is
  if (await exists(databaseFile)) await chmod(path, 0o700)
  const instance = randomUUID()
  const note = join(path, NOTE)
  return {
    path,
    databaseFile,
    remote,
    instance,
    wasFilled: await exists(note),
    markFilled: () => writeFile(note, ABOUT, { mode: 0o600 }),
    announce: (at) => writeFile(servingFile(path), `${at} ${instance}\n`, { mode: 0o600 }),
    release: async () => {
      await rm(servingFile(path), { force: true })
      await unlock()
    },
  }
}
