import type { Blocker } from 'react-router'
import { Button } from '../ui/Button.tsx'
import { Fault, Row } from '../ui/layout.tsx'
import { labels } from '../words/parts.ts'

/** Asked where someone is about to leave what is not saved: to stay, or to leave it. */
export function Unsaved({ blocker }: { readonly blocker: Blocker }) {
  return blocker.state === 'blocked' ? (
    <Row role="alert">
      <Fault>{labels.thisIsNotSaved}</Fault>
      <Button onPress={() => blocker.reset()}>{labels.stay}</Button>
      <Button onPress={() => blocker.proceed()}>{labels.leaveWithoutSaving}</Button>
    </Row>
  ) : null
}
