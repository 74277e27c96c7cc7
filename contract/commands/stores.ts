import { BARBS, MATERIAL_KINDS } from '../../core/index.ts'
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
import { figure, listed, written } from '../limited.ts'
import { newMaterial } from './shared.ts'

const packs = figure('packs')

/** in a material's smallest step */
const amount = figure('amount')

/** What is done with goods: counted, bought, measured, pictured. */
export const storeCommands = {
  /** what many drawers hold and how they are bought, from a table; null leaves a thing as it is */
  storesPutIn: z
    .object({
      newMaterials: listed('newFlies', newMaterial),
      lines: listed(
        'rows',
        z
          .object({
            materialId,
            counted: amount.nullable(),
            minimumAmount: amount.nullable(),
            packAmount: figure('packAmount').nullable(),
            priceMinor: figure('price').nullable(),
            supplier: written('supplier', { trimmed: true }).nullable(),
          })
          .strict(),
      ),
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
      minimumAmount: amount.nullable(),
      packAmount: figure('packAmount').nullable(),
      /** of a pack, in the currency's smallest coin */
      priceMinor: figure('price').nullable(),
      leadTimeDays: figure('leadTime').nullable(),
      supplier: written('supplier', { trimmed: true }),
      /** of a hook; null where nobody says */
      barb: z.enum(BARBS).nullable(),
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
      colours: listed(
        'colours',
        z
          .object({
            name: written('word', { trimmed: true }),
            hex: z.string().regex(/^#[0-9a-f]{6}$/i),
          })
          .strict(),
      ),
      /** the first drawer of it */
      drawer: z.object({ id: materialId, sizeKey: written('sizeKey') }).strict(),
    })
    .strict(),
  /** null takes a measure back: the size then says what is usual */
  hookMeasure: z
    .object({
      materialId,
      version,
      shankMm: figure('shankMm').nullable(),
      gapeMm: figure('gapeMm').nullable(),
      wireMm: figure('wireMm').nullable(),
    })
    .strict()
    .refine(({ shankMm, gapeMm }) => shankMm === null || gapeMm === null || gapeMm <= 2 * shankMm, {
      message: 'A gape is at most twice the shank.',
      path: ['gapeMm'],
    }),
  /** what the spool of a line says; null takes it back: its family then says what is usual */
  lineSpool: z
    .object({
      materialId,
      version,
      spool: z
        .object({
          diameterMm: figure('threadMm'),
          rateMmPerS: figure('lineRate').nullable(),
          weight: z
            .object({ massMg: figure('lineMg'), lengthMm: figure('pieceMm') })
            .strict()
            .nullable(),
        })
        .strict()
        .refine(({ rateMmPerS, weight }) => rateMmPerS !== null || weight !== null, {
          message: 'Say how fast it sinks, or what it weighs over a length.',
          path: ['rateMmPerS'],
        })
        .nullable(),
    })
    .strict(),
  purchaseOrder: z
    .object({
      purchaseId,
      supplier: written('supplier', { trimmed: true }),
      lines: listed(
        'orderLines',
        z
          .object({
            lineId: purchaseLineId,
            materialId,
            packAmount: figure('packAmount'),
            packs,
          })
          .strict(),
      ),
    })
    .strict(),
  /** packs that came, all or a part of what was ordered; books them into the stores */
  purchaseArrive: z
    .object({
      purchaseId,
      arrived: listed('arrivedLines', z.object({ lineId: purchaseLineId, packs }).strict()),
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
