import type {
  CommandKind,
  LarderView,
  MeasurementsView,
  PatternsView,
  PatternView,
  StoresView,
} from '../../contract/index.ts'
import type { TestServer } from '../../server/testing/testServer.ts'
import {
  bench, from, lying, newId, oneOf, outings, places, rigsOf, stores, variants, view, waters, word,
} from './byChance.ts' // prettier-ignore
import type { Maker, Makers, Random } from './byChance.ts'
import { larderMakers } from './larderByChance.ts'
import { outingMakers } from './outingsByChance.ts'
import { storesMakers } from './storesByChance.ts'

/** A command that the data as they are allow, made up by chance. */
export interface AnyCommand {
  readonly kind: CommandKind
  readonly body: object
}

const boxCreate: Maker<'boxCreate'> = (_server, random) => {
  const name = word(random)
  return Promise.resolve({
    boxId: newId(),
    name,
    note: '',
    compartments: [1, 2].map((column) => ({
      id: newId(),
      row: 1,
      column,
      label: `${name} ${column}`,
      capacity: 6,
    })),
  })
}

const patternSave: Maker<'patternSave'> = async (server, random) => {
  const any = oneOf(random, await variants(server))
  if (!any) return null
  const pattern = await view<PatternView>(server, `/api/patterns/${any.patternId}`)
  const isNew = random() < 0.4
  const { dressing, serves } = pattern
  return {
    patternId: isNew ? newId() : pattern.id,
    version: isNew ? null : pattern.version,
    name: isNew ? word(random) : pattern.name,
    purpose: pattern.purpose,
    roles: [...pattern.roles],
    ownMonths: [...pattern.ownMonths],
    fishedHow: [...pattern.fishedHow],
    waterKinds: [...pattern.waterKinds],
    dislike: random(),
    note: word(random),
    serves: serves.slice(from(random, 2)).map(({ foodStageId, weight }) => ({ foodStageId, weight })),
    dressing: { components: dressing.components, steps: dressing.steps },
    newMaterials: [],
    variants: pattern.variants.map(({ id, label, hookMaterialId, swaps }) => ({
      id: isNew ? newId() : id, label, hookMaterialId, swaps,
      ...(isNew ? { parCount: 2, homeCompartmentId: null } : {}),
    })),
  } as never // prettier-ignore
}

