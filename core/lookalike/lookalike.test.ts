import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { evaluateFly, LIST_CONDITIONS } from '../evaluate/index.ts'
import type { recipe } from '../testing/shippedMaterial.ts'
import { jigNymph, shippedMaterial } from '../testing/shippedMaterial.ts'
import { bearsMarks, checkMark, lookAlikes, looksOf } from './index.ts'
import type { WeightCode } from './index.ts'

function seen(id: string, made: ReturnType<typeof recipe>) {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  return { id, fly, looks: looksOf(fly), massMg: evaluateFly(fly, LIST_CONDITIONS).massMg.value }
}
const tungsten = () => seen('tungsten', jigNymph())
const brass = () => seen('brass', jigNymph('bead-brass-slotted'))

/** The brass one with a turn of tan behind its bead. */
function marked() {
  const made = jigNymph('bead-brass-slotted')
  const tan = shippedMaterial('thread-nylon', '70', 'tan')
  made.materials.set(tan.id, tan)
  const spot = {
    key: 'spot',
    kind: 'hotSpot' as const,
    materialId: tan.id,
    place: { from: 0.2, to: 0.25, side: 'around' as const },
    turns: 3,
  }
  return seen('marked', {
    ...made,
    dressing: { ...made.dressing, components: [...made.dressing.components, spot] },
  })
}

describe('lookAlikes', () => {
  it('names tungsten and brass of one colour and size', () => {
    const [pair, ...more] = lookAlikes([tungsten(), brass()])
    expect(more).toEqual([])
    expect(pair).toMatchObject({ lighterId: 'brass', heavierId: 'tungsten' })
    expect(pair?.ratio).toBeGreaterThan(1.5)
  })

  it('is content once one of them has a mark, or where they differ in size', () => {
    expect(lookAlikes([tungsten(), marked()])).toEqual([])
    expect(lookAlikes([tungsten(), seen('small', jigNymph('bead-brass-slotted', '2.4', '18'))])).toEqual([])
  })

  it('lets flies of one weight look as alike as they will', () => {
    expect(lookAlikes([tungsten(), { ...tungsten(), id: 'again' }])).toEqual([])
  })
})

describe('a weight code', () => {
  const code: WeightCode = { marks: { tungsten: 'red', brass: 'tan', none: null }, on: ['jigHooks'] }

  it('finds the mark that is missing, and says which was expected', () => {
    expect(checkMark(brass().fly, code)).toEqual({ metal: 'brass', expected: 'tan', found: null })
    expect(checkMark(tungsten().fly, code)).toEqual({ metal: 'tungsten', expected: 'red', found: null })
  })

  it('is content with the right mark, whatever its case', () => {
    expect(checkMark(marked().fly, code)).toBeNull()
    expect(checkMark(marked().fly, { ...code, marks: { ...code.marks, brass: 'Tan' } })).toBeNull()
  })

  it('finds a mark that belongs to another metal', () => {
    const swapped = { ...code, marks: { tungsten: 'tan', brass: 'red', none: null } }
    expect(checkMark(marked().fly, swapped)).toEqual({ metal: 'brass', expected: 'red', found: 'tan' })
  })

  it('is for jig hooks, midge pupae or everything, as the tier says', () => {
    const { fly } = tungsten()
    expect(bearsMarks(fly, code, false)).toBe(true)
    expect(bearsMarks(fly, { ...code, on: ['midgePupae'] }, false)).toBe(false)
    expect(bearsMarks(fly, { ...code, on: ['midgePupae'] }, true)).toBe(true)
    expect(bearsMarks(fly, { ...code, on: ['everything'] }, false)).toBe(true)
  })
})
