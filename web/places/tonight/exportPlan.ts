import { createEvents } from 'ics'
import type { DateArray } from 'ics'
import { saveFile } from '../../files/saveFile.ts'
import type { Ahead } from './ahead.ts'

/** Evenings begin at seven. */
const EVENING_HOUR = 19

/** The evenings at the bench as entries of a calendar: what to tie, and for how long. */
export function planIcs({ periods }: Pick<Ahead, 'periods'>): string {
  const shares = periods.flatMap(({ shares: tied }) => tied)
  const days = [...new Set(shares.map(({ on }) => on))]
  const { value, error } = createEvents(
    days.map((on) => {
      const tied = shares.filter((share) => share.on === on)
      const minutes = tied.reduce((sum, { count, batch }) => sum + (count * batch.minutes) / batch.count, 0)
      const start: DateArray = [
        Number(on.slice(0, 4)),
        Number(on.slice(5, 7)),
        Number(on.slice(8)),
        EVENING_HOUR,
        0,
      ]
      return {
        uid: `bench-${on}@heavy-thistle`,
        productId: 'heavy-thistle',
        title: `Tie ${tied.map(({ count, batch }) => `${count} ${batch.variant.name}`).join(', ')}`,
        start,
        duration: { minutes: Math.round(minutes) },
      }
    }),
  )
  if (error || !value) throw error ?? new Error('the calendar could not be made')
  return value
}

export const savePlanIcs = (plan: Ahead): void =>
  saveFile('bench-evenings.ics', new Blob([planIcs(plan)], { type: 'text/calendar;charset=utf-8' }))
