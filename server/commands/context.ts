import type { ActionLabel } from '../../core/index.ts'
import type { ActionId, SettingsBody } from '../../contract/index.ts'
import type { Tx } from '../db/database.ts'
import type { Recorder } from './recorder.ts'
import type { Pace } from './works.ts'

/** What a handler works with: one transaction, its recorder, the time, and the user's habits. */
export interface CommandContext {
  readonly tx: Tx
  readonly recorder: Recorder
  readonly actionId: ActionId
  readonly nowMs: number
  readonly settings: SettingsBody
  readonly pace: Pace
}

/** What a handler leaves behind: how the action is called, and whether it can be undone. */
export interface Outcome {
  readonly label: ActionLabel
  readonly undoable?: boolean
  /** the event at the vise that it noted, for undo to find again */
  readonly eventId?: string
  /** the action that this one takes back */
  readonly undoes?: string
}

/** Carries out one kind of command within a transaction. */
export type Handler<Body> = (context: CommandContext, body: Body) => Promise<Outcome>
