import { eq } from 'drizzle-orm'
import type { CommandBody, MaterialId, VariantId } from '../../contract/index.ts'
import { family, material, pattern, variant } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'
import { drawerOf } from './stores.ts'

async function flyOf({ tx }: CommandContext, variantId: VariantId) {
  const [row] = await tx
    .select({ label: variant.label, name: pattern.name, revisionId: variant.currentRevisionId })
    .from(variant)
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(eq(variant.id, variantId))
  if (!row) throw new ProblemError('unknownId', 'There is no such fly.')
  return { name: `${row.name} ${row.label}`, revisionId: row.revisionId }
}

/** Records a drop test against the recipe as it is tied now; the version of a test already there changes it. */
export const dropTestSave: Handler<CommandBody<'dropTestSave'>> = async (context, body) => {
  const { testId, version, test } = body
  const { variantId, tippet, ...rest } = test
  const fly = await flyOf(context, variantId)
  const row = {
    ...rest,
    tippetDiameterMm: tippet?.diameterMm ?? null,
    tippetLengthMm: tippet?.lengthMm ?? null,
    tippetDensityMgPerMm3: tippet?.densityMgPerMm3 ?? null,
    tippetCurlDeg: tippet?.curlDeg ?? 0,
  }
  if (version === null) {
    await context.recorder.insert('dropTest', {
      ...row,
      id: testId,
      atMs: context.nowMs,
      variantRevisionId: fly.revisionId,
    })
  } else await context.recorder.update('dropTest', testId, version, row)
  return { label: { code: 'dropTimed', subject: fly.name, count: test.times.length } }
}

/** Keeps a count that was made with a rig. */
export const lineCountSave: Handler<CommandBody<'lineCountSave'>> = async (context, { lineCountId, count }) => {
  const { name } = await context.recorder.need('rig', count.rigId, 'rig')
  await context.recorder.insert('lineCount', { ...count, id: lineCountId, atMs: context.nowMs })
  return { label: { code: 'lineCounted', subject: name } }
}

/** Puts a test, a weighing or a count away: it counts no more. */
export const measurementArchive: Handler<CommandBody<'measurementArchive'>> = async (context, body) => {
  await context.recorder.update(body.kind, body.id, body.version, { archivedAtMs: context.nowMs })
  return { label: { code: 'measurementArchived', subject: '' } }
}

/** One piece of these weighs at most so many mg: a long 2/0 hook or a 6 mm tungsten bead with room to spare. */
const HEAVIEST_PIECE_MG = 5000
const PIECES: ReadonlySet<string> = new Set(['hook', 'bead', 'cone', 'eyes'])

/** Refuses what one hook or bead cannot weigh, as where grams were meant to be milligrams. */
async function checkPiece({ tx }: CommandContext, materialId: MaterialId, eachMg: number): Promise<void> {
  const [goods] = await tx
    .select({ kind: family.kind })
    .from(material)
    .innerJoin(family, eq(family.id, material.familyId))
    .where(eq(material.id, materialId))
  if (!goods || !PIECES.has(goods.kind) || eachMg <= HEAVIEST_PIECE_MG) return
  const message = `One would weigh more than ${HEAVIEST_PIECE_MG / 1000} g. Check the unit and how many lie on the scale.`
  throw new ProblemError('invalidInput', message, [{ path: 'weighing.totalMg', message }])
}

/** Records what the scale said of a drawer's goods or of finished flies. */
export const weighingSave: Handler<CommandBody<'weighingSave'>> = async (context, { weighingId, weighing }) => {
  const { subject, ...rest } = weighing
  const row = { ...rest, id: weighingId, atMs: context.nowMs }
  if (subject.kind === 'variant') {
    const fly = await flyOf(context, subject.variantId)
    await context.recorder.insert('weighing', { ...row, variantRevisionId: fly.revisionId, materialId: null })
    return { label: { code: 'weighed', subject: fly.name, count: weighing.count } }
  }
  const name = await drawerOf(context, subject.materialId)
  await checkPiece(context, subject.materialId, weighing.totalMg / weighing.count)
  await context.recorder.insert('weighing', { ...row, materialId: subject.materialId, variantRevisionId: null })
  return { label: { code: 'weighed', subject: name, count: weighing.count } }
}
