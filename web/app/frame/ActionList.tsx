import { Button } from '../../ui/Button.tsx'
import { useActionsQuery } from '../../wire/answers.ts'
import { useUndo } from '../../wire/useUndoLast.ts'
import { labels } from '../../words/frame.ts'

/** Tonight's actions: each can be taken back, and what was taken back can be done again. */
export default function ActionList() {
  const { data } = useActionsQuery()
  const undo = useUndo()
  const own = (data?.actions ?? []).filter(({ isUndo }) => !isUndo)
  return (
    <ul>
      {own.slice(0, 15).map(({ actionId, label, undoneBy }) => (
        <li key={actionId}>
          <span className={undoneBy ? 'undone' : ''}>{label}</span>
          <Button look="quiet" onPress={() => void undo(undoneBy ?? actionId)}>
            {undoneBy ? labels.redo : labels.undo}
          </Button>
        </li>
      ))}
      {own.length === 0 ? <li>{labels.nothingYet}</li> : null}
    </ul>
  )
}
