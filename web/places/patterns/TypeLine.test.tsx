// @vitest-environment jsdom
import { act, fireEvent, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { emptyDraft } from '../../recipe/draft.ts'
import type { Draft } from '../../recipe/draft.ts'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { TypeLine } from './TypeLine.tsx'

onTheDemo()

const NONE: Draft['newDrawers'] = []

/** The field of a line, and what it has put into the draft. */
async function typing() {
  let draft: Pick<Draft, 'components' | 'newDrawers' | 'variants'> = {
    components: [],
    newDrawers: [],
    variants: emptyDraft().variants,
  }
  const variantId = draft.variants[0]?.id ?? ''
  function Around() {
    const book = useMaterialBook(NONE)
    return book ? (
      <TypeLine
        book={book}
        variantId={variantId}
        onChange={(edit) => {
          draft = { ...draft, ...(typeof edit === 'function' ? edit(draft as Draft) : edit) }
        }}
      />
    ) : null
  }
  show(<Around />)
  const field = await until(() => screen.queryByRole('textbox'))
  const type = (text: string) => fireEvent.change(field, { target: { value: text } })
  const add = async () => {
    const before = draft.components.length
    fireEvent.submit(screen.getByRole('form'))
    await act(() => new Promise((done) => setTimeout(done, 0)))
    return draft.components.length - before
  }
  const answer = (name: string) => fireEvent.click(screen.getByRole('button', { name }))
  return { type, add, answer, said: () => screen.getByRole('status').textContent, draft: () => draft }
}

describe('a typed line', () => {
  it('says what it read as inches before it is taken', async () => {
    const { type, said, add } = await typing()
    type('bead: tungsten slotted 7/64 copper')
    expect(said()).toContain('7/64 read as inches: 2.8 mm')
    expect(await add()).toBe(1)
  })

  it('takes a hook for the variant that is looked at, and asks which jig it is', async () => {
    const { type, said, add, answer, draft } = await typing()
    type('hook: jig #14')
    expect(said()).toContain('Which of these?')
    answer('Hook, jig, eye bent up by 60°')
    expect(said()).toContain('understood: hook: Hook, jig, eye bent up by 60°, #14')
    expect(await add()).toBe(0)
    const [variant] = draft().variants
    const minted = draft().newDrawers.find(({ id }) => id === variant?.hookMaterialId)
    expect(variant?.hookMaterialId).not.toBe('')
    if (minted) expect(minted.sizeKey).toBe('14')
  })

  it('adds nothing until what it asks is settled: which goods, which size', async () => {
    const { type, said, add, answer } = await typing()
    type('rib: red wire, 5 turns')
    expect(said()).toContain('Which of these?')
    expect(await add()).toBe(0)
    answer('Fine copper wire, enamelled')
    expect(said()).toContain('Which size')
    answer('0.12')
    expect(said()).toContain('understood')
    expect(await add()).toBe(1)
  })

  it('strikes out what it does not understand, and goes on without it when told', async () => {
    const { type, said, add, answer } = await typing()
    type('tail: speckled cock, somewhat, ⅔ shank')
    expect(document.querySelector('s')?.textContent).toContain('somewhat')
    expect(await add()).toBe(0)
    answer('without it')
    expect(said()).toContain('understood')
    expect(await add()).toBe(1)
  })

  it('makes a bead of a size, and stuff of a colour, that no list has', async () => {
    const { type, add, answer, draft } = await typing()
    type('bead: tungsten slotted 2.6 copper')
    answer('make 2.6')
    expect(await add()).toBe(1)
    type('body: turquoise hare, slim')
    answer('a new colour: turquoise')
    expect(await add()).toBe(1)
    expect(draft().newDrawers).toMatchObject([
      { sizeKey: '2.6', colourName: 'copper' },
      { colourName: 'turquoise', colourHex: expect.stringMatching(/^#[0-9a-f]{6}$/) as unknown },
    ])
  })
})
