import { eq } from 'drizzle-orm'
import { wording } from '../../core/index.ts'
import { command, commandBodies } from '../../contract/index.ts'
import type { CommandBody, CommandKind, CommandResult, ReachId, SettingsBody } from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import type { Database, Tx } from '../db/database.ts'
import { constraintCode } from '../db/errors.ts'
import { action, setting } from '../db/schema.ts'
import { forgetFamilies } from '../read/families.ts'
import type { FigureKeeper } from '../upkeep/figureKeeper.ts'
import { refreshFigures, remeasureFigures } from '../upkeep/figures.ts'
import { canonicalJson, contentHash } from '../db/ids.ts'
import { invalid, ProblemError } from '../problems/problem.ts'
import {
  batchCount,
  batchFinish,
  batchNote,
  batchOnVise,
  batchPlan,
  batchSpoiledCause,
  batchWay,
} from './bench.ts'
import type { Handler } from './context.ts'
import { familyCreate } from './families.ts'
import { foodStageArchive, foodStageRestore, foodStageSave, larderPutIn } from './foods.ts'
import { fliesCount, fliesLose, fliesMove } from './flies.ts'
import { dropTestSave, lineCountSave, measurementArchive, weighingSave } from './measurements.ts'
import { drillDone, outingNote, outingTakeIn } from './waterside.ts'
import { patternArchive, patternSave, variantHome } from './patterns.ts'
import {
  boxCreate,
  outingSave,
  reachSave,
  settingsSave,
  spellArchive,
  spellSave,
  reachAdd,
  reachArchive,
  waterCreate,
  waterFood,
  waterSave,
} from './places.ts'
import { outingPack, outingUnpack } from './packing.ts'
import { photoAttach } from './photos.ts'
import { eveningSet, planFix } from './plan.ts'
import { purchaseArrive, purchaseClose, purchaseOrder } from './purchases.ts'
import { fliesPutIn, storesPutIn } from './putIn.ts'
import { makeWorks } from './works.ts'
import type { Works } from './works.ts'
import { makeRecorder } from './recorder.ts'
import type { Image, TableName } from './images.ts'
import {
  observationArchive,
  observationSave,
  readingsArchive,
  readingsImport,
  sampleSave,
  sumUpDays,
} from './season.ts'
import { rigArchive, rigKnots, rigSave } from './rigs.ts'
import { hookMeasure, lineSpool, materialEntry, materialSave } from './stores.ts'
import { forgetFigures } from '../read/variants.ts'
import { undo } from './undo.ts'

const handlers: { readonly [Kind in CommandKind]: Handler<CommandBody<Kind>> } = {
  patternSave, patternArchive, variantHome, batchPlan, batchNote, batchOnVise, batchCount, batchFinish, fliesLose, fliesCount, fliesPutIn, storesPutIn,
  fliesMove, materialEntry, materialSave, hookMeasure, lineSpool, boxCreate, waterCreate, waterFood, waterSave, reachSave, reachAdd, reachArchive, outingSave, outingNote, outingTakeIn, drillDone, spellSave, spellArchive, settingsSave, undo,
  dropTestSave, weighingSave, lineCountSave, measurementArchive, readingsImport, readingsArchive, observationSave, sampleSave, observationArchive,
  foodStageSave, larderPutIn, foodStageRestore, foodStageArchive, batchWay, batchSpoiledCause, outingPack, outingUnpack, photoAttach, planFix,
  rigSave, rigKnots, rigArchive, purchaseOrder, purchaseArrive, purchaseClose, familyCreate, eveningSet,
} // prettier-ignore

/** Figures that a write works out itself, so that they are there at once; others come behind. */
const AT_ONCE = 120

/** The one way to write. */
export interface CommandService {
  /** Carries out a write once; the same id again answers what was answered then. */
  readonly execute: (input: unknown) => Promise<CommandResult>
  /** long writes that are under way */
  readonly works: Pick<Works, 'all' | 'stop'>
}

/** What a refused statement means to the user, where the database was the one to notice. */
function refusal(error: unknown): ProblemError | null {
  switch (constraintCode(error)) {
    case 'SQLITE_CONSTRAINT_UNIQUE':
      return new ProblemError('nameTaken', 'That name is taken. Choose another.', [
        { path: 'name', message: 'That name is taken.' },
      ])
    case 'SQLITE_CONSTRAINT_PRIMARYKEY':
      return new ProblemError('commandReused', 'That id is in use already.')
    case 'SQLITE_CONSTRAINT_FOREIGNKEY':
      return new ProblemError('unknownId', 'It refers to something that is not here.')
    case 'SQLITE_CONSTRAINT_CHECK':
      return new ProblemError('tooFewFlies', 'That would leave fewer than none. Count it now.')
    default:
      return null
  }
}

