import materials from './materials.json' with { type: 'json' }
import tackle from './tackle.json' with { type: 'json' }
import type { LineMake, MaterialFamily, MaterialKind, Physics, Property, StockUnit } from '../material.ts'
import { isPropertyName } from '../properties.ts'
import type { PropertyName } from '../properties.ts'

/** A family as it ships, with the sizes and colours that it comes in. */
export interface ShippedFamily extends MaterialFamily {
  readonly key: string
  readonly sizes: readonly string[]
  readonly colours: readonly { readonly name: string; readonly hexDry: string; readonly hexWet: string }[]
  readonly note: string
}

interface RawProperty {
  readonly value: number
  readonly low: number
  readonly high: number
}
type RawPhysics = Readonly<Record<string, RawProperty | Readonly<Record<string, RawProperty>>>>

const isProperty = (raw: RawPhysics[string]): raw is RawProperty => typeof raw.value === 'number'

/** `contactAngleDeg: { untreated, treated }` becomes `contactAngleUntreatedDeg`, `contactAngleTreatedDeg`. */
function flatten(raw: RawPhysics, evidence: Property['evidence']): Physics {
  const physics: Partial<Record<PropertyName, Property>> = {}
  const put = (name: string, { value, low, high }: RawProperty) => {
    if (!isPropertyName(name)) throw new RangeError(`${name} is no property`)
    physics[name] = { value, low, high, evidence }
  }
  for (const [name, property] of Object.entries(raw)) {
    if (isProperty(property)) {
      put(name, property)
      continue
    }
    for (const [state, ofState] of Object.entries(property)) {
      const titled = state.charAt(0).toUpperCase() + state.slice(1)
      put(name.replace(/Deg$/, `${titled}Deg`), ofState)
    }
  }
  return physics
}

interface RawConvention {
  readonly style?: string
  readonly xLong?: number
  readonly xHeavy?: number
  readonly steps?: string
  readonly bead?: string
}

const kindDefaults = materials.kindDefaults as unknown as Readonly<Record<string, RawPhysics>>

const BUILDS: Readonly<Record<string, LineMake['build']>> = {
  uniform: 'uniform',
  densityCompensated: 'compensated',
  tipOnly: 'sinkTip',
}

/** How a line ships: by the pieces that it is of. */
function lineMake(key: string): LineMake | null {
  const type = materials.lineTypes.find((line) => line.key === key)
  const piece = (part: string) => type?.segments.find((segment) => segment.part === part)
  const [tip, belly, build] = [piece('tip'), piece('belly'), type && BUILDS[type.construction]]
  return tip && belly && build
    ? { build, tipMm: tip.lengthMm, tipOfBelly: tip.diameterMm / belly.diameterMm }
    : null
}

type Raw = (typeof materials.families)[number] | (typeof tackle.families)[number]

function toFamily(raw: Raw): ShippedFamily {
  const convention: RawConvention = raw.convention
  const physics = {
    ...flatten(kindDefaults[raw.kind] ?? {}, 'kindDefault'),
    ...flatten(raw.physics as unknown as RawPhysics, 'catalogue'),
  }
  return {
    key: raw.key,
    kind: raw.kind as MaterialKind,
    name: raw.name,
    massModel: raw.massModel,
    physics,
    hook: convention.style
      ? {
          style: convention.style,
          xLong: convention.xLong ?? 0,
          xHeavy: convention.xHeavy ?? 0,
          steps: convention.steps === 'evenSizes' ? 'evenSizes' : 'wholeSizes',
        }
      : null,
    boring: (convention.bead as MaterialFamily['boring']) ?? (raw.kind === 'bead' ? 'drilled' : null),
    line: lineMake(raw.key),
    stockUnit: raw.stockUnit as StockUnit,
    wasteShare: physics.wasteShare?.value ?? 0,
    cutLengthMm: physics.cutLengthMm?.value ?? 0,
    cautions: raw.cautions,
    sizes: raw.sizes,
    colours: raw.colours,
    note: raw.note,
  }
}

/** The generic families that ship: 192 that flies are tied of or hang from, and the tackle between; without makers, each property with its limits. */
export const shippedFamilies: readonly ShippedFamily[] = [...materials.families, ...tackle.families].map(
  toFamily,
)
