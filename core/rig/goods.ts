import { sizeNumber, valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import { waterAt } from '../water/index.ts'
import { broadsideMmPerS } from './line.ts'
import { floatMgOf, STUFFS } from './parts.ts'
import type { LinePart, RigPart, Stuff } from './parts.ts'
import { LEADER_MG_PER_MM3, SPOOL_TEST_C, tippetDiameterMm } from './spool.ts'
import { readTypedRig } from './typedRig.ts'

/** How fast a line sinks level in the water that makers test in, mm/s; below nought it rises. */
export const spoolRate = (diameterMm: number, densityMgPerMm3: number): number =>
  broadsideMmPerS({ diameterMm, densityMgPerMm3 }, waterAt(SPOOL_TEST_C))

/** Lines that sink slower are called intermediate, mm/s. */
const INTERMEDIATE_MM_PER_S = 50
/** A floating line of which a sinking tip is all that is said: about as thick, and lighter than water. */
const FLOATING = { sort: 'floating', rateMmPerS: null } as const

type Level = Pick<LinePart, 'sort' | 'diameterMm' | 'rateMmPerS'>

/** A level piece of line in figures as a spool has them: what goes under has its rate. */
function level(diameterMm: number, rateMmPerS: number): Level {
  const at = { diameterMm: Math.round(100 * diameterMm) / 100, rateMmPerS: Math.round(rateMmPerS) }
  if (at.rateMmPerS <= 0) return { ...FLOATING, diameterMm: at.diameterMm }
  return { ...at, sort: at.rateMmPerS < INTERMEDIATE_MM_PER_S ? 'intermediate' : 'sinking' }
}

/**
 * A length of a fly line of the stores as the parts of a rig that it is, from the rod: its belly, then its tip as it is built.
 * What its spool says is of the belly; of a line that floats but for its tip, of the tip.
 */
export function lineOfGoods(material: Material, lengthMm: number): readonly LinePart[] {
  const diameterMm = valueOf(material, 'diameterMm')
  const density = valueOf(material, 'densityMgPerMm3')
  const rate = spoolRate(diameterMm, density)
  const { line: make } = material.family
  const part = (is: Level, mm: number): LinePart => ({ kind: 'line', lengthMm: mm, ...is })
  if (!make || lengthMm <= make.tipMm) return [part(level(diameterMm, rate), lengthMm)]
  const { build, tipMm, tipOfBelly } = make
  const bellyMm = lengthMm - tipMm
  if (build === 'sinkTip')
    return [
      part({ ...FLOATING, diameterMm: Math.round((100 * diameterMm) / tipOfBelly) / 100 }, bellyMm),
      part(level(diameterMm, rate), tipMm),
    ]
  const thinMm = diameterMm * tipOfBelly
  return [
    part(level(diameterMm, rate), bellyMm),
    part(level(thinMm, build === 'compensated' ? rate : spoolRate(thinMm, density)), tipMm),
  ]
}

/** What goods are drawn of: by their name, or else by their density. */
const stuffOf = (material: Material): Stuff =>
  STUFFS.find((stuff) => material.family.name.toLowerCase().includes(stuff)) ??
  (valueOf(material, 'densityMgPerMm3') > (LEADER_MG_PER_MM3.nylon + LEADER_MG_PER_MM3.fluorocarbon) / 2
    ? 'fluorocarbon'
    : 'nylon')

/** A ring is of wire a fifth as thick as it is wide: its weight by its width, mg. */
const ringMg = (acrossMm: number, density: number): number =>
  density * (Math.PI ** 2 / 4) * (0.2 * acrossMm) ** 2 * (0.8 * acrossMm)

/** How long a tippet is cut where nothing is said, mm. */
const TIPPET_MM = 600
const X_SIZE = /^(\d{1,2})X$/iu

/** A leader, tippet, indicator, shot, swivel or ring of the stores as the part of a rig that it is; null where its size does not say it. */
export function partOfGoods(material: Material): RigPart | null {
  const { family, sizeKey, overrides } = material
  const bySize = (written: string) => readTypedRig(written, [])[0]?.part ?? null
  switch (family.kind) {
    case 'tippet': {
      const x = X_SIZE.exec(sizeKey)?.[1]
      const bySizeMm = x === undefined ? sizeNumber(material) : tippetDiameterMm(Number(x))
      const diameterMm = overrides?.diameterMm?.value ?? bySizeMm ?? valueOf(material, 'diameterMm')
      const rounded = Math.round(1000 * diameterMm) / 1000
      return { kind: 'tippet', lengthMm: TIPPET_MM, diameterMm: rounded, stuff: stuffOf(material) }
    }
    case 'leader': {
      const read = bySize(`leader ${sizeKey}`)
      const buttMm = valueOf(material, 'diameterMm')
      return read?.kind === 'leader' ? { ...read, buttMm, stuff: stuffOf(material) } : null
    }
    case 'float': {
      const diameterMm = sizeNumber(material) ?? valueOf(material, 'diameterMm')
      return { kind: 'float', diameterMm, massMg: floatMgOf(diameterMm, valueOf(material, 'densityMgPerMm3')) }
    }
    case 'shot':
    case 'swivel':
      return bySize(`${family.kind} ${sizeKey}`)
    case 'ring': {
      const acrossMm = sizeNumber(material)
      const massMg = acrossMm && Math.round(ringMg(acrossMm, valueOf(material, 'densityMgPerMm3')))
      return massMg ? { kind: 'ring', massMg } : null
    }
    default:
      return null
  }
}

/** Whether a part of a rig is that of some goods; of tippet as much is cut as one wants. */
export function isPartOf(part: RigPart, goods: RigPart): boolean {
  const figures = (one: RigPart) =>
    JSON.stringify(Object.entries(one.kind === 'tippet' ? { ...one, lengthMm: 0 } : one).toSorted())
  return figures(part) === figures(goods)
}
