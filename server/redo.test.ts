import fc from 'fast-check'
import { afterEach, describe, expect, it } from 'vitest'
import type { BoxesView, CommandInput, CommandKind, PatternView, PatternsView } from '../contract/index.ts'
import { box, id, midge, patternId, placeA, placeB, variantId } from './testing/smallBox.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'
import { checkDatabase } from './upkeep/verify.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
afterEach(() => server.close())

const act = async <Kind extends CommandKind>(kind: Kind, body: CommandInput<Kind>): Promise<string> =>
  (await server.command(kind, body).expect(200)).body.actionId as string
const undo = (actionId: string) => act('undo', { actionId })

/** What a tier sees of flies and patterns. */
async function seen() {
  const { boxes } = (await server.get('/api/boxes').expect(200)).body as BoxesView
  const { patterns } = (await server.get('/api/patterns').expect(200)).body as PatternsView
  return {
    flies: boxes.flatMap(({ compartments }) =>
      compartments.flatMap(({ label, flies }) => flies.map(({ count, par }) => [label, count, par])),
    ),
    patterns: patterns.map(({ name, variants }) => [name, variants.length]),
  }
}

describe('actions that do not hang on one another', () => {
  const other = id('test:other-box')
  const [placeC, placeD] = [id('test:place-c'), id('test:place-d')]
  /** three that touch different things */
  const three = async () => [
    await act('fliesCount', { compartmentId: placeA, variantId, counted: 3 }),
    await act('fliesCount', { compartmentId: placeB, variantId, counted: 2 }),
    await act('boxCreate', {
      boxId: other,
      name: 'Other',
      note: '',
      compartments: [
        { id: placeC, row: 1, column: 1, label: 'C', capacity: 2 },
        { id: placeD, row: 2, column: 1, label: 'D', capacity: null },
      ],
    }),
  ]

  it('are undone and done again in any order', async () => {
    await act('boxCreate', box)
    await act('patternSave', midge())
    const before = await seen()
    const actions = await three()
    const after = await seen()
    const orders = fc.sample(fc.tuple(fc.shuffledSubarray([0, 1, 2], { minLength: 3 }), fc.shuffledSubarray([0, 1, 2], { minLength: 3 })), { numRuns: 12, seed: 5 }) // prettier-ignore
    let standing = actions
    for (const [takenBack, doneAgain] of orders) {
      const undos: string[] = []
      for (const i of takenBack) undos[i] = await undo(standing[i]!)
      expect(await seen()).toEqual(before)
      const redos: string[] = []
      for (const i of doneAgain) redos[i] = await undo(undos[i]!)
      expect(await seen()).toEqual(after)
      standing = redos
    }
    expect((await checkDatabase(server.database)).filter((line) => !line.startsWith('ok'))).toEqual([])
  })

  it('are each taken back once, whichever way round', async () => {
    await act('boxCreate', box)
    await act('patternSave', midge())
    const [first, second] = await three()
    const undone = await undo(first!)
    await undo(second!)
    await server.command('undo', { actionId: first! }).expect(409)
    const redone = await undo(undone)
    await server.command('undo', { actionId: undone }).expect(409)
    await undo(redone)
    await server.command('undo', { actionId: redone }).expect(409)
    expect((await seen()).flies.map(([label, count]) => [label, count])).toEqual([['A', 0]])
  })
})

describe('actions that do', () => {
  it('are refused in the wrong order, in words, and change nothing', async () => {
    await act('boxCreate', box)
    const saved = await act('patternSave', midge())
    const counted = await act('fliesCount', { compartmentId: placeA, variantId, counted: 3 })
    const moved = await act('fliesMove', { fromCompartmentId: placeA, toCompartmentId: placeB, variantId, count: 3, also: [], anyway: false }) // prettier-ignore
    const now = await seen()
    for (const actionId of [saved, counted]) {
      const { body } = await server.command('undo', { actionId }).expect(409)
      expect(body.detail).toMatch(/\w+ .*\./)
      expect(await seen()).toEqual(now)
    }
    for (const actionId of [moved, counted, saved]) await undo(actionId)
    expect(await seen()).toEqual({ flies: [], patterns: [] })
  })

  it('are refused too where a pattern that was put away and taken out again has flies since', async () => {
    await act('boxCreate', box)
    const saved = await act('patternSave', midge())
    await undo(await act('fliesCount', { compartmentId: placeA, variantId, counted: 3 }))
    const redone = await undo(await undo(saved))
    const counted = await act('fliesCount', { compartmentId: placeA, variantId, counted: 2 })
    const now = await seen()
    await server.command('undo', { actionId: redone }).expect(409)
    expect(await seen()).toEqual(now)
    await undo(counted)
    await undo(redone)
    expect((await seen()).patterns).toEqual([])
  })

  it('do again what made a pattern and put flies of it in, all in one', async () => {
    await act('boxCreate', box)
    const { newMaterials } = midge()
    const fly = { patternId, variantId, name: 'Bare', label: '#16', hookMaterialId: newMaterials[0]!.id }
    const lines = [{ compartmentId: placeA, variantId, count: 2 }]
    const before = await seen()
    const put = await act('fliesPutIn', { how: 'found', anyway: false, newMaterials: newMaterials.slice(0, 1), newFlies: [fly], lines }) // prettier-ignore
    const after = await seen()
    const undone = await undo(put)
    expect(await seen()).toEqual(before)
    const redone = await undo(undone)
    expect(await seen()).toEqual(after)
    await undo(redone)
    expect(await seen()).toEqual(before)
  })

  it('put a pattern away again that lay with flies in it', async () => {
    await act('boxCreate', box)
    await act('patternSave', midge())
    await act('fliesCount', { compartmentId: placeA, variantId, counted: 2 })
    const before = await seen()
    const away = await act('patternArchive', { patternId, version: 1 })
    const after = await seen()
    const back = await undo(away)
    expect(await seen()).toEqual(before)
    const again = await undo(back)
    expect(await seen()).toEqual(after)
    await undo(again)
    expect(await seen()).toEqual(before)
  })

  it('keep what a pattern says when it is edited, taken back and edited anew', async () => {
    await act('boxCreate', box)
    await act('patternSave', midge())
    const first = await act('patternSave', midge({ version: 1, note: 'One.', newMaterials: [] }))
    const second = await act('patternSave', midge({ version: 2, note: 'Two.', dislike: 1, newMaterials: [] }))
    const said = async () => {
      const { note, dislike } = (await server.get(`/api/patterns/${String(patternId)}`).expect(200))
        .body as PatternView
      return [note, dislike]
    }
    const undone = await undo(second)
    expect(await said()).toEqual(['One.', 0])
    await undo(undone)
    expect(await said()).toEqual(['Two.', 1])
    await server.command('undo', { actionId: first }).expect(409)
  })
})
