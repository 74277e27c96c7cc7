import { WATER_KINDS } from '../../core/index.ts'
import { z } from 'zod'
import { timeZone } from '../timeZone.ts'
import { name, note, reachId, monthDay } from '../common.ts'
import { figure } from '../limited.ts'

const rulesNoted = z
  .object({
    dryOnly: z.boolean().nullable(),
    upstreamOnly: z.boolean().nullable(),
    maxFlies: figure('ruleFlies').nullable(),
    barbless: z.boolean().nullable(),
    noLead: z.boolean().nullable(),
    noAddedWeight: z.boolean().nullable(),
    minHookSize: figure('ruleHook').nullable(),
    maxHookSize: figure('ruleHook').nullable(),
    noIndicator: z.boolean().nullable(),
    /** from the line to the point */
    maxLeaderMm: figure('ruleLeaderMm').nullable(),
  })
  .strict()
/** The user's own note of a water's rules; the posted rule decides. Null: the note does not say. */
export const waterRules = rulesNoted
  // a size is the smaller the higher its number
  .refine(
    ({ minHookSize, maxHookSize }) =>
      minHookSize === null || maxHookSize === null || minHookSize >= maxHookSize,
    {
      message: 'The smallest hook is larger than the largest.',
      path: ['minHookSize'],
    },
  )
/** What a water’s rules allow, as the user noted them; the posted rule is what counts. */
export type WaterRules = z.infer<typeof waterRules>

/** A note that forbids nothing. */
export const noRules: WaterRules = {
  dryOnly: null,
  upstreamOnly: null,
  maxFlies: null,
  barbless: null,
  noLead: null,
  noAddedWeight: null,
  minHookSize: null,
  maxHookSize: null,
  noIndicator: null,
  maxLeaderMm: null,
}

/** A stretch of river, or the shoal, drop-off or basin of a stillwater. */
export const reachKind = z.enum(['reach', 'shoal', 'dropOff', 'basin'])

/** A stretch of a river or a part of a stillwater, with what figures need of it. */
export const reachBody = z
  .object({
    kind: reachKind,
    name,
    elevationM: figure('elevationM'),
    typicalDepthMm: figure('waterDepthMm'),
    surfaceSpeedMmPerS: figure('surfaceSpeed'),
    /** usual depth of the summer's thermocline; null where there is none */
    thermoclineMm: figure('thermoclineMm').nullable(),
    defaultTempC: z.array(figure('usualTempC')).length(12),
  })
  .strict()
/** A reach as it is entered: depth mm, speed mm/s, bed, height, usual warmth by month. */
export type ReachBody = z.infer<typeof reachBody>

/** A water as it is entered: kind, place, zone, season, rules. */
export const waterBody = z
  .object({
    name,
    kind: z.enum(WATER_KINDS),
    latitudeDeg: figure('latitudeDeg'),
    longitudeDeg: figure('longitudeDeg'),
    timeZone,
    clarityMm: figure('clarityMm'),
    snagginess: figure('snagginess'),
    openFromMonthDay: monthDay.nullable(),
    openToMonthDay: monthDay.nullable(),
    /** usual day on which a stillwater's ice has gone; null where it does not freeze, or nobody noted it */
    iceOffMonthDay: monthDay.nullable(),
    rules: waterRules,
    rulesNote: note,
  })
  .strict()
/** A water as it is entered. */
export type WaterBody = z.infer<typeof waterBody>

/** What changes of a water, field by field: what another change says of other fields stands. */
export const waterChange = waterBody.extend({ rules: rulesNoted.partial() }).partial().strict()
/** What changes of a reach, field by field. */
export const reachChange = reachBody.partial().strict()
/** What is changed of a water, as it is sent. */
export type WaterChange = z.input<typeof waterChange>

/** A reach of a water that is being made, with the id it will have. */
export const reachWithId = reachBody.extend({ id: reachId })
