import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { ActionLabel } from '../../../core/index.ts'
import type { ActionId, SettingsBody } from '../../../contract/index.ts'
import { editable, id, json } from './columns.ts'

/** Each write: its command’s id, its label, what rows were before and after it. */
export const action = sqliteTable(
  'action',
  {
    id: id<ActionId>(),
    kind: text('kind').notNull(),
    atMs: integer('at_ms').notNull(),
    label: json<ActionLabel>('label').notNull(),
    requestHash: text('request_hash').notNull(),
    result: json<Record<string, unknown>>('result').notNull(),
    before: json<readonly unknown[]>('before').notNull(),
    undoable: integer('undoable', { mode: 'boolean' }).notNull(),
    undoesActionId: text('undoes_action_id').unique(),
  },
  (t) => [index('action_at').on(t.atMs)],
)

/** One row: units, habits, schools, and where a demo’s clock stands. */
export const setting = sqliteTable('setting', {
  id: id(),
  body: json<SettingsBody>('body').notNull(),
  /** the demo's clock: where it stands; null for the real one */
  clockStandsAtMs: integer('clock_stands_at_ms'),
  isDemo: integer('is_demo', { mode: 'boolean' }).notNull().default(false),
  /** tells these data from any others that were served at the same address */
  dataId: text('data_id').notNull().default(''),
  ...editable,
})
