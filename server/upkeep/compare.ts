import { createClient } from '@libsql/client'
import type { Client } from '@libsql/client'
import { pathToFileURL } from 'node:url'
import { wording } from '../../core/index.ts'
import type { ActionLabel } from '../../core/index.ts'
import type { BackupPreview, RecordKind } from '../../contract/index.ts'

/** Actions that are named where a copy lacks them. */
const NAMED = 20

const COUNTS: Readonly<Record<RecordKind, string>> = {
  patterns: "select count(*) from pattern where archived_at_ms is null and name <> ''",
  variants: 'select count(*) from variant where archived_at_ms is null',
  flies: 'select coalesce(sum(count), 0) from fly_balance',
  drawers: 'select count(*) from material where archived_at_ms is null',
  measurements: 'select (select count(*) from drop_test) + (select count(*) from weighing)',
  outings: 'select count(*) from outing',
  actions: 'select count(*) from action',
}
const KINDS = Object.keys(COUNTS) as RecordKind[]

async function countAll(client: Pick<Client, 'execute'>): Promise<Readonly<Record<RecordKind, number>>> {
  const columns = KINDS.map((kind) => `(${COUNTS[kind]}) as ${kind}`).join(', ')
  const [row] = (await client.execute(`select ${columns}`)).rows
  return Object.fromEntries(KINDS.map((kind) => [kind, Number(row?.[kind])])) as Record<RecordKind, number>
}

/** Sets a copy beside the database: how many records each has, and which actions the copy does not know. */
export async function compareWithCopy(client: Client, file: string, name: string): Promise<BackupPreview> {
  const copy = createClient({ url: pathToFileURL(file).href })
  try {
    const [now, then] = [await countAll(client), await countAll(copy)]
    const known = new Set((await copy.execute('select id from action')).rows.map(({ id }) => id))
    const since = (await client.execute('select id, label, at_ms from action order by rowid desc')).rows.filter(
      ({ id }) => !known.has(id),
    )
    return {
      name,
      counts: Object.fromEntries(
        KINDS.map((kind) => [kind, { now: now[kind], then: then[kind] }]),
      ) as BackupPreview['counts'],
      lostCount: since.length,
      lost: since.slice(0, NAMED).map(({ label, at_ms: atMs }) => ({
        label: wording.actionSentence(JSON.parse(String(label)) as ActionLabel),
        atMs: Number(atMs),
      })),
    }
  } finally {
    copy.close()
  }
}
