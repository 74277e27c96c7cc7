import { describe, expect, it } from 'vitest'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { checkFit, COMPONENT_KINDS, KINDS, newLine, resolveDressing } from './index.ts'
import type { Component } from './index.ts'

const hare = shippedMaterial('dubbing-hare', '', 'natural')
const cape = shippedMaterial('hackle-cape-stiff', '16', 'dun')
const wire = shippedMaterial('wire-copper-rib', '0.12', 'copper')
const slip = shippedMaterial('feather-slip-grey-wing', '', 'grey')
const line = (key: string): Component => ({ ...newLine({ kind: 'body' }, hare, []), key })

describe('newLine', () => {
  it('writes what is usual of its kind into the line, so that a later default does not move it', () => {
    expect(newLine({ kind: 'hackle' }, cape, [])).toMatchObject({
      key: 'hackle',
      turns: 4,
      place: KINDS.hackle.place,
    })
    expect(newLine({ kind: 'body' }, hare, [])).toMatchObject({ bulk: 0.25 })
  })

  it('keeps what was said over what is usual', () => {
    expect(newLine({ kind: 'hackle', turns: 7 }, cape, []).turns).toBe(7)
    expect(newLine({ kind: 'body', place: { from: 0.5 } }, hare, []).place).toEqual({
      ...KINDS.body.place,
      from: 0.5,
    })
  })

  it('takes the place of what it lies over, and leaves room for what is in front', () => {
    const body = newLine({ kind: 'body', place: { from: 0.4, to: 0.9 } }, hare, [])
    expect(newLine({ kind: 'rib' }, wire, [body]).place).toEqual({ from: 0.4, to: 0.9, side: 'around' })
    const thorax = newLine({ kind: 'thorax' }, hare, [])
    expect(thorax.place.to).toBeLessThanOrEqual(0.36)
    expect(newLine({ kind: 'wingCase' }, slip, [body, thorax]).place).toEqual({
      ...thorax.place,
      side: 'above',
    })
    expect(newLine({ kind: 'body' }, hare, [thorax]).place.from).toBe(thorax.place.to)
    expect(newLine({ kind: 'back' }, slip, [body, thorax]).place).toEqual({
      from: thorax.place.from,
      to: 0.9,
      side: 'above',
    })
    expect(newLine({ kind: 'rib', place: { from: 0.5 } }, wire, [body]).place).toMatchObject({
      from: 0.5,
      to: 0.9,
    })
    expect(newLine({ kind: 'hotSpot' }, wire, [body])).toMatchObject({ place: { from: 0.15, to: 0.2 } })
  })

  it('never covers the whole shank by default, nor ends before it begins', () => {
    for (const kind of COMPONENT_KINDS) {
      const { place } = newLine({ kind, place: { from: 0.95 } }, hare, [])
      expect(place.to).toBeGreaterThanOrEqual(place.from)
      const usual = KINDS[kind].place
      expect(usual.to - usual.from, kind).toBeLessThan(0.95)
    }
  })

  it('takes a key that no other line has', () => {
    expect(newLine({ kind: 'body' }, hare, [line('body')]).key).toBe('body2')
    expect(newLine({ kind: 'body' }, hare, [line('body'), line('body2')]).key).toBe('body3')
    expect(newLine({ kind: 'body' }, hare, [line('body2')]).key).toBe('body')
  })
})

describe('two heads on one hook', () => {
  const hook = shippedMaterial('hook-straight', '10')
  const bead = shippedMaterial('bead-tungsten-drilled', '3.3')
  const cone = shippedMaterial('cone-brass', '4.0')
  const materials = new Map([hook, bead, cone].map((one) => [one.id, one]))
  const faultsOf = (components: readonly Component[], on = hook) => {
    const fly = resolveDressing(
      { components, steps: null },
      { hookMaterialId: on.id, swaps: [] },
      new Map([...materials, [on.id, on]]),
    )
    if (fly.kind !== 'fly') throw new Error('incomplete')
    return checkFit(fly)
  }
  const first = newLine({ kind: 'bead' }, bead, [])

  it('are refused where they would lie in one another, with what they need and have', () => {
    const [fault] = faultsOf([first, { ...first, key: 'bead2' }])
    expect(fault).toMatchObject({ severity: 'fault', code: 'headsCollide', found: 6.6, limit: 3.3 })
    const halfway = { ...first, key: 'bead2', place: { ...first.place, from: 0.1, to: 0.3 } }
    expect(faultsOf([first, halfway]).map(({ code }) => code)).toContain('headsCollide')
    expect(faultsOf([first, newLine({ kind: 'cone', place: { from: 0 } }, cone, [first])])[0]?.code).toBe(
      'headsCollide',
    )
  })

  it('lie behind one another when the second is added, and on a pin beside none', () => {
    const second = newLine({ kind: 'bead' }, bead, [first])
    expect(second.place.from).toBe(first.place.to)
    expect(second.place.to).toBeGreaterThan(second.place.from)
    expect(faultsOf([first, { ...second, place: { ...second.place, from: 0.3, to: 0.5 } }])).toEqual([])
    expect(
      faultsOf([
        { ...first, length: { mm: 5 } },
        { ...first, key: 'bead2' },
      ]),
    ).toEqual([])
  })

  it('a drilled bead on the pin of a jig needs no slot', () => {
    const jig = shippedMaterial('hook-jig-90', '10')
    expect(faultsOf([{ ...first, length: { mm: 5 } }], jig)).toEqual([])
    expect(faultsOf([first], jig).map(({ code }) => code)).toContain('jigNeedsSlot')
  })
})
