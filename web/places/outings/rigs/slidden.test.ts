import { describe, expect, it } from 'vitest'
import { readTypedRig } from '../../../../core/index.ts'
import { slidden } from './slidden.ts'

const rig = readTypedRig('1 m 0.20, float 12 mm, 80 cm 0.16, dropper 15 cm, 40 cm 0.14, point', []).flatMap(
  ({ part }) => part ?? [],
)
const lengths = (parts: ReturnType<typeof slidden>) =>
  parts.flatMap((part) => (part.kind === 'tippet' ? [part.lengthMm] : []))

describe('sliding along a rig', () => {
  it('gives to the piece above what the one below loses, over what is tied between them', () => {
    expect(lengths(slidden(rig, 0, 100))).toEqual([1100, 700, 400])
    expect(lengths(slidden(rig, 2, -150))).toEqual([1000, 650, 550])
  })
  it('leaves of both what can be tied', () => {
    expect(lengths(slidden(rig, 0, 5000))).toEqual([1760, 40, 400])
    expect(lengths(slidden(rig, 2, -5000))).toEqual([1000, 40, 1160])
  })
  it('lengthens the last piece alone, and leaves what has no length', () => {
    expect(lengths(slidden(rig, 4, 200))).toEqual([1000, 800, 600])
    expect(slidden(rig, 1, 100)).toEqual(rig)
  })
})
