import { sum, STANDINGS, wording } from '../../core/index.ts'
import type { StandingsView } from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import { localTime } from '../clock/localTime.ts'
import type { Reader } from '../db/database.ts'
import { waterAhead } from '../read/comingOutings.ts'
import { standingsOver } from '../read/outingCover.ts'
import { loadTrayId } from '../read/places.ts'
import { loadReaches } from '../read/reaches.ts'
import { loadSettings } from '../read/settings.ts'
import { loadStages, stageTitle } from '../read/stages.ts'
import { loadVariants } from '../read/variants.ts'
import { startingMoment } from './moment.ts'
import { mapOf } from '../read/grouped.ts'

/** Flies of a pattern that most keep. */
const USUALLY_KEPT = 3

/** Holes, what is thin and what is covered of all that the water ahead asks for. */
export async function standingsView(db: Reader, clock: Clock): Promise<StandingsView> {
  const { body: settings } = await loadSettings(db)
  const now = localTime(clock.nowMs(), settings.timeZone)
  const moment = await startingMoment(db, await loadReaches(db), now)
  const found = moment ? await standingsOver(db, await waterAhead(db, now.on, moment)) : []
  const titles = mapOf(await loadStages(db), (stage) => [stage.row.id, stage])
  const variants = mapOf(await loadVariants(db), (row) => [row.variant.id, row])
  const trayId = await loadTrayId(db)
  const stages = found
    .flatMap(({ stageKey, standing, outing, need, held, ...asked }): StandingsView['stages'] => {
      const stage = titles.get(stageKey)
      const best = variants.get(need.serves[0]?.variant.key ?? '')
      if (!stage) return []
      return [
        {
          foodStageId: stage.row.id,
          name: stageTitle(stage),
          standing,
          on: outing.on,
          reachName: outing.reachName,
          hours: wording.halfHours(outing.fromLocalMin, asked.fromHalf, asked.toHalf),
          onIt: wording.fishOnIt(asked.onIt),
          flies: sum(need.serves.map(({ variant }) => held(variant.key))),
          lasts: asked.lasts,
          best: best
            ? {
                variantId: best.variant.id,
                patternId: best.variant.patternId,
                name: `${best.patternName} ${best.variant.label}`,
                batch: {
                  count: Math.max((best.variant.parCount ?? USUALLY_KEPT) - held(best.variant.id), 1),
                  compartmentId: best.variant.homeCompartmentId ?? trayId,
                },
              }
            : null,
        },
      ]
    })
    .sort((a, b) => STANDINGS.indexOf(a.standing) - STANDINGS.indexOf(b.standing))
  const count = (wanted: (typeof STANDINGS)[number]) =>
    stages.filter(({ standing }) => standing === wanted).length
  return { stages, holes: count('hole'), thin: count('thin') }
}
