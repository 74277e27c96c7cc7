import styled from 'styled-components'
import { Button } from '../../ui/Button.tsx'
import { toggleKeys } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { labels } from '../../words/frame.ts'

const Panel = styled.section`
  margin-bottom: 14px;
  padding: 12px 14px;
  background: var(--panel);
  border: 1px solid var(--thistle);
  border-radius: 6px;
  dl {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
    gap: 2px 20px;
    margin: 8px 0;
    font-size: 0.9375rem;
  }
  div {
    display: flex;
    gap: 10px;
  }
  dt {
    min-width: 96px;
    font-family: var(--figures);
    color: var(--thistle);
  }
`

const KEYS: readonly (readonly [key: string, what: string])[] = [
  ['1 … 9', 'the places, in work order'],
  ['Alt+1 … 9', 'the same, from within a field'],
  ['/', 'find anything'],
  ['Ctrl+K', 'actions'],
  ['N', 'new here'],
  ['W', 'set the moment'],
  ['S', 'note what you see'],
  ['D', 'enter the Column'],
  ['↑ ↓ ← →', 'in the Column: from mark to mark'],
  ['P', 'in the Column: pin a mark'],
  ['Alt+↑ Alt+↓', 'on a pattern: a lighter, a heavier bead; Enter makes it'],
  ['Shift+↑ Shift+↓', 'Boxes: the depth above, below, that flies fish at'],
  [', .', 'an hour earlier, later'],
  ['B', 'Tonight: queue the first batch'],
  ['Space', 'Bench: next step'],
  ['Backspace', 'Bench: step back'],
  ['C', 'Bench: count one done'],
  ['X', 'Bench: count one spoiled'],
  ['Ctrl+Z', 'undo the last action'],
  ['Esc', 'leave a field, close what is open'],
  ['?', 'these keys'],
]

/** All keys, in a line of their own rather than a dialog. */
export default function KeysPanel() {
  const dispatch = useAppDispatch()
  return (
    <Panel aria-label={labels.keys}>
      <h2>{labels.keys}</h2>
      <dl>
        {KEYS.map(([key, what]) => (
          <div key={key}>
            <dt>{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <Button onPress={() => dispatch(toggleKeys())}>{labels.close}</Button>
    </Panel>
  )
}
