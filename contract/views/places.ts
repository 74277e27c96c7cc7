import { CODED_METALS, MATERIAL_KINDS, PROPERTY_NAMES } from '../../core/index.ts'
import { z } from 'zod'
import {
  boxId, compartmentId, familyId, foodId, foodStageId, materialId, outingId, patternId, reachId, variantId,
  variantRevisionId, version, waterId,
  spellId, photoId, purchaseId, purchaseLineId, eventId,
} from '../common.ts' // prettier-ignore
import { dressingBody, step, swaps } from '../records/dressing.ts'
import { brood, trigger } from '../records/season.ts'
import { reachBody, waterBody } from '../records/water.ts'
import { batchMention, depthBand, drawingKey, variantFigure, variantMention } from './parts.ts'

const property = z.object({
  value: z.number(),
  low: z.number(),
  high: z.number(),
  evidence: z.enum(['kindDefault', 'catalogue', 'entered', 'weighed', 'timed']),
})

const physics = z.partialRecord(z.enum(PROPERTY_NAMES), property)

/** A family with its physics: what core reckons with. */
export const familyFull = z
  .object({
    id: familyId,
    kind: z.enum(MATERIAL_KINDS),
    name: z.string(),
    massModel: z.string(),
    physics,
    hook: z
      .object({
        style: z.string(),
        xLong: z.number(),
        xHeavy: z.number(),
        steps: z.enum(['wholeSizes', 'evenSizes']),
      })
      .nullable(),
    boring: z.enum(['drilled', 'countersunk', 'slotted', 'offCentre']).nullable(),
    stockUnit: z.enum(['count', 'mm', 'mg', 'patch']),
    wasteShare: z.number(),
    cutLengthMm: z.number(),
    cautions: z.array(z.string()),
    sizes: z.array(z.string()),
    colours: z.array(z.object({ name: z.string(), hexDry: z.string(), hexWet: z.string() })),
  })
  .meta({ id: 'Family' })
export type FamilyFull = z.infer<typeof familyFull>

export const familiesView = z.object({ families: z.array(familyFull) }).meta({ id: 'Families' })
export type FamiliesView = z.infer<typeof familiesView>

/** A drawer of the stores. Amounts in the smallest step: hundredths of a piece or cm², mm, mg. */
export const materialLine = z
  .object({
    id: materialId,
    familyId,
    kind: z.enum(MATERIAL_KINDS),
    name: z.string(),
    sizeKey: z.string(),
    colourName: z.string(),
    colourHex: z.string(),
    colourWetHex: z.string(),
    stockUnit: z.enum(['count', 'mm', 'mg', 'patch']),
    /** null: never counted */
    onHand: z.number().nullable(),
    minimumAmount: z.number().nullable(),
    packAmount: z.number().nullable(),
    /** of a pack, in the currency's smallest coin */
    priceMinor: z.number().nullable(),
    leadTimeDays: z.number().nullable(),
    supplier: z.string(),
    overrides: physics,
    usedBy: z.number(),
    cautions: z.array(z.string()),
    note: z.string(),
    photoId: photoId.nullable(),
    version,
  })
  .meta({ id: 'MaterialLine' })
export type MaterialLine = z.infer<typeof materialLine>

/** What was ordered and has not all come. */
export const purchaseLine = z.object({
  purchaseId,
  version,
  supplier: z.string(),
  orderedOn: z.string(),
  lines: z.array(
    z.object({
      lineId: purchaseLineId,
      materialId,
      name: z.string(),
      packAmount: z.number(),
      packs: z.number(),
      arrivedPacks: z.number(),
    }),
  ),
})
export type PurchaseView = z.infer<typeof purchaseLine>

export const storesView = z
  .object({ materials: z.array(materialLine), purchases: z.array(purchaseLine) })
  .meta({ id: 'Stores' })
export type StoresView = z.infer<typeof storesView>

/** Variants that take a material. */
export const usesView = z.object({ uses: z.array(variantMention) }).meta({ id: 'Uses' })
export type UsesView = z.infer<typeof usesView>

export const variantLine = z
  .object({
    id: variantId,
    version,
    label: z.string(),
    parCount: z.number().nullable(),
    homeCompartmentId: compartmentId.nullable(),
    onHand: z.number(),
    olderOnHand: z.number(),
    figure: variantFigure,
  })
  .meta({ id: 'VariantLine' })
export type VariantLine = z.infer<typeof variantLine>

/** A variant with what makes it one. */
export const variantFull = variantLine.extend({ hookMaterialId: materialId, swaps }).meta({ id: 'Variant' })
export type VariantFull = z.infer<typeof variantFull>

