import { and, eq, isNull } from 'drizzle-orm'
import type { CommandBody, RigId } from '../../contract/index.ts'
import { fliesOnRig } from '../../core/index.ts'
import { spell } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'

/** Refuses to change what was fished: what is written down of it would be of another rig. */
async function mustNotBeFished({ tx }: CommandContext, rigId: RigId): Promise<void> {
  const [fished] = await tx
    .select({ id: spell.id })
    .from(spell)
    .where(and(eq(spell.rigId, rigId), isNull(spell.archivedAtMs)))
    .limit(1)
  if (fished) throw new ProblemError('rigFished', 'It was fished: it stays as it is. Save a copy of it.')
}

/** Makes a rig, or changes one that was not fished yet. */
export const rigSave: Handler<CommandBody<'rigSave'>> = async (context, { rigId, version, rig }) => {
  const { recorder } = context
  for (const fly of fliesOnRig(rig.parts)) if (fly !== null) await recorder.need('variant', fly, 'variant')
  if (version === null) await recorder.insert('rig', { ...rig, id: rigId })
  else {
    await mustNotBeFished(context, rigId)
    await recorder.update('rig', rigId, version, rig)
  }
  return { label: { code: version === null ? 'rigMade' : 'rigSaved', subject: rig.name } }
}

/** Notes when its knots and its tippet were tied anew: a rig that was fished stays what it is. */
export const rigKnots: Handler<CommandBody<'rigKnots'>> = async ({ recorder }, { rigId, version, on }) => {
  const { name } = await recorder.need('rig', rigId, 'rig')
  await recorder.update('rig', rigId, version, { knotsOn: on })
  return { label: { code: 'rigKnots', subject: name } }
}

/** Puts a rig away; what was fished on it keeps it. */
export const rigArchive: Handler<CommandBody<'rigArchive'>> = async (context, { rigId, version }) => {
  const { name } = await context.recorder.need('rig', rigId, 'rig')
  await context.recorder.update('rig', rigId, version, { archivedAtMs: context.nowMs })
  return { label: { code: 'rigArchived', subject: name } }
}
