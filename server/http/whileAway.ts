import type { RequestListener } from 'node:http'
import { ProblemError, toProblem } from '../problems/problem.ts'

/** Answers while a copy is put in the place of the database: come again in a moment. */
export const whileAway: RequestListener = (_request, response) => {
  const problem = toProblem(new ProblemError('busy', 'A copy is being put back. Try again in a moment.'))
  response
    .writeHead(problem.status, { 'Content-Type': 'application/problem+json', 'Cache-Control': 'no-store' })
    .end(JSON.stringify(problem))
}
