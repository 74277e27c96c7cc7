import { readFileSync } from 'node:fs'
import { homedir } from 'node:os'
import { join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { DataDirectoryError } from './db/dataDirectory.ts'
import type { Database } from './db/database.ts'
import { AddressError, PortTakenError } from './listening.ts'
import { start } from './start.ts'
import type { StartOptions } from './start.ts'
import { homeAddress } from './homeAddress.ts'
import { keepHeapSmall } from './upkeep/smallHeap.ts'

const DEFAULT_PORT = 4180
const DEFAULT_PHONES_PORT = 4182
const FLAGS_OF_LISTENING = ['listen-on', 'listen-port', 'tls-cert', 'tls-key']

/** What tells one way of serving from another. */
export interface ServeOptions {
  /** folder below the data root */
  readonly directory: string
  readonly title: string
  readonly fill?: (database: Database) => Promise<void>
}

/** Where the project's own files are. */
export const rootPath = process.env.HEAVY_THISTLE_ROOT ?? process.cwd()

/** Where data directories are unless told otherwise. */
export const dataRoot = process.env.HEAVY_THISTLE_DATA ?? join(homedir(), '.local', 'share', 'heavy-thistle')

/** Leaves with one line for whoever started the program. */
export function fail(message: string): never {
  process.stderr.write(`${message}\n`)
  process.exit(1)
}

function readOptions() {
  const { values } = parseArgs({
    options: {
      data: { type: 'string' },
      port: { type: 'string' },
      'api-only': { type: 'boolean', default: false },
      // ends with whoever started it, whose pipe it reads
      'with-parent': { type: 'boolean', default: false },
      // to paired phones of the home network too
      listen: { type: 'boolean', default: false },
      'listen-on': { type: 'string' },
      'listen-port': { type: 'string' },
      'tls-cert': { type: 'string' },
      'tls-key': { type: 'string' },
    },
  })
  const port = portOf(values.port, DEFAULT_PORT)
  return { data: values.data, port, apiOnly: values['api-only'], withParent: values['with-parent'], phones: phonesOf(values) } // prettier-ignore
}

function portOf(said: string | undefined, usual: number): number {
  const port = Number(said ?? usual)
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    fail(`${said} is no port. Choose one from 1024 to 65535.`)
  return port
}

const readText = (file: string) => {
  try {
    return readFileSync(file, 'utf8')
  } catch {
    return fail(`${file} cannot be read.`)
  }
}

/** Where phones are served; nothing where it was not asked for. */
function phonesOf(values: Readonly<Record<string, string | boolean | undefined>>): StartOptions['phones'] {
  const said = (name: string) => values[name] as string | undefined
  if (!values.listen && FLAGS_OF_LISTENING.every((name) => values[name] === undefined)) return undefined
  const [cert, key] = [said('tls-cert'), said('tls-key')]
  if ((cert === undefined) !== (key === undefined)) fail('--tls-cert and --tls-key belong together.')
  return {
    host: homeAddress(said('listen-on')),
    port: portOf(said('listen-port'), DEFAULT_PHONES_PORT),
    ...(cert !== undefined && key !== undefined ? { tls: { cert: readText(cert), key: readText(key) } } : {}),
  }
}

/** One line for what nobody foresaw; the trace goes to the log where one is wanted. */
export function brokenLine(error: unknown): string {
  const said = error instanceof Error ? error.message : String(error)
  if (process.env.HEAVY_THISTLE_LOG === 'debug')
    process.stderr.write(`${error instanceof Error ? error.stack : said}\n`)
  return `Heavy Thistle could not go on: ${said.split('\n')[0]}. HEAVY_THISTLE_LOG=debug says more.`
}

/** Files that this program makes are for its user alone. */
export const keepPrivate = (): void => void process.umask(0o077)

/** Serves a data directory until it is told to stop. */
export async function serve({ directory, title, fill }: ServeOptions): Promise<void> {
  keepPrivate()
  keepHeapSmall()
  try {
    const { data, port, apiOnly, withParent, phones } = readOptions()
    const running = await start({
      dataPath: resolve(data ?? join(dataRoot, directory)),
      port,
      rootPath,
      webFolder: apiOnly ? null : join(rootPath, 'dist', 'web'),
      ...(fill ? { fill } : {}),
      ...(phones ? { phones } : {}),
    })
    for (const note of running.notes) process.stderr.write(`${note}\n`)
    process.stdout.write(`${title} serves at ${running.address}\n`)
    if (running.phonesAt)
      process.stdout.write(`Phones in this network open ${running.phonesAt}; Settings pairs them.\n`)
    let stopping = false
    const stop = () => {
      if (stopping) return
      stopping = true
      void running.stop().then(
        () => process.exit(0),
        (error: unknown) => fail(error instanceof Error ? error.message : String(error)),
      )
    }
    process.on('SIGINT', stop)
    process.on('SIGTERM', stop)
    if (withParent) process.stdin.resume().once('end', stop).once('error', stop)
  } catch (error) {
    const told = [DataDirectoryError, PortTakenError, AddressError, RangeError].some(
      (kind) => error instanceof kind,
    )
    fail(told && error instanceof Error ? error.message : brokenLine(error))
  }
}
