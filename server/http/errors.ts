import type { ErrorRequestHandler, RequestHandler } from 'express'
import { PROBLEM_STATUS } from '../../contract/index.ts'
import { isAway, isBusy, isFull, isClosed, sqliteCode } from '../db/errors.ts'
import { ProblemError, toProblem } from '../problems/problem.ts'
import type { Logger } from 'pino'

/** Anything under /api that no route took. */
export const notFound: RequestHandler = (_request, _response, next) => {
  next(new ProblemError('notFound', 'There is nothing at this address.'))
}

/** What the file of the database refuses, in words; null for anything else. */
function storageTrouble(error: unknown): ProblemError | null {
  if (isClosed(error)) return new ProblemError('busy', 'The database is being opened. Try again in a moment.')
  if (isAway(error))
    return new ProblemError(
      'busy',
      'The server that keeps the database does not answer. Try again in a moment.',
    )
  if (isBusy(error))
    return new ProblemError('busy', 'Another program holds the database. Try again in a moment.')
  if (isFull(error))
    return new ProblemError('storageFull', 'The disk is full: nothing was changed. Make room and try again.')
  const code = sqliteCode(error) ?? ''
  if (/^SQLITE_(READONLY|CANTOPEN|PERM)/.test(code))
    return new ProblemError('storageReadOnly', 'The data directory cannot be written: nothing was changed.')
  if (/^SQLITE_(CORRUPT|NOTADB)/.test(code))
    return new ProblemError(
      'databaseDamaged',
      'The database is damaged: nothing was changed. Put a copy back from Settings, or with npm run restore.',
    )
  return null
}

function asProblemError(error: unknown, log: Logger): ProblemError {
  if (error instanceof ProblemError) return error
  const { type } = error as { type?: string }
  if (type === 'entity.too.large')
    return new ProblemError(
      'bodyTooLarge',
      'That is more than is taken at once (256 kB; a table 4 MB, a picture 8 MB). Send less.',
    )
  if (type === 'entity.parse.failed') return new ProblemError('malformedJson', 'The body is no JSON.')
  if (type?.startsWith('encoding.') || type?.startsWith('charset.')) {
    return new ProblemError('malformedJson', 'The body has an encoding that is not read here.')
  }
  // what the framework refuses before anything of ours is asked: an address or a body that cannot be read
  const { status } = error as { status?: unknown }
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new ProblemError('malformedJson', 'The request cannot be read.')
  const ofStorage = storageTrouble(error)
  if (ofStorage) {
    log.error({ error }, ofStorage.message)
    return ofStorage
  }
  log.error({ error }, 'a request failed')
  return new ProblemError('internal', 'Something broke here. Nothing was changed; try once more.')
}

/** The one exit for errors: a problem document. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, _next) => {
    const problem = asProblemError(error, log)
    if (response.headersSent) return
    response.status(PROBLEM_STATUS[problem.code]).type('application/problem+json').json(toProblem(problem))
  }
}
