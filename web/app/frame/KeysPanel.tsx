import { useContext, useEffect, useRef } from 'react'
import styled from 'styled-components'
import { Button } from '../../ui/Button.tsx'
import { keyShown, PlaceActionsContext } from '../../ui/shortcuts.ts'
import { toggleKeys } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { labels } from '../../words/frame.ts'

const Panel = styled.section`
  position: sticky;
  top: 0;
  z-index: 4;
  max-height: 80vh;
  overflow-y: auto;
  margin-bottom: 14px;
  padding: 12px 14px;
  background: var(--panel);
  border: 1px solid var(--thistle);
  border-radius: 6px;
  h3 {
    font-size: 0.875rem;
    color: var(--quiet);
  }
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

const EVERYWHERE: readonly (readonly [key: string, what: string])[] = [
  ['1 … 9', 'the places, in work order; 1 on Tonight: what lies ahead'],
  ['Alt+1 … 9', 'the same, from within a field'],
  ['/', 'find anything'],
  ['Ctrl+K', 'actions, also of what is open'],
  ['W', 'set the moment'],
  [', .', 'an hour earlier, later'],
  ['Shift+, Shift+.', 'a day earlier, later'],
  ['S', 'note what you see'],
  ['D', 'enter the Column; once more: open the water'],
  ['Ctrl+Z', 'undo the last action'],
  ['Esc', 'leave a field, close what is open'],
  ['?', 'these keys'],
]
const IN_THE_COLUMN: typeof EVERYWHERE = [
  ['↑ ↓', 'from mark to mark'],
  ['← →', 'to the other lane'],
  ['Enter', 'open what it stands for'],
  ['P', 'pin it'],
  ['Esc', 'back'],
]

function Keys({ title, keys }: { readonly title: string; readonly keys: typeof EVERYWHERE }) {
  if (keys.length === 0) return null
  return (
    <>
      <h3>{title}</h3>
      <dl>
        {keys.map(([key, what]) => (
          <div key={key}>
            <dt>{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </>
  )
}

/** The keys of what is open, then those that work everywhere: in a line of their own rather than a dialog. */
export default function KeysPanel() {
  const dispatch = useAppDispatch()
  const actions = useContext(PlaceActionsContext)
  const panel = useRef<HTMLElement>(null)
  useEffect(() => panel.current?.scrollIntoView({ block: 'nearest' }), [])
  const here = actions.now().flatMap(({ key, what }) => (key ? [[keyShown(key), what] as const] : []))
  return (
    <Panel ref={panel} aria-label={labels.keys}>
      <h2>{labels.keys}</h2>
      <Keys title={labels.here} keys={here} />
      <Keys title={labels.everywhere} keys={EVERYWHERE} />
      <Keys title={labels.inTheColumn} keys={IN_THE_COLUMN} />
      <Button onPress={() => dispatch(toggleKeys())}>{labels.close}</Button>
    </Panel>
  )
}
