import type { waterside } from '../core/index.ts'

/** A tap of a made-up day at the water, by the minute of the day; flies by pattern and label, stages by their shipped key. */
export type DemoTap = readonly [localMin: number, said: waterside.Tap, ...atSeconds: readonly number[]]

const at = (hour: number, min = 0) => 60 * hour + min
const saw = (signKey: string): waterside.Tap => ({ kind: 'sign', signKey, seen: true })
const sawNone = (signKey: string): waterside.Tap => ({ kind: 'sign', signKey, seen: false })
const tie = (variantKey: string, way: 'dry' | 'dryWithDropper' | 'tightLineNymph', stageKey: string, step: waterside.Step | null = null): waterside.Tap => ({ kind: 'tiedOn', variantKey, way, stageKey, step }) // prettier-ignore
const took = (end: waterside.TakeEnd = 'landed', lengthMm: number | null = null): waterside.Tap => ({ kind: 'take', end, lengthMm }) // prettier-ignore
const refused = (refusal: waterside.Refusal): waterside.Tap => ({ kind: 'refused', refusal })
const counted = (stageKey: string, from: waterside.SampledFrom, count: number): waterside.Tap => ({ kind: 'counted', stageKey, from, count }) // prettier-ignore
const drift: waterside.Tap = { kind: 'drift' }
/** Several of the same within some minutes. */
const times = (said: waterside.Tap, ...minutes: readonly number[]): readonly DemoTap[] =>
  minutes.map((min) => [min, said])
/** Rises of one fish, s after the minute. */
const rises = (localMin: number, ...atSeconds: readonly number[]): readonly DemoTap[] =>
  atSeconds.map((s) => [localMin, { kind: 'rise' }, s])

/** What was noted on two past outings, as if tapped there; their spells are made of it. */
export const notedOn: Readonly<Record<string, readonly DemoTap[]>> = {
  '2026-05-09': [
    [at(12), { kind: 'watch' }], [at(12, 2), saw('nothing-showing')], [at(12, 4), sawNone('snout-and-bubble')],
    [at(12, 5), { kind: 'waterTemp', tempC: 10.3 }],
    [at(12, 6), tie('Barley Sugar|#14 amber', 'tightLineNymph', 'net-spinning-sedge-pupa')],
    ...times(drift, at(12, 8), at(12, 9), at(12, 11)),
    ...times(took(), at(12, 30), at(12, 52), at(13, 10), at(13, 31), at(13, 50)),
    [at(14, 6), tie('Thimble|#14 green', 'tightLineNymph', 'green-free-living-sedge-larva')],
    ...times(took(), at(14, 15), at(14, 40)), [at(14, 50), refused('followed')], ...times(took(), at(15, 2), at(15, 20)),
    [at(15, 10), { kind: 'watch' }], [at(15, 12), saw('slashing-rise')], [at(15, 13), saw('adults-in-bushes')],
    [at(15, 36), tie('Chapel Roof|#14', 'dry', 'small-dark-early-sedge-adult')],
    ...times(drift, at(15, 38), at(15, 40), at(15, 41), at(15, 43), at(15, 44)),
    [at(15, 45), refused('turned')], [at(15, 52), refused('turned')],
    [at(15, 56), { kind: 'step', step: 'finerTippet' }],
    [at(16, 2), took('landed', 310)], [at(16, 12), refused('nosed')], [at(16, 24), took()],
    ...rises(at(16, 28), 2, 21, 41, 62, 80, 101),
    [at(16, 36), tie('Third Button|#16 W 2.8', 'tightLineNymph', 'dark-olive-nymph')],
    ...times(took(), at(16, 55), at(17, 20), at(18, 2)), [at(18, 36), { kind: 'reeledIn' }],
  ],
  '2026-05-23': [
    [at(12), { kind: 'watch' }], [at(12, 3), saw('stone-turned')], [at(12, 5), { kind: 'waterTemp', tempC: 12.9 }],
    [at(12, 6), tie('Third Button|#16 W 2.8', 'dryWithDropper', 'dark-olive-nymph')],
    ...times(took(), at(12, 20), at(12, 45), at(13, 30), at(13, 55)),
    [at(13, 20), saw('duns-upright')],
    [at(14, 6), tie('Cold Tea|#10 pale', 'dryWithDropper', 'large-burrowing-mayfly-nymph', 'stage')],
    ...times(took(), at(14, 20), at(14, 50)),
    [at(15), { kind: 'watch' }], [at(15, 2), saw('duns-upright')], [at(15, 3), saw('snout-and-bubble')], [at(15, 5), saw('birds-over-one-stretch')],
    [at(15, 6), tie('Paper Lantern|#10 2XL', 'dry', 'large-burrowing-mayfly-dun', 'stage')],
    ...times(drift, at(15, 8), at(15, 9)),
    ...times(took(), at(15, 12), at(15, 40), at(16, 5), at(16, 33)), [at(17, 1), took('landed', 420)], [at(17, 20), took()],
    ...rises(at(17, 24), 0, 9, 17, 26, 36, 44, 53),
    [at(17, 36), tie('Kettle Lid|#14 olive', 'dry', 'pale-olive-dun')],
    ...times(took(), at(17, 55), at(18, 20)), [at(18, 36), { kind: 'reeledIn' }],
  ],
} // prettier-ignore

/** What a simulated phone sent home afterwards: it waits to be taken in. */
export const sentOn: Readonly<Record<string, readonly DemoTap[]>> = {
  '2026-05-23': [
    [at(18, 40), counted('green-free-living-sedge-larva', 'stones', 4)],
    [at(18, 41), counted('dark-olive-nymph', 'stones', 3)],
    [at(18, 46), tie('Kettle Lid|#14 olive', 'dry', 'pale-olive-dun')],
    ...times(drift, at(18, 50), at(18, 52), at(18, 54)),
    [at(18, 58), refused('turned')], [at(19, 6), took('landed', 280)],
    [at(19, 21), { kind: 'reeledIn' }],
  ],
} // prettier-ignore
