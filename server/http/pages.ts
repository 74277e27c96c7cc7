import express, { Router } from 'express'
import type { Response } from 'express'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import type { Carried } from '../../contract/index.ts'
import { ProblemError } from '../problems/problem.ts'
import { nonceOf } from './security.ts'

const NONCE_PLACEHOLDER = /__CSP_NONCE__/g

/**
 * The API's documentation, read with Swagger UI from this server alone.
 *
 * @param describe makes the document; it takes a tenth of a start, so that it is made when someone first asks
 */
export function docsRouter(describe: () => unknown): Router {
  const router = Router()
  let document: unknown
  const folder = dirname(
    createRequire(join(process.cwd(), 'package.json')).resolve('swagger-ui-dist/package.json'),
  )
  router.get('/api/openapi.json', (_request, response) => {
    response.json((document ??= describe()))
  })
  router.get('/api/docs', (_request, response) => {
    const nonce = nonceOf(response)
    response.type('html')
      .send(`<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Heavy Thistle API</title>
<link rel="stylesheet" href="/api/docs/swagger-ui.css"></head><body><div id="docs"></div>
<script src="/api/docs/swagger-ui-bundle.js"></script>
<script nonce="${nonce}">SwaggerUIBundle({ url: '/api/openapi.json', dom_id: '#docs' })</script></body></html>`)
  })
  router.use('/api/docs', express.static(folder, { index: false, maxAge: '1d' }))
  return router
}

/** Text within a script element: nothing in it ends the element, whatever a fly is called. */
const asJsonInPage = (value: unknown): string => JSON.stringify(value).replaceAll('<', '\\u003c')

/**
 * Puts what a page carries into the page that goes along. A file asks no network; a page that was opened from home may
 * ask home, and where a nonce is given, no script runs without it.
 */
export type FillPage = (carried: Carried, nonce?: string) => string

/** The page that goes along, as it was built; read when someone first takes it along. */
export function fillPageFrom(folder: string): FillPage {
  let template: string | undefined
  return (carried, nonce) => {
    template ??= readFileSync(join(folder, 'index.html'), 'utf8')
    // by a function: in a text, `$&` and its like would mean something
    return template
      .replace('__HOME__', carried.home ? "'self'" : "'none'")
      .replace('<script type="module"', `<script${nonce ? ` nonce="${nonce}"` : ''} type="module"`)
      .replace('__CARRIED__', () => asJsonInPage(carried))
  }
}

/** Answers with the page that goes along as a file; refused where there is nothing to fill it with. */
export function sendAlongFile(response: Response, fillPage: FillPage | null, carried: Carried | null): void {
  if (!carried || !fillPage) throw new ProblemError('notFound', 'There is no such outing to take along.')
  response.type('html').attachment(`at-the-water-${carried.along.outing.on}.html`).send(fillPage(carried))
}

/** The built pages: hashed files are kept by the browser, the page itself never. */
export function pagesRouter(webFolder: string): Router {
  const router = Router()
  const page = readFileSync(join(webFolder, 'index.html'), 'utf8')
  router.use(
    '/assets',
    express.static(join(webFolder, 'assets'), { index: false, immutable: true, maxAge: '1y' }),
  )
  router.use(express.static(webFolder, { index: false, maxAge: '1h' }))
  router.get(/^\/(?!(?:api|assets)\/).*/, (_request, response) => {
    response
      .type('html')
      .setHeader('Cache-Control', 'no-store')
      .send(page.replace(NONCE_PLACEHOLDER, nonceOf(response)))
  })
  return router
}
