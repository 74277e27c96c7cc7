import { z } from 'zod'

/** Why a copy of the database was made. */
export const BACKUP_REASONS = ['daily', 'upgrade', 'restore', 'asked'] as const

/** The file name of a copy that this program made: when, to the second in UTC, and why. */
export const backupName = z
  .string()
  .regex(
    /^heavy-thistle-\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2}(-\d+)?-(daily|upgrade|restore|asked)\.db$/,
    'This is no copy.',
  )

/** A copy of the database beside it. */
export const backup = z.object({
  name: backupName,
  atMs: z.number(),
  reason: z.enum(BACKUP_REASONS),
  sizeBytes: z.number(),
})
/** A copy of the database beside it. */
export type Backup = z.infer<typeof backup>

/** Copies of the database, newest first, where they lie, and what became of the latest attempt. */
export const backupsView = z
  .object({
    folder: z.string(),
    backups: z.array(backup),
    /** why the latest copy or restore failed; null where it went well */
    trouble: z.string().nullable(),
    /** the sentence that a restore left, until the next start */
    restored: z.string().nullable(),
  })
  .meta({ id: 'Backups' })
/** Copies of the database, newest first. */
export type BackupsView = z.infer<typeof backupsView>

/** How many of a kind of record there are now, and in a copy. */
const counted = z.object({ now: z.number(), then: z.number() })
/** How many records of each kind a database has. */
export const RECORD_KINDS = [
  'patterns',
  'variants',
  'flies',
  'drawers',
  'measurements',
  'outings',
  'actions',
] as const
/** A kind of record that is counted where two databases are set side by side. */
export type RecordKind = (typeof RECORD_KINDS)[number]

/** What would change if a copy were put back. */
export const backupPreview = z
  .object({
    name: backupName,
    counts: z.record(z.enum(RECORD_KINDS), counted),
    /** what was done since, newest first: at most 20 of them by name */
    lost: z.array(z.object({ label: z.string(), atMs: z.number() })),
    lostCount: z.number(),
  })
  .meta({ id: 'BackupPreview' })
/** What would change if a copy were put back. */
export type BackupPreview = z.infer<typeof backupPreview>
