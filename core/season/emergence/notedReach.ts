import { normalsFrom, randomFrom } from '../../uncertainty/index.ts'
import { newYearOf } from '../calendar.ts'
import type { Spot } from '../sun.ts'
import { sharedSdC } from '../warmth/index.ts'
import type { DayReading } from '../warmth/index.ts'
import { drawYear, readYear } from './drawnYear.ts'
import type { ReadYear } from './drawnYear.ts'
import { onsetDay } from './onset.ts'
import type { Year } from './onset.ts'
import { sceneOf, triggerAt, turnOf } from './place.ts'
import type { Scene, SeasonReach } from './place.ts'
import { MADE_UP_YEARS } from './strain.ts'
import type { Stay } from './strain.ts'
import type { DatedTrigger } from './trigger.ts'

/** A reach with what its water's warmth is known from. */
export interface WatchedReach extends SeasonReach, Spot {
  readonly waterKey: string
  /** daily means just below the surface, in order */
  readonly days: readonly DayReading[]
}

/** Made-up or read years of one reach that notes are read against. */
export class NotedReach {
  readonly scene: Scene
  private readonly rows = new Map<number, readonly Year[]>()
  private readonly triggers = new Map<DatedTrigger, DatedTrigger>()
  private readonly stays = new Map<string, Stay | null>()
  private readonly readByYear: (year: number) => ReadYear
  private readonly seed: number

  readonly reach: WatchedReach

  constructor(reach: WatchedReach, seed: number) {
    this.reach = reach
    this.seed = seed
    this.scene = sceneOf(reach)
    const byDay = new Map(reach.days.map(({ day, meanC }) => [day, meanC]))
    this.readByYear = (year) => {
      const first = newYearOf(year) + turnOf(reach.latitudeDeg)
      return readYear(this.scene, (day) => byDay.get(first + day) ?? null, sharedSdC(reach.days))
    }
  }

  triggerOf(trigger: DatedTrigger): DatedTrigger {
    const known = this.triggers.get(trigger) ?? triggerAt(trigger, this.scene)
    this.triggers.set(trigger, known)
    return known
  }

  read = (year: number): ReadYear => this.readByYear(year)

  /** The ways in which a year may have been. */
  ways(year: number): readonly Year[] {
    const known = this.rows.get(year)
    if (known) return known
    const normal = normalsFrom(randomFrom(this.seed + year))
    const read = this.readByYear(year)
    const made = Array.from({ length: read.readDays > 0 ? MADE_UP_YEARS / 3 : MADE_UP_YEARS }, (): Year => {
      drawYear(this.scene, read, normal)
      const { waterC, airC, ...same } = this.scene.year
      return { ...same, waterC: Float32Array.from(waterC), airC: Float32Array.from(airC) }
    })
    this.rows.set(year, made)
    return made
  }

  stay(
    trigger: DatedTrigger,
    stageId: string,
    brood: number,
    year: number,
    way: number,
    thresholdC: number,
  ): Stay | null {
    const key = `${stageId} ${brood} ${year} ${way} ${thresholdC}`
    const known = this.stays.get(key)
    if (known !== undefined) return known
    const row = this.ways(year)[way]
    const start = row ? onsetDay(this.triggerOf(trigger), row, { thresholdC, days: 0 }) : null
    const stay = start === null ? null : { start, days: trigger.durationDays }
    this.stays.set(key, stay)
    return stay
  }
}
