import { wording } from '../core/index.ts'
import { z } from 'zod'
import {
  actionId, batchId, civilDate, photoId, purchaseId, purchaseLineId, boxId, compartmentId, eventId, familyId, foodId, foodStageId, materialId, name, note, outingId, patternId,
  reachId, share, spellId, variantId, version, waterId,
} from './common.ts' // prettier-ignore
import { dressingBody, swaps } from './records/dressing.ts'
import { foodStageBody } from './records/food.ts'
import { dropTestBody, dropTestId, weighingBody, weighingId } from './records/measurement.ts'
import { outingBody } from './records/outing.ts'
import { observationBody, observationId, readingImportId, readingsBody } from './records/season.ts'
import { settingsBody } from './records/settings.ts'
import { reachBody, reachWithId, waterBody } from './records/water.ts'
import { MATERIAL_KINDS, WATER_KINDS } from '../core/index.ts'

/** Flies are counted in whole ones. */
const flies = z.number().int('Whole flies only.').min(1, 'At least one.').max(999, 'At most 999 at once.')
const fliesSeen = z.number().int('Whole flies only.').min(0, 'Nought or more.').max(999, 'At most 999 at once.')
/** puts flies into a compartment that is full */
const anyway = z.boolean().optional()
const packs = z.number().int('Whole packs only.').max(999, 'At most 999 packs.')
/** lines that one command may bring */
export const MOST_ROWS = 2000
/** in a material's smallest step */
const amount = z.number().int().min(0, 'Nought or more.').max(1_000_000_000, 'That is more than a store holds.')
/** a fly that was bought, given or found: a name and a hook, and no recipe */
const bareFly = z.object({ patternId, variantId, name, label: name, hookMaterialId: materialId }).strict()
const lossCause = z.enum(wording.LOSS_CAUSES)
const nextVersion = version.nullable()

/** A drawer that is not there yet: minted with nothing in it by the command that first names it. */
export const newMaterial = z
  .object({
    id: materialId,
    familyId,
    sizeKey: z.string().max(12),
    colourName: z.string().min(1).max(40),
  })
  .strict()

const patternSave = z
  .object({
    patternId,
    /** null for a new pattern */
    version: nextVersion,
    name,
    purpose: z.enum(['imitation', 'attractor', 'searching']),
    ownMonths: z.array(z.number().int().min(1).max(12)).max(12),
    fishedHow: z.array(z.string().max(40)).max(10),
    waterKinds: z.array(z.enum(WATER_KINDS)).max(7),
    dislike: share,
    note,
    serves: z.array(z.object({ foodStageId, weight: share }).strict()).max(40),
    dressing: dressingBody,
    newMaterials: z.array(newMaterial).max(40),
    variants: z
      .array(
        z
          .object({
            id: variantId,
            label: name,
            hookMaterialId: materialId,
            swaps,
            parCount: z.number().int().min(0).max(99).nullable(),
            homeCompartmentId: compartmentId.nullable(),
          })
          .strict(),
      )
      .min(1, 'A pattern has at least one variant.')
      .max(60, 'At most 60 variants.'),
  })
  .strict()

const batchPlan = z
  .object({
    batchId,
    variantId,
    plannedCount: flies,
    compartmentId,
    /** on the vise at once; else it waits in the queue */
    onVise: z.boolean(),
  })
  .strict()

const batchCount = z
  .object({
    eventId,
    batchId,
    /** `station`: one fly of the batch is through this step */
    kind: z.enum(['done', 'spoiled', 'step', 'station', 'pause', 'resume']),
    stepKey: z.string().max(40).nullable(),
    count: z.number().int().min(0).max(99),
    spoiledCause: z.string().max(80).nullable(),
  })
  .strict()

const loss = z.object({ compartmentId, variantId, count: flies, cause: lossCause }).strict()

/** Every write, by kind. The body is what the kind's handler needs and nothing else. */
/** A length taken with a calliper, mm. */
const measuredMm = (min: number, max: number) =>
  z.number().min(min, `At least ${min} mm.`).max(max, `At most ${max} mm.`).nullable()

