import type { CommandInput, LarderView, ReachSeasonView, StageLine } from '../../contract/index.ts'
import { foodStageBody } from '../../contract/index.ts'
import type { TestServer } from '../../server/testing/testServer.ts'
import { from, newId, oneOf, view, waters, word } from './byChance.ts'
import type { Makers, Random } from './byChance.ts'

const anyReach = async (server: TestServer, random: Random) =>
  oneOf(
    random,
    (await waters(server)).flatMap(({ reaches }) => reaches),
  )

/** The season of any reach: its take-ins of readings and its notes. */
async function anySeason(server: TestServer, random: Random): Promise<ReachSeasonView | null> {
  const reach = await anyReach(server, random)
  return reach && view<ReachSeasonView>(server, `/api/season/reach?reachId=${reach.id}`)
}

const stagesOf = async (server: TestServer) => (await view<LarderView>(server, '/api/larder')).stages

/** A stage as it is saved, in one thing other than it was; of a new food where that is asked for. */
function stageOf(line: StageLine, random: Random, isNew: boolean) {
  const asked = Object.entries(line).filter(([key]) => key in foodStageBody.shape)
  const food = isNew
    ? { id: newId(), name: word(random), groupKey: line.groupKey }
    : { id: line.foodId, name: line.foodName, groupKey: line.groupKey }
  const stage = { ...Object.fromEntries(asked), importance: from(random, 100) / 100 }
  return { foodStageId: isNew ? newId() : line.id, food, stage } as unknown as Omit<
    CommandInput<'foodStageSave'>,
    'version'
  >
}

/** Makers of commands on foods, readings and notes. */
export const larderMakers: Makers<
  | 'readingsImport'
  | 'readingsArchive'
  | 'observationArchive'
  | 'foodStageSave'
  | 'larderPutIn'
  | 'foodStageRestore'
> = {
  readingsImport: async (server, random) => {
    const reach = await anyReach(server, random)
    const day = 20_500 + from(random, 60)
    return (
      reach && {
        importId: newId(),
        readings: {
          reachId: reach.id,
          depthMm: 300,
          source: 'entered',
          rows: [0, 1, 2].map(
            (n) => [day + n, 720, 900 + from(random, 500), 400 + from(random, 200), null] as const,
          ),
        },
      }
    )
  },
  readingsArchive: async (server, random) => {
    const known = oneOf(random, (await anySeason(server, random))?.imports ?? [])
    return known && { importId: known.id, version: known.version }
  },
  observationArchive: async (server, random) => {
    const known = oneOf(random, (await anySeason(server, random))?.observations ?? [])
    return known && { observationId: known.id, version: known.version }
  },
  foodStageSave: async (server, random) => {
    const line = oneOf(random, await stagesOf(server))
    const isNew = random() < 0.5
    return line && { version: isNew ? null : line.version, ...stageOf(line, random, isNew) }
  },
  larderPutIn: async (server, random) => {
    const lines = await stagesOf(server)
    const put = [oneOf(random, lines), oneOf(random, lines)].flatMap((line, n) =>
      line ? [stageOf(line, random, n === 0)] : [],
    )
    return put.length > 0 ? { stages: put } : null
  },
  foodStageRestore: async (server, random) => {
    const edited = (await stagesOf(server)).filter(({ isShipped, isEdited }) => isShipped && isEdited)
    const line = oneOf(random, edited)
    return line && { foodStageId: line.id, version: line.version }
  },
}
