import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { COMPONENT_KINDS, KINDS, resolveDressing } from '../dressing/index.ts'
import { evaluateFly, LIST_CONDITIONS } from '../evaluate/index.ts'
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { BARE_FORMS, readTypedLine } from './index.ts'

const families = shippedFamilies.map(({ key, ...family }) => ({ ...family, id: key }))
const read = (text: string) => {
  const line = readTypedLine(text, families)
  if (line.kind !== 'understood') throw new Error(`${line.code}: ${line.at}`)
  return line
}

describe('readTypedLine', () => {
  it('reads a tail as it is written on a card', () => {
    expect(read('tail: 6 speckled cock, ⅔ shank')).toMatchObject({
      familyId: 'fibre-speckled-cock',
      component: { kind: 'tail', fibreCount: 6, length: { factor: 2 / 3, of: 'shank' } },
    })
  })

  it.each([
    ['bead: tungsten slotted 2.8 copper', 'bead-tungsten-slotted', '2.8', 'copper'],
    ['rib: fine copper wire 0.12, 5 turns', 'wire-copper-rib', '0.12', ''],
    ['hackle: stiff cape #14 dun, 4 turns, clipped below', 'hackle-cape-stiff', '14', ''],
    ['body: hare dubbing, slim', 'dubbing-hare', '', ''],
  ])('finds the goods of “%s”', (text, familyId, sizeKey, colour) => {
    const line = readTypedLine(text, families)
    expect(line).toMatchObject({ kind: 'understood', familyId })
    if (line.kind === 'understood' && sizeKey) expect(line.sizeKey).toBe(sizeKey)
    if (line.kind === 'understood' && colour) expect(line.colourName).toBe(colour)
  })

  it('takes an inch fraction for the bead of that size', () => {
    expect(read('bead: brass slotted 7/64 in').sizeKey).toBe('2.8')
    // what follows a comma is an amount, and slotted is none
    expect(readTypedLine('bead: brass, slotted 7/64 in', families)).toMatchObject({
      code: 'unknownAmount',
      at: 'slotted 7/64 in',
    })
  })

  it('reads side, stretch, thickness and shears', () => {
    expect(read('wing: cdc, 2 strands, 1 gape, above, from 0.15 to 0.3').component).toMatchObject({
      strands: 2,
      length: { factor: 1, of: 'gape' },
      place: { side: 'above', from: 0.15, to: 0.3 },
    })
    expect(read('hackle: stiff cape, 4 turns, clipped below').component.clipped).toBe(0)
    expect(read('body: hare, bulky').component.bulk).toBe(0.8)
    expect(read('tail: game tail, 12 mm').component.length).toEqual({ mm: 12 })
  })

  it('says where it stopped', () => {
    expect(readTypedLine('six fibres of cock', families)).toMatchObject({ code: 'noKind' })
    expect(readTypedLine('engine: brass', families)).toMatchObject({ code: 'unknownKind', at: 'engine' })
    expect(readTypedLine('tail: qqqq', families)).toMatchObject({ code: 'noMaterial', at: 'qqqq' })
    expect(readTypedLine('tail: cock, somewhat', families)).toMatchObject({
      code: 'unknownAmount',
      at: 'somewhat',
    })
  })

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), fc.constantFrom(...COMPONENT_KINDS), (text, kind) => {
        readTypedLine(text, families)
        readTypedLine(`${kind}: ${text}`, families)
      }),
      { seed: 5, numRuns: 150 },
    )
  })

  it('finds each of the shipped goods again by its own name', () => {
    const missed = families
      .filter(({ kind, hook }) => !hook && kind !== 'tippet' && kind !== 'line' && kind !== 'other')
      .filter((family) => {
        const component = COMPONENT_KINDS.find((kind) => KINDS[kind].madeOf.includes(family.kind))
        if (!component) return false
        const line = readTypedLine(`${component}: ${family.name.replaceAll(',', '')}`, families)
        return line.kind !== 'understood' || line.familyId !== family.id
      })
      .map(({ name }) => name)
    expect(missed.length, missed.join('; ')).toBeLessThan(8)
  })
})

describe('the eight bare forms', () => {
  const worked = BARE_FORMS.map((form) => {
    const hookFamily = families.find(({ name }) => name === form.hook.family)
    const hook = shippedMaterial(hookFamily?.id ?? form.hook.family, form.hook.size)
    const lines = form.lines.map((text, i) => {
      const line = read(text)
      const material = shippedMaterial(line.familyId, line.sizeKey, line.colourName)
      return { material, component: { ...line.component, key: `c${i}`, materialId: material.id } }
    })
    const materials = new Map([hook, ...lines.map(({ material }) => material)].map((m) => [m.id, m]))
    const fly = resolveDressing(
      {
        steps: null,
        components: lines.map(({ component }) => ({
          ...component,
          place: { from: 0.1, to: 0.9, side: 'around', ...component.place },
        })),
      },
      { hookMaterialId: hook.id, swaps: [] },
      materials,
    )
    if (fly.kind !== 'fly') throw new Error(`${form.key}: ${JSON.stringify(fly.missing)}`)
    return { key: form.key, report: evaluateFly(fly, LIST_CONDITIONS) }
  })

  it.each([
    ['jigNymph', 'sinks'],
    ['grub', 'sinks'],
    ['softHackle', 'sinks'],
    ['emerger', 'floats'],
    ['hackledDry', 'floats'],
    ['spinner', 'floats'],
    ['foamBeetle', 'floats'],
    ['leech', 'sinks'],
  ])('%s %s', (key, kind) => {
    expect(worked.find((form) => form.key === key)?.report.kind).toBe(kind)
  })

  it('ride as their names say: the dry proud, the spinner in the film, the emerger hanging from its tuft', () => {
    const posture = (key: string) => {
      const report = worked.find((form) => form.key === key)?.report
      return report?.kind === 'floats' ? report.ride.posture : null
    }
    expect([posture('hackledDry'), posture('spinner'), posture('emerger')]).toEqual([
      'proud',
      'inFilm',
      'hanging',
    ])
  })
})
