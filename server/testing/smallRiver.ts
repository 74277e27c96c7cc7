import type { CommandInput } from '../../contract/index.ts'
import { id } from './smallBox.ts'

export const [lowReach, highReach] = [id('s:low'), id('s:high')]

const reachBody = (name: string, elevationM: number) => ({
  kind: 'reach' as const,
  name,
  elevationM,
  typicalDepthMm: 900,
  surfaceSpeedMmPerS: 700,
  thermoclineMm: null,
  defaultTempC: [3, 3, 5, 7, 10, 13, 15, 15, 12, 9, 6, 4],
})
/** A river of two reaches, and nothing known of it. */
export const river: CommandInput<'waterCreate'> = {
  waterId: id('s:river'),
  water: {
    name: 'Test Water',
    kind: 'freestone',
    latitudeDeg: 54,
    longitudeDeg: -2,
    timeZone: 'Europe/London',
    clarityMm: 2000,
    snagginess: 1,
    openFromMonthDay: null,
    openToMonthDay: null,
    iceOffMonthDay: null,
    rules: { dryOnly: null, upstreamOnly: null, maxFlies: null, barbless: null, noLead: null, noAddedWeight: null, minHookSize: null, maxHookSize: null, noIndicator: null, maxLeaderMm: null }, // prettier-ignore
    rulesNote: '',
  },
  reaches: [
    { ...reachBody('Low', 100), id: lowReach },
    { ...reachBody('High', 400), id: highReach },
  ],
}
