import type { ColourShare } from '../colour/index.ts'
import { is, KINDS } from '../dressing/index.ts'
import type { DrawnAs, Fly, FlyComponent } from '../dressing/index.ts'
import { sizeNumber, strandDiameterMm } from '../material/index.ts'
import { sum } from '../number/index.ts'
import { isBody } from './bodyLength.ts'

/** What counts of goods apart from the body: fibres let light through, and a bead is no part of the natural. Judgement. */
const SEEN = { head: 0.5, fibres: 0.3, wing: 0.75, barbs: 0.2, rib: 0.25, laid: 0.4 }
/** Width of a bundle of fibres, mm a fibre, and of one strand or feather. */
const FIBRE_MM = 0.06
const STRAND_MM = 1
/** A turn of thread. */
const TURN_MM = 0.15

const FEATHERS: ReadonlySet<string> = new Set([
  'feather',
  'cdc',
  'strip',
  'yarn',
  'rubber',
  'quill',
  'chenille',
  'sheet',
])

const bundleMm2 = ({ lengthMm, fibreCount = 6, strands = 1, material }: FlyComponent) =>
  (lengthMm ?? 0) *
  (FEATHERS.has(material.family.kind) ? STRAND_MM * Math.min(strands, 3) : FIBRE_MM * fibreCount)

/** Area that is seen of a component from the side, mm², before what lies over it. */
function seenMm2(component: FlyComponent, fly: Fly): number {
  const { kind, material, fromMm, toMm, outerMm, coreMm, turns = 0, lengthMm } = component
  const longMm = Math.max(toMm - fromMm, 0)
  const thickMm = Math.max(outerMm, coreMm, fly.hook.wireMm)
  const ball = (Math.PI / 4) * (sizeNumber(material) ?? 0) ** 2
  const barbs = SEEN.barbs * 2 * (lengthMm ?? 0) * Math.max(longMm, TURN_MM * turns)
  if (is(kind, 'hidden')) return 0
  switch (KINDS[kind].drawn) {
    case 'bead':
      return SEEN.head * ball
    case 'eyes':
      return ball
    case 'coat':
      return 0
    case 'rib':
      return SEEN.rib * Math.min(turns * strandDiameterMm(material) * 2, longMm) * coreMm
    case 'laid':
      return SEEN.laid * longMm * thickMm
    case 'hackle':
      return barbs
    case 'wing':
    case 'post':
      return SEEN.wing * bundleMm2(component)
    case 'tail':
    case 'legs':
    case 'gills':
      return SEEN.fibres * bundleMm2(component)
    case 'strip':
      return (lengthMm ?? 0) * (sizeNumber(material) ?? STRAND_MM)
    case 'collar':
      return outerMm <= coreMm ? barbs : longMm * thickMm
    case 'wound':
    case 'thread':
    case 'foam':
    case 'cone':
      return Math.max(longMm, TURN_MM * turns * Number(longMm === 0)) * thickMm
  }
}

/** What hides the body that it is wound over. */
const COVERS: ReadonlySet<DrawnAs> = new Set(['wound', 'thread', 'foam', 'cone'])

/** Share of a body that nothing wound over it hides: thorax, collar, head and the like lie on it. */
function openShare(body: FlyComponent, fly: Fly): number {
  const longMm = body.toMm - body.fromMm
  const at = fly.components.indexOf(body)
  if (!isBody(body) || longMm <= 0) return 1
  const over = fly.components.filter(
    (one, i) => i > at && COVERS.has(KINDS[one.kind].drawn) && one.toMm - one.fromMm < longMm,
  )
  const hidden = over.map(({ fromMm, toMm }) =>
    Math.max(Math.min(toMm, body.toMm) - Math.max(fromMm, body.fromMm), 0),
  )
  return Math.max(1 - sum(hidden) / longMm, 0)
}

/** The wet colours of a fly by how much is seen of them, the most first; empty where nothing covers the hook. */
export function paletteOf(fly: Fly): readonly ColourShare[] {
  const areas = new Map<string, number>()
  const dressed = fly.components.some(({ kind }) => is(kind, 'givesColour') && KINDS[kind].layer === 'body')
  for (const component of fly.components) {
    const hex = component.material.colourWetHex
    // the tying thread is seen where nothing else is wound, or where it is laid on for a body
    const covered = KINDS[component.kind].layer === 'underbody' && dressed && !isBody(component)
    const area = covered ? 0 : seenMm2(component, fly) * openShare(component, fly)
    if (area > 0) areas.set(hex, (areas.get(hex) ?? 0) + area)
  }
  const total = sum([...areas.values()])
  return [...areas].map(([hexWet, area]) => ({ hexWet, share: area / total })).sort((a, b) => b.share - a.share)
}
