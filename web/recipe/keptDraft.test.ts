import { beforeEach, describe, expect, it } from 'vitest'
import { memoryStorage } from '../testing/memoryStorage.ts'
import { emptyDraft } from './draft.ts'
import { dropDraft, keepDraft, keptDraft, keptDrafts, readDraft } from './keptDraft.ts'

const variant = {
  id: 'v',
  label: '#16',
  hookMaterialId: 'h',
  swaps: [],
  parCount: null,
  homeCompartmentId: null,
}
const body = {
  key: 'body',
  kind: 'body',
  materialId: 'm',
  place: { from: 0.2, to: 1, side: 'around' },
  bulk: 0.3,
}
/** As an early build kept it: without purpose, water kinds or steps. */
const early = { patternId: 'p', version: 3, name: 'Old Hand', components: [body], variants: [variant] }

beforeEach(() => {
  globalThis.localStorage = memoryStorage()
})

describe('readDraft', () => {
  it('takes up a draft of an earlier build, with what it does not say as in an empty one', () => {
    expect(readDraft(early)).toEqual({
      ...emptyDraft(),
      patternId: 'p',
      version: 3,
      name: 'Old Hand',
      components: [body],
      variants: [variant],
    })
  })

  it('leaves out what a field cannot be', () => {
    expect(
      readDraft({ ...early, dislike: 'much', ownMonths: 5, note: null, purpose: 'attractor' }),
    ).toMatchObject({
      dislike: 0,
      ownMonths: [],
      note: '',
      purpose: 'attractor',
    })
  })

  it.each([
    ['nothing', null],
    ['a list', [early]],
    ['no name of its own', { ...early, patternId: 7 }],
    ['a version that is none', { ...early, version: '3' }],
    ['no lines', { ...early, components: undefined }],
    ['a line of a kind that nobody knows', { ...early, components: [{ ...body, kind: 'propeller' }] }],
    ['a line without a place', { ...early, components: [{ ...body, place: null }] }],
    ['a line without goods', { ...early, components: [{ ...body, materialId: 4 }] }],
    ['no variants', { ...early, variants: [] }],
    ['a variant without swaps', { ...early, variants: [{ ...variant, swaps: null }] }],
    ['a variant without a hook', { ...early, variants: [{ ...variant, hookMaterialId: undefined }] }],
  ])('reads no fly out of %s', (_what, stored) => {
    expect(readDraft(stored)).toBeNull()
  })
})

describe('a draft that is kept', () => {
  const draft = { ...emptyDraft(), patternId: 'p', version: 2, name: 'Kept' }

  it('comes back as it was, each under its own, until it is dropped', () => {
    keepDraft(draft)
    const [fresh, another] = [
      { ...emptyDraft(), name: 'Zinc' },
      { ...emptyDraft(), name: '' },
    ]
    keepDraft(another)
    keepDraft(fresh)
    expect(keptDraft('p')).toEqual(draft)
    expect(keptDraft(fresh.patternId)).toEqual(fresh)
    expect(keptDrafts().map(({ name }) => name)).toEqual([draft.name, 'Zinc', ''])
    dropDraft(draft)
    expect(keptDraft('p')).toBeNull()
    expect(keptDrafts()).toHaveLength(2)
  })

  it('is none where what is stored is torn', () => {
    localStorage.setItem('heavy-thistle:draft:p', '{"patternId":"p","ver')
    expect(keptDraft('p')).toBeNull()
    expect(keptDraft('other')).toBeNull()
  })
})
