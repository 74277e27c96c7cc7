import type { FoodId, WaterId } from '../../../contract/index.ts'
import type { FoodWord } from '../../../core/index.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { Quiet } from '../../ui/layout.tsx'
import { OneOf } from '../../ui/OneOf.tsx'
import { labels } from '../../words/larder.ts'

const WORDS: readonly { readonly id: FoodWord | null; readonly name: string }[] = [
  { id: null, name: labels.asFound },
  { id: 'notHere', name: labels.notHere },
  { id: 'strong', name: labels.inPlenty },
]

/** Whether a food lives on the moment's water: as notes and its kind say, or as the user says. */
export function LivesHere({ foodId, moment }: { readonly foodId: FoodId; readonly moment: Moment }) {
  const command = useCommand()
  const { waterId, waterName, foodWords } = moment.reach
  const said = foodWords[foodId] ?? null
  return (
    <OneOf
      label={`Whether it lives in ${waterName}`}
      before={<Quiet>{waterName}:</Quiet>}
      choices={WORDS}
      chosen={said}
      onChoose={(says) => void command('waterFood', { waterId: waterId as WaterId, foodId, says })}
    />
  )
}
