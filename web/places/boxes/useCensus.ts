import { useCallback, useMemo, useState } from 'react'
import type { BoxLine, CompartmentLine } from '../../../contract/index.ts'
import { useFrameQuery } from '../../wire/answers.ts'
import { useNow } from '../../moment/useNow.ts'
import type { PlaceAction } from '../../ui/shortcuts.ts'
import { labels } from '../../words/boxes.ts'
import { shortDepth } from '../../words/words.ts'
import { useColumn } from '../../column/marks.ts'
import type { ColumnContent } from '../../column/marks.ts'
import { LENS_TOP_MM } from '../../column/scale.ts'
import { markOf, nextBand } from './census.ts'
import type { Depths } from './census.ts'

type Fly = CompartmentLine['flies'][number]

/** The census of the boxes in the Column: each compartment at the depth where its flies fish, and two handles that choose. */
export function useCensus(boxes: readonly BoxLine[] | undefined, hangs: boolean) {
  const { data: frame } = useFrameQuery()
  const data = useNow()
  const [depths, setDepths] = useState<Depths | null>(null)
  const bedMm = data?.bedMm ?? 1000
  const fished = useMemo(
    () => new Map(data?.flies.map(({ variantId, depthMm }) => [variantId as string, depthMm])),
    [data],
  )
  const depthOf = useCallback((fly: Fly) => fished.get(fly.variantId) ?? fly.depthMm, [fished])
  const isIn = useCallback(
    (fly: Fly) => {
      const depthMm = depthOf(fly)
      return !depths || (depthMm !== null && depthMm >= depths.fromMm - 1 && depthMm <= depths.toMm + 1)
    },
    [depths, depthOf],
  )
  const places = useMemo(() => (boxes ?? []).flatMap(({ compartments }) => compartments), [boxes])
  const content = useMemo((): ColumnContent => {
    if (!hangs || !data || !frame) return NOTHING
    const marks = places.flatMap((place) => markOf(place, place.flies.filter(isIn), depthOf))
    const { units } = frame.settings
    return {
      flies: marks,
      fall: null,
      foods: null,
      span: {
        fromMm: depths?.fromMm ?? LENS_TOP_MM,
        toMm: depths?.toMm ?? bedMm,
        words: (depthMm) => (depthMm <= 0 ? 'film' : shortDepth(depthMm, units)),
        onChange: setDepths,
      },
    }
  }, [hangs, data, frame, places, isIn, depthOf, depths, bedMm])
  useColumn(content)
  const actions: readonly PlaceAction[] = hangs
    ? [
        {
          key: 'Shift+ArrowDown',
          what: labels.depthBelow,
          go: () => setDepths((now) => nextBand(now, 1, bedMm)),
        },
        {
          key: 'Shift+ArrowUp',
          what: labels.depthAbove,
          go: () => setDepths((now) => nextBand(now, -1, bedMm)),
        },
      ]
    : []
  const words = useMemo(() => {
    if (!depths || !frame) return null
    const inside = places.flatMap(({ flies }) => flies.filter((fly) => isIn(fly) && fly.count > 0))
    const compartments = places.filter(({ flies }) => flies.some(isIn)).length
    const count = inside.reduce((sum, fly) => sum + fly.count, 0)
    const { units } = frame.settings
    const from = depths.fromMm <= 0 ? 'the film' : shortDepth(depths.fromMm, units)
    return `Between ${from} and ${shortDepth(depths.toMm, units)} fish ${count} of your flies, in ${compartments} compartments.`
  }, [depths, frame, places, isIn])
  return { actions, isIn, words, isChosen: depths !== null, letGo: () => setDepths(null) }
}

const NOTHING: ColumnContent = { flies: null, fall: null, foods: null }
