import { z } from 'zod'
import { actionId, patternId } from '../common.ts'
import { settingsBody } from '../records/settings.ts'
import { moment, reachChoice, viseMention } from './parts.ts'

/** What stands round every place: the roll's words, the tray, the clock, the moment to start from. */
export const frameView = z
  .object({
    buildId: z.string(),
    /** tells these data from any others that were served at the same address */
    dataId: z.string(),
    nowMs: z.number(),
    today: z.string(),
    /** the demo's clock stands; a user's own runs */
    clockStands: z.boolean(),
    isDemo: z.boolean(),
    settings: settingsBody,
    /** the zone that was chosen where this machine does not know it; the settings then say UTC */
    unknownZone: z.string().nullable(),
    reaches: z.array(reachChoice),
    moment: moment.nullable(),
    roll: z.object({
      waters: z.number(),
      stages: z.number(),
      patterns: z.number(),
      /** flies on hand, in all boxes */
      flies: z.number(),
      lowMaterials: z.number(),
      queued: z.number(),
      /** recipes whose figures are still being worked out */
      figuresToCome: z.number(),
      nextOutingOn: z.string().nullable(),
    }),
    onVise: viseMention.nullable(),
    lastAction: z.object({ actionId, label: z.string() }).nullable(),
  })
  .meta({ id: 'Frame' })
/** What stands round every place: settings, reaches, the next moment, counts of the roll. */
export type FrameView = z.infer<typeof frameView>

/** Tonight's actions, newest first. */
export const actionsView = z
  .object({
    actions: z.array(
      z.object({
        actionId,
        label: z.string(),
        atMs: z.number(),
        /** the action that took it back and stands; taking that back is redo. Null where it stands itself */
        undoneBy: actionId.nullable(),
        isUndo: z.boolean(),
      }),
    ),
  })
  .meta({ id: 'Actions' })
/** The latest actions, newest first. */
export type ActionsView = z.infer<typeof actionsView>

/** What a search found, best first. */
export const searchView = z
  .object({
    hits: z.array(
      z.object({
        kind: z.string(),
        id: z.string(),
        title: z.string(),
        detail: z.string(),
        /** the pattern of a variant */
        patternId: patternId.optional(),
      }),
    ),
  })
  .meta({ id: 'Search' })
/** What was found. */
export type SearchView = z.infer<typeof searchView>
