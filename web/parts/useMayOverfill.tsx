import { useState } from 'react'
import type { ReactNode } from 'react'
import type { Delivery } from '../wire/outbox/sender.ts'
import { Button } from '../ui/Button.tsx'
import { Fault, Row } from '../ui/layout.tsx'
import { labels } from '../words/parts.ts'

type Write = (anyway: boolean) => Promise<Delivery>

/** Sends what puts flies into a compartment. A refusal stands where it belongs; for want of room it offers the way on. */
export function useMayOverfill(): {
  readonly send: (write: Write) => Promise<Delivery>
  readonly refusal: ReactNode
} {
  const [refused, setRefused] = useState<{ readonly detail: string; readonly again: Write | null } | null>(null)
  const deliver = async (write: Write, anyway: boolean) => {
    const delivery = await write(anyway)
    if (delivery.kind !== 'refused') setRefused(null)
    else {
      const { code, detail } = delivery.problem
      setRefused({ detail, again: code === 'overCapacity' ? write : null })
    }
    return delivery
  }
  const again = refused?.again
  return {
    send: (write) => deliver(write, false),
    refusal: refused ? (
      <Row>
        <Fault>{refused.detail}</Fault>
        {again ? <Button onPress={() => void deliver(again, true)}>{labels.putInAnyway}</Button> : null}
      </Row>
    ) : null,
  }
}