export const patternLine = z
  .object({
    id: patternId,
    name: z.string(),
    purpose: z.enum(['imitation', 'attractor', 'searching']),
    serves: z.array(z.object({ foodStageId, weight: z.number(), name: z.string() })),
    variants: z.array(variantLine),
  })
  .meta({ id: 'PatternLine' })
export type PatternLine = z.infer<typeof patternLine>

/** A pattern with its dressing: what its sheet and the tank need. */
export const patternView = patternLine
  .extend({
    version,
    ownMonths: z.array(z.number()),
    fishedHow: z.array(z.string()),
    waterKinds: z.array(z.string()),
    dislike: z.number(),
    note: z.string(),
    dressing: dressingBody,
    revision: z.number(),
    variants: z.array(variantFull),
  })
  .meta({ id: 'Pattern' })
export type PatternView = z.infer<typeof patternView>

/** Flies that are easily taken for one another, and marks that break the user's weight code. */
const toldApart = z.object({
  pairs: z.array(z.object({ lighterId: variantId, heavierId: variantId, ratio: z.number() })),
  marks: z.array(
    z.object({
      variantId,
      metal: z.enum(CODED_METALS),
      expected: z.string().nullable(),
      found: z.string().nullable(),
    }),
  ),
})

export const patternsView = z.object({ patterns: z.array(patternLine), toldApart }).meta({ id: 'Patterns' })
export type PatternsView = z.infer<typeof patternsView>

export const waterLine = z
  .object({
    id: waterId,
    version,
    water: waterBody,
    reaches: z.array(z.object({ id: reachId, version, reach: reachBody })),
  })
  .meta({ id: 'Water' })
export const watersView = z.object({ waters: z.array(waterLine) }).meta({ id: 'Waters' })
export type WatersView = z.infer<typeof watersView>

export const stageLine = z
  .object({
    id: foodStageId,
    version,
    isShipped: z.boolean(),
    isEdited: z.boolean(),
    foodId,
    foodName: z.string(),
    groupKey: z.string(),
    stage: z.string(),
    stageName: z.string(),
    months: z.array(
      z.object({ lengthMmLow: z.number(), lengthMmHigh: z.number(), likelihood: z.number() }).nullable(),
    ),
    colours: z.array(z.object({ name: z.string(), hexDry: z.string(), hexWet: z.string(), share: z.number() })),
    silhouette: z.string(),
    movements: z.array(z.string()),
    triggers: z.array(z.string()),
    depthBandRiver: depthBand.nullable(),
    depthBandStillwater: depthBand.nullable(),
    waterKinds: z.record(z.string(), z.number()),
    hours: z.array(
      z.object({
        anchor: z.enum(['sunrise', 'solarNoon', 'sunset']),
        fromMin: z.number(),
        toMin: z.number(),
        weight: z.number(),
        seasons: z.array(z.enum(['winter', 'spring', 'summer', 'autumn'])),
        weather: z.string(),
      }),
    ),
    importance: z.number(),
    trigger,
    broods: z.array(brood),
    noteForTier: z.string(),
    howFished: z.string(),
    onHand: z.number(),
    servedBy: z.array(z.object({ patternId, name: z.string() })),
  })
  .meta({ id: 'FoodStage' })
export type StageLine = z.infer<typeof stageLine>
export const larderView = z.object({ stages: z.array(stageLine) }).meta({ id: 'Larder' })
export type LarderView = z.infer<typeof larderView>

export const compartmentLine = z
  .object({
    id: compartmentId,
    row: z.number(),
    column: z.number(),
    label: z.string(),
    capacity: z.number().nullable(),
    /** what lies here and what has its home here, by variant */
    flies: z.array(
      variantMention.extend({
        count: z.number(),
        par: z.number().nullable(),
        isHome: z.boolean(),
        variantVersion: version,
        parCount: z.number().nullable(),
        depthMm: z.number().nullable(),
        drawingKey: drawingKey.nullable(),
      }),
    ),
  })
  .meta({ id: 'Compartment' })
export type CompartmentLine = z.infer<typeof compartmentLine>

export const boxLine = z
  .object({
    id: boxId,
    name: z.string(),
    kind: z.enum(['box', 'benchTray', 'patch']),
    note: z.string(),
    compartments: z.array(compartmentLine),
  })
  .meta({ id: 'Box' })
export type BoxLine = z.infer<typeof boxLine>

