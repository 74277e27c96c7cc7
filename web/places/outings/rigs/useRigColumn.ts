import { useMemo } from 'react'
import { clamp, settingOf, withSetting, wording } from '../../../../core/index.ts'
import type { FishesRig, RigInWater, RigPart, RigThere } from '../../../../core/index.ts'
import { EMPTY_CONTENT, useColumn } from '../../../column/marks.ts'
import type { ColumnContent, RigMark } from '../../../column/marks.ts'
import { flyNames } from '../../../column/shortNames.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'

/** What can be changed of how a rig fishes: what it is set to, how fast it is led, how long it is counted. */
export interface RigSetters {
  readonly put: (parts: readonly RigPart[], isDragging: boolean) => void
  readonly lead: (mmPerS: number, isDragging: boolean) => void
  readonly count: (s: number) => void
  /** ends what is being dragged, as it stands: what was found last may be of a setting before it */
  readonly drop: () => void
}

interface Hung {
  readonly fishes: FishesRig | null
  /** what it was found of */
  readonly of: RigInWater | null
  /** what is asked now: keys go on from it, though no answer is there yet */
  readonly asked: RigInWater | null
  readonly now: RigThere | null
  readonly ghost: RigThere | null
  readonly countS: number
  readonly chosen: readonly (FlyChoice | undefined)[]
  readonly isFixed: boolean
  readonly set: RigSetters
}

/** Led so much faster a fly hangs about a millimetre higher, mm/s; it is corrected by what is found then. */
const LED_PER_MM = 0.6
const LED = { least: 10, most: 4000, step: 10 }
const SET_STEP_MM = 10

/** How deep its lowest fly is, mm. */
const lowestMm = ({ there }: RigThere) => Math.max(...there.map(({ depthMm }) => depthMm), 0)

const whole = (value: number, step: number) => Math.round(value / step) * step

/** What the grip of a rig in the Column changes, by how it is fished. */
function gripOf(
  { fishes, of, asked, now, countS, isFixed, set }: Hung,
  units: Parameters<typeof wording.fineDepth>[1],
): RigMark['grip'] {
  if (!fishes || !of || !now) return null
  const depthMm = lowestMm(now)
  const latest = asked ?? of
  switch (fishes.way) {
    case 'carried': {
      const settingMm = settingOf(of.parts)
      if (isFixed || settingMm === null) return null
      const to = (mm: number, isDragging: boolean) => {
        const next = whole(mm, SET_STEP_MM)
        const parts = next === settingOf(latest.parts) ? null : withSetting(latest.parts, next)
        if (parts) set.put(parts, isDragging)
      }
      return {
        depthMm,
        label: labels.setTo,
        words: `${labels.setTo} ${wording.fineDepth(settingMm, units)}`,
        onDrag: (mm) => to(settingMm + mm - depthMm, true),
        onDrop: set.drop,
        onStep: (steps) => to((settingOf(latest.parts) ?? 0) + steps * SET_STEP_MM, false),
      }
    }
    case 'tight': {
      const to = (mmPerS: number, isDragging: boolean) =>
        set.lead(clamp(whole(mmPerS, LED.step), LED.least, LED.most), isDragging)
      return {
        depthMm,
        label: labels.ledAt,
        words: `${labels.ledAt} ${wording.speed(of.ledMmPerS, units)}`,
        onDrag: (mm) => to(of.ledMmPerS - LED_PER_MM * (mm - depthMm), true),
        onDrop: set.drop,
        onStep: (steps) => to(latest.ledMmPerS - steps * LED.step, false),
      }
    }
    case 'counted':
    case 'swung': {
      const longestS = fishes.moments.length - 1
      return {
        depthMm,
        label: fishes.way === 'counted' ? labels.count : labels.afterTheCast,
        words: `${Math.min(countS, longestS)} s`,
        onDrag: (mm) => {
          const there = fishes.moments.findIndex((moment) => lowestMm(moment) >= mm)
          set.count(there < 0 ? longestS : there)
        },
        onDrop: set.drop,
        onStep: (steps) => set.count(clamp(Math.min(countS, longestS) + steps, 0, longestS)),
      }
    }
  }
}

/** A rig in the Column: its line as it hangs, its flies each where it fishes, and a grip that brings them to another depth. */
export function useRigColumn(hung: Hung): void {
  const { units } = useWording()
  const { fishes, of, asked, now, ghost, countS, chosen, isFixed, set } = hung
  const content = useMemo((): ColumnContent => {
    if (!fishes || !now) return EMPTY_CONTENT
    return {
      ...EMPTY_CONTENT,
      rig: {
        line: now.points,
        flies: now.flies.map((fly, i) => {
          const band = now.there[i]?.band
          return {
            ...{ ...fly, knot: now.knots[i] ?? fly },
            ...{ fromMm: band?.lowMm ?? fly.zMm, toMm: band?.highMm ?? fly.zMm },
          }
        }),
        ghost: ghost?.points ?? null,
        isCarried: fishes.way === 'carried',
        grip: gripOf({ fishes, of, asked, now, ghost, countS, chosen, isFixed, set }, units),
      },
      flies: now.there.flatMap(({ depthMm, band }, i) => {
        const fly = chosen[fishes.hung[i] ?? -1]
        if (!fly) return []
        const at = Math.max(depthMm, 0)
        const [fromMm, toMm] = band ? [band.lowMm, band.highMm] : [at, at]
        return {
          ...{
            id: `${fly.id}:${i}`,
            names: flyNames(fly.patternName, fly.label),
            words: '',
            depthMm: at,
            fromMm,
            toMm,
          },
          ...{ weight: 0, softWeight: 0, look: 'fly' as const, drawingKey: fly.drawingKey, rank: i, to: null },
        }
      }),
    }
  }, [fishes, of, asked, now, ghost, countS, chosen, isFixed, set, units])
  useColumn(content)
}
