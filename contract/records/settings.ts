import { z } from 'zod'
import { SCHOOLS } from '../../core/index.ts'
import { figure, listed, written } from '../limited.ts'
import { timeZone } from '../timeZone.ts'

/** Colour of a turn of thread behind the bead; null for none. */
const markColour = written('word', { trimmed: true }).nullable()

/** Units, money and habits; one row. */
export const settingsBody = z
  .object({
    units: z.object({
      smallLength: z.enum(['mm', 'in']),
      depth: z.enum(['m', 'ft']),
      speed: z.enum(['cm/s', 'in/s']),
      temperature: z.enum(['°C', '°F']),
      mass: z.enum(['mg', 'g', 'gr']),
    }),
    currency: z.string().regex(/^[A-Z]{3}$/, 'Three letters, as EUR.'),
    timeZone,
    parCount: figure('usualPar'),
    /** share of outings in which what was carried is enough */
    serviceLevel: figure('serviceLevel'),
    /** time at the bench: minutes of an evening, and on which days of the week, 1 Monday to 7 Sunday */
    evenings: z
      .object({
        minutes: figure('usualEvening'),
        weekdays: listed('evenings', figure('weekday')),
      })
      .strict(),
    /** what is asked of boxes beyond enough of each; see core's `CoverRules` */
    cover: z
      .object({
        sizes: z.boolean(),
        lightAndHeavy: z.boolean(),
        alternatives: figure('alternatives'),
        anchors: figure('anchors'),
      })
      .strict(),
    /** a second folder that copies of the database go to; null for none */
    backupFolder: written('path', { trimmed: true }).nullable(),
    singleKeys: z.boolean(),
    theme: z.enum(['system', 'day', 'night']),
    noLead: z.boolean(),
    /** what matters most when a fly is held against a food */
    school: z.enum(SCHOOLS),
    /** what counts as one size in "2X long": makers differ */
    hookSteps: z.enum(['wholeSizes', 'evenSizes']),
    weightCode: z
      .object({
        marks: z.object({ tungsten: markColour, brass: markColour, none: markColour }).strict(),
        on: listed('codeOn', z.enum(['jigHooks', 'midgePupae', 'everything'])),
      })
      .strict()
      .nullable(),
  })
  .strict()
/**
 * A change of settings: the fields that change and no others, so that two changes from two places, or one after the
 * other in a moment, are both kept.
 */
export const settingsChange = settingsBody
  .extend({
    units: settingsBody.shape.units.partial().strict(),
    evenings: settingsBody.shape.evenings.partial().strict(),
    cover: settingsBody.shape.cover.partial().strict(),
  })
  .partial()
  .strict()
/** What changes of the settings. */
export type SettingsChange = z.input<typeof settingsChange>

/** The user’s units, habits and schools. */
export type SettingsBody = z.infer<typeof settingsBody>

/** What a new data directory starts from. */
export const defaultSettings: SettingsBody = {
  units: { smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' },
  currency: 'EUR',
  timeZone: 'Europe/London',
  parCount: 3,
  serviceLevel: 0.9,
  evenings: { minutes: 60, weekdays: [1, 2, 3, 4, 5, 6, 7] },
  cover: { sizes: true, lightAndHeavy: true, alternatives: 3, anchors: 3 },
  backupFolder: null,
  singleKeys: true,
  theme: 'system',
  noLead: true,
  school: 'sizeAndStage',
  hookSteps: 'wholeSizes',
  weightCode: null,
}
