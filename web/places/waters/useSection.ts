import { useEffect, useMemo, useState } from 'react'
import {
  curveC,
  epochDayOf,
  isStillwater,
  layersOf,
  MONTH_STARTS,
  placeInYear,
  speedAtHeight,
  tempAtDepthC,
  wording,
} from '../../../core/index.ts'
import type { DisplayUnits } from '../../../core/index.ts'
import type { ReachChoice, WatersView } from '../../../contract/index.ts'
import { useColumn } from '../../column/marks.ts'
import type { ColumnContent, WaterSection } from '../../column/marks.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useMoment } from '../../moment/useMoment.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'

const SHARES = [0.02, 0.25, 0.5, 0.75, 1]
const SHALLOWEST_MM = 500
const GRAIN_MM = 50
/** A surface cools where the usual one is colder in so many days. */
const TREND_DAYS = 7

function sectionOf(
  { waterTempC, on }: Moment,
  { warmth, waterKind, typicalDepthMm, surfaceSpeedMmPerS, bedRoughnessMm }: ReachChoice,
  thermoclineMm: number | null,
  units: DisplayUnits,
): Omit<WaterSection, 'thermocline'> {
  const still = isStillwater(waterKind)
  const { dayOfYear } = placeInYear(epochDayOf(on))
  const layers = layersOf(waterTempC, still ? thermoclineMm : null, {
    warmestC: Math.max(...MONTH_STARTS.map((day) => curveC(warmth.model, day + 15))),
    cooling: curveC(warmth.model, dayOfYear + TREND_DAYS) < curveC(warmth.model, dayOfYear),
  })
  const current = {
    depthMm: typicalDepthMm,
    surfaceMmPerS: surfaceSpeedMmPerS,
    roughnessMm: bedRoughnessMm,
  }
  return {
    title: still ? 'warmth' : 'speed',
    ice: still && layers.iced,
    layers: SHARES.map((share) => {
      const depthMm = share * typicalDepthMm
      const tempC = still ? tempAtDepthC(layers, thermoclineMm, depthMm) : waterTempC
      const speed = speedAtHeight(current, typicalDepthMm - depthMm)
      return {
        depthMm,
        speedShare: surfaceSpeedMmPerS > 0 ? speed / surfaceSpeedMmPerS : 0,
        // a river is as warm below as above
        words: still ? wording.temperature(tempC, units) : wording.current(speed, units),
      }
    }),
  }
}

/** Hangs a section of the moment's reach in the Column: speed and warmth by depth, ice, and the thermocline to drag. */
export function useSection(data: WatersView | undefined): void {
  const moment = useMoment()
  const command = useCommand()
  const { units } = useWording()
  const line = data?.waters.flatMap(({ reaches }) => reaches).find(({ id }) => id === moment?.reachId)
  const kept = line?.reach.thermoclineMm ?? null
  const [dragged, setDragged] = useState<number | null>(null)
  useEffect(() => {
    setDragged(null)
  }, [kept, line?.id])
  const content = useMemo((): ColumnContent | null => {
    if (!moment || !line) return null
    const depthMm = dragged ?? kept
    const deepest = line.reach.typicalDepthMm - SHALLOWEST_MM
    return {
      flies: [],
      fall: null,
      foods: null,
      section: {
        ...sectionOf(moment, moment.reach, depthMm, units),
        thermocline:
          depthMm === null
            ? null
            : {
                depthMm,
                words: `thermocline ${wording.depth(depthMm, units)}`,
                onMove: (to) =>
                  setDragged(Math.round(Math.min(Math.max(to, SHALLOWEST_MM), deepest) / GRAIN_MM) * GRAIN_MM),
                onDrop: () =>
                  setDragged((thermoclineMm) => {
                    if (thermoclineMm !== null && thermoclineMm !== kept) {
                      void command('reachSave', { reachId: line.id, change: { thermoclineMm } })
                    }
                    return thermoclineMm
                  }),
              },
      },
    }
  }, [moment, line, kept, dragged, units, command])
  useColumn(content ?? NOTHING)
}

const NOTHING: ColumnContent = { flies: null, fall: null, foods: null, section: null }
