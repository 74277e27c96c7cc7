import { PROBLEM_STATUS } from '../../contract/index.ts'
import type { Problem, ProblemCode } from '../../contract/index.ts'
import type { z } from 'zod'

/** What went wrong in words that a user can act on; thrown by services, answered by one handler. */
export class ProblemError extends Error {
  readonly code: ProblemCode
  readonly fields: Problem['fields']
  readonly current: unknown

  constructor(code: ProblemCode, detail: string, fields: Problem['fields'] = [], current?: unknown) {
    super(detail)
    this.code = code
    this.fields = fields
    this.current = current
  }
}

const TITLES: Readonly<Record<ProblemCode, string>> = {
  invalidInput: 'Something in the entry needs a change',
  malformedJson: 'This is no JSON',
  unknownId: 'This is not here',
  notFound: 'There is nothing at this address',
  staleVersion: 'Changed elsewhere in the meantime',
  commandReused: 'This id was used for something else',
  nameTaken: 'The name is taken',
  tooFewFlies: 'There are not so many',
  overCapacity: 'The compartment is full',
  batchEnded: 'The batch has ended',
  rigFished: 'This rig was fished',
  stopped: 'Stopped',
  nothingCounted: 'Nothing is counted yet',
  viseTaken: 'Another batch is on the vise',
  cannotUndo: 'This cannot be undone now',
  notAPicture: 'This is no picture',
  notPaired: 'This phone is not paired',
  incompleteRecipe: 'The recipe lacks something',
  bodyTooLarge: 'Too large',
  forbiddenOrigin: 'Not from here',
  otherData: 'Meant for other data',
  tooManyRequests: 'Too many requests',
  damagedCopy: 'This copy cannot be used',
  databaseDamaged: 'The database is damaged',
  internal: 'Something broke here',
  busy: 'Busy for a moment',
  storageReadOnly: 'Nothing can be written',
  storageFull: 'The disk is full',
}

/** The problem document of an error. */
export function toProblem(error: ProblemError): Problem {
  return {
    type: `urn:heavy-thistle:problem:${error.code}`,
    title: TITLES[error.code],
    status: PROBLEM_STATUS[error.code],
    code: error.code,
    detail: error.message,
    fields: error.fields,
    ...(error.current === undefined ? {} : { current: error.current }),
  }
}

/** Faults of a schema as fields; the first one is the detail. */
export function invalid(error: z.ZodError, prefix = ''): ProblemError {
  const fields = error.issues.map(({ path, message }) => ({
    path: [prefix, ...path.map(String)].filter(Boolean).join('.'),
    message,
  }))
  return new ProblemError('invalidInput', fields[0]?.message ?? 'Check the entry.', fields)
}
