import { z } from 'zod'
import { TECHNIQUES, waterside } from '../../core/index.ts'
import { foodStageId, tapId, variantId } from '../common.ts'
import { figure, listed } from '../limited.ts'

const { LEFT_IN, REFUSALS, SAMPLED_FROM, SIGNS, STEPS, TAKE_ENDS } = waterside
/** The single thing that is changed for a fish that refused; see core's `STEPS`. */
export const waterStep = z.enum(Object.keys(STEPS) as [waterside.Step, ...waterside.Step[]])
const signKey = z.enum(SIGNS.map(({ key }) => key) as [string, ...string[]])
/** Minted on the phone, with the time on its clock, ms since 1970. */
const each = { id: tapId, atMs: figure('tapAtMs') }
const tap = <Kind extends string, Shape extends z.ZodRawShape>(kind: Kind, shape: Shape) =>
  z.object({ ...each, kind: z.literal(kind), ...shape }).strict()

/** One tap at the water; see core's `Tap`. */
export const watersideTap = z.discriminatedUnion('kind', [
  tap('watch', {}),
  tap('sign', { signKey, seen: z.boolean().nullable() }),
  tap('newFish', {}),
  tap('tiedOn', {
    variantKey: variantId,
    way: z.enum(TECHNIQUES).nullable(),
    stageKey: foodStageId.nullable(),
    step: waterStep.nullable(),
  }),
  tap('step', { step: waterStep }),
  tap('drift', {}),
  tap('refused', { refusal: z.enum(REFUSALS) }),
  tap('take', { end: z.enum(TAKE_ENDS), lengthMm: figure('fishMm').nullable() }),
  tap('lost', { variantKeys: listed('teamLost', variantId), leftIn: z.enum(LEFT_IN) }),
  tap('waterTemp', { tempC: figure('waterTempC') }),
  tap('airTemp', { tempC: figure('airTempC') }),
  tap('rise', {}),
  tap('natural', {}),
  tap('counted', { from: z.enum(SAMPLED_FROM), stageKey: foodStageId, count: figure('sampledNow') }),
  tap('reeledIn', {}),
  tap('undo', { of: tapId }),
])
/** One tap at the water. */
export type WatersideTap = z.infer<typeof watersideTap>
/** What a tap says, beside which one it is and when. */
export type TapSaid = WatersideTap extends infer One
  ? One extends WatersideTap
    ? Omit<One, 'id' | 'atMs'>
    : never
  : never
