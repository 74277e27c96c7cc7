import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { COMPONENT_KINDS, KINDS, resolveDressing } from '../dressing/index.ts'
import { evaluateFly, LIST_CONDITIONS } from '../evaluate/index.ts'
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { BARE_FORMS, readTypedHook, readTypedLine } from './index.ts'
import type { TypedLine } from './index.ts'

const families = shippedFamilies.map(({ key, ...family }) => ({ ...family, id: key }))
const said = (line: TypedLine) =>
  JSON.stringify(line, (key, value: unknown) =>
    key === 'choices' && Array.isArray(value) ? value.map((one: { id?: string }) => one.id ?? one) : value,
  )
const read = (text: string) => {
  const line = readTypedLine(text, families)
  if (line.kind !== 'understood') throw new Error(`${text}: ${said(line)}`)
  return line
}

const asks = (text: string) => {
  const line = readTypedLine(text, families)
  if (line.kind !== 'asks') throw new Error(`${text}: ${said(line)}`)
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
    ['bead: tungsten slotted 7/64 copper', 'bead-tungsten-slotted', '2.8', 'copper'],
    ['bead: copper tungsten 7/64 in slotted', 'bead-tungsten-slotted', '2.8', 'copper'],
    ['bead: 7/64" brass slotted gold', 'bead-brass-slotted', '2.8', 'gold'],
    ['bead: brass, slotted 5/32 in', 'bead-brass-slotted', '4.0', 'gold'],
    ['wire: .015 lead', 'wire-lead', '0.38', 'lead'],
    ['wire: lead .015', 'wire-lead', '0.38', 'lead'],
    ['wire: lead 0.025", 8 turns', 'wire-lead', '0.64', 'lead'],
    ['wire: tin 15 thou', 'wire-tin', '0.38', 'tin'],
    ['rib: fine copper wire 0.12, 5 turns', 'wire-copper-rib', '0.12', 'copper'],
    ['rib: fine copper wire red 0.1', 'wire-copper-rib', '0.1', 'red'],
    ['thread: nylon 70 denier olive', 'thread-nylon', '70', 'olive'],
    ['thread: olive nylon 70 den', 'thread-nylon', '70', 'olive'],
    ['thread: nylon 8/0 black', 'thread-nylon', '70', 'black'],
    ['thread: 78 dtex polyester grey', 'thread-polyester', '70', 'grey'],
    ['hackle: stiff cape #14 dun, 4 turns, clipped below', 'hackle-cape-stiff', '14', 'dun'],
    ['hackle: 4 turns stiff cape size 16 grizzle', 'hackle-cape-stiff', '16', 'grizzle'],
    ['hackle: stiff saddle 14 pale dun', 'hackle-saddle', '14', 'pale dun'],
    ['body: hare dubbing, slim', 'dubbing-hare', '', 'natural'],
    ['body: olive hares ear, slim', 'dubbing-hare', '', 'olive'],
    ['body: peacock herl, 2 strands', 'herl-peacock-long', '', 'peacock green'],
    ['wing: elk body hair, bleached, 30 fibres', 'hair-elk-body', '', 'bleached'],
    ['tail: marabou plume pale olive', 'marabou-plume', '', 'pale olive'],
    ['strip: rabbit strip 3 mm black', 'strip-rabbit', '3', 'black'],
    ['body: rayon chenille 4 mm orange', 'chenille-rayon', '4', 'orange'],
    ['legs: round rubber 0.6, 4 strands', 'rubber-legs-round', '0.6', 'black'],
    ['legs: rubber round .6 brown', 'rubber-legs-round', '0.6', 'brown'],
    ['wing: cdc feather natural, 2 feathers', 'cdc-feather', '', 'natural'],
    ['eyes: brass barbell 3.2', 'barbell-brass', '3.2', 'gold'],
    ['eyes: bead chain 3 mm', 'eyes-bead-chain', '3.0', 'silver'],
  ])('finds the goods of “%s”', (text, familyId, sizeKey, colourName) => {
    expect(read(text)).toMatchObject({ familyId, sizeKey, colourName })
  })

  it.each([
    ['hackle: stiff cape 16, six turns', { turns: 6 }],
    ['hackle: stiff cape 16, turns 6', { turns: 6 }],
    ['hackle: stiff cape 16, half a turn', { turns: 0.5 }],
    ['hackle: stiff cape 16, 4½ turns', { turns: 4.5 }],
    ['hackle: stiff cape 16, 4 wraps', { turns: 4 }],
    ['wire: lead .015, two layers, 16 turns', { layers: 2, turns: 16 }],
    ['wire: two layers lead .015', { layers: 2 }],
    ['body: nylon thread 70, 3 layers', { layers: 3 }],
    ['tail: six fibres speckled cock', { fibreCount: 6 }],
    ['tail: speckled cock, 6 fibres', { fibreCount: 6 }],
    ['tail: six speckled cock', { fibreCount: 6 }],
    ['tail: speckled cock, 1.5x shank', { length: { factor: 1.5, of: 'shank' } }],
    ['tail: speckled cock 1½ × shank', { length: { factor: 1.5, of: 'shank' } }],
    ['tail: speckled cock, shank length', { length: { factor: 1, of: 'shank' } }],
    ['tail: speckled cock as long as the shank', { length: { factor: 1, of: 'shank' } }],
    ['tail: speckled cock, half the shank', { length: { factor: 0.5, of: 'shank' } }],
    ['tail: speckled cock, two gapes', { length: { factor: 2, of: 'gape' } }],
    ['tail: speckled cock 12 mm', { length: { mm: 12 } }],
    ['tail: speckled cock ½ in', { length: { mm: 12.7 } }],
    ['body: hare, rear ⅔', { place: { from: 1 / 3, to: 1 } }],
    ['thorax: hare, front third', { place: { from: 0, to: 1 / 3 } }],
    ['body: hare, rear half', { place: { from: 0.5, to: 1 } }],
    ['body: hare, from 20 % to 80 %', { place: { from: 0.2, to: 0.8 } }],
    ['body: hare, from 0.2 to 0.9', { place: { from: 0.2, to: 0.9 } }],
    ['wing: cdc feather, upright', { place: { side: 'above' } }],
    ['wing: polypropylene, spent', { place: { side: 'both' } }],
    ['body: hare, bulky', { bulk: 0.8 }],
    ['body: hare, bulk 0.35', { bulk: 0.35 }],
    ['body: sparse hare', { bulk: 0.1 }],
    ['hackle: stiff cape 16, clipped below', { clipped: 0 }],
    ['wing: cdc feather, with floatant', { treatment: 'floatant' }],
  ])('reads the amounts of “%s”', (text, amount) => {
    const { component } = read(text)
    const { place, ...rest } = amount as { place?: Record<string, unknown> }
    expect(component).toMatchObject(rest)
    for (const [side, value] of Object.entries(place ?? {}))
      if (typeof value === 'number')
        expect((component.place as Record<string, number>)[side]).toBeCloseTo(value, 9)
      else expect(component.place).toMatchObject({ [side]: value })
  })

  it('says what it read as inches, and by another measure of thread', () => {
    expect(read('wire: lead .015').notes).toEqual(['.015 read as inches: 0.38 mm'])
    expect(read('bead: tungsten slotted 7/64').notes).toEqual(['7/64 read as inches: 2.8 mm'])
    expect(read('bead: tungsten slotted 2.8').notes).toEqual([])
    expect(read('thread: nylon 8/0').notes).toEqual(['8/0 read as 70 denier'])
  })

  it('asks which goods where several fit as well, at most four', () => {
    const red = asks('rib: red wire 0.2').ask
    expect(red).toMatchObject({ about: 'goods' })
    const names = red.about === 'goods' ? red.choices.map(({ id }) => id) : []
    expect(names.slice(0, 2).sort()).toEqual(['wire-copper', 'wire-copper-rib'])
    expect(names.length).toBeLessThanOrEqual(4)
    // of wires that come in silver and in 0.14, and of no others
    const silver = asks('rib: silver wire 0.14').ask
    expect(silver.about === 'goods' && silver.choices.map(({ id }) => id).sort()).toEqual([
      'wire-brass-rib',
      'wire-copper-rib',
    ])
    expect(asks('body: dubbing').ask).toMatchObject({ about: 'goods' })
    expect(asks('thread: 70 den').ask).toMatchObject({ about: 'goods' })
    expect(asks('bead: 2.8 copper').ask).toMatchObject({ about: 'goods' })
    expect(asks('foam: 2 mm black foam').ask).toMatchObject({ about: 'goods' })
  })

  it('asks for the size where none is said, and where there is no such size', () => {
    expect(asks('bead: tungsten slotted copper').ask).toMatchObject({
      about: 'size',
      written: null,
      make: null,
    })
    expect(asks('bead: tungsten slotted 2.6').ask).toMatchObject({
      about: 'size',
      written: '2.6',
      make: '2.6',
      choices: ['2.4', '2.8', '3.0'],
    })
    expect(asks('hackle: stiff cape #13').ask).toMatchObject({ about: 'size', written: '#13', make: null })
    expect(asks('wire: lead 1.2 mm').ask).toMatchObject({ about: 'size', choices: ['0.64', '0.76', '0.89'] })
  })

  it('takes the nearest size, not the first that is near', () => {
    expect(read('bead: tungsten slotted 3.25').sizeKey).toMatch(/^3\.[23]$/)
    expect(read('bead: tungsten slotted 3.28').sizeKey).toBe('3.3')
    expect(read('bead: tungsten slotted 3.58 mm').sizeKey).toBe('3.6')
    expect(read('bead: tungsten slotted 1.56').sizeKey).toBe('1.6')
  })

  it('offers the nearest colours where it does not come in that one', () => {
    const { ask } = asks('body: turquoise hare')
    expect(ask).toMatchObject({ about: 'colour', written: 'turquoise' })
    expect(ask.about === 'colour' && ask.choices.length).toBeGreaterThan(1)
    const chartreuse = asks('body: lime fine synthetic dubbing').ask
    expect(chartreuse.about === 'colour' && chartreuse.choices).toContain('chartreuse')
    expect(readTypedLine('body: turquoise hare', families, { colourName: 'black' })).toMatchObject({
      kind: 'understood',
      colourName: 'black',
    })
  })

  it('shows what it did not understand, and takes the line without it only when told so', () => {
    expect(asks('tail: speckled cock, somewhat')).toMatchObject({
      ask: { about: 'words' },
      unused: ['somewhat'],
    })
    expect(asks('bead: tungsten slotted 2.8 frobnicated').unused).toEqual(['frobnicated'])
    expect(readTypedLine('tail: speckled cock, somewhat', families, { withoutWords: true }).kind).toBe(
      'understood',
    )
    // most words belong to nothing there is
    expect(asks('body: yak underfur belly').ask).toMatchObject({ about: 'goods' })
  })

  it('is settled by what is chosen', () => {
    const size = readTypedLine('bead: tungsten slotted copper', families, { sizeKey: '3.3' })
    expect(size).toMatchObject({
      kind: 'understood',
      familyId: 'bead-tungsten-slotted',
      sizeKey: '3.3',
      colourName: 'copper',
    })
    expect(
      readTypedLine('rib: red wire 0.2, 5 turns', families, { familyId: 'wire-copper-rib' }),
    ).toMatchObject({
      kind: 'understood',
      familyId: 'wire-copper-rib',
      sizeKey: '0.2',
      colourName: 'red',
      component: { turns: 5 },
    })
  })

  it('says where it stopped', () => {
    expect(readTypedLine('six fibres of cock', families)).toMatchObject({ code: 'noKind' })
    expect(readTypedLine('engine: brass', families)).toMatchObject({ code: 'unknownKind', at: 'engine' })
    expect(readTypedLine('tail: qqqq', families)).toMatchObject({ code: 'noMaterial', at: 'qqqq' })
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

  it('finds each of the shipped goods again by its own name, or asks for no more than its size', () => {
    const missed = families
      .filter(({ kind, hook }) => !hook && kind !== 'tippet' && kind !== 'line' && kind !== 'other')
      .filter((family) => {
        const component = COMPONENT_KINDS.find((kind) => KINDS[kind].madeOf.includes(family.kind))
        if (!component) return false
        const line = readTypedLine(`${component}: ${family.name.replaceAll(',', '')}`, families)
        if (line.kind === 'asks') return line.ask.about !== 'size' || line.ask.familyId !== family.id
        return line.kind !== 'understood' || line.familyId !== family.id
      })
      .map(({ name }) => name)
    expect(missed.length, missed.join('; ')).toBe(0)
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

describe('readTypedHook', () => {
  it.each([
    ['jig 60° #16', 'hook-jig-60', '16'],
    ['#14 jig 60', 'hook-jig-60', '14'],
    ['jig 90 deg 10', 'hook-jig-90', '10'],
    ['straight fine #14', 'hook-dry-fine', '14'],
    ['dry 16', 'hook-dry-fine', '16'],
    ['straight fine #12 2XL', 'hook-dry-fine-2xl', '12'],
    ['straight standard size 12', 'hook-straight', '12'],
    ['straight, standard wire, 3X long #8', 'hook-straight-3xl', '8'],
    ['straight heavy #14', 'hook-heavy', '14'],
    ['straight heavy 2xl 10', 'hook-heavy-2xl', '10'],
    ['curved grub #14', 'hook-curved', '14'],
    ['curved grub fine #18', 'hook-curved-fine', '18'],
    ['curved grub heavy 12', 'hook-curved-heavy', '12'],
  ])('reads “%s”', (text, familyId, sizeKey) => {
    expect(readTypedHook(text, families)).toMatchObject({ kind: 'understood', familyId, sizeKey })
  })

  it('asks for the neck of a jig, for a size that is not there, for words that it does not know', () => {
    const jig = readTypedHook('jig #14', families)
    expect(
      jig.kind === 'asks' && jig.ask.about === 'goods' && jig.ask.choices.map(({ id }) => id).sort(),
    ).toEqual(['hook-jig-60', 'hook-jig-90'])
    expect(readTypedHook('straight fine #13', families)).toMatchObject({
      ask: { about: 'size', written: '#13' },
    })
    expect(readTypedHook('straight fine', families)).toMatchObject({ ask: { about: 'size', written: null } })
    expect(readTypedHook('straight fine #14 frobnicated', families)).toMatchObject({ unused: ['frobnicated'] })
    // nothing here is 5X long
    expect(readTypedHook('straight fine 5XL #14', families).kind).toBe('asks')
    expect(readTypedHook('jig #14', families, { familyId: 'hook-jig-60' })).toMatchObject({
      kind: 'understood',
    })
  })
})

describe('counts are of what the goods are counted in', () => {
  it.each([
    ['tail: 3 strands pheasant tail', { fibreCount: 3 }],
    ['tail: pheasant tail, 3 fibres', { fibreCount: 3 }],
    ['body: 4 pheasant tail', { fibreCount: 4 }],
    ['legs: 4 round rubber 0.6', { strands: 4 }],
    ['wing: two cdc feather', { strands: 2 }],
    ['wing: 2 cdc feather, above', { strands: 2 }],
    ['tail: 40 marabou plume', { fibreCount: 40 }],
    ['tail: 20 marabou plume fibres', { fibreCount: 20 }],
    ['legs: 8 speckled hen #14 fibres', { fibreCount: 8 }],
    ['tail: marabou plume, 1 feather', { strands: 1 }],
    ['rib: fine copper wire 0.12, 2 strands, 5 turns', { strands: 2, turns: 5 }],
    ['back: closed-cell foam medium 2 mm black, 5 mm wide', { widthMm: 5 }],
    ['legs: 6 pheasant tail, knotted', { fibreCount: 6, formed: 'knotted' }],
  ])('%s', (text, amounts) => {
    expect(read(text).component).toMatchObject(amounts)
  })

  it('says which it took where feathers and fibres could be meant', () => {
    expect(read('wing: 2 barred flank').notes).toEqual(['2 read as feathers'])
    expect(read('tail: 3 strands pheasant tail').notes).toEqual([])
  })

  it('shows an amount that nobody asks of such goods as not understood', () => {
    expect(asks('body: hare, 5 turns').unused).toEqual(['5 turns'])
    expect(asks('body: hare, knotted').unused).toEqual(['knotted'])
    expect(read('body: rabbit strip cut across 3 mm').component.formed).toBeUndefined()
    expect(asks('hackle: stiff cape 16, 3 layers').unused).toEqual(['3 layers'])
    expect(asks('bead: tungsten slotted 2.8, 6 fibres').unused).toEqual(['6 fibres'])
  })
})

describe('any part of any stuff', () => {
  it.each([
    ['body: pheasant tail', 'fibre-game-tail'],
    ['back: pheasant tail', 'fibre-game-tail'],
    ['wing case: mottled turkey', 'feather-slip-mottled'],
    ['thorax: peacock herl', 'herl-peacock-long'],
    ['body: marabou plume olive', 'marabou-plume'],
    ['collar: marabou plume black, 2 turns', 'marabou-plume'],
    ['body: rabbit strip cut across 3 mm', 'strip-rabbit-crosscut'],
    ['tail: rabbit strip 3', 'strip-rabbit'],
    ['tail: flash strands pearl', 'flash-strand'],
    ['body: half-round vinyl 0.8 red', 'vinyl-rib'],
    ['body: soft worm strand 1.6 pink', 'worm-soft'],
    ['wing: synthetic wing film, spent', 'sheet-wing-film'],
    ['head: peacock herl', 'herl-peacock-long'],
    ['head: deer body hair', 'hair-deer-body'],
    ['collar: deer body hair, 20 fibres', 'hair-deer-body'],
    ['egg sac: egg yarn orange', 'yarn-egg'],
    ['legs: 2 stretch floss black', 'floss-stretch'],
    ['thorax: seal fur claret', 'dubbing-seal-like'],
    ['body: chartreuse hare', 'dubbing-hare'],
  ])('%s', (text, familyId) => {
    expect(read(text).familyId).toBe(familyId)
  })
})
