import type { MaterialKind } from '../material/index.ts'
import { beadSize } from './figures.ts'

/** A size as the goods are said: `2.8 mm · 7/64 in`, `#14`, `70 denier`. */
export function goodsSize(kind: MaterialKind, sizeKey: string): string {
  if (sizeKey === '') return ''
  switch (kind) {
    case 'bead':
      return beadSize(Number(sizeKey))
    case 'hook':
    case 'hackle':
      return `#${sizeKey}`
    case 'thread':
      return `${sizeKey} denier`
    case 'tippet':
    case 'leader':
    case 'shot':
    case 'swivel':
      return sizeKey
    default:
      return `${sizeKey} mm`
  }
}

/** Family, size and colour of a drawer in words: `Tungsten alloy bead, slotted, 2.8 mm · 7/64 in, copper`. */
export function drawerName(
  family: { readonly kind: MaterialKind; readonly name: string },
  sizeKey: string,
  colourName: string,
): string {
  return [family.name, goodsSize(family.kind, sizeKey), colourName].filter(Boolean).join(', ')
}

/** Hook sizes from the largest to the smallest: `#12–14`; nothing where there are none. */
export function hookSizes(sizes: readonly string[]): string {
  const [largest, smallest] = [sizes[0], sizes.at(-1)]
  if (largest === undefined) return ''
  return largest === smallest ? `#${largest}` : `#${largest}–${smallest}`
}
