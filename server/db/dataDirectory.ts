import { createClient } from '@libsql/client'
import { access, constants, mkdir, readFile, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'

/** A data directory that cannot be used, with words for whoever started the program. */
export class DataDirectoryError extends Error {}

/** A folder of data that this process holds alone. */
export interface DataDirectory {
  readonly path: string
  readonly databaseFile: string
  /** notes at which address this process serves, for a second start to tell */
  readonly announce: (address: string) => Promise<void>
  readonly release: () => Promise<void>
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
    const address = await readFile(join(path, 'serving.txt'), 'utf8').catch(() => '')
    throw new DataDirectoryError(
      address
        ? `Heavy Thistle already serves this data directory at ${address.trim()}`
        : `Another process uses the data directory ${path}.`,
    )
  }
}

/**
 * Opens a data directory for this process alone. The lock is held by an open transaction, so that a killed process
 * frees it.
 *
 * @throws DataDirectoryError where it cannot be written or is in use
 */
export async function openDataDirectory(path: string): Promise<DataDirectory> {
  try {
    await mkdir(path, { recursive: true })
    await access(path, constants.W_OK)
    await writeFile(join(path, '.write-test'), '')
    await rm(join(path, '.write-test'))
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error)
    throw new DataDirectoryError(`The data directory ${path} cannot be written: ${reason}`)
  }
  const unlock = await lock(path)
  const serving = join(path, 'serving.txt')
  return {
    path,
    databaseFile: join(path, 'heavy-thistle.db'),
    announce: (address) => writeFile(serving, `${address}\n`),
    release: async () => {
      await rm(serving, { force: true })
      await unlock()
    },
  }
}
