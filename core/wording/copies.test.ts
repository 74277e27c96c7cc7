import { describe, expect, it } from 'vitest'
import { copyAge, fileSize, lostSentence } from './copies.ts'

describe('copies in words', () => {
  it('have a size that people read', () => {
    expect([1, 499, 849_600, 999_499, 1_000_000, 3_547_136].map(fileSize)).toEqual([
      '1 kB', '1 kB', '850 kB', '999 kB', '1.0 MB', '3.5 MB',
    ]) // prettier-ignore
  })

  it('say what would be gone', () => {
    expect(lostSentence(0)).toMatch(/^Nothing/)
    expect(lostSentence(1)).toMatch(/^One thing done/)
    expect(lostSentence(14)).toMatch(/^14 things done/)
  })

  it('are so many days old', () => {
    expect([-1, 0, 1, 9].map(copyAge)).toEqual(['today', 'today', 'yesterday', '9 days ago'])
  })
})
