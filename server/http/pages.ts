import express, { Router } from 'express'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
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
