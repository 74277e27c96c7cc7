import type { RigPart } from './parts.ts'

const metres = (mm: number) =>
  mm >= 1000 ? `${Number((mm / 1000).toFixed(3))} m` : `${Number((mm / 10).toFixed(2))} cm`
const thick = (mm: number) => (mm < 0.995 ? mm.toFixed(3).replace(/0$/, '') : `${Number(mm.toFixed(3))} mm`)

/** A part as it is typed: what is typed is read back as it is. */
function typedPart(part: RigPart, nameOf: (id: string) => string): string {
  const fly = (id: string | null) => (id === null ? '' : ` ${nameOf(id)}`)
  switch (part.kind) {
    case 'line': {
      const rate = part.rateMmPerS === null ? '' : ` at ${Number((part.rateMmPerS / 10).toFixed(2))} cm/s`
      return `${metres(part.lengthMm)} ${part.sort} line ${thick(part.diameterMm)}${rate}`
    }
    case 'leader':
      return `${metres(part.lengthMm)} leader ${thick(part.buttMm)} to ${thick(part.tipMm)} ${part.stuff}`
    case 'tippet':
      return `${metres(part.lengthMm)} ${thick(part.diameterMm)} ${part.stuff}`
    case 'dropper':
      return `dropper ${metres(part.lengthMm)}${fly(part.fly)}`
    case 'float':
      return `float ${Number(part.diameterMm.toFixed(1))} mm ${Math.round(part.massMg)} mg`
    case 'dry':
      return `dry${fly(part.fly)}`
    case 'point':
      return `point${fly(part.fly)}`
    case 'knot':
      return `${part.knot} knot`
    default:
      return `${part.kind} ${Math.round(part.massMg)} mg`
  }
}

/** A rig as one line to type. */
export const writtenRig = (parts: readonly RigPart[], nameOf: (id: string) => string): string =>
  parts.map((part) => typedPart(part, nameOf)).join(', ')
