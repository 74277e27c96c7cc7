import { Link } from 'react-router'
import { useNow } from '../../../moment/useNow.ts'
import type { Draft } from '../../../recipe/draft.ts'
import { labels } from '../../../words/fishes.ts'
import { useWording } from '../../../words/useWording.ts'

/** What lives higher is in the film: no rig is asked for it, mm. */
const FILM_MM = 20

interface OnMyRigsProps {
  readonly draft: Draft
  readonly variantId: string
}

/** Leads to one's own rigs with a variant on their points: between the depths of the first food it is meant for that is about, where one is. */
export default function OnMyRigs({ draft, variantId }: OnMyRigsProps) {
  const { depth } = useWording()
  const now = useNow()
  const meant = draft.serves.map(({ foodStageId }) => foodStageId)
  const food = now?.foods.find(({ foodStageId, toMm }) => toMm > FILM_MM && meant.includes(foodStageId))
  const [fromMm, toMm] = food ? [Math.max(Math.round(food.fromMm), FILM_MM), Math.round(food.toMm)] : [0, 0]
  const between = food ? `&from=${fromMm}&to=${toMm}` : ''
  return (
    <p>
      <Link to={`/outings?rig=&fly=${variantId}${between}`}>
        {labels.onMyRigs}
        {food ? ` ${labels.bringsItTo} ${depth(fromMm)} to ${depth(toMm)}, ${labels.where} ${food.name}?` : '?'}
      </Link>
    </p>
  )
}
