import { Button } from '../ui/Button.tsx'
import { Fault, Row } from '../ui/layout.tsx'
import { labels } from '../words/parts.ts'
import type { Worked } from './useJob.ts'

/** Stands where something is being worked out, or could not be. */
export function Working({
  of: { isBroken, again },
  label,
}: {
  readonly of: Pick<Worked<unknown>, 'isBroken' | 'again'>
  /** said while it goes on; nothing where what stands there serves meanwhile */
  readonly label?: string | null
}) {
  if (!isBroken)
    return !label ? null : (
      <p role="status" aria-busy="true">
        {label}
      </p>
    )
  return (
    <Row>
      <Fault>{labels.notWorkedOut}</Fault>
      <Button onPress={again}>{labels.tryAgain}</Button>
    </Row>
  )
}
