import { MATERIAL_KINDS } from '../../core/index.ts'
import { z } from 'zod'
import {
  batchId,
  photoId,
  purchaseId,
  purchaseLineId,
  familyId,
  materialId,
  name,
  note,
  version,
} from '../common.ts'
import { MOST_ROWS, newMaterial } from './shared.ts'

const packs = z.number().int('Whole packs only.').max(999, 'At most 999 packs.')

/** in a material's smallest step */
const amount = z.number().int().min(0, 'Nought or more.').max(1_000_000_000, 'That is more than a store holds.')

/** Every write, by kind. The body is what the kind's handler needs and nothing else. */
/** A length taken with a calliper, mm. */
const measuredMm = (min: number, max: number) =>
  z.number().min(min, `At least ${min} mm.`).max(max, `At most ${max} mm.`).nullable()

/** What is done with goods: counted, bought, measured, pictured. */
export const storeCommands = {
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
  /** null takes a measure back: the size then says what is usual */
  hookMeasure: z
    .object({
      materialId,
      version,
      shankMm: measuredMm(1, 80),
      gapeMm: measuredMm(0.5, 30),
      wireMm: measuredMm(0.1, 3),
    })
    .strict()
    .refine(({ shankMm, gapeMm }) => shankMm === null || gapeMm === null || gapeMm <= 2 * shankMm, {
      message: 'A gape is at most twice the shank.',
      path: ['gapeMm'],
    }),
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
  /** null takes a picture off again */
  photoAttach: z
    .object({
      subject: z.enum(['material', 'batch']),
      subjectId: z.union([materialId, batchId]),
      photoId: photoId.nullable(),
    })
    .strict(),
} as const
