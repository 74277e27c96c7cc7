import type { CommandBody } from '../../contract/index.ts'
import { photo } from '../db/schema.ts'
import { eq } from 'drizzle-orm'
import { ProblemError } from '../problems/problem.ts'
import type { Handler } from './context.ts'

/** Attaches a picture that was taken in to a drawer or a batch, or takes it off. */
export const photoAttach: Handler<CommandBody<'photoAttach'>> = async ({ tx, recorder }, body) => {
  const { subject, subjectId, photoId } = body
  if (photoId) {
    const [there] = await tx.select({ id: photo.id }).from(photo).where(eq(photo.id, photoId))
    if (!there) throw new ProblemError('unknownId', 'There is no such picture.')
  }
  await recorder.need(subject, subjectId, subject === 'material' ? 'material' : 'batch')
  await recorder.update(subject, subjectId, null, { photoId })
  return { label: { code: photoId ? 'photoAttached' : 'photoTakenOff', subject: '' } }
}
