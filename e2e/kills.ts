import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fixedId } from '../server/db/ids.ts'
import { startProcess } from './serving.ts'
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
}

interface Write {
  readonly id: string
  readonly kind: string
  readonly body: object
  acknowledged: boolean
}

/** Writers that send at once, as tabs do. */
const WRITERS = 3
const LONGEST_RUN_MS = 250

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

async function post(address: string, write: Write): Promise<void> {
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

/**
 * Kills the server (SIGKILL) at random moments while it is written to, restarts it on the same data, and looks whether
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
      acknowledged: false,
    }
    writes.push(write)
    return write
  }
  let serving = await startProcess('main', dataPath)
  for (const [i, { kind, body }] of SETTING_UP.entries())
    await post(serving.address, { id: fixedId(`kills:setup:${i}`), kind, body, acknowledged: false })
  let [lost, unanswered] = [0, 0]
  for (let n = 0; n < kills; n += 1) {
    const dying = serving
    const writers = Array.from({ length: WRITERS }, () => writeUntilKilled(dying, mint))
    await new Promise((resolve) => setTimeout(resolve, 5 + random() * LONGEST_RUN_MS))
    dying.process.kill('SIGKILL')
    await Promise.all(writers)
    serving = await startProcess('main', dataPath)
    lost += Math.max(
      writes.filter(({ acknowledged }) => acknowledged).length - (await fliesOnHand(serving.address)),
      0,
    )
    for (const write of writes.filter(({ acknowledged }) => !acknowledged)) {
      unanswered += 1
      await post(serving.address, write)
    }
  }
  const tooMany = (await fliesOnHand(serving.address)) - writes.length
  await serving.stop()
  await rm(dataPath, { recursive: true, force: true })
  return { kills, acknowledged: writes.length - unanswered, unanswered, lost, tooMany }
}