const answer = (row: Pick<typeof action.$inferSelect, 'id' | 'label' | 'undoable'>): CommandResult => ({
  actionId: row.id,
  label: wording.actionSentence(row.label),
  undoable: row.undoable,
})

/** Sums the days of each reach up anew of which an import came or went. */
async function sumUpChanged(tx: Tx, images: readonly Image[]): Promise<void> {
  for (const image of images) {
    if (image.kind !== 'row' || image.table !== 'readingImport') continue
    const row = (image.after ?? image.before) as unknown as { reachId: ReachId; depthMm: number }
    await sumUpDays(tx, row.reachId, row.depthMm)
  }
}

/** Whether an action left a recipe that has no figures yet: a new one, or one that a redo brought back. */
const madeRecipe = (images: readonly Image[]): boolean =>
  images.some((image) => image.kind === 'row' && image.table === 'variantRevision' && image.after !== null)

/** What of a row moves the figures of recipes: a measurement, a measured hook, the counting of sizes. */
function figureInput(table: TableName, row: Record<string, unknown> | null): unknown {
  switch (table) {
    case 'dropTest':
    case 'weighing':
      return row
    case 'material':
      return row?.overrides ?? {}
    case 'setting':
      return (row?.body as SettingsBody | undefined)?.hookSteps
    default:
      return null
  }
}

/** Whether an action changed what the figures of all recipes hang on. */
const movesFigures = (images: readonly Image[]): boolean =>
  images.some((image) => {
    if (image.kind !== 'row') return false
    const [before, after] = [figureInput(image.table, image.before), figureInput(image.table, image.after)]
    return before !== after && canonicalJson(before) !== canonicalJson(after)
  })

/** The one way to write: checks, runs and records a command in one transaction. */
export function makeCommandService(database: Database, clock: Clock, figures: FigureKeeper): CommandService {
  const works = makeWorks()
  async function execute(input: unknown): Promise<CommandResult> {
    const envelope = command.safeParse(input)
    if (!envelope.success) throw invalid(envelope.error)
    const { id, kind } = envelope.data
    const parsed = commandBodies[kind].safeParse(envelope.data.body)
    if (!parsed.success) throw invalid(parsed.error)
    const handler = handlers[kind] as Handler<unknown>
    try {
      let remeasured = false
      let madeFamily = false
      let toCome = 0
      const answered = await works.run(id, (pace) =>
        database.write(async (tx) => {
          // a table's check, hash and record are each a moment's work: others have their turn between them
          await pace.breathe()
          const requestHash = contentHash([kind, parsed.data])
          await pace.breathe()
          const [known] = await tx.select().from(action).where(eq(action.id, id))
          if (known && known.requestHash !== requestHash) {
            throw new ProblemError('commandReused', 'This id was used for something else.')
          }
          if (known) return answer(known)
          const [settings] = await tx.select().from(setting)
          if (!settings) throw new Error('the settings row is missing')
          const nowMs = clock.nowMs()
          const recorder = makeRecorder(tx)
          const outcome = await handler(
            { tx, recorder, actionId: id, nowMs, settings: settings.body, pace },
            parsed.data,
          )
          const row = {
            id,
            kind,
            atMs: nowMs,
            label: outcome.label,
            requestHash,
            result: outcome.eventId ? { eventId: outcome.eventId } : {},
            before: recorder.images,
            undoable: outcome.undoable ?? true,
            undoesActionId: outcome.undoes ?? null,
          }
          await pace.breathe()
          await tx.insert(action).values(row)
          await pace.breathe()
          await sumUpChanged(tx, recorder.images)
          remeasured = movesFigures(recorder.images)
          madeFamily = recorder.images.some((image) => image.kind === 'row' && image.table === 'family')
          if (remeasured) toCome = await remeasureFigures(tx, AT_ONCE)
          else if (madeRecipe(recorder.images)) toCome = await refreshFigures(tx, AT_ONCE)
          return answer(row)
        }),
      )
      if (remeasured || madeFamily) forgetFamilies(database.db)
      if (remeasured) forgetFigures(database.db)
      if (toCome > 0) void figures.catchUp()
      return answered
    } catch (error) {
      throw refusal(error) ?? error
    }
  }
  return { execute, works }
}
