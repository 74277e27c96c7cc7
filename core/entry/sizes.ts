import { canBeMadeIn } from '../material/index.ts'
import { parseQuantity } from '../quantity/index.ts'
import type { NamedFamily } from './goods.ts'

/** A size that a family has, that it might be made in, or that is asked for. */
export type SizeFound =
  | { readonly kind: 'size'; readonly sizeKey: string; readonly readAs: string | null }
  | { readonly kind: 'none' }
  /** nothing in the list is near: the nearest, and whether a drawer of that size could be made */
  | {
      readonly kind: 'noSuchSize'
      readonly written: string
      readonly nearest: readonly string[]
      readonly make: string | null
    }

/** Makers round to a tenth of a millimetre, and wire by a fiftieth of an inch. */
const TOLERANCE_MM = 0.05
const TOLERANCE_SHARE = 0.04
const NEAREST = 3
/** Threads by aughts, in denier, as most makers have them; there is no standard. */
const AUGHTS: Readonly<Record<string, string>> = {
  '3/0': '210', '6/0': '140', '8/0': '70', '10/0': '50', '12/0': '50', '14/0': '30', '16/0': '30', '18/0': '30',
} // prettier-ignore
const BY_NUMBER: ReadonlySet<string> = new Set(['hackle', 'hook'])

const nearestOf = (sizes: readonly string[], wanted: number) =>
  [...sizes]
    .sort((a, b) => Math.abs(Number(a) - wanted) - Math.abs(Number(b) - wanted))
    .slice(0, NEAREST)
    .sort((a, b) => Number(a) - Number(b))

const listed = (sizes: readonly string[], value: number, tolerance: number) => {
  const near = nearestOf(sizes, value).filter((size) => Math.abs(Number(size) - value) <= tolerance)
  return near.sort((a, b) => Math.abs(Number(a) - value) - Math.abs(Number(b) - value))[0]
}

/** Thread by denier, dtex or aughts. */
function threadSize(sizes: readonly string[], figure: string): SizeFound {
  const aught = AUGHTS[figure.replace(/\s/g, '')]
  if (aught && sizes.includes(aught))
    return { kind: 'size', sizeKey: aught, readAs: `${figure} read as ${aught} denier` }
  const parsed = parseQuantity(figure, 'titre', 'den', { min: 1, max: 2000 })
  if (parsed.kind !== 'quantity') return { kind: 'none' }
  const near = listed(sizes, parsed.value, Math.max(2, 0.06 * parsed.value))
  if (near)
    return {
      kind: 'size',
      sizeKey: near,
      readAs: parsed.unit === 'den' ? null : `${figure} read as ${near} denier`,
    }
  return { kind: 'noSuchSize', written: figure, nearest: nearestOf(sizes, parsed.value), make: null }
}

/**
 * The size of a family that a figure means: the nearest that it comes in, within what makers round to. A fraction or a
 * bare thousandth is read as inches where it is near a size only so, and that is said.
 *
 * @param figure as typed: `2.8`, `7/64`, `.015 in`, `#14`, `70 den`
 */
export function sizeOf(family: NamedFamily, figure: string): SizeFound {
  const { sizes, kind } = family
  if (sizes.length === 0) return { kind: 'none' }
  const bare = figure.replace(/^(?:#|size|sz\.?)\s*/i, '').trim()
  if (bare !== figure.trim() || BY_NUMBER.has(kind)) {
    if (sizes.includes(bare)) return { kind: 'size', sizeKey: bare, readAs: null }
    return {
      kind: 'noSuchSize',
      written: figure.trim(),
      nearest: nearestOf(sizes, Number(bare) || 14),
      make: null,
    }
  }
  if (kind === 'thread') return threadSize(sizes, figure)
  if (sizes.includes(bare)) return { kind: 'size', sizeKey: bare, readAs: null }
  const read = (text: string) => parseQuantity(text, 'length', 'mm', { min: 0.01, max: 100 })
  let parsed = read(figure)
  const asInches = parsed.kind === 'unclear' && parsed.code === 'inchOrMm'
  if (asInches) parsed = read(`${figure} in`)
  if (parsed.kind !== 'quantity') return { kind: 'none' }
  const mm = parsed.value
  const size = listed(sizes, mm, Math.max(TOLERANCE_MM, TOLERANCE_SHARE * mm))
  if (!size) {
    const rounded = String(Math.round(mm * 100) / 100)
    const make = canBeMadeIn(kind, rounded) ? rounded : null
    return { kind: 'noSuchSize', written: figure.trim(), nearest: nearestOf(sizes, mm), make }
  }
  return {
    kind: 'size',
    sizeKey: size,
    readAs: asInches ? `${figure.trim()} read as inches: ${size} mm` : null,
  }
}
