import { randomBytes } from 'node:crypto'
import type { RequestHandler, Response } from 'express'
import helmet from 'helmet'
import { ProblemError } from '../problems/problem.ts'

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]']

/** Answers only to loopback names, and to pages of its own origin: a page elsewhere cannot write here. */
export function sameOrigin(): RequestHandler {
  return (request, _response, next) => {
    const host = request.headers.host ?? ''
    const name = host.replace(/:\d+$/, '')
    if (!LOOPBACK.includes(name))
      return next(new ProblemError('forbiddenOrigin', `This server does not answer to ${name || 'no name'}.`))
    const { origin } = request.headers
    if (origin && origin !== `http://${host}`) {
      return next(new ProblemError('forbiddenOrigin', 'Only pages of this server may talk to it.'))
    }
    next()
  }
}

/** The nonce of a response, for its styles. */
export const nonceOf = (response: Response): string => String(response.locals.nonce)

/** Security headers with a strict content security policy; styles carry a nonce of their own for each response. */
export function securityHeaders(): RequestHandler[] {
  return [
    (_request, response, next) => {
      response.locals.nonce = randomBytes(16).toString('base64')
      next()
    },
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // the solver of plans is WebAssembly: compiling it is no evaluation of text
          scriptSrc: [
            "'self'",
            "'wasm-unsafe-eval'",
            (_request, response) => `'nonce-${nonceOf(response as Response)}'`,
          ],
          styleSrc: ["'self'", (_request, response) => `'nonce-${nonceOf(response as Response)}'`],
          styleSrcAttr: ["'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: false,
    }),
  ]
}
