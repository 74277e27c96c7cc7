import { drawSeason, epochDayOf, feedingAt, NOTHING_SAID, seasonOfReach } from '../core/index.ts'
import { reachOf, skillAsIssued, stages } from '../core/testing/season.ts'
import type { TestReach } from '../core/testing/season.ts'
import { ms } from './timing.ts'
import type { Line } from './timing.ts'

const RIVERS = 150
const LEADS = [30, 14, 7, 3, 0]
const FORETOLD = ['dark-olive-dun', 'large-burrowing-mayfly-dun', 'evening-olive-dun']

function drawn(reach: TestReach, draws: number) {
  const from = performance.now()
  let [last, longest] = [from, 0]
  const input = { reach, reaches: [reach], stages, notes: [] }
  const work = drawSeason({ ...input, year: 2026, draws, seed: 1 })
  let step = work.next()
  while (!step.done) {
    longest = Math.max(longest, performance.now() - last)
    last = performance.now()
    step = work.next()
  }
  return { season: seasonOfReach(step.value, input), took: performance.now() - from, longest }
}

/** The season engine: how long it takes, and how good its forecasts are as they are issued. */
export function benchSeason(): readonly Line[] {
  const twelve = Array.from({ length: 12 }, (_, i) =>
    reachOf(3 - i * 0.2, 16.6 - i * 0.4, { elevationM: 95 + i * 30 }),
  )
  drawn(twelve[0] as TestReach, 100)
  const all = twelve.map((reach) => drawn(reach, 400))
  const took = all.reduce((sum, one) => sum + one.took, 0)
  const [first] = all
  const scene = { waterKind: 'freestone' as const, latitudeDeg: 54, longitudeDeg: 0, utcOffsetMinutes: 60 }
  const moments = Array.from({ length: 20 }, (_, i) => {
    const from = performance.now()
    if (first)
      feedingAt(stages, { ...scene, season: first.season }, epochDayOf('2026-05-20') + i, 780, NOTHING_SAID)
    return performance.now() - from
  }).sort((a, b) => a - b)
  return [
    {
      what: '164 stages on 12 reaches, 400 draws each',
      figure: `${ms(took)}, longest slice ${ms(Math.max(...all.map(({ longest }) => longest)))}`,
      wanted: 'under 2.5 s',
    },
    { what: 'shares of a moment', figure: ms(moments[10] ?? 0), wanted: 'under 15 ms' },
    ...FORETOLD.flatMap((stageId) =>
      skillAsIssued({ stageId, rivers: RIVERS, leadDays: LEADS, draws: 300, seed: 5 }).map(
        ({ lead, held, errorDays, blindDays }) => ({
          what: `first ${stageId} of a fifth year on ${RIVERS} made-up rivers, ${lead} days before the day expected`,
          figure: `80 % window held in ${(held * 100).toFixed(0)} %; off by ${errorDays.toFixed(1)} days, ${blindDays.toFixed(1)} without this year's readings`,
          wanted: lead === 7 ? '76 to 84 %; at most two thirds' : '76 to 84 %',
        }),
      ),
    ),
  ]
}
