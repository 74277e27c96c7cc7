import { useMemo } from 'react'
import {
  calibrationFor,
  evaluateFly,
  fliesOnRig,
  NOTHING_MEASURED,
  resolveDressing,
} from '../../../../core/index.ts'
import type { RigFly, RigPart } from '../../../../core/index.ts'
import { useMaterialBook } from '../../../recipe/useMaterialBook.ts'
import { useMeasurementsQuery, usePatternsOfQuery, usePatternsQuery } from '../../../wire/api.ts'

/** A fly that a rig may carry. */
export interface FlyChoice {
  readonly id: string
  readonly name: string
  readonly patternName: string
  readonly label: string
  readonly drawingKey: string | null
  readonly sinks: boolean
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
        })),
      ) ?? null,
    [data],
  )
}

/** What the flies of a rig are to it, in its order, at a water's warmth; null until they are known. */
export function useRigFlies(parts: readonly RigPart[], waterTempC: number): readonly (RigFly | null)[] | null {
  const { data } = usePatternsQuery()
  const { data: measurements } = useMeasurementsQuery()
  const book = useMaterialBook()
  // the same flies are the same list, whatever else of the rig is changed
  const key = fliesOnRig(parts)
    .map((fly) => fly ?? '')
    .join(' ')
  const patternIds = useMemo(() => {
    const wanted = new Set(key.split(' '))
    const named = data?.patterns.filter(({ variants }) => variants.some(({ id }) => wanted.has(id))) ?? []
    return named.map(({ id }) => id)
  }, [data, key])
  const { data: recipes } = usePatternsOfQuery(patternIds, { skip: patternIds.length === 0 })
  return useMemo(() => {
    if (!book || (patternIds.length > 0 && !recipes)) return null
    const measured = measurements?.measured ?? NOTHING_MEASURED
    return key.split(' ').map((id): RigFly | null => {
      const pattern = recipes?.find(({ variants }) => variants.some((variant) => variant.id === id))
      const variant = pattern?.variants.find((candidate) => candidate.id === id)
      const fly = pattern && variant ? resolveDressing(pattern.dressing, variant, book.materials) : null
      if (fly?.kind !== 'fly') return null
      const calibration = calibrationFor(fly, id, measured)
      const report = evaluateFly(
        fly,
        { waterTempC, tippet: null, wet: 'fresh', filmTreatment: 'none' },
        calibration,
      )
      const { dragSdLog } = calibration
      if (report.kind === 'sinks') return { model: report.model, dragSdLog, carries: null }
      if (report.kind !== 'floats') return null
      return {
        model: null,
        dragSdLog,
        carries: { massMg: report.massMg.value, spareMg: Math.max(report.ride.spareMg, 0) },
      }
    })
  }, [book, recipes, patternIds, measurements, key, waterTempC])
}
