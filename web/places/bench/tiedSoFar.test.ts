import { describe, expect, it } from 'vitest'
import { tiedSoFar } from './tiedSoFar.ts'

const STEPS = ['bead', 'tail', 'rib', 'body', 'rib', 'hackle', null].map((componentKey) => ({ componentKey }))

describe('tiedSoFar', () => {
  it('has a rib begun from the step that ties it in until the one that winds it', () => {
    expect([...tiedSoFar(STEPS, 1).begun]).toEqual([])
    expect([...tiedSoFar(STEPS, 2).begun]).toEqual(['rib'])
    expect([...tiedSoFar(STEPS, 3).begun]).toEqual(['rib'])
    expect([...tiedSoFar(STEPS, 3).tied]).toEqual(['bead', 'tail'])
    expect([...tiedSoFar(STEPS, 4).begun]).toEqual([])
    expect([...tiedSoFar(STEPS, 5).tied]).toEqual(['bead', 'tail', 'rib', 'body'])
  })
  it('has all of it at the finish', () => {
    const { tied, begun } = tiedSoFar(STEPS, STEPS.length - 1)
    expect(tied.size).toBe(5)
    expect(begun.size).toBe(0)
  })
})
