import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { pathToFileURL } from 'node:url'
import { openDatabase } from '../server/db/database.ts'
import { fixedId } from '../server/db/ids.ts'
import { checkDatabase } from '../server/upkeep/verify.ts'
import { killWhileStarting, startProcess } from './serving.ts'
import type { Serving } from './serving.ts'

/** What became of writes to a server that was killed again and again. */
export interface KillReport {
  readonly kills: number
  readonly acknowledged: number
  /** sent, and not answered before the server died */
  readonly unanswered: number
  /** acknowledged writes that were gone after a restart */
  readonly lost: number
  /** flies on hand beyond those that were written once each, after every write was sent again under its own id */
  readonly tooMany: number
  /** what the check of the database found amiss, looked for now and then and at the end */
  readonly amiss: readonly string[]
}

/** What the server is at when it is killed. */
export const MOMENTS = ['writing', 'importing', 'restoring', 'upgrading'] as const

interface Write {
  readonly id: string
  readonly kind: string
  readonly body: object
  /** flies that it brings */
  readonly flies: number
  acknowledged: boolean
}

/** Writers that send at once, as tabs do. */
const WRITERS = 3
const LONGEST_RUN_MS = 250
const LONGEST_WAIT_MS = 20_000

const acknowledgedOf = (writes: readonly Write[]) => writes.filter(({ acknowledged }) => acknowledged).length

/** Waits until something is so, at most so long. */
async function within(mostMs: number, isSo: () => boolean): Promise<void> {
  for (const end = Date.now() + mostMs; !isSo() && Date.now() < end;)
    await new Promise((resolve) => setTimeout(resolve, 5))
}

const place = fixedId('kills:place')
const variant = fixedId('kills:variant')

const SETTING_UP = [
  {
    kind: 'boxCreate',
    body: {
      boxId: fixedId('kills:box'),
      name: 'Box',
      note: '',
      compartments: [{ id: place, row: 1, column: 1, label: 'Place', capacity: null }],
    },
  },
  {
    kind: 'fliesPutIn',
    body: {
      how: 'found',
      newMaterials: [
        {
          id: fixedId('kills:hook'),
          familyId: fixedId('family:hook-straight'),
          sizeKey: '16',
          colourName: 'bronze',
        },
      ],
      newFlies: [
        {
          patternId: fixedId('kills:pattern'),
          variantId: variant,
          name: 'Fly',
          label: '#16',
          hookMaterialId: fixedId('kills:hook'),
        },
      ],
      lines: [{ compartmentId: place, variantId: variant, count: 0 }],
    },
  },
]