export const commandBodies = {
  patternSave,
  patternArchive: z.object({ patternId, version }).strict(),
  variantHome: z
    .object({
      variantId,
      version,
      parCount: z.number().int().min(0, 'Keep nought or more.').max(99, 'Keep at most 99.').nullable(),
      homeCompartmentId: compartmentId.nullable(),
    })
    .strict(),
  batchPlan,
  batchWay: z.object({ batchId, way: z.enum(['flyByFly', 'stations']) }).strict(),
  batchSpoiledCause: z.object({ batchId, eventId, cause: z.string().trim().min(1).max(80) }).strict(),
  batchNote: z.object({ batchId, note }).strict(),
  batchOnVise: z.object({ batchId }).strict(),
  batchCount,
  /** into its compartment, or into another that has room */
  batchFinish: z
    .object({ batchId, abandon: z.boolean(), compartmentId: compartmentId.optional(), anyway })
    .strict(),
  fliesLose: z
    .object({ outingId: outingId.nullable(), losses: z.array(loss).min(1, 'Say what was lost.').max(200) })
    .strict(),
  fliesCount: z.object({ compartmentId, variantId, counted: fliesSeen, anyway }).strict(),
  fliesMove: z
    .object({
      fromCompartmentId: compartmentId,
      toCompartmentId: compartmentId,
      variantId,
      count: flies,
      anyway,
    })
    .strict(),
  /** many flies at once, typed or from a table; those that nobody has a recipe of are made with a name and a hook */
  fliesPutIn: z
    .object({
      /** `found` adds to what lies there, `counted` says what lies there now */
      how: z.enum(['found', 'counted']),
      anyway,
      newMaterials: z.array(newMaterial).max(60),
      newFlies: z.array(bareFly).max(MOST_ROWS),
      lines: z
        .array(z.object({ compartmentId, variantId, count: fliesSeen }).strict())
        .min(1, 'Say what to put in.')
        .max(MOST_ROWS, `At most ${MOST_ROWS} lines at once.`),
    })
    .strict(),
  /** what many drawers hold and how they are bought, from a table; null leaves a thing as it is */
  storesPutIn: z
    .object({
      newMaterials: z.array(newMaterial).max(MOST_ROWS),
      lines: z
        .array(
          z
            .object({
              materialId,
              counted: amount.nullable(),
              minimumAmount: amount.nullable(),
              packAmount: amount.min(1, 'A pack holds something.').nullable(),
              priceMinor: z.number().int().min(0, 'Nought or more.').max(100_000_000).nullable(),
              supplier: z.string().trim().max(80, 'At most 80 characters.').nullable(),
            })
            .strict(),
        )
        .min(1, 'Say what to put in.')
        .max(MOST_ROWS, `At most ${MOST_ROWS} lines at once.`),
    })
    .strict(),
  materialEntry: z
    .object({
      materialId,
      cause: z.enum(['bought', 'counted', 'wasted', 'found', 'given']),
      /** in the material's smallest step; for `counted` what is there now */
      amount,
    })
    .strict(),
  materialSave: z
    .object({
      materialId,
      version,
      minimumAmount: z.number().int().min(0).max(1_000_000_000).nullable(),
      packAmount: z.number().int().min(1, 'A pack holds something.').max(1_000_000_000).nullable(),
      /** of a pack, in the currency's smallest coin */
      priceMinor: z.number().int().min(0, 'Nought or more.').max(100_000_000).nullable(),
      leadTimeDays: z.number().int().min(0, 'Nought or more.').max(365, 'At most a year.').nullable(),
      supplier: z.string().trim().max(80, 'At most 80 characters.'),
      note,
    })
    .strict(),
  /** null takes a measure back: the size then says what is usual */
  /** goods that do not ship: like others, or of a kind and nothing else known */
  familyCreate: z
    .object({
      familyId,
      kind: z.enum(MATERIAL_KINDS),
      name,
      likeFamilyId: familyId.nullable(),
      colours: z
        .array(
          z
            .object({
              name: z.string().trim().min(1, 'Name the colour.').max(40),
              hex: z.string().regex(/^#[0-9a-f]{6}$/i),
            })
            .strict(),
        )
        .min(1, 'Name the colour.')
        .max(24),
      /** the first drawer of it */
      drawer: z.object({ id: materialId, sizeKey: z.string().max(12) }).strict(),
    })
    .strict(),
  hookMeasure: z
    .object({
      materialId,
      version,
      shankMm: measuredMm(1, 80),
      gapeMm: measuredMm(0.5, 30),
      wireMm: measuredMm(0.1, 3),
    })
    .strict(),
  readingsImport: z.object({ importId: readingImportId, readings: readingsBody }).strict(),
  readingsArchive: z.object({ importId: readingImportId, version }).strict(),
  observationSave: z.object({ observationId, version: nextVersion, observation: observationBody }).strict(),
  observationArchive: z.object({ observationId, version }).strict(),
  /** version null makes a new one; its food too, where that is new */
  foodStageSave: z
    .object({
      foodStageId,
      version: nextVersion,
      food: z.object({ id: foodId, name, groupKey: z.string().trim().min(1).max(40) }).strict(),
      stage: foodStageBody,
    })
    .strict(),
  foodStageRestore: z.object({ foodStageId, version }).strict(),
  foodStageArchive: z.object({ foodStageId, version }).strict(),
  boxCreate: z
    .object({
      boxId,
      name,
      note,
      compartments: z
        .array(
          z
            .object({
              id: compartmentId,
              row: z.number().int().min(1).max(40),
              column: z.number().int().min(1).max(40),
              label: z.string().max(60),
              capacity: z.number().int().min(1, 'At least one.').max(500, 'At most 500.').nullable(),
            })
            .strict(),
        )
        .min(1, 'A box has at least one compartment.')
        .max(200, 'At most 200 compartments.'),
      /** flies that get their place in it */
      homes: z.array(z.object({ variantId, compartmentId }).strict()).max(MOST_ROWS).optional(),
      /** whether what is on hand of those is moved there too */
      moveFlies: z.boolean().optional(),
    })
    .strict(),
  waterCreate: z.object({ waterId, water: waterBody, reaches: z.array(reachWithId).min(1).max(12) }).strict(),
  waterSave: z.object({ waterId, version, water: waterBody }).strict(),
  reachSave: z.object({ reachId, version, reach: reachBody }).strict(),
  outingSave: z.object({ outingId, version: nextVersion, outing: outingBody }).strict(),
  /** how long a fly was in the water on an outing, and what came of it */
  spellSave: z
    .object({
      spellId,
      version: nextVersion,
      outingId,
      variantId,
      minutes: z.number().int().min(1, 'At least a minute.').max(1440, 'At most a day.'),
      takes: z.number().int().min(0).max(500, 'At most 500.'),
      refusals: z.number().int().min(0).max(500, 'At most 500.'),
    })
    .strict(),
  /** null lets the plan choose, nought leaves the fly out of it; pattern and label say what one is that is not made yet */
  planFix: z
    .object({
      variantId,
      patternId,
      label: name,
      count: z.number().int('Whole flies only.').min(0, 'Nought or more.').max(99, 'At most 99.').nullable(),
    })
    .strict(),
  /** how long an evening at the bench is where it is not as usual on its day of the week; null is as usual */
  eveningSet: z
    .object({
      on: civilDate,
      minutes: z
        .number()
        .int('Whole minutes.')
        .min(0, 'Nought or more.')
        .max(600, 'At most 600 minutes.')
        .nullable(),
    })
    .strict(),
  /** takes flies along: out of their compartments into one that goes to the water */
  outingPack: z
    .object({
      outingId,
      toCompartmentId: compartmentId,
      flies: z
        .array(z.object({ fromCompartmentId: compartmentId, variantId, count: flies }).strict())
        .min(1, 'Say what to pack.')
        .max(300),
      anyway,
    })
    .strict(),
  /** what is left of them goes back where it came from */
  outingUnpack: z.object({ outingId }).strict(),
  /** null takes a picture off again */
  photoAttach: z
    .object({
      subject: z.enum(['material', 'batch']),
      subjectId: z.union([materialId, batchId]),
      photoId: photoId.nullable(),
    })
    .strict(),
  purchaseOrder: z
    .object({
      purchaseId,
      supplier: z.string().trim().max(80, 'At most 80 characters.'),
      lines: z
        .array(
          z
            .object({
              lineId: purchaseLineId,
              materialId,
              packAmount: amount.min(1, 'A pack holds something.'),
              packs: packs.min(1, 'At least one pack.'),
            })
            .strict(),
        )
        .min(1, 'Say what was ordered.')
        .max(200),
    })
    .strict(),
  /** packs that came, all or a part of what was ordered; books them into the stores */
  purchaseArrive: z
    .object({
      purchaseId,
      arrived: z
        .array(z.object({ lineId: purchaseLineId, packs: packs.min(1, 'At least one pack.') }).strict())
        .min(1, 'Say what came.')
        .max(200),
    })
    .strict(),
  /** what has not come is not waited for any more */
  purchaseClose: z.object({ purchaseId, version }).strict(),
  spellArchive: z.object({ spellId, version }).strict(),
  settingsSave: z.object({ version, settings: settingsBody }).strict(),
  dropTestSave: z.object({ testId: dropTestId, version: nextVersion, test: dropTestBody }).strict(),
  weighingSave: z.object({ weighingId, weighing: weighingBody }).strict(),
  measurementArchive: z.union([
    z.object({ kind: z.literal('dropTest'), id: dropTestId, version }).strict(),
    z.object({ kind: z.literal('weighing'), id: weighingId, version }).strict(),
  ]),
  undo: z.object({ actionId }).strict(),
} as const

export type CommandKind = keyof typeof commandBodies
export type CommandBody<Kind extends CommandKind> = z.infer<(typeof commandBodies)[Kind]>
/** A body as a page sends it: ids without brand, texts not yet trimmed. */
export type CommandInput<Kind extends CommandKind> = z.input<(typeof commandBodies)[Kind]>

/** A write on the wire: the id is the client's and makes a repeated one harmless. */
export const command = z
  .object({
    id: actionId,
    kind: z.enum(Object.keys(commandBodies) as [CommandKind, ...CommandKind[]]),
    body: z.unknown(),
  })
  .strict()

/** What a write answers: the action that was recorded. */
export const commandResult = z
  .object({
    actionId,
    label: z.string(),
    /** false for a count at the vise, which is undone by counting back */
    undoable: z.boolean(),
  })
  .meta({ id: 'CommandResult' })
export type CommandResult = z.infer<typeof commandResult>
