import { within } from '../../../contract/limits.ts'
import { isStillwater, parseQuantity, wording, yearBetween } from '../../../core/index.ts'
import type { DisplayUnits, ParsedQuantity, WaterKind } from '../../../core/index.ts'
import type { CommandInput, ReachId, WaterId } from '../../../contract/index.ts'

/** What is written of a new water, each in the user's units. */
export interface WrittenWater {
  readonly name: string
  readonly kind: WaterKind
  readonly depth: string
  readonly speed: string
  readonly coldest: string
  readonly warmest: string
  readonly height: string
  readonly latitude: string
  readonly longitude: string
}

type Field = Exclude<keyof WrittenWater, 'name' | 'kind'>
type Ids = { readonly waterId: WaterId; readonly reachId: ReachId }

/** What a new water says so far: what is wrong with it, and how it is added once nothing is. */
export interface ReadWater {
  readonly isStill: boolean
  readonly faults: Readonly<Partial<Record<Field, string>>>
  readonly create: ((ids: Ids, timeZone: string) => CommandInput<'waterCreate'>) | null
}

/** Sight through clear water, mm, until somebody looks. */
const USUAL_CLARITY_MM = 2000
const NO_RULES = {
  dryOnly: null, upstreamOnly: null, maxFlies: null, barbless: null, noLead: null, noAddedWeight: null,
  minHookSize: null, maxHookSize: null, noIndicator: null, maxLeaderMm: null,
} // prettier-ignore
const { min: lowestM, max: highestM } = within('elevationM')
const HEIGHT_MM = { min: lowestM * 1000, max: highestM * 1000 }

/** Empty is not wrong yet. */
const faultOf = (parsed: ParsedQuantity): string | undefined =>
  parsed.kind === 'unclear' && parsed.code !== 'empty'
    ? wording.unclearSentence(parsed.code, parsed.suggestions)
    : undefined

/** Degrees within limits; empty is not wrong yet, and nought only where it is written. */
function readDegrees(text: string, { min, max }: { readonly min: number; readonly max: number }) {
  const written = text.trim().replace(',', '.').replace('−', '-')
  const deg = Number(written)
  if (written === '') return { deg: null, fault: undefined }
  return deg >= min && deg <= max ? { deg, fault: undefined } : { deg: null, fault: `From −${-min} to ${max}.` }
}

/** Reads what is written of a new water. The two temperatures may stand either way round. */
export function readWater(written: WrittenWater, units: DisplayUnits): ReadWater {
  const { name, kind } = written
  const isStill = isStillwater(kind)
  const temp = (text: string) => parseQuantity(text, 'temperature', units.temperature, within('usualTempC'))
  const depth = parseQuantity(written.depth, 'length', units.depth, within('waterDepthMm'))
  const speed = parseQuantity(
    isStill ? '0' : written.speed,
    'speed',
    `${units.depth}/s`,
    within('surfaceSpeed'),
  )
  const height = parseQuantity(written.height, 'length', units.depth, HEIGHT_MM)
  const [coldest, warmest] = [temp(written.coldest), temp(written.warmest)]
  const latitude = readDegrees(written.latitude, within('latitudeDeg'))
  const longitude = readDegrees(written.longitude, within('longitudeDeg'))
  const faults = {
    height: faultOf(height),
    depth: faultOf(depth),
    speed: faultOf(speed),
    coldest: faultOf(coldest),
    warmest: faultOf(warmest),
    latitude: latitude.fault,
    longitude: longitude.fault,
  }
  if (
    height.kind !== 'quantity' ||
    depth.kind !== 'quantity' ||
    speed.kind !== 'quantity' ||
    coldest.kind !== 'quantity' ||
    warmest.kind !== 'quantity' ||
    latitude.deg === null ||
    longitude.deg === null
  )
    return { isStill, faults, create: null }
  const [latitudeDeg, longitudeDeg] = [latitude.deg, longitude.deg]
  return {
    isStill,
    faults,
    create: ({ waterId, reachId }, timeZone) => ({
      waterId,
      water: {
        name, kind, latitudeDeg, longitudeDeg, timeZone, clarityMm: USUAL_CLARITY_MM, snagginess: 1,
        openFromMonthDay: null, openToMonthDay: null, iceOffMonthDay: null, rulesNote: '', rules: NO_RULES,
      },
      reaches: [
        {
          id: reachId,
          kind: isStill ? 'shoal' : 'reach',
          name,
          elevationM: Math.round(height.value / 1000),
          typicalDepthMm: Math.round(depth.value),
          surfaceSpeedMmPerS: Math.round(speed.value),
          thermoclineMm: null,
          defaultTempC: [...yearBetween(coldest.value, warmest.value, latitudeDeg < 0)],
        },
      ],
    }), // prettier-ignore
  }
}
