import { and, count, isNull, ne } from 'drizzle-orm'
import { sum } from '../../core/index.ts'
import type { FrameView } from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { pattern, water } from '../db/schema.ts'
import { onViseMention, queuedCount } from './bench.ts'
import { actionsView } from './actions.ts'
import { loadWarmth } from '../read/warmth.ts'
import { startingMoment, toReachChoice } from './moment.ts'
import { loadReaches } from '../read/reaches.ts'
import { localTime } from '../clock/localTime.ts'
import { loadBalances } from '../read/balances.ts'
import { loadDrawers } from '../read/drawers.ts'
import { nextOuting } from '../read/outings.ts'
import { loadSettings } from '../read/settings.ts'
import { loadStages } from '../read/stages.ts'
import { loadFiguresToCome } from '../read/variants.ts'

/** How many waters and patterns there are. */
const loadCounts = keptUntilWrite(
  async (db: Reader) => {
    const [waters] = await db.select({ n: count() }).from(water).where(isNull(water.archivedAtMs))
    const [patterns] = await db
      .select({ n: count() })
      .from(pattern)
      .where(and(isNull(pattern.archivedAtMs), ne(pattern.name, '')))
    return { waters: waters?.n ?? 0, patterns: patterns?.n ?? 0 }
  },
  [water, pattern],
)

/** What stands round every place. */
export async function frameView(db: Reader, clock: Clock, buildId: string): Promise<FrameView> {
  const settings = await loadSettings(db)
  const nowMs = clock.nowMs()
  const now = localTime(nowMs, settings.body.timeZone)
  const [reaches, drawers, onVise, queued, actions, planned, counts, stages, figuresToCome, balances] =
    await Promise.all([
      loadReaches(db),
      loadDrawers(db),
      onViseMention(db),
      queuedCount(db),
      actionsView(db),
      nextOuting(db, now.on),
      loadCounts(db),
      loadStages(db),
      loadFiguresToCome(db),
      loadBalances(db),
    ])
  const last = actions.actions.find(({ undoneBy, isUndo }) => undoneBy === null && !isUndo)
  return {
    buildId,
    dataId: settings.dataId,
    nowMs,
    today: now.on,
    clockStands: clock.stands,
    isDemo: settings.isDemo,
    settings: settings.body,
    unknownZone: settings.unknownZone,
    reaches: [...(await loadWarmth(db)).values()].map(toReachChoice),
    moment: await startingMoment(db, reaches, now),
    roll: {
      waters: counts.waters,
      stages: stages.length,
      patterns: counts.patterns,
      flies: sum(balances.map(({ count: held }) => held)),
      lowMaterials: [...drawers.values()].filter(
        ({ onHand, minimumAmount }) => onHand !== null && minimumAmount !== null && onHand < minimumAmount,
      ).length,
      queued,
      figuresToCome,
      nextOutingOn: planned?.on ?? null,
    },
    onVise,
    lastAction: last ? { actionId: last.actionId, label: last.label } : null,
  }
}
