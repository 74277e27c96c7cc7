import styled from 'styled-components'
import { Button } from '../../ui/Button.tsx'
import { giveUp, refusedWrites, tryAgain } from '../../wire/outbox/sender.ts'
import { useAppSelector } from '../../wire/store.ts'
import { labels } from '../../words/outbox.ts'

const List = styled.ul`
  width: 420px;
  max-width: 90vw;
  max-height: 50vh;
  margin: 0;
  padding: 12px;
  overflow: auto;
  list-style: none;
  font: 0.9375rem/1.3 var(--text);
  color: var(--ink);
  background: var(--panel);
  border: 1px solid var(--quiet);
  border-radius: 6px;
  li {
    padding: 6px 0;
    border-bottom: 1px solid var(--rule);
  }
  p {
    margin: 0 0 4px;
  }
`

/** Writes that were refused after they had waited: the reason of each, and trying again or giving up. */
export default function RefusedList() {
  // comes anew when one is settled
  useAppSelector((state) => state.view.outbox)
  return (
    <List>
      {refusedWrites().map(({ id, kind, refused }) => (
        <li key={id}>
          <p>
            <strong>{labels.of[kind]}</strong>: {refused?.detail}
          </p>
          <Button look="quiet" onPress={() => tryAgain(id)}>
            {labels.tryAgain}
          </Button>
          <Button look="quiet" onPress={() => giveUp(id)}>
            {labels.giveUp}
          </Button>
        </li>
      ))}
    </List>
  )
}
