import { asWritten, KINDS, wording } from '../../core/index.ts'
import type { Component, DisplayUnits, Material, Proportion } from '../../core/index.ts'

const OF: Readonly<Record<string, string>> = { shank: 'shank', gape: 'gape', hookLength: 'fly', bead: 'bead' }
const FRACTIONS: readonly (readonly [number, string])[] = [
  [1 / 4, '¼'], [1 / 3, '⅓'], [1 / 2, '½'], [2 / 3, '⅔'], [3 / 4, '¾'], [1, '1'], [4 / 3, '1⅓'], [3 / 2, '1½'], [2, '2'],
] // prettier-ignore

/** A factor as tiers write it: `⅔`, `1½`, else two decimals. */
export function factorText(factor: number): string {
  return (
    FRACTIONS.find(([value]) => Math.abs(value - factor) < 0.005)?.[1] ?? String(Math.round(factor * 100) / 100)
  )
}

/** A proportion as tiers say it: `⅔ shank`, `5 mm`. */
function proportionText(proportion: Proportion, units: DisplayUnits): string {
  if ('mm' in proportion) {
    return `${asWritten(proportion.mm, units.smallLength)} ${units.smallLength}`
  }
  if (proportion.of === 'component') return `${factorText(proportion.factor)} of the ${proportion.componentKey}`
  return `${factorText(proportion.factor)} ${OF[proportion.of]}`
}

/** A material in few words: what it is, its size, its colour. */
export function materialText(material: Material | undefined): string {
  if (!material) return 'no material yet'
  return wording.drawerName(material.family, material.sizeKey, material.colourName)
}

/** What a length says of a component: of a bead, how far it stands before the eye. */
const lengthText = (kind: Component['kind'], length: Proportion, units: DisplayUnits): string =>
  KINDS[kind].asks(KINDS[kind].madeOf[0]).includes('pin')
    ? `on a pin, ${proportionText(length, units)} before the eye`
    : proportionText(length, units)

/** A component as one line: `tail: 6 fibres, speckled cock, ⅔ shank`. */
export function componentLine(
  component: Component,
  material: Material | undefined,
  units: DisplayUnits,
): string {
  const { kind, fibreCount, strands, formed, turns, layers, bulk, widthMm, length } = component
  const amounts = [
    fibreCount === undefined ? '' : wording.counted(fibreCount, 'fibre', 'fibres'),
    strands === undefined ? '' : wording.strandsText(strands, material?.family.kind),
    formed ?? '',
    turns === undefined ? '' : `${factorText(turns)} turns`,
    layers === undefined ? '' : wording.counted(layers, 'layer', 'layers'),
    widthMm === undefined ? '' : `${asWritten(widthMm, units.smallLength)} ${units.smallLength} wide`,
    length ? lengthText(kind, length, units) : '',
    bulk === undefined ? '' : bulk < 0.15 ? 'sparse' : bulk < 0.4 ? 'slim' : bulk < 0.7 ? 'full' : 'bulky',
  ]
  return `${wording.componentName[kind]}: ${[materialText(material), ...amounts].filter(Boolean).join(', ')}`
}
