import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { readFile, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import type { RemoteDatabase } from './address.ts'
import { patiently } from './busy.ts'
import { isBusy, sqliteCode } from './errors.ts'

/** What lies in a file that should be a database of this program. */
export type Standing =
  | { readonly kind: 'absent' }
  /** ours; `steps` of the schema's history were made, fewer than this program knows where it is behind */
  | { readonly kind: 'ours'; readonly steps: number; readonly known: number }
  /** written by a later program than this one */
  | { readonly kind: 'newer'; readonly steps: number; readonly known: number }
  | { readonly kind: 'foreign' }
  | { readonly kind: 'damaged'; readonly what: string }

/** Tables without which no database is ours. */
const OURS = ['fly_entry', 'variant', 'action', 'setting']

interface Journal {
  readonly entries: readonly { readonly when: number }[]
}

async function stepsOf(client: Client): Promise<readonly number[]> {
  const rows = await client.execute('select created_at as at from __drizzle_migrations order by created_at')
  return rows.rows.map(({ at }) => Number(at))
}

async function look(client: Client, migrationsFolder: string): Promise<Standing> {
  const [check] = (await client.execute('pragma quick_check(1)')).rows
  const said = String(check?.quick_check).replace(/\s+/g, ' ')
  if (said !== 'ok') return { kind: 'damaged', what: said.replace('*** in database main *** ', '') }
  const standing = await read(client, migrationsFolder)
  return standing.kind === 'absent' ? { kind: 'damaged', what: 'it is empty' } : standing
}

/** Tells from tables and history whose a database is; absent where there is no table. */
async function read(client: Client, migrationsFolder: string): Promise<Standing> {
  const tables = new Set(
    (await client.execute("select name from sqlite_master where type = 'table'")).rows.map(({ name }) =>
      String(name),
    ),
  )
  if (tables.size === 0) return { kind: 'absent' }
  if (!tables.has('__drizzle_migrations')) return { kind: 'foreign' }
  const journal = JSON.parse(await readFile(join(migrationsFolder, 'meta', '_journal.json'), 'utf8')) as Journal
  const known = journal.entries.length
  const steps = await stepsOf(client)
  const last = Math.max(...journal.entries.map(({ when }) => when))
  if (steps.some((at) => at > last)) return { kind: 'newer', steps: steps.length, known }
  return OURS.every((name) => tables.has(name))
    ? { kind: 'ours', steps: steps.length, known }
    : { kind: 'foreign' }
}

/** Looks at a database that another server keeps: that one says whether it is whole. */
export async function standingElsewhere(remote: RemoteDatabase, migrationsFolder: string): Promise<Standing> {
  const client = createClient({ ...remote })
  try {
    return await read(client, migrationsFolder)
  } catch (error) {
    return { kind: 'damaged', what: error instanceof Error ? error.message : String(error) }
  } finally {
    client.close()
  }
}

/** Looks at a file before anything is done with it: whether it is whole, ours, and no newer than this program. */
export async function standingOf(file: string, migrationsFolder: string): Promise<Standing> {
  const there = await stat(file).catch(() => null)
  if (!there) return { kind: 'absent' }
  if (there.size === 0) return { kind: 'damaged', what: 'it is empty' }
  let client: Client | null = null
  try {
    client = createClient({ url: pathToFileURL(file).href })
    const open = client
    return await patiently(
      () => look(open, migrationsFolder),
      () => open.reconnect(),
    )
  } catch (error) {
    if (isBusy(error) || !sqliteCode(error)) throw error
    return { kind: 'damaged', what: error instanceof Error ? error.message : String(error) }
  } finally {
    client?.close()
  }
}