async function post(address: string, write: Omit<Write, 'flies'>): Promise<void> {
  const { id, kind, body } = write
  const response = await fetch(`${address}/api/${kind === 'fliesPutIn' ? 'imports' : 'commands'}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id, kind, body }),
  })
  if (!response.ok) throw new Error(`${kind} was refused: ${await response.text()}`)
  write.acknowledged = true
}

async function fliesOnHand(address: string): Promise<number> {
  const view = (await (await fetch(`${address}/api/boxes`)).json()) as {
    boxes: { compartments: { flies: { count: number }[] }[] }[]
  }
  return view.boxes
    .flatMap(({ compartments }) => compartments)
    .flatMap(({ flies }) => flies)
    .reduce((sum, { count }) => sum + count, 0)
}

/** Sends writes one after another until the server dies. */
async function writeUntilKilled({ address }: Serving, mint: () => Write): Promise<void> {
  for (;;) {
    try {
      await post(address, mint())
    } catch (error) {
      if (error instanceof TypeError) return
      throw error
    }
  }
}

const flies = (writes: readonly Write[], which: (write: Write) => boolean = () => true) =>
  writes.filter(which).reduce((sum, write) => sum + write.flies, 0)

/** New flies of one import. */
const IMPORTED = 40

/** Copies the database and puts the copy in its place, which changes nothing that anyone sees. */
async function putBack(address: string): Promise<void> {
  const send = (path: string, body: object) =>
    fetch(`${address}/api/backups/${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
  try {
    const { backups } = (await (await send('make', {})).json()) as { backups: { name: string }[] }
    await send('restore', { name: backups[0]?.name })
  } catch (error) {
    if (!(error instanceof TypeError)) throw error
  }
}

/** Takes the last two steps of its history from a database, as if a version before had written it. */
async function makeOlder(file: string): Promise<void> {
  const client = createClient({ url: pathToFileURL(file).href })
  await client.batch([
    'drop index material_drawer',
    'create unique index material_drawer on material (family_id, size_key, colour_key)',
    'update variant_figure set drawing_key = substr(drawing_key, 1, 16)',
    'delete from __drizzle_migrations where rowid > (select max(rowid) - 2 from __drizzle_migrations)',
  ])
  client.close()
}

async function check(file: string): Promise<readonly string[]> {
  const database = await openDatabase(file, join(process.cwd(), 'server', 'migrations'))
  const lines = await checkDatabase(database)
  await database.close()
  return lines.filter((line) => !line.startsWith('ok'))
}

/** Kills before the database is checked. */
const CHECKED_EACH = 20

/**
 * Kills the server (SIGKILL) at random moments while it is written to, imports, puts a copy back or upgrades its
 * database, each in turn, restarts it on the same data, and looks whether
 * what it acknowledged is there; then sends all unanswered writes again, as an outbox does, and looks whether each
 * counts once.
 */
export async function surviveKills(kills: number, random: () => number): Promise<KillReport> {
  const dataPath = await mkdtemp(join(tmpdir(), 'thistle-kills-'))
  const writes: Write[] = []
  const mint = (): Write => {
    const line = { compartmentId: place, variantId: variant, count: 1 }
    const write = {
      id: fixedId(`kills:write:${writes.length}`),
      kind: 'fliesPutIn',
      body: { how: 'found', newMaterials: [], newFlies: [], lines: [line] },
      flies: 1,
      acknowledged: false,
    }
    writes.push(write)
    return write
  }
  const mintImport = (): Write => {
    const n = writes.length
    const newFlies = Array.from({ length: IMPORTED }, (_, i) => ({
      patternId: fixedId(`kills:pattern:${n}:${i}`),
      variantId: fixedId(`kills:variant:${n}:${i}`),
      name: `Fly ${n} ${i}`,
      label: '#16',
      hookMaterialId: fixedId('kills:hook'),
    }))
    const lines = newFlies.map(({ variantId }) => ({ compartmentId: place, variantId, count: 1 }))
    const write = {
      id: fixedId(`kills:write:${n}`),
      kind: 'fliesPutIn',
      body: { how: 'found', newMaterials: [], newFlies, lines },
      flies: IMPORTED,
      acknowledged: false,
    }
    writes.push(write)
    return write
  }
  let serving = await startProcess('main', dataPath)
  for (const [i, { kind, body }] of SETTING_UP.entries())
    await post(serving.address, { id: fixedId(`kills:setup:${i}`), kind, body, acknowledged: false })
  let [lost, unanswered] = [0, 0]
  const file = join(dataPath, 'heavy-thistle.db')
  const amiss: string[] = []
  /** What is going on until the server is killed. */
  async function disturbed(moment: (typeof MOMENTS)[number], dying: Serving): Promise<void> {
    if (moment === 'restoring') return putBack(dying.address)
    const writers = Array.from({ length: WRITERS }, (_, i) =>
      writeUntilKilled(dying, moment === 'importing' && i === 0 ? mintImport : mint),
    )
    await Promise.all(writers)
  }
  for (let n = 0; n < kills; n += 1) {
    const moment = MOMENTS[n % MOMENTS.length] ?? 'writing'
    const runMs = 5 + random() * LONGEST_RUN_MS
    if (moment === 'upgrading') {
      await serving.stop()
      await makeOlder(file)
      await killWhileStarting(dataPath, runMs * 3)
    } else {
      const before = acknowledgedOf(writes)
      const [dying, going] = [serving, disturbed(moment, serving)]
      // on a slow machine the first write takes longer than the longest run
      if (moment === 'writing') await within(LONGEST_WAIT_MS, () => acknowledgedOf(writes) > before)
      await new Promise((resolve) => setTimeout(resolve, runMs))
      dying.process.kill('SIGKILL')
      await going
    }
    if (n % CHECKED_EACH === CHECKED_EACH - 1) amiss.push(...(await check(file)))
    serving = await startProcess('main', dataPath)
    lost += Math.max(
      flies(writes, ({ acknowledged }) => acknowledged) - (await fliesOnHand(serving.address)),
      0,
    )
    for (const write of writes.filter(({ acknowledged }) => !acknowledged)) {
      unanswered += 1
      await post(serving.address, write)
    }
  }
  const tooMany = (await fliesOnHand(serving.address)) - flies(writes)
  await serving.stop()
  amiss.push(...(await check(file)))
  await rm(dataPath, { recursive: true, force: true })
  return { kills, acknowledged: writes.length - unanswered, unanswered, lost, tooMany, amiss }
}
