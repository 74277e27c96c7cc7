import { describe, expect, it } from 'vitest'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { substitutesFor } from './index.ts'

const bead = (family: string, size: string, colour = 'copper') => shippedMaterial(family, size, colour)
const ids = (found: ReturnType<typeof substitutesFor>) => found.map(({ material }) => material.id)

describe('substitutesFor', () => {
  const wanted = bead('bead-tungsten-slotted', '2.8')
  const nextSize = bead('bead-tungsten-slotted', '3.3')
  const otherColour = bead('bead-tungsten-slotted', '2.8', 'black')
  const brass = bead('bead-brass-slotted', '2.8')
  const far = bead('bead-brass-slotted', '4.6', 'black')

  it('puts the nearest size of the same make and colour first, and what differs in all last', () => {
    const found = substitutesFor(wanted, [far, brass, otherColour, nextSize, wanted])
    expect(ids(found)[0]).toBe(nextSize.id)
    expect(ids(found)).not.toContain(wanted.id)
    expect(ids(found).at(-1)).not.toBe(nextSize.id)
  })

  it('says the ratio of sizes and the distance of colours', () => {
    const [same] = substitutesFor(wanted, [nextSize])
    expect(same?.sizeRatio).toBeCloseTo(3.3 / 2.8, 6)
    expect(same?.colourDistance).toBe(0)
    expect(substitutesFor(wanted, [otherColour])[0]?.colourDistance).toBeGreaterThan(0.1)
  })

  it('never offers another kind', () => {
    expect(substitutesFor(wanted, [shippedMaterial('thread-nylon', '50', 'olive-brown')])).toEqual([])
  })

  it('takes hooks by size, whatever their colour; the next number is nearer than the one after', () => {
    const hook = (size: string) => shippedMaterial('hook-jig-60', size, 'bronze')
    const found = substitutesFor(hook('16'), [hook('12'), hook('14'), hook('18')])
    expect(ids(found)[2]).toBe(hook('12').id)
    expect(found.find(({ material }) => material.sizeKey === '14')?.sizeRatio).toBeGreaterThan(1)
  })
})
