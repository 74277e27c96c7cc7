import { useMemo } from 'react'
import {
  calibrationFor,
  evaluateFly,
  fliesOnRig,
  NOTHING_MEASURED,
  resolveDressing,
} from '../../../core/index.ts'
import type { Fly, Measured, RigFly, RigPart } from '../../../core/index.ts'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { useMeasurementsQuery, usePatternsOfQuery, usePatternsQuery } from '../../wire/answers.ts'

/** A fly that a rig may carry. */
export interface FlyChoice {
  readonly id: string
  readonly name: string
  readonly patternName: string
  readonly label: string
  readonly drawingKey: string | null
  readonly sinks: boolean
  readonly floats: boolean
  readonly hookSize: number | null
  /** weight in water, mg */
  readonly submergedMg: number
}

/** Every fly that can be tied on, by name. */
export function useFlyChoices(): readonly FlyChoice[] | null {
  const { data } = usePatternsQuery()
  return useMemo(
    () =>
      data?.patterns.flatMap(({ name, variants }) =>
        variants.map(({ id, label, figure }) => ({
          id: id as string,
          name: `${name} ${label}`,
          patternName: name,
          label,
          drawingKey: figure.drawingKey,
          sinks: figure.kind === 'sinks',
          floats: figure.kind === 'floats',
          hookSize: figure.hookSize,
          submergedMg: figure.submergedMg ?? 0,
        })),
      ) ?? null,
    [data],
  )
}

/** What flies are to a rig, by id, at a water's warmth; null until they are known. */
export function useFlyBook(
  ids: readonly string[],
  waterTempC: number | null,
): ReadonlyMap<string, RigFly> | null {
  const { data } = usePatternsQuery()
  const { data: measurements } = useMeasurementsQuery()
  const book = useMaterialBook()
  // the same flies are the same list, whatever else of a rig is changed
  const key = [...new Set(ids)].sort().join(' ')
  const patternIds = useMemo(() => {
    const wanted = new Set(key.split(' '))
    const named = data?.patterns.filter(({ variants }) => variants.some(({ id }) => wanted.has(id))) ?? []
    return named.map(({ id }) => id)
  }, [data, key])
  const { data: recipes } = usePatternsOfQuery(patternIds, { skip: patternIds.length === 0 })
  return useMemo(() => {
    if (!book || !data || waterTempC === null || (patternIds.length > 0 && !recipes)) return null
    const measured = measurements?.measured ?? NOTHING_MEASURED
    const known = new Map<string, RigFly>()
    for (const id of key.split(' ')) {
      const pattern = recipes?.find(({ variants }) => variants.some((variant) => variant.id === id))
      const variant = pattern?.variants.find((candidate) => candidate.id === id)
      const fly = pattern && variant ? resolveDressing(pattern.dressing, variant, book.materials) : null
      const rigFly = fly?.kind === 'fly' ? rigFlyOf(fly, id, measured, waterTempC) : null
      if (rigFly) known.set(id, rigFly)
    }
    return known
  }, [book, data, recipes, patternIds, measurements, key, waterTempC])
}

/** What one fly is to a rig: how it falls, or what it carries; null where it hovers. */
function rigFlyOf(fly: Fly, id: string, measured: Measured, waterTempC: number): RigFly | null {
  const calibration = calibrationFor(fly, id, measured)
  const { dragSdLog } = calibration
  const report = evaluateFly(
    fly,
    { waterTempC, tippet: null, wet: 'fresh', filmTreatment: 'none' },
    calibration,
  )
  if (report.kind === 'sinks') return { model: report.model, dragSdLog, carries: null }
  if (report.kind !== 'floats') return null
  const carries = { massMg: report.massMg.value, spareMg: Math.max(report.ride.spareMg, 0) }
  return { model: null, dragSdLog, carries }
}

/** The flies of a rig, in its order; null for one that is not chosen. */
export const fliesFrom = (
  book: ReadonlyMap<string, RigFly>,
  parts: readonly RigPart[],
): readonly (RigFly | null)[] => fliesOnRig(parts).map((id) => (id === null ? null : (book.get(id) ?? null)))
