import { z } from 'zod'
import { FOOD_WORDS, wording } from '../../core/index.ts'
import {
  civilDate,
  compartmentId,
  foodId,
  localMinute,
  outingId,
  reachId,
  rigId,
  spellId,
  tapId,
  variantId,
  version,
  waterId,
} from '../common.ts'
import { figure, listed } from '../limited.ts'
import { drillAnswered, drillKey } from '../records/drill.ts'
import { outingBody } from '../records/outing.ts'
import { observationBody } from '../records/season.ts'
import { rigBody } from '../records/rig.ts'
import { watersideTap } from '../records/waterside.ts'
import { reachBody, reachChange, reachWithId, waterBody, waterChange } from '../records/water.ts'
import { nextVersion } from './shared.ts'

/** A fly that was left somewhere, by the compartment that it was packed in. */
const lostFly = z.object({ compartmentId, variantId, cause: z.enum(wording.LOSS_CAUSES) }).strict()

/** Waters, outings to them, and rigs. */
export const waterCommands = {
  waterCreate: z.object({ waterId, water: waterBody, reaches: listed('reaches', reachWithId) }).strict(),
  waterSave: z.object({ waterId, change: waterChange }).strict(),
  reachSave: z.object({ reachId, change: reachChange }).strict(),
  reachAdd: z.object({ waterId, reachId, reach: reachBody }).strict(),
  reachArchive: z.object({ reachId, version }).strict(),
  waterFood: z.object({ waterId, foodId, says: z.enum(FOOD_WORDS).nullable() }).strict(),
  outingSave: z.object({ outingId, version: nextVersion, outing: outingBody }).strict(),
  /** how long a fly was in the water on an outing, and what came of it */
  spellSave: z
    .object({
      spellId,
      version: nextVersion,
      outingId,
      variantId,
      /** what it was fished on; null where nobody says */
      rigId: rigId.nullable().default(null),
      minutes: figure('spellMin'),
      takes: figure('takes'),
      refusals: figure('takes'),
    })
    .strict(),
  /** what was noted at the water; what came before counts once */
  outingNote: z.object({ outingId, taps: listed('taps', watersideTap) }).strict(),
  /** makes spells and losses of what was noted, each tap once */
  outingTakeIn: z
    .object({
      outingId,
      /** of a log that came home: kept first, as `outingNote` does */
      taps: listed('tapsCarried', watersideTap).default([]),
      spells: listed(
        'tapsTakenIn',
        z
          .object({
            tapId,
            variantId,
            rigId: rigId.nullable().default(null),
            minutes: figure('spellMin'),
            takes: figure('takes'),
            refusals: figure('takes'),
          })
          .strict(),
      ),
      /** what was counted, by all the taps that counted it */
      samples: listed(
        'tapsTakenIn',
        z.object({ tapIds: listed('taps', tapId), observation: observationBody }).strict(),
      ).default([]),
      /** what the thermometer showed in the water that day, by all the taps that set it */
      readings: listed(
        'tapsTakenIn',
        z
          .object({ tapIds: listed('taps', tapId), localMin: localMinute, tempC100: figure('readingTemp') })
          .strict(),
      ).default([]),
      /** of what lies nowhere any more there is none to take out */
      losses: listed('tapsTakenIn', z.object({ tapId, losses: listed('teamTakenOut', lostFly) }).strict()),
    })
    .strict(),
  /** what was answered in one drill */
  drillDone: z.object({ drill: drillKey, answers: listed('drillAnswers', drillAnswered) }).strict(),
  spellArchive: z.object({ spellId, version }).strict(),
  /** version null makes a new one; one that was fished is copied instead */
  rigSave: z.object({ rigId, version: nextVersion, rig: rigBody }).strict(),
  /** knots and tippet of a rig tied anew, on a day */
  rigKnots: z.object({ rigId, version, on: civilDate }).strict(),
  rigArchive: z.object({ rigId, version }).strict(),
} as const
