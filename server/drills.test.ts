import { afterEach, describe, expect, it } from 'vitest'
import { v7 } from 'uuid'
import type { DrillsView } from '../contract/index.ts'
import { box, midge, placeA, variantId } from './testing/smallBox.ts'
import { river } from './testing/smallRiver.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
afterEach(() => server.close())

const newId = () => v7() as never
const drills = async () => (await server.get('/api/drills').expect(200)).body as DrillsView

describe('drills', () => {
  it('are of the flies in the boxes, and of what lives in one’s own waters', async () => {
    await server.command('waterCreate', river).expect(200)
    await server.command('boxCreate', box).expect(200)
    await server.command('patternSave', midge()).expect(200)
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 5 }).expect(200)
    const { flies, stages, standings } = await drills()
    expect(flies).toMatchObject([{ variantId }])
    // of one kind of fly either the fall is asked or how it sits, never both
    for (const { floats, fallMmPerS, cut } of flies) expect(floats ? fallMmPerS : cut).toBeNull()
    const olive = stages.find(({ foodKey, stage }) => foodKey === 'dark-olive' && stage === 'dun')
    expect(olive?.groupKey).toBe('mayfly')
    expect(olive?.hookRanges.length).toBeGreaterThan(0)
    // midges of lakes do not live in a freestone river
    expect(stages.some(({ groupKey }) => groupKey === 'midgeLake')).toBe(false)
    expect(standings).toEqual({})
  })

  it('keep what was answered, so that it comes again when it is due; taken back, it was never asked', async () => {
    const atMs = Date.UTC(2026, 5, 4)
    const answer = (subject: string, isRight: boolean) => ({ id: newId(), subject, atMs, isRight })
    const answers = [answer('a', true), answer('b', false)]
    const { body } = await server.command('drillDone', { drill: 'howDeep', answers }).expect(200)
    expect((body as { label: string }).label).toBe('Drilled how deep after a count')
    const kept = (await drills()).standings.howDeep?.toSorted((a, b) => a.subject.localeCompare(b.subject))
    expect(kept).toEqual([
      { subject: 'a', dueMs: atMs + 86_400_000, isMissed: false },
      { subject: 'b', dueMs: atMs, isMissed: true },
    ])
    await server.command('undo', { actionId: (body as { actionId: never }).actionId }).expect(200)
    expect((await drills()).standings).toEqual({})
  })

  it('refuse what is no drill, and an answer about nothing', async () => {
    const answers = [{ id: newId(), subject: 'a', atMs: 1, isRight: true }]
    await server.command('drillDone', { drill: 'poker' as never, answers }).expect(400)
    await server.command('drillDone', { drill: 'howDeep', answers: [] }).expect(400)
    const [one] = answers
    await server.command('drillDone', { drill: 'howDeep', answers: [{ ...one!, subject: '' }] }).expect(400)
  })
})
