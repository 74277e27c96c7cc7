import type { ErrorRequestHandler, RequestHandler } from 'express'
import { PROBLEM_STATUS } from '../../contract/index.ts'
import { ProblemError, toProblem } from '../problems/problem.ts'
import type { Logger } from 'pino'

/** Anything under /api that no route took. */
export const notFound: RequestHandler = (_request, _response, next) => {
  next(new ProblemError('notFound', 'There is nothing at this address.'))
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
