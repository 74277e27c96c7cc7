import { lengthOn, monthsAt, servedBy, epochDayOf } from '../../core/index.ts'
import type { OutingId, ReachId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import type { ToldBody } from '../db/schema.ts'
import { loadComingOutings, outingAt } from './comingOutings.ts'
import { loadLikely } from './likely.ts'
import { loadCover, inputsOf } from './outingCover.ts'
import { nextOuting } from './outings.ts'
import { loadServingVariants } from './planVariants.ts'
import { loadReaches } from './reaches.ts'
import { loadSettings } from './settings.ts'
import { loadRecipes } from './variants.ts'
import { makeBreath } from '../clock/breath.ts'
import { giveWay } from '../clock/underWay.ts'
import { mapOf } from './grouped.ts'

/** A moment that is asked for. */
type Asked = Pick<ToldBody['fish'][number], 'reachId' | 'on' | 'localMin'>

/** In the middle of each month, in the afternoon and at dusk. */
const HOURS_MIN = [14 * 60, 21 * 60]

function throughTheYear(reachId: ReachId, today: string): readonly Asked[] {
  const year = today.slice(0, 4)
  return Array.from({ length: 12 }, (_, month) => `${year}-${String(month + 1).padStart(2, '0')}-15`).flatMap(
    (on) => HOURS_MIN.map((localMin) => ({ reachId, on, localMin })),
  )
}

const MIDSUMMER = '-06-15'

/** So long one part of it waits for answers that are being made. */
const LONGEST_WAIT_MS = 100

/** The foods that each recipe serves at a reach, whatever the month: by the same function as cover and plan. */
async function servesAt(db: Reader, reachId: ReachId, today: string): Promise<ToldBody['serves']> {
  const place = (await loadReaches(db)).find(({ reach }) => reach.id === reachId)
  if (!place) return {}
  const hours = { fromLocalMin: 720, toLocalMin: 780, techniques: [] }
  const outing = await outingAt(db, place, { id: '' as OutingId, on: today, ...hours })
  const inputs = await inputsOf(db, [outing], await loadServingVariants(db))
  const [there] = inputs.outings
  if (!there) return {}
  const recipeOf = mapOf(await loadRecipes(db), ({ variant }) => [variant.id, variant.currentRevisionId])
  const serves = new Map<string, ToldBody['serves'][string][number][]>()
  const breathe = makeBreath(() => giveWay(db, LONGEST_WAIT_MS))
  for (const stage of inputs.stages) {
    const [lengthMmLow, lengthMmHigh] = lengthOn(
      monthsAt(stage, place.water.latitudeDeg),
      epochDayOf(today.slice(0, 4) + MIDSUMMER),
    )
    const found = servedBy(
      inputs.variants,
      stage,
      { lengthMmLow, lengthMmHigh },
      { ...there, school: inputs.school },
    )
    for (const { variant } of found.serves) {
      const recipe = recipeOf.get(variant.key) ?? ''
      serves.set(recipe, [...(serves.get(recipe) ?? []), stage.id as ToldBody['serves'][string][number]])
    }
    await breathe()
  }
  return Object.fromEntries(serves)
}

/** What this version says of some moments, of what each recipe serves, and of the outings that come after a day. */
export async function tell(db: Reader, today: string, asked: readonly Asked[]): Promise<ToldBody> {
  const { body: settings } = await loadSettings(db)
  const reaches = new Set<string>((await loadReaches(db)).map(({ reach }) => reach.id))
  const fish: ToldBody['fish'][number][] = []
  for (const { reachId, on, localMin } of asked) {
    if (!reaches.has(reachId)) continue
    const { foods } = await loadLikely(db, { reachId, on, localMin }, settings.units)
    const shares = Object.fromEntries(foods.map(({ foodStageId, onIt }) => [foodStageId, onIt]))
    fish.push({ reachId, on, localMin, shares })
    await giveWay(db, LONGEST_WAIT_MS)
  }
  const covered: Record<string, number> = {}
  for (const outing of await loadComingOutings(db, today)) {
    covered[outing.outingId] = (await loadCover(db, outing)).cover.shown
    await giveWay(db, LONGEST_WAIT_MS)
  }
  const [first] = fish
  return { fish, serves: first ? await servesAt(db, first.reachId, today) : {}, covered }
}

/** The moments that are told of: through the year, at the reach of the next outing, or the first. */
export async function usuallyAsked(db: Reader, today: string): Promise<readonly Asked[]> {
  const reaches = await loadReaches(db)
  const next = await nextOuting(db, today)
  const chosen = reaches.find(({ reach }) => reach.id === next?.reachId) ?? reaches[0]
  return chosen ? throughTheYear(chosen.reach.id, today) : []
}
