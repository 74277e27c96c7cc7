import { z } from 'zod'
import { actionId } from '../common.ts'
import { settingsChange } from '../records/settings.ts'
import { benchCommands } from './bench.ts'
import { boxCommands } from './boxes.ts'
import { measurementCommands } from './measurements.ts'
import { patternCommands } from './patterns.ts'
import { planCommands } from './plan.ts'
import { seasonCommands } from './season.ts'
import { storeCommands } from './stores.ts'
import { waterCommands } from './waters.ts'

/** Every write, by kind. The body is what the kind's handler needs and nothing else. */
export const commandBodies = {
  ...patternCommands,
  ...benchCommands,
  ...boxCommands,
  ...storeCommands,
  ...seasonCommands,
  ...waterCommands,
  ...planCommands,
  ...measurementCommands,
  settingsSave: z.object({ change: settingsChange }).strict(),
  undo: z.object({ actionId }).strict(),
} as const

/** The name of a command: what kind of write it is. */
export type CommandKind = keyof typeof commandBodies
/** The body of a command of one kind, as its schema lets it through. */
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
/** What a write answers; a repeated one answers the same. */
export type CommandResult = z.infer<typeof commandResult>
