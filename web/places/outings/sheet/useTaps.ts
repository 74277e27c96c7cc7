import { useCallback, useEffect, useMemo, useState } from 'react'
import type { AlongView, CommandInput, TapId, WatersideTap } from '../../../../contract/index.ts'
import type { Said, TapLog } from '../../../parts/waterside/useWaterside.ts'
import { readQueue } from '../../../wire/outbox/kept.ts'
import { newId, useCommand } from '../../../wire/useCommand.ts'
import { whose } from '../../../wire/whose.ts'

/** Taps that wait to be delivered, from this page or from an earlier one. */
const waiting = (outingId: string): readonly WatersideTap[] =>
  readQueue(whose() ?? '').flatMap(({ kind, body, refused }) => {
    if (kind !== 'outingNote' || refused) return []
    const note = body as CommandInput<'outingNote'>
    return note.outingId === outingId ? (note.taps as unknown as readonly WatersideTap[]) : []
  })

/** What was noted on an outing: what the server has, and what is on its way there. */
export function useTaps({ outing, taps }: AlongView): TapLog {
  const command = useCommand()
  const [own, setOwn] = useState(() => waiting(outing.id))
  const all = useMemo(() => [...new Map([...taps, ...own].map((tap) => [tap.id, tap])).values()], [taps, own])
  // what the server has is its own from then on: taken back there, it is gone here
  useEffect(() => {
    const there = new Set(taps.map(({ id }) => id))
    setOwn((before) =>
      before.some(({ id }) => there.has(id)) ? before.filter(({ id }) => !there.has(id)) : before,
    )
  }, [taps])
  const note = useCallback(
    (said: Said, atMs = Date.now()) => {
      const tap = { ...said, id: newId<TapId>(), atMs } as WatersideTap
      setOwn((before) => [...before, tap])
      void command('outingNote', { outingId: outing.id, taps: [tap] }).then((delivery) => {
        if (delivery.kind === 'refused') setOwn((before) => before.filter(({ id }) => id !== tap.id))
      })
    },
    [command, outing.id],
  )
  return { taps: all, note }
}
