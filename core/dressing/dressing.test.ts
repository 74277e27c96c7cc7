import { describe, expect, it } from 'vitest'
import materials from '../material/shipped/materials.json' with { type: 'json' }
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import { jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import {
  checkFit,
  COMPONENT_KINDS,
  instead,
  makeBead,
  partsOf,
  resolveDressing,
  wrapLengthMm,
} from './index.ts'
import type { Fly } from './index.ts'

function flyOf(made: ReturnType<typeof recipe>): Fly {
  const resolved = resolveDressing(made.dressing, made.variant, made.materials)
  if (resolved.kind !== 'fly') throw new Error(JSON.stringify(resolved.missing))
  return resolved
}

describe('makeBead', () => {
  it('agrees with the reference volumes of all sizes and borings within 2 %', () => {
    const families = {
      drilled: 'drilled',
      slotted: 'slotted',
      countersunk: 'countersunk',
      offCentre: 'off-centre',
    } as const
    let compared = 0
    for (const row of materials.beadSizes) {
      for (const [boring, name] of Object.entries(families)) {
        const bead = makeBead(shippedMaterial(`bead-tungsten-${name}`, row.sizeKey))
        const reference = row.byConvention[boring as keyof typeof families].solidVolumeMm3
        expect(Math.abs(bead.volumeMm3 / reference - 1), `${row.sizeKey} ${boring}`).toBeLessThan(0.02)
        compared += 1
      }
    }
    expect(compared).toBe(60)
  })

  it('leaves a drilled ball its closed form', () => {
    const bead = makeBead(shippedMaterial('bead-brass-drilled', '3.0'))
    expect(bead.volumeMm3).toBeCloseTo((Math.PI / 6) * (3 ** 2 - bead.boreMm ** 2) ** 1.5, 9)
  })
})

describe('wire in two layers', () => {
  const wired = (layers: number, turns?: number) => {
    const made = recipe(shippedMaterial('hook-straight', '12', 'bronze'), [
      {
        key: 'it',
        kind: 'wire',
        material: shippedMaterial('wire-tin', '0.51'),
        at: [0.25, 0.7],
        layers,
        turns,
      },
    ])
    const fly = resolveDressing(made.dressing, made.variant, made.materials)
    if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
    const { coreMm, outerMm } = fly.components[0]!
    return { coreMm, outerMm, massMg: partsOf(fly).find(({ key }) => key === 'it')!.massMg }
  }
  /** Close turns by hand: n π (core + d) of the first, and one step further out of the second. */
  const byHandMm = (step: number, coreMm: number) =>
    8 * Math.PI * (coreMm + 0.51) + 8 * Math.PI * (coreMm + 0.51 + 2 * step * 0.51)

  it('weighs what it does between nested and stacked, and is as thick', () => {
    const [one, two] = [wired(1, 8), wired(2, 16)]
    const firstMm = 8 * Math.PI * (one.coreMm + 0.51)
    expect(two.massMg / one.massMg).toBeGreaterThan((byHandMm(Math.sqrt(3) / 2, one.coreMm) / firstMm) * 0.99)
    expect(two.massMg / one.massMg).toBeLessThan(byHandMm(1, one.coreMm) / firstMm)
    expect(two.outerMm - one.outerMm).toBeGreaterThan(Math.sqrt(3) * 0.51)
    expect(two.outerMm - one.outerMm).toBeLessThan(2 * 0.51)
  })

  it('has eight turns in each layer where none are said', () => {
    expect(wired(2).massMg).toBeCloseTo(wired(2, 16).massMg, 9)
    expect(wired(3).massMg).toBeGreaterThan(wired(2).massMg * 1.7)
  })

  it('that step, the upper one shorter, lies on the lower', () => {
    const made = recipe(shippedMaterial('hook-straight', '12', 'bronze'), [
      { key: 'long', kind: 'wire', material: shippedMaterial('wire-tin', '0.51'), at: [0.25, 0.75], turns: 10 },
      { key: 'short', kind: 'wire', material: shippedMaterial('wire-tin', '0.51'), at: [0.35, 0.6], turns: 5 },
    ])
    const fly = resolveDressing(made.dressing, made.variant, made.materials)
    if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
    const [long, short] = fly.components
    expect(short!.coreMm - long!.coreMm).toBeCloseTo(2 * 0.51, 9)
  })
})

describe('wrapLengthMm', () => {
  it('takes the mean diameter of the turn, not the core', () => {
    expect(wrapLengthMm(10, 0.5, 0.38, 0.38)).toBeCloseTo(10 * Math.hypot(Math.PI * 0.88, 0.38), 9)
  })
})

describe('resolveDressing', () => {
  it('turns proportions into millimetres on the hook at hand', () => {
    const fly = flyOf(jigNymph())
    const tail = fly.components.find(({ key }) => key === 'tail')
    expect(tail?.lengthMm).toBeCloseTo((2 / 3) * fly.hook.shankMm, 9)
    expect(tail?.fromMm).toBeCloseTo(fly.hook.shankMm, 9)
  })

  it('lays what comes later over what comes first', () => {
    const fly = flyOf(jigNymph())
    const outer = (key: string) => fly.components.find((component) => component.key === key)?.outerMm ?? 0
    expect(outer('body')).toBeGreaterThan(outer('thread'))
    expect(outer('thread')).toBeGreaterThan(fly.hook.wireMm)
  })

  it('applies swaps: another bead, more turns, none at all', () => {
    const made = jigNymph()
    const brass = shippedMaterial('bead-brass-slotted', '2.8', 'copper')
    const withBrass = new Map(made.materials).set(brass.id, brass)
    const swapped = resolveDressing(
      made.dressing,
      {
        ...made.variant,
        swaps: [
          { componentKey: 'bead', materialId: brass.id },
          { componentKey: 'rib', turns: 7 },
        ],
      },
      withBrass,
    )
    expect(swapped.kind === 'fly' && swapped.components.find(({ key }) => key === 'bead')?.material.id).toBe(
      brass.id,
    )
    expect(swapped.kind === 'fly' && swapped.components.find(({ key }) => key === 'rib')?.turns).toBe(7)
    const bare = resolveDressing(
      made.dressing,
      { ...made.variant, swaps: [{ componentKey: 'bead', omit: true }] },
      made.materials,
    )
    expect(bare.kind === 'fly' && bare.components.map(({ key }) => key)).not.toContain('bead')
  })

  it('says which material is unknown, and what is no hook', () => {
    const made = jigNymph()
    const without = new Map([...made.materials].filter(([id]) => !id.startsWith('dubbing')))
    expect(resolveDressing(made.dressing, made.variant, without)).toMatchObject({
      kind: 'incomplete',
      missing: [{ code: 'unknownMaterial', componentKey: 'collar' }],
    })
    const bead = [...made.materials.keys()].find((id) => id.startsWith('bead')) ?? ''
    expect(resolveDressing(made.dressing, { hookMaterialId: bead, swaps: [] }, made.materials)).toMatchObject({
      missing: [{ code: 'notAHook' }],
    })
  })

  it('finds lengths that refer to each other in a circle', () => {
    const fibre = shippedMaterial('fibre-cock-stiff')
    const made = recipe(shippedMaterial('hook-straight', '14'), [
      {
        key: 'tail',
        kind: 'tail',
        material: fibre,
        at: [1, 1],
        length: { factor: 1, of: 'component', componentKey: 'legs' },
      },
      {
        key: 'legs',
        kind: 'legs',
        material: fibre,
        at: [0.2, 0.3],
        length: { factor: 1, of: 'component', componentKey: 'tail' },
      },
    ])
    expect(resolveDressing(made.dressing, made.variant, made.materials)).toMatchObject({
      kind: 'incomplete',
      missing: [{ code: 'cyclicProportion' }, { code: 'cyclicProportion' }],
    })
  })

  it('finds a length that others multiply beyond all measure', () => {
    const fibre = shippedMaterial('fibre-cock-stiff')
    const by = (key: string, factor: number, of: string) => ({
      key,
      kind: 'tail' as const,
      material: fibre,
      at: [1, 1] as [number, number],
      length: { factor, of: 'component' as const, componentKey: of },
    })
    const first = { ...by('first', 1, ''), length: { mm: 5 } }
    const tied = (...lines: ReturnType<typeof by>[]) => {
      const made = recipe(shippedMaterial('hook-straight', '14'), [first, ...lines])
      return resolveDressing(made.dressing, made.variant, made.materials)
    }
    // 5 mm × 20 × 2 is the 200 mm that a line can be
    expect(tied(by('second', 20, 'first'), by('third', 2, 'second')).kind).toBe('fly')
    expect(tied(by('second', 20, 'first'), by('third', 2.01, 'second'))).toMatchObject({
      missing: [{ code: 'tooLong', componentKey: 'third' }],
    })
  })
})

describe('partsOf', () => {
  it('weighs a size 16 tungsten jig nymph at about 160 mg, most of it bead', () => {
    const parts = partsOf(flyOf(jigNymph()))
    const total = parts.reduce((sum, { massMg }) => sum + massMg, 0)
    expect(total).toBeGreaterThan(145)
    expect(total).toBeLessThan(178)
    expect(parts.find(({ kind }) => kind === 'bead')?.massMg).toBeCloseTo(131, -0.5)
  })

  it('gives every kind of component a mass, a volume and a place, whatever material it is made of', () => {
    for (const kind of COMPONENT_KINDS) {
      for (const family of shippedFamilies.filter(({ hook }) => !hook)) {
        const material = shippedMaterial(family.key, family.sizes[0] ?? '')
        const made = recipe(shippedMaterial('hook-straight', '12'), [
          { key: 'one', kind, material, at: [0.1, 0.6] },
        ])
        for (const part of partsOf(flyOf(made))) {
          const figures = [part.massMg, part.volumeMm3, part.airMm3, part.at.xMm, part.at.yMm, part.topMm]
          expect(figures.every(Number.isFinite), `${kind} of ${family.key}: ${figures.join(' ')}`).toBe(true)
          expect(part.massMg, `${kind} of ${family.key}`).toBeGreaterThanOrEqual(0)
          expect(part.airMm3, `${kind} of ${family.key}`).toBeGreaterThanOrEqual(0)
        }
      }
    }
  })
})

describe('checkFit', () => {
  const codes = (made: ReturnType<typeof recipe>) =>
    checkFit(flyOf(made)).map(({ code, severity }) => [severity, code])

  it('lets the usual pairs of hook and bead pass', () => {
    const usual = [
      ['20', '2.0'],
      ['18', '2.4'],
      ['16', '2.8'],
      ['14', '3.3'],
      ['12', '3.8'],
      ['10', '4.0'],
      ['8', '4.6'],
    ] as const
    for (const [hook, bead] of usual) {
      expect(codes(jigNymph('bead-tungsten-slotted', bead, hook)), `${bead} on ${hook}`).toEqual([])
    }
  })

  it('refuses a bead larger than the gape', () => {
    expect(codes(jigNymph('bead-tungsten-slotted', '4.0', '18'))).toContainEqual([
      'fault',
      'beadLargerThanGape',
    ])
  })

  it('refuses a small drilled bead that does not pass a large bend', () => {
    expect(codes(jigNymph('bead-tungsten-drilled', '2.0', '6'))).toContainEqual([
      'fault',
      'beadDoesNotPassBend',
    ])
  })

  it('wants a slotted bead on a jig hook', () => {
    expect(codes(jigNymph('bead-tungsten-drilled', '2.8', '16'))).toContainEqual(['caution', 'jigNeedsSlot'])
  })

  it('agrees with the reference on which beads pass which standard hooks', () => {
    let [compared, agreed] = [0, 0]
    for (const row of materials.beadSizes) {
      const [finest, stoutest] = row.byConvention.drilled.passesStandardWire.hooks
      for (let size = 24; size >= 2; size -= 2) {
        const made = recipe(shippedMaterial('hook-straight', String(size)), [
          {
            key: 'bead',
            kind: 'bead',
            material: shippedMaterial('bead-tungsten-drilled', row.sizeKey),
            at: [0, 0.2],
          },
        ])
        const passes = !checkFit(flyOf(made)).some(
          ({ code }) => code === 'beadDoesNotPassBend' || code === 'beadLargerThanGape',
        )
        compared += 1
        if (passes === (size <= (finest ?? 0) && size >= (stoutest ?? 99))) agreed += 1
      }
    }
    expect(agreed / compared).toBeGreaterThan(0.93)
  })

  it('finds wire that is longer than the shank', () => {
    const tin = shippedMaterial('wire-tin', '0.5')
    const made = (turns: number) =>
      recipe(shippedMaterial('hook-straight', '14'), [
        { key: 'wire', kind: 'wire', material: tin, at: [0.2, 0.8], turns },
      ])
    expect(codes(made(8))).toEqual([])
    expect(codes(made(40))).toEqual([['fault', 'wireLongerThanShank']])
  })
})

describe('instead', () => {
  const made = jigNymph()
  it('puts another material wherever a recipe names one, and nowhere else', () => {
    const [thread, bead] = ['thread-nylon|50|olive-brown', 'bead-tungsten-slotted|2.8|copper']
    const swaps = [
      { componentKey: 'body', materialId: thread },
      { componentKey: 'rib', omit: true },
    ]
    const recipe = instead(made.dressing, { ...made.variant, swaps }, thread, 'silk')
    const named = recipe.dressing.components.map(({ materialId }) => materialId)
    expect(named).not.toContain(thread)
    expect(named.filter((id) => id === 'silk').length).toBe(2)
    expect(named).toContain(bead)
    expect(recipe.variant.swaps).toEqual([
      { componentKey: 'body', materialId: 'silk' },
      { componentKey: 'rib', omit: true },
    ])
    const hook = made.variant.hookMaterialId
    expect(instead(made.dressing, made.variant, hook, 'other').variant.hookMaterialId).toBe('other')
  })
})
