import { describe, expect, it } from 'vitest'
import { MATERIAL_KINDS } from '../../material/index.ts'
import { recipe, shippedMaterial } from '../../testing/shippedMaterial.ts'
import * as wording from '../../wording/index.ts'
import {
  checkFit,
  COMPONENT_KINDS,
  FIELD_LIMITS,
  is,
  KINDS,
  partsOf,
  resolveDressing,
  withFloatant,
} from '../index.ts'
import type { ComponentKind, Fly } from '../index.ts'

const metric = { smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' } as const

function flyWith(
  kind: ComponentKind,
  family: string,
  size: string,
  hook: readonly [string, string] = ['hook-straight', '12'],
): Fly {
  const made = recipe(shippedMaterial(hook[0], hook[1], 'bronze'), [
    { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '70'), at: [0.1, 1] },
    { key: 'body', kind: 'body', material: shippedMaterial('dubbing-hare'), at: [0.1, 1] },
    { key: 'it', kind, material: shippedMaterial(family, size), at: [0, 0.2] },
  ])
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return fly
}

describe('every kind of component', () => {
  it.each(COMPONENT_KINDS)(
    '%s asks only for what it can be limited in, and starts within the shank',
    (kind) => {
      const { asks, madeOf, place, usual, usualLength } = KINDS[kind]
      for (const goods of MATERIAL_KINDS) {
        for (const field of asks(goods)) {
          expect([...Object.keys(FIELD_LIMITS), 'length', 'side']).toContain(field)
        }
      }
      expect(place.from).toBeGreaterThanOrEqual(0)
      expect(place.to).toBeLessThanOrEqual(1)
      expect(place.from).toBeLessThanOrEqual(place.to)
      const material = { ...shippedMaterial('thread-nylon', '70') }
      for (const goods of madeOf) {
        const line = { key: 'it', kind, materialId: '', place }
        const amounts = usual(line, { ...material, family: { ...material.family, kind: goods } })
        for (const [amount, value] of Object.entries(amounts)) {
          const { min, max } = FIELD_LIMITS[amount as keyof typeof FIELD_LIMITS]
          expect(value, `${kind} of ${goods}: ${amount}`).toBeGreaterThanOrEqual(min)
          expect(value, `${kind} of ${goods}: ${amount}`).toBeLessThanOrEqual(max)
        }
      }
      if (asks(madeOf[0]).includes('length')) expect(usualLength).not.toBeNull()
    },
  )

  it('has its own turn at the vise', () => {
    const orders = COMPONENT_KINDS.map((kind) => KINDS[kind].step.order)
    expect(new Set(orders).size).toBe(orders.length)
    expect(COMPONENT_KINDS.toSorted((a, b) => KINDS[a].step.order - KINDS[b].step.order)[0]).toBe('bead')
  })
})

describe('a cone', () => {
  it('of 6.3 mm does not go on a #18, and the finding says cone', () => {
    const [finding] = checkFit(flyWith('cone', 'cone-tungsten', '6.3', ['hook-straight', '18']))
    expect(finding).toMatchObject({ severity: 'fault', code: 'beadLargerThanGape', found: 6.3 })
    expect(finding && wording.fitSentence(finding, metric)).toMatch(/6\.3 mm cone is larger than this gape/)
  })

  it('of 4 mm goes on a #8 and leaves its gape open', () => {
    expect(checkFit(flyWith('cone', 'cone-brass', '4.0', ['hook-straight', '8']))).toEqual([])
  })

  it('lies before the body as a bead does: what is dubbed behind it is no thicker for it', () => {
    const [coned, beaded] = [
      flyWith('cone', 'cone-brass', '4.0'),
      flyWith('bead', 'bead-brass-drilled', '3.8'),
    ].map((fly) => fly.components.find(({ key }) => key === 'body')?.outerMm)
    expect(coned).toBe(beaded)
    const cone = flyWith('cone', 'cone-brass', '4.0')
    expect(cone.components.find(({ key }) => key === 'it')?.coreMm).toBe(cone.hook.wireMm)
  })
})

describe('bare metal', () => {
  const metal = [
    ['bead', 'bead-brass-drilled', '2.8'],
    ['cone', 'cone-brass', '4.0'],
    ['eyes', 'eyes-bead-chain', '3.0'],
    ['wire', 'wire-tin', '0.38'],
    ['sheet', 'sheet-tungsten-polymer', ''],
  ] as const

  it.each(metal)('%s is left off by "unweighted" and not lifted by floatant', (kind, family, size) => {
    expect(is(kind, 'weighs')).toBe(true)
    const parts = partsOf(flyWith(kind, family, size))
    const rubbed = withFloatant(parts)
    const supportOf = (all: typeof parts, key: string) => all.find((part) => part.key === key)?.filmSupportShare
    expect(supportOf(rubbed, 'it')).toBe(supportOf(parts, 'it'))
    expect(supportOf(rubbed, 'body')).toBeGreaterThan(supportOf(parts, 'body') ?? 1)
  })

  it('says what it is a doubt of, and the bare hook has no trait of a component', () => {
    expect([KINDS.cone.doubtOf, KINDS.eyes.doubtOf, KINDS.wire.doubtOf]).toEqual(['bead', 'bead', 'wire'])
    expect(is('hook', 'weighs')).toBe(false)
  })
})
