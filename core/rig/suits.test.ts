import { describe, expect, it } from 'vitest'
import { readTypedRig } from './index.ts'
import { techniquesOf } from './suits.ts'

const FLIES = [
  { id: 'nymph', name: 'Nymph' },
  { id: 'dun', name: 'Dun' },
] as const
const parts = (typed: string) => readTypedRig(typed, FLIES).flatMap(({ part }) => part ?? [])
const sinks = (fly: string) => fly === 'nymph'
const of = (way: Parameters<typeof techniquesOf>[0]['way'], typed: string) => techniquesOf({ way, parts: parts(typed) }, sinks) // prettier-ignore

describe('what a rig is made for', () => {
  it.each([
    ['carried', '12 m floating line, 3 m leader 0.45 to 0.16, 60 cm 0.13, dry Dun', ['dry']],
    ['carried', '12 m floating line, 2.7 m leader 0.45 to 0.18, dry Dun, 50 cm 0.13, point Nymph', ['dryWithDropper']], // prettier-ignore
    ['carried', '12 m floating line, 1.2 m leader 0.45 to 0.2, float 12 mm, 90 cm 0.18, point Nymph', ['indicatorNymph', 'staticIndicator']], // prettier-ignore
    ['tight', '2 m 0.25 nylon, 1.4 m 0.13, point Nymph', ['tightLineNymph']],
    ['swung', '12 m floating line, 2.7 m leader 0.45 to 0.2, point Nymph', ['swungWets', 'streamer']],
    ['counted', '12 m floating line, 2.7 m leader 0.45 to 0.2, point Nymph', ['streamer', 'slowRetrieve', 'driftTeam']], // prettier-ignore
    ['counted', '12 m sinking line 1 mm at 7.5 cm/s, 1.2 m 0.22, point Nymph', ['streamer', 'slowRetrieve', 'driftTeam', 'buoyantOnSinkingLine']], // prettier-ignore
  ] as const)('%s: %s', (way, typed, techniques) => {
    expect(of(way, typed)).toEqual(techniques)
  })

  it('is nothing for one that nothing carries', () => {
    expect(of('carried', '2 m 0.25 nylon, 1.4 m 0.13, point Nymph')).toEqual([])
  })
})
