import { within } from '../../../contract/limits.ts'
import type { LimitName } from '../../../contract/limits.ts'
import { mean, parseDecimal, toCore, USUAL_CURL_DEG } from '../../../core/index.ts'
import type { Timing, Unit } from '../../../core/index.ts'
import type { CommandInput } from '../../../contract/index.ts'

export type DropTest = CommandInput<'dropTestSave'>['test']
export type Wet = DropTest['wet']

/** Density of a copolymer tippet, mg/mm³. */
const COPOLYMER = 1.13
const MM_PER_CM = 10

/** How straight a line lies in the water, and what curl stands for that. */
export const CURL_DEG = { straight: 0, offTheSpool: USUAL_CURL_DEG, coiled: 25 } as const
export type LineWas = keyof typeof CURL_DEG

/** What was written down of a drop test. */
export interface Written {
  readonly variantId: string | null
  readonly depth: string
  /** width of the tube; empty for open water */
  readonly vessel: string
  readonly timing: Timing
  readonly wet: Wet
  /** diameter of the line it hung on, mm, or `none` */
  readonly line: string
  /** how much of it follows the fly down */
  readonly lineLength: string
  /** how straight it was, by name */
  readonly lineWas: LineWas
  /** times, one after another */
  readonly times: string
}

/** The units that depth and tube are written in. */
export interface DropUnits {
  readonly depth: Unit
  readonly vessel: 'in' | 'cm'
}

/** What a drop test says so far: its figures, and what is wrong with them. */
export interface ReadDropTest {
  readonly depthMm: number | null
  readonly times: readonly number[]
  readonly meanS: number
  readonly faults: {
    readonly depth?: string
    readonly vessel?: string
    readonly lineLength?: string
    readonly times?: string
  }
  /** ready to be kept; null while something is missing or wrong */
  readonly test: Pick<
    DropTest,
    'variantId' | 'depthMm' | 'vesselMm' | 'tippet' | 'times' | 'timing' | 'wet'
  > | null
}

/** Times as written, s, one after another; the first that is no time is named. */
export function readTimes(text: string): {
  readonly times: readonly number[]
  readonly unclear: string | null
} {
  const words = text.split(/[\s;]+/).filter(Boolean)
  const times = words.map((word) => {
    const parsed = parseDecimal(word.replace(/s$/, ''))
    const { min, max } = within('dropS')
    return parsed.kind === 'number' && parsed.value >= min && parsed.value <= max ? parsed.value : NaN
  })
  const wrong = words.find((_, i) => !Number.isFinite(times[i]))
  return { times: times.filter(Number.isFinite), unclear: wrong ?? null }
}

/** mm in one of the unit that a field is written in. */
const mmIn = (unit: Unit | 'cm') => (unit === 'cm' ? MM_PER_CM : toCore(1, unit))

/** A length of a field, mm, or what is wrong with it. */
function readLength(text: string, unit: Unit | 'cm', limit: LimitName): number | string {
  const parsed = parseDecimal(text)
  if (parsed.kind !== 'number') return 'Write a figure.'
  const { min, max } = within(limit)
  const shown = (mm: number) => `${Number((mm / mmIn(unit)).toPrecision(3))} ${unit}`
  const mm = parsed.value * mmIn(unit)
  if (mm < min) return `At least ${shown(min)}.`
  return mm > max ? `At most ${shown(max)}.` : mm
}

const said = (read: number | string | null) => (typeof read === 'string' ? read : undefined)

/** Reads what was written of a drop test, depth and tube each in the user's unit. */
export function readDropTest(written: Written, units: DropUnits): ReadDropTest {
  const deep = readLength(written.depth, units.depth, 'dropDepthMm')
  const vessel = written.vessel.trim() === '' ? null : readLength(written.vessel, units.vessel, 'vesselMm')
  const { times, unclear } = readTimes(written.times)
  const depthMm = typeof deep === 'number' ? deep : null
  const { variantId, timing, wet, line, lineWas } = written
  const lineMm = line === 'none' ? 0 : readLength(written.lineLength, units.depth, 'tippetLengthMm')
  const isReady =
    variantId !== null &&
    depthMm !== null &&
    times.length > 0 &&
    !unclear &&
    typeof vessel !== 'string' &&
    typeof lineMm === 'number'
  return {
    depthMm,
    times,
    meanS: mean(times),
    faults: {
      depth: said(deep),
      vessel: said(vessel),
      lineLength: said(lineMm),
      times: unclear ? `“${unclear}” is no time.` : undefined,
    },
    test: isReady
      ? {
          variantId: variantId as DropTest['variantId'],
          depthMm,
          timing,
          wet,
          vesselMm: vessel,
          tippet:
            line === 'none'
              ? null
              : {
                  diameterMm: Number(line),
                  densityMgPerMm3: COPOLYMER,
                  lengthMm: lineMm,
                  curlDeg: CURL_DEG[lineWas],
                },
          times: times.map((timeS) => ({ timeS, setAside: false })),
        }
      : null,
  }
}
