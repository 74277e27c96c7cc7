import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Carried } from '../../contract/index.ts'
import { fillPageFrom } from './pages.ts'

let folder: string
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'along-'))
  await writeFile(
    join(folder, 'index.html'),
    '<meta content="connect-src __HOME__"><main></main><script type="application/json" id="carried">__CARRIED__</script><script type="module">run()</script>',
  )
})
afterEach(() => rm(folder, { recursive: true }))

describe('the page that goes along', () => {
  it.each([
    '</script><script>alert(1)</script>',
    '<!--<script>',
    '<img src=x onerror=alert(1)>',
    "$& $1 $` $'",
    '__CARRIED__',
    'Größe “14”\u2028',
  ])('carries a fly that is called %s as text, and nothing more of a page', (name) => {
    const carried = { dataId: 'data', along: { flies: [{ name }] } } as unknown as Carried
    const page = fillPageFrom(folder)(carried)
    const [, text = ''] = /id="carried">([^]*?)<\/script>/.exec(page) ?? []
    expect(JSON.parse(text)).toEqual(carried)
    expect(page.match(/<script/g)?.length).toBe(2)
    expect(page).not.toContain('<img')
  })

  it('asks nobody from a file; opened from home it asks home, and runs no script without the nonce', () => {
    const fill = fillPageFrom(folder)
    const carried = (home: string | null) => ({ dataId: 'data', home }) as unknown as Carried
    expect(fill(carried(null))).toContain("connect-src 'none'")
    expect(fill(carried(null))).not.toContain('nonce')
    const atHome = fill(carried('/outings/one/log'), 'abc')
    expect(atHome).toContain("connect-src 'self'")
    expect(atHome).toContain('<script nonce="abc" type="module">run()')
  })
})
