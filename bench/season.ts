import {
  AS_USUAL,
  datedBroods,
  emergenceWindows,
  firstDayOf,
  learnShift,
  normalsFrom,
  onsetDay,
  randomFrom,
  simulateYear,
  curveRow,
  usualModel,
  yearAsItWas,
} from '../core/index.ts'
import type { DatedBrood, Note, ReachWindows, SeasonInput, SimulatedReach } from '../core/index.ts'
import { shippedFoods } from '../core/season/shipped/larder.ts'
import { ms } from './timing.ts'
import type { Line } from './timing.ts'

const WATERS = 60
const SEASONS = 5
const NOTED_SD_DAYS = 4
const LATE_DAYS = 2

const stages = shippedFoods.flatMap((food) => food.stages.map((stage) => ({ ...stage, id: stage.key })))
const broods = datedBroods(stages)

const months = (meanC: number, amplitudeC: number) =>
  Array.from(
    { length: 12 },
    (_, month) => meanC + amplitudeC * Math.cos((2 * Math.PI * (month * 30.4 + 15 - 209)) / 365.25),
  )
const reachOf = (key: string, meanC: number, amplitudeC: number, elevationM: number): SimulatedReach => ({
  key,
  model: { ...usualModel(months(meanC, amplitudeC)), curveSdC: 0.4 },
  latitudeDeg: 54,
  elevationM,
})

function run(input: SeasonInput): {
  readonly result: readonly ReachWindows[]
  readonly took: number
  readonly longest: number
} {
  const from = performance.now()
  let [last, longest] = [from, 0]
  const work = emergenceWindows(input)
  let step = work.next()
  while (!step.done) {
    longest = Math.max(longest, performance.now() - last)
    last = performance.now()
    step = work.next()
  }
  return { result: step.value, took: performance.now() - from, longest }
}

/** How well a sixth season's first day is foretold from five noted ones, on made-up waters: mean absolute error, days. */
function learning(brood: DatedBrood) {
  const reach = { ...reachOf('it', 9, 6.2, 180), model: { ...usualModel(months(9, 6.2)), curveSdC: 0 } }
  const [window] = run({ reaches: [reach], broods: [brood], years: 400, seed: 3 }).result[0]?.windows ?? []
  const { trigger } = brood
  if (!window || trigger.kind !== 'waterTemp') return null
  const normal = normalsFrom(randomFrom(17))
  const row = new Float32Array(500)
  const curve = curveRow(reach.model, row.length)
  const errors = {
    own: [] as number[],
    usual: [] as number[],
    unlearned: [] as number[],
    fixed: [] as number[],
  }
  for (let water = 0; water < WATERS; water += 1) {
    // this water's threshold and dates differ from what is usual, as the trigger says they may
    const threshold = ((trigger.highC - trigger.lowC) / 2 / 1.2816) * normal()
    const days = (trigger.spreadDays / 1.2816) * normal()
    const seasons = Array.from({ length: SEASONS + 1 }, (_, year) => {
      simulateYear(reach.model, curve, normal, row)
      const lived = yearAsItWas(reach, (day) => row[day] ?? null, 0)
      const truth = lived && onsetDay(trigger, lived, { thresholdC: threshold, days })
      const foretold = lived && onsetDay(trigger, lived, AS_USUAL)
      return { year, truth: truth ?? 0, foretold: foretold ?? 0 }
    })
    const notes = seasons.slice(0, SEASONS).map(({ year, truth, foretold }): Note => ({
      kind: 'firstSeen',
      day: truth + LATE_DAYS + NOTED_SD_DAYS * normal(),
      year,
      effortMinutes: 60,
      weight: 1,
      foretoldDay: foretold,
    }))
    const sixth = seasons[SEASONS]
    if (!sixth) continue
    const { shiftDays } = learnShift(window, notes)
    errors.own.push(Math.abs(sixth.foretold + shiftDays - sixth.truth))
    errors.usual.push(Math.abs(firstDayOf(window) + shiftDays - sixth.truth))
    errors.unlearned.push(Math.abs(firstDayOf(window) - sixth.truth))
    errors.fixed.push(
      Math.abs(notes.reduce((sum, { day }) => sum + day, 0) / SEASONS - LATE_DAYS - sixth.truth),
    )
  }
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  return {
    own: mean(errors.own),
    usual: mean(errors.usual),
    unlearned: mean(errors.unlearned),
    fixed: mean(errors.fixed),
  }
}

/** The season engine: how long it takes, and how well it learns. */
export function benchSeason(): readonly Line[] {
  const twelve = Array.from({ length: 12 }, (_, i) =>
    reachOf(`reach ${i}`, 9.8 - i * 0.25, 6.8 - i * 0.1, 95 + i * 30),
  )
  run({ reaches: twelve.slice(0, 2), broods, years: 200, seed: 1 })
  const wide = run({ reaches: twelve, broods, years: 400, seed: 1 })
  const deep = run({ reaches: twelve.slice(0, 1), broods, years: 3000, seed: 1 })
  const learned = ['dark-olive-dun', 'large-burrowing-mayfly-dun', 'evening-olive-dun'].flatMap((key) => {
    const brood = broods.find(({ stageKey }) => stageKey === key)
    const found = brood && learning(brood)
    return found ? [{ key, ...found }] : []
  })
  return [
    {
      what: `${broods.length} broods of 164 stages on 12 reaches, 400 years each, one worker`,
      figure: `${ms(wide.took)}, longest slice ${ms(wide.longest)}`,
      wanted: 'under 2 s',
    },
    { what: 'the same on one reach, 3,000 years', figure: ms(deep.took), wanted: 'about 1 s' },
    ...learned.map(({ key, own, usual, unlearned, fixed }) => ({
      what: `first ${key} of a sixth season on ${WATERS} made-up waters, after ${SEASONS} noted ones, off by`,
      figure: `${own.toFixed(1)} days with the year's own warmth, ${usual.toFixed(1)} without; a fixed date ${fixed.toFixed(1)}, nothing learned ${unlearned.toFixed(1)}`,
      wanted: 'less than a fixed date',
    })),
  ]
}