/** One maker for each kind of command; taking back is what is tried on them. */
const MAKERS: Makers<Exclude<CommandKind, 'undo'>> = {
  ...larderMakers,
  ...outingMakers,
  ...storesMakers,
  boxCreate,
  patternSave,
  variantHome: async (server, random) => {
    const fly = oneOf(random, await variants(server))
    const place = oneOf(random, await places(server))
    return (
      fly &&
      place && {
        variantId: fly.id,
        version: fly.version,
        parCount: from(random, 9),
        homeCompartmentId: place.id,
      }
    )
  },
  patternArchive: async (server, random) => {
    const pattern = oneOf(random, (await view<PatternsView>(server, '/api/patterns')).patterns)
    const whole = pattern && (await view<PatternView>(server, `/api/patterns/${pattern.id}`))
    return whole && { patternId: whole.id, version: whole.version }
  },
  fliesCount: async (server, random) => {
    const [fly, place] = [oneOf(random, await variants(server)), oneOf(random, await places(server))]
    return (
      fly && place && { compartmentId: place.id, variantId: fly.id, counted: from(random, 5), anyway: true }
    )
  },
  fliesLose: async (server, random) => {
    const fly = await lying(server, random)
    return (
      fly && {
        outingId: null,
        losses: [{ compartmentId: fly.compartmentId, variantId: fly.variantId, count: 1, cause: 'tree' }],
      }
    )
  },
  fliesMove: async (server, random) => {
    const fly = await lying(server, random)
    const to = oneOf(
      random,
      (await places(server)).filter(({ id }) => id !== fly?.compartmentId),
    )
    return (
      fly &&
      to && {
        fromCompartmentId: fly.compartmentId,
        toCompartmentId: to.id,
        variantId: fly.variantId,
        count: 1,
        anyway: true,
      }
    )
  },
  batchPlan: async (server, random) => {
    const [fly, place] = [oneOf(random, await variants(server)), oneOf(random, await places(server))]
    return (
      fly &&
      place && {
        batchId: newId(),
        variantId: fly.id,
        plannedCount: 3,
        compartmentId: place.id,
        onVise: random() < 0.6,
      }
    )
  },
  batchOnVise: async (server, random) => {
    const waiting = oneOf(random, (await bench(server)).queue)
    return waiting && { batchId: waiting.batchId }
  },
  batchCount: async (server, random) => {
    const { onVise } = await bench(server)
    if (!onVise) return null
    const kind = oneOf(random, [
      'done',
      'spoiled',
      'step',
      'station',
      onVise.paused ? 'resume' : 'pause',
    ] as const)!
    const stepKey = oneOf(random, onVise.steps)?.key ?? null
    return {
      eventId: newId(),
      batchId: onVise.batch.batchId,
      kind,
      stepKey,
      count: kind === 'done' || kind === 'spoiled' || kind === 'station' ? 1 : 0,
      spoiledCause: null,
    }
  },
  batchSpoiledCause: async (server, random) => {
    const { onVise } = await bench(server)
    const eventId = oneOf(random, onVise?.spoiledUnsaid ?? [])
    return onVise && eventId && { batchId: onVise.batch.batchId, eventId, cause: 'thread broke' }
  },
  batchWay: async (server) => {
    const { onVise } = await bench(server)
    return onVise && { batchId: onVise.batch.batchId, way: onVise.way === 'stations' ? 'flyByFly' : 'stations' }
  },
  batchNote: async (server, random) => {
    const { onVise } = await bench(server)
    return onVise && { batchId: onVise.batch.batchId, note: word(random) }
  },
  batchFinish: async (server) => {
    const { onVise } = await bench(server)
    return onVise && { batchId: onVise.batch.batchId, abandon: onVise.batch.done === 0, anyway: true }
  },
  materialEntry: async (server, random) => {
    const drawer = oneOf(random, await stores(server))
    const cause = oneOf(random, ['bought', 'counted', 'found'] as const)!
    return drawer && { materialId: drawer.id, cause, amount: 1 + from(random, 900) }
  },
  materialSave: async (server, random) => {
    const drawer = oneOf(random, await stores(server))
    return drawer && {
      materialId: drawer.id, version: drawer.version, minimumAmount: 100, packAmount: 500, priceMinor: from(random, 900),
      leadTimeDays: 3, supplier: word(random), barb: null, note: '',
    } // prettier-ignore
  },
  hookMeasure: async (server, random) => {
    const hook = oneOf(
      random,
      (await stores(server)).filter(({ kind }) => kind === 'hook'),
    )
    return (
      hook && { materialId: hook.id, version: hook.version, shankMm: 8 + random(), gapeMm: null, wireMm: null }
    )
  },
  lineSpool: async (server, random) => {
    const line = oneOf(
      random,
      (await stores(server)).filter(({ kind }) => kind === 'line'),
    )
    const spool = random() < 0.3 ? null : { diameterMm: 0.9, rateMmPerS: 40 + 60 * random(), weight: null }
    return line && { materialId: line.id, version: line.version, spool }
  },
  waterCreate: async (server, random) => {
    const like = oneOf(random, await waters(server))
    const reach = like?.reaches[0]?.reach
    return like && reach
      ? { waterId: newId(), water: { ...like.water, name: word(random) }, reaches: [{ ...reach, id: newId() }] }
      : null
  },
  waterSave: async (server, random) => {
    const water = oneOf(random, await waters(server))
    return (
      water && {
        waterId: water.id,
        change: { rulesNote: word(random), rules: { barbless: random() < 0.5 ? true : null } },
      }
    )
  },
  waterFood: async (server, random) => {
    const water = oneOf(random, await waters(server))
    const stage = oneOf(random, (await view<LarderView>(server, '/api/larder')).stages)
    const says = random() < 0.5 ? ('notHere' as const) : ('strong' as const)
    return water && stage ? { waterId: water.id, foodId: stage.foodId, says } : null
  },
  reachSave: async (server, random) => {
    const reach = oneOf(
      random,
      (await waters(server)).flatMap(({ reaches }) => reaches),
    )
    return (
      reach && {
        reachId: reach.id,
        change: { typicalDepthMm: 500 + from(random, 900) },
      }
    )
  },
  reachAdd: async (server, random) => {
    const water = oneOf(random, await waters(server))
    const like = water?.reaches[0]?.reach
    return water && like
      ? { waterId: water.id, reachId: newId(), reach: { ...like, name: word(random) } }
      : null
  },
  reachArchive: async (server, random) => {
    const one = oneOf(
      random,
      (await waters(server)).filter(({ reaches }) => reaches.length > 1),
    )?.reaches.at(-1)
    return one ? { reachId: one.id, version: one.version } : null
  },
  outingSave: async (server, random) => {
    const outing = oneOf(random, await outings(server))
    if (!outing) return null
    const { waterId, reachId, on, fromLocalMin, toLocalMin, status, technique } = outing
    const isNew = random() < 0.3
    return {
      outingId: isNew ? newId() : outing.id,
      version: isNew ? null : outing.version,
      outing: {
        waterId,
        reachId,
        on,
        fromLocalMin,
        toLocalMin,
        status,
        technique: technique as never,
        note: word(random),
      },
    }
  },
  drillDone: async (server, random) => {
    const fly = oneOf(random, await variants(server))
    const answered = { atMs: 1_780_000_000_000 + from(random, 10_000), isRight: from(random, 2) === 0 }
    return fly && { drill: 'howDeep', answers: [{ id: newId(), subject: fly.id, ...answered }] }
  },
  outingNote: async (server, random) => {
    const [outing, fly] = [oneOf(random, await outings(server)), oneOf(random, await variants(server))]
    const atMs = 1_780_000_000_000 + from(random, 10_000)
    return (
      outing &&
      fly && {
        outingId: outing.id,
        taps: [
          { id: newId(), atMs, kind: 'tiedOn', variantKey: fly.id, way: 'dry', stageKey: null, step: null },
          { id: newId(), atMs: atMs + 60_000, kind: 'refused', refusal: 'turned' },
        ],
      }
    )
  },
  spellSave: async (server, random) => {
    const [outing, fly] = [oneOf(random, await outings(server)), oneOf(random, await variants(server))]
    return (
      outing &&
      fly && {
        spellId: newId(),
        version: null,
        outingId: outing.id,
        variantId: fly.id,
        minutes: 20,
        takes: from(random, 4),
        rigId: oneOf(random, await rigsOf(server))?.id ?? null,
        refusals: 0,
      }
    )
  },
  rigSave: async (server, random) => {
    const fly = oneOf(random, await variants(server))
    const known = oneOf(
      random,
      (await rigsOf(server)).filter(({ spells }) => spells === 0),
    )
    const isNew = random() < 0.5 || !known
    return {
      rigId: isNew ? newId() : known.id,
      version: isNew ? null : known.version,
      rig: {
        name: word(random),
        way: 'tight',
        parts: [
          { kind: 'tippet', lengthMm: 500 + from(random, 2000), diameterMm: 0.14, stuff: 'nylon' },
          { kind: 'point', fly: fly?.id ?? null },
        ],
        note: '',
      },
    }
  },
  lineCountSave: async (server, random) => {
    const known = oneOf(random, await rigsOf(server))
    return (
      known && {
        lineCountId: newId(),
        count: {
          rigId: known.id,
          depthMm: 1000 + from(random, 4000),
          countS: 5 + from(random, 40),
          waterTempC: 12,
        },
      }
    )
  },
  rigKnots: async (server, random) => {
    const known = oneOf(random, await rigsOf(server))
    return known && { rigId: known.id, version: known.version, on: '2026-06-02' }
  },
  rigArchive: async (server, random) => {
    const known = oneOf(random, await rigsOf(server))
    return known && { rigId: known.id, version: known.version }
  },
  settingsSave: (_server, random) =>
    Promise.resolve({
      change: oneOf(random, [
        { parCount: 1 + from(random, 9) }, { units: { mass: random() < 0.5 ? 'g' : 'gr' } }, { evenings: { minutes: 30 + from(random, 60) } }, { noLead: random() < 0.5 },
      ] as const)!, // prettier-ignore
    }),
  weighingSave: async (server, random) => {
    const drawer = oneOf(
      random,
      (await stores(server)).filter(({ kind }) => kind === 'bead'),
    )
    return (
      drawer && {
        weighingId: newId(),
        weighing: {
          subject: { kind: 'material', materialId: drawer.id },
          count: 10,
          totalMg: 500 + random(),
          readabilityMg: 1,
          source: 'entered',
          note: '',
        },
      }
    )
  },
  dropTestSave: async (server, random) => {
    const fly = oneOf(random, await variants(server))
    return fly && {
      testId: newId(), version: null,
      test: { variantId: fly.id, depthMm: 1000, timing: 'thumb', waterTempC: 12, vesselMm: null, tippet: null, wet: 'fresh', times: [{ timeS: 2 + random(), setAside: false }], note: '' } as never,
    } // prettier-ignore
  },
  measurementArchive: async (server, random) => {
    const weighing = oneOf(random, (await view<MeasurementsView>(server, '/api/measurements')).weighings)
    return weighing && { kind: 'weighing', id: weighing.id as never, version: weighing.version }
  },
  observationSave: async (server, random) => {
    const reach = oneOf(
      random,
      (await waters(server)).flatMap(({ reaches }) => reaches),
    )
    const stage = oneOf(random, (await view<LarderView>(server, '/api/larder')).stages)
    return reach && stage && {
      observationId: newId(), version: null,
      observation: { reachId: reach.id, on: '2026-05-20', localMin: null, foodStageId: stage.id, kind: 'thick', count: null, lengthMm: null, effortMinutes: null, method: 'seen', note: '' },
    } // prettier-ignore
  },
  sampleSave: async (server, random) => {
    const reach = oneOf(
      random,
      (await waters(server)).flatMap(({ reaches }) => reaches),
    )
    const { stages } = await view<LarderView>(server, '/api/larder')
    const sampled = [0, 1, 2].flatMap(() => oneOf(random, stages) ?? [])
    return reach && sampled.length > 0 ? { observations: sampled.map(({ id }) => ({
      observationId: newId(),
      observation: { reachId: reach.id, on: '2026-05-21', localMin: 720, foodStageId: id, kind: 'counted', count: 1 + from(random, 30), lengthMm: null, effortMinutes: 10, method: 'seine', note: '' },
    })) } : null // prettier-ignore
  },
  foodStageArchive: async (server, random) => {
    const stage = oneOf(random, (await view<LarderView>(server, '/api/larder')).stages)
    return stage && { foodStageId: stage.id, version: stage.version }
  },
  planFix: async (server, random) => {
    const fly = oneOf(random, await variants(server))
    return fly && { variantId: fly.id, count: from(random, 6) }
  },
  eveningSet: (_server, random) =>
    Promise.resolve({ on: `2026-06-1${from(random, 9)}`, minutes: 20 + from(random, 90) }),
  purchaseOrder: async (server, random) => {
    const drawer = oneOf(random, await stores(server))
    return (
      drawer && {
        purchaseId: newId(),
        supplier: word(random),
        lines: [{ lineId: newId(), materialId: drawer.id, packAmount: 100, packs: 1 + from(random, 3) }],
      }
    )
  },
  purchaseArrive: async (server, random) => {
    const { purchases } = await view<StoresView>(server, '/api/stores')
    const open = purchases.flatMap(({ purchaseId, lines }) =>
      lines
        .filter(({ packs, arrivedPacks }) => arrivedPacks < packs)
        .map(({ lineId }) => ({ purchaseId, lineId })),
    )
    const line = oneOf(random, open)
    return line && { purchaseId: line.purchaseId, arrived: [{ lineId: line.lineId, packs: 1 }] }
  },
}
const KINDS = Object.keys(MAKERS) as (keyof typeof MAKERS)[]

/** A command of a kind drawn by chance; null where the data have nothing that it could be done to. */
export async function anyCommand(server: TestServer, random: Random): Promise<AnyCommand | null> {
  const kind = oneOf(random, KINDS)!
  const body = await (MAKERS[kind] as Maker<CommandKind>)(server, random)
  return body && { kind, body }
}
