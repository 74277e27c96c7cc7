import type { FoodId, WaterId } from '../../../contract/index.ts'
import type { FoodWord } from '../../../core/index.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/larder.ts'

const WORDS: readonly { readonly says: FoodWord | null; readonly name: string }[] = [
  { says: null, name: labels.asFound },
  { says: 'notHere', name: labels.notHere },
  { says: 'strong', name: labels.inPlenty },
]

/** Whether a food lives on the moment's water: as notes and its kind say, or as the user says. */
export function LivesHere({ foodId, moment }: { readonly foodId: FoodId; readonly moment: Moment }) {
  const command = useCommand()
  const { waterId, waterName, foodWords } = moment.reach
  const said = foodWords[foodId] ?? null
  return (
    <Row $gap={6} style={{ paddingTop: 6 }} role="group" aria-label={`Whether it lives in ${waterName}`}>
      <Quiet>{waterName}:</Quiet>
      {WORDS.map(({ says, name }) => (
        <Button
          key={name}
          look={said === says ? 'main' : 'plain'}
          aria-pressed={said === says}
          onPress={() => void command('waterFood', { waterId: waterId as WaterId, foodId, says })}
        >
          {name}
        </Button>
      ))}
    </Row>
  )
}
