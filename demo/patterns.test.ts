import { describe, expect, it } from 'vitest'
import { evaluateFly, LIST_CONDITIONS, resolveDressing } from '../core/index.ts'
import type { Material } from '../core/index.ts'
import { shippedMaterial } from '../core/testing/shippedMaterial.ts'
import { patterns } from './patterns/index.ts'
import { tie } from './tie.ts'

/** The first variant of a pattern, tied by its typed lines and evaluated as lists have it. */
function reportOf(name: string) {
  const pattern = patterns.find((one) => one.name === name)
  if (!pattern) throw new Error(`no ${name}`)
  const materials = new Map<string, Material>()
  const tied = tie(pattern, ({ family, size, colour }) => {
    const material = shippedMaterial(family, size, colour)
    materials.set(material.id, material)
    return material
  })
  const [first] = tied.variants
  if (!first) throw new Error(`${name} has no variant`)
  const fly = resolveDressing({ components: tied.components, steps: null }, first, materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return evaluateFly(fly, LIST_CONDITIONS)
}

// ---- reckoned by hand, with a pocket calculator's arithmetic and nothing of core

/** A hook as wire: its shank, not quite three gapes of bend, point and eye; steps of 1.2, 1.16 and 1.115 from a #16. */
function hookMg(size: number, { long = 0, wire = 0 } = {}): number {
  const steps = (16 - size) / 2
  const shankMm = 7.1 * 1.2 ** (steps + long / 2)
  const gapeMm = 3.6 * 1.16 ** steps
  const wireMm = 0.38 * 1.115 ** (steps + wire / 2)
  return (shankMm + 2.9 * gapeMm) * (Math.PI / 4) * wireMm ** 2 * 7.85
}
/** A ball less its bore, or less a third with its slot. */
const beadMg = (mm: number, density: number, slotted = false) =>
  (Math.PI / 6) * mm ** 3 * (slotted ? 0.66 : 0.8) * density
const [TUNGSTEN, BRASS] = [17.2, 8.5]
/** Turns about half a millimetre of steel and thread. */
const tinMg = (turns: number, mm: number) => turns * Math.PI * (0.65 + mm) * (Math.PI / 4) * mm ** 2 * 7.3

/** Fall from weight and drag, cm/s: v = √(2 W ÷ (ρ C A)); metal keeps nine tenths of its weight in water, fur a tenth. */
const fallCmPerS = (inWaterMg: number, dragAreaMm2: number) =>
  100 * Math.sqrt((2 * inWaterMg * 1e-6 * 9.81) / (1000 * dragAreaMm2 * 1e-6))
/** Head first: the disc that is widest, blunt, with what trails of it. */
const headFirst = (acrossMm: number, coefficient = 0.9) => (Math.PI / 4) * acrossMm ** 2 * coefficient
/** On its side: its outline, with what stands out of it. */
const flat = (acrossMm: number, lengthMm: number, coefficient = 1.1) => acrossMm * lengthMm * coefficient

/** What sinks: its metal, its dressing, and the area that it shows to the water. */
const SINKS: readonly (readonly [name: string, metalMg: number, dressingMg: number, dragAreaMm2: number])[] = [
  // a collar a little wider than the bead
  ['Third Button', hookMg(16, { wire: 1 }) + beadMg(2.8, TUNGSTEN, true), 5, headFirst(3.2, 1.0)],
  ['Wet Slate', hookMg(18, { wire: 1 }) + beadMg(2.4, TUNGSTEN, true), 4, headFirst(2.4, 1.1)],
  // two strips along 7 mm, legs to both sides
  ['Gate Hinge', hookMg(14, { wire: 2 }) + 2 * 7 * 0.83, 8, flat(3.2, 9) + flat(5, 8, 1)],
  [
    'Cold Tea',
    hookMg(10, { long: 2, wire: 2 }) + beadMg(2.8, BRASS) + tinMg(10, 0.38),
    15,
    headFirst(4.5, 1.2),
  ],
  // four rubber legs of 0.6 mm stand out
  ['Coal Scuttle', hookMg(10, { wire: 1 }) + beadMg(4, TUNGSTEN, true), 15, headFirst(4.6, 1) + 4 * 0.6 * 8],
  ['Stair Rod', hookMg(8, { long: 3 }) + beadMg(3.3, TUNGSTEN) + tinMg(20, 0.5), 35, headFirst(4, 1.2)],
  ['Rag Rug', hookMg(12) + beadMg(3.3, TUNGSTEN) + tinMg(10, 0.38), 20, headFirst(5, 1.4)],
  // no bead: it falls level
  ['Sack Thread', hookMg(12, { long: 2, wire: 2 }) + tinMg(12, 0.5), 25, flat(3.4, 12)],
  ['Barley Sugar', hookMg(14) + beadMg(2.4, BRASS), 8, headFirst(4, 1.2) + 5],
  ['Old Rope', hookMg(10) + beadMg(3.3, TUNGSTEN), 60, headFirst(4.5, 1) + 14],
  ['Sheepfold', hookMg(16) + tinMg(8, 0.25), 6, flat(2.6, 7)],
  ['Moss Stitch', hookMg(14) + tinMg(8, 0.38), 10, flat(3, 7.5)],
  ['Brass Band', hookMg(14, { wire: 1 }) + beadMg(3.3, TUNGSTEN, true), 6, headFirst(3.3, 1.2)],
  // a hand of wet rabbit behind a broad head
  ['Cellar Step', hookMg(6, { wire: 1 }) + beadMg(4.6, BRASS, true), 130, headFirst(9, 1) + flat(8, 25, 1)],
  ['Turned Collar', hookMg(14, { wire: -1 }), 3, flat(1.2, 8) + flat(8, 8, 0.9)],
  ['Late Post', hookMg(16) + 22 * Math.PI * 0.7 * (Math.PI / 4) * 0.12 ** 2 * 8.9, 3, flat(1, 7) + flat(3, 6)],
  ['Bell Rope', hookMg(12, { wire: 2 }) + beadMg(2.4, TUNGSTEN), 15, headFirst(2.6, 1.4)],
  ['Grain of Doubt', hookMg(12), 10, flat(1.4, 9) + 6],
  ['Nettle Soup', hookMg(10, { long: 2, wire: 2 }) + 2 * beadMg(3, 8, false) * 0.6, 10, headFirst(6, 1)],
  // the pin, half of it bound on the shank
  ['Pontoon', hookMg(10, { wire: 1 }) + beadMg(2.4, TUNGSTEN) + 11 * 0.283 * 7.85, 12, flat(3.5, 12, 0.7)],
  ['Skiff', hookMg(12) + beadMg(2.4, BRASS), 15, headFirst(5, 1) + 8],
  ['Pepper Pot', hookMg(12), 14, flat(3.4, 10) + flat(7, 4, 1)],
  ['Broken Crockery', hookMg(8, { long: 2 }) + 2 * beadMg(3, 8) * 0.6, 80, flat(8, 25, 1)],
]

/** How what floats rides, as it is known to. */
const FLOATS: Readonly<Record<string, readonly string[]>> = {
  'Kettle Lid': ['hanging'], // from its tuft
  'Singed Cuff': ['inFilm', 'low', 'hanging'],
  Thimble: ['low', 'inFilm', 'hanging'],
  'Pocket Lint': ['hanging', 'inFilm'],
  'Damp Straw': ['low'], // flat on its parachute
  'Chapel Roof': ['inFilm', 'low', 'hanging'], // hackle off below
  'Paper Lantern': ['proud', 'low'],
  'Pressed Flower': ['inFilm'], // spent
  'Quarter Past': ['inFilm'],
  'Smoke Ring': ['proud'], // palmered
  'Rook’s Ink': ['inFilm', 'low', 'proud'],
  Verger: ['proud', 'low', 'inFilm'],
  'Sexton’s Glove': ['inFilm', 'low'],
  'Long Division': ['low', 'inFilm', 'proud'],
  'Candle End': ['hanging'], // from its breather
  'Ditch Digger': ['inFilm', 'low'],
  'Cork Stopper': ['inFilm', 'low'],
}

describe('the forty patterns of the valley', () => {
  it('are forty, and each is either of these', () => {
    expect(patterns).toHaveLength(40)
    const said = new Set([...SINKS.map(([name]) => name), ...Object.keys(FLOATS)])
    expect(patterns.map(({ name }) => name).filter((name) => !said.has(name))).toEqual([])
    expect(said.size).toBe(40)
  })

  it.each(SINKS)('%s weighs and falls as a pocket calculator says', (name, metalMg, dressingMg, area) => {
    const report = reportOf(name)
    if (report.kind !== 'sinks') throw new Error(`${name}: ${report.kind}`)
    const mass = report.massMg.value / (metalMg + dressingMg)
    const speed = report.free.sinkSpeedMmPerS.value / 10 / fallCmPerS(0.88 * metalMg + 0.15 * dressingMg, area)
    expect(Math.abs(mass - 1), `weighs ${mass} of it`).toBeLessThan(0.2)
    expect(Math.abs(Math.log(speed)), `falls at ${speed} of it`).toBeLessThan(Math.log(4 / 3))
  })

  it.each(Object.entries(FLOATS))('%s floats as it is known to', (name, postures) => {
    const report = reportOf(name)
    if (report.kind !== 'floats') throw new Error(`${name}: ${report.kind}`)
    expect(postures).toContain(report.ride.posture)
  })
})