/** A variant below its par, with what the stores still allow. */
export const restockLine = z
  .object({
    ...variantMention.shape,
    onHand: z.number(),
    par: z.number(),
    missing: z.number(),
    compartmentId,
    compartmentLabel: z.string(),
    allowed: z.number().nullable(),
    limitedBy: z.string().nullable(),
    shortOf: z.array(
      z.object({ materialId, name: z.string(), need: z.number(), onHand: z.number().nullable() }),
    ),
    drawingKey: drawingKey.nullable(),
  })
  .meta({ id: 'RestockLine' })
export type RestockLine = z.infer<typeof restockLine>

export const boxesView = z
  .object({ boxes: z.array(boxLine), restock: z.array(restockLine) })
  .meta({ id: 'Boxes' })
export type BoxesView = z.infer<typeof boxesView>

/** A step at the vise with the numbers for the hook at hand. */
export const benchStep = step.extend({
  title: z.string(),
  materialName: z.string().nullable(),
  colourHex: z.string().nullable(),
  fromMm: z.number().nullable(),
  toMm: z.number().nullable(),
  lengthMm: z.number().nullable(),
  turns: z.number().nullable(),
  fibreCount: z.number().nullable(),
  strands: z.number().nullable(),
  cutMm: z.number().nullable(),
  /** what usually goes wrong here; null where nothing does */
  tip: z.string().nullable(),
  cautions: z.array(z.object({ key: z.string(), text: z.string(), mark: z.string() })),
})
export type BenchStep = z.infer<typeof benchStep>

export const cutLine = z.object({
  materialId,
  name: z.string(),
  stockUnit: z.enum(['count', 'mm', 'mg', 'patch']),
  perFly: z.number(),
  forBatch: z.number(),
  onHand: z.number().nullable(),
})

export const benchView = z
  .object({
    onVise: z
      .object({
        batch: batchMention,
        variantRevisionId,
        patternId,
        /** of the pattern */
        note: z.string(),
        /** what was done differently this time */
        batchNote: z.string(),
        /** what was noted of earlier batches of the pattern, the latest first */
        earlierNotes: z.array(z.object({ atMs: z.number(), label: z.string(), note: z.string() })),
        photoId: photoId.nullable(),
        /** the last picture of a batch of the pattern */
        earlierPhotoId: photoId.nullable(),
        way: z.enum(['flyByFly', 'stations']),
        /** flies of the batch that are through each step, tied by stations */
        throughStep: z.record(z.string(), z.number()),
        /** spoiled flies of which nobody has said why, the latest first */
        spoiledUnsaid: z.array(eventId),
        /** minutes of the pattern's flies so far, the first first */
        minutesSoFar: z.array(z.number()),
        /** of one fly, from so many that were timed; nought for a usual figure */
        minutesEach: z.number(),
        timedFlies: z.number(),
        shankMm: z.number(),
        hookName: z.string(),
        figure: variantFigure,
        steps: z.array(benchStep),
        stepKey: z.string().nullable(),
        paused: z.boolean(),
        cutList: z.array(cutLine),
      })
      .nullable(),
    queue: z.array(batchMention),
    /** what all that is on the vise and waits takes */
    eveningCutList: z.array(cutLine.omit({ perFly: true })),
    done: z.array(batchMention.extend({ endedAtMs: z.number() })),
  })
  .meta({ id: 'Bench' })
export type BenchView = z.infer<typeof benchView>

export const outingLine = z
  .object({
    id: outingId,
    version,
    waterId,
    reachId: reachId.nullable(),
    waterName: z.string(),
    reachName: z.string().nullable(),
    on: z.string(),
    fromLocalMin: z.number(),
    toLocalMin: z.number(),
    status: z.enum(['planned', 'done', 'cancelled']),
    technique: z.string(),
    note: z.string(),
    rules: z.array(z.string()),
    /** flies fished, in the order in which they were noted */
    spells: z.array(
      variantMention.extend({
        spellId,
        version,
        minutes: z.number(),
        takes: z.number(),
        refusals: z.number(),
      }),
    ),
    /** what goes along, still as it was packed */
    packed: z.array(variantMention.extend({ count: z.number(), compartmentId, compartmentLabel: z.string() })),
    losses: z.array(
      variantMention.extend({ count: z.number(), cause: z.string(), compartmentLabel: z.string() }),
    ),
  })
  .meta({ id: 'Outing' })
export type OutingLine = z.infer<typeof outingLine>
export const outingsView = z.object({ outings: z.array(outingLine) }).meta({ id: 'Outings' })
export type OutingsView = z.infer<typeof outingsView>
