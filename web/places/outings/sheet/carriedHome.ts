import { waterside } from '../../../../core/index.ts'
import { watersideTap } from '../../../../contract/index.ts'
import type { AlongView, WatersideTap } from '../../../../contract/index.ts'

/** A log that came home, looked at before anything is kept. */
export type CarriedHome =
  | { readonly kind: 'refused'; readonly why: 'noLog' | 'otherData' | 'otherOuting' }
  | {
      readonly kind: 'log'
      /** those that are not kept yet */
      readonly fresh: readonly WatersideTap[]
      readonly known: number
      /** taps that are missing, null where its end is; and lines that nobody can read */
      readonly missing: number | null
      readonly unread: number
      readonly isChanged: boolean
    }

/** Looks at a log: whether it belongs here, what of it is new, and what was lost of it on its way. */
export function carriedHome(text: string, { outing, taps }: AlongView, dataId: string | null): CarriedHome {
  const log = waterside.readLog(text)
  if (log.kind === 'none') return { kind: 'refused', why: 'noLog' }
  if (log.dataId !== dataId) return { kind: 'refused', why: 'otherData' }
  if (log.outingId !== outing.id) return { kind: 'refused', why: 'otherOuting' }
  const read = log.taps.flatMap((tap) => watersideTap.safeParse(tap).data ?? [])
  const there = new Set<string>(taps.map(({ id }) => id))
  const fresh = read.filter(({ id }) => !there.has(id))
  return {
    kind: 'log',
    fresh,
    known: read.length - fresh.length,
    missing: log.missing,
    unread: log.unread + log.taps.length - read.length,
    isChanged: log.isChanged,
  }
}
