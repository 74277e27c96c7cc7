import { randomBytes } from 'node:crypto'
import type { RequestHandler, Response } from 'express'
import helmet from 'helmet'
import { ProblemError } from '../problems/problem.ts'

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]']

/** Whether a host is this machine itself, on whatever port. */
export const isLoopback = (host: string): boolean => LOOPBACK.includes(host.replace(/:\d+$/, ''))

/** Answers only where it is called by a name of its own, and to pages of its own origin: a page elsewhere cannot write here. */
export function sameOrigin(
  isOwn: (host: string) => boolean,
  scheme: 'http' | 'https' = 'http',
): RequestHandler {
  return (request, _response, next) => {
    const host = request.headers.host ?? ''
    if (!isOwn(host)) {
      const name = host.replace(/:\d+$/, '')
      return next(new ProblemError('forbiddenOrigin', `This server does not answer to ${name || 'no name'}.`))
    }
    const { origin } = request.headers
    if (origin && origin !== `${scheme}://${host}`) {
      return next(new ProblemError('forbiddenOrigin', 'Only pages of this server may talk to it.'))
    }
    next()
  }
}

/** The nonce of a response, for its styles. */
export const nonceOf = (response: Response): string => String(response.locals.nonce)

/** What both kinds of pages never do. */
const NEVER = { objectSrc: ["'none'"], baseUri: ["'none'"], formAction: ["'self'"], frameAncestors: ["'none'"] }

/** Gives each response a nonce of its own. */
const withNonce: RequestHandler = (_request, response, next) => {
  response.locals.nonce = randomBytes(16).toString('base64')
  next()
}

/** Security headers of what phones are served: pages with everything inlined, which ask their own server alone. */
export function phoneHeaders(): RequestHandler[] {
  return [
    withNonce,
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: [(_request, response) => `'nonce-${nonceOf(response as Response)}'`],
          styleSrc: ["'unsafe-inline'"],
          imgSrc: ['data:', 'blob:'],
          fontSrc: ['data:'],
          connectSrc: ["'self'"],
          ...NEVER,
        },
      },
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: false,
      // a form whose page says nothing of where it is would come with no origin
      referrerPolicy: { policy: 'same-origin' },
    }),
  ]
}

/** Security headers with a strict content security policy; styles carry a nonce of their own for each response. */
export function securityHeaders(): RequestHandler[] {
  return [
    withNonce,
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
          ...NEVER,
        },
      },
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: false,
    }),
  ]
}
