import { z } from 'zod'

/** Every error that the server answers with, and its HTTP status. One vocabulary, one table. */
export const PROBLEM_STATUS = {
  invalidInput: 400,
  malformedJson: 400,
  unknownId: 404,
  notFound: 404,
  staleVersion: 409,
  commandReused: 409,
  nameTaken: 409,
  tooFewFlies: 409,
  overCapacity: 409,
  batchEnded: 409,
  rigFished: 409,
  nothingCounted: 409,
  stopped: 409,
  viseTaken: 409,
  cannotUndo: 409,
  notAPicture: 415,
  notPaired: 401,
  incompleteRecipe: 422,
  bodyTooLarge: 413,
  forbiddenOrigin: 403,
  otherData: 403,
  tooManyRequests: 429,
  damagedCopy: 409,
  databaseDamaged: 500,
  internal: 500,
  busy: 503,
  storageReadOnly: 503,
  storageFull: 507,
} as const
/** What can go wrong, as a word that programs read. */
export type ProblemCode = keyof typeof PROBLEM_STATUS

/** A problem document (RFC 9457) with the fields that are at fault. */
export const problem = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number().int(),
    code: z.enum(Object.keys(PROBLEM_STATUS) as [ProblemCode, ...ProblemCode[]]),
    detail: z.string(),
    fields: z.array(z.object({ path: z.string(), message: z.string() })),
    /** the row as it is now, where a save was stale */
    current: z.unknown().optional(),
  })
  .meta({ id: 'Problem' })
/** What went wrong, as RFC 9457 has it, with the fields that are at fault. */
export type Problem = z.infer<typeof problem>
