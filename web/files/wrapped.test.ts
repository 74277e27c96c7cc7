import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { wrapped } from './wrapped.ts'

const width = (text: string) => text.length

describe('wrapped', () => {
  it('breaks before the word that has no room, and where it just fits does not', () => {
    expect(wrapped('hare and copper', width, 8)).toEqual(['hare and', 'copper'])
    expect(wrapped('hare and copper', width, 7)).toEqual(['hare', 'and', 'copper'])
    expect(wrapped('hare and copper', width, 15)).toEqual(['hare and copper'])
  })

  it('leaves a word alone that is wider than there is room', () => {
    expect(wrapped('a counterweighted b', width, 5)).toEqual(['a', 'counterweighted', 'b'])
    expect(wrapped('', width, 5)).toEqual([])
  })

  it('keeps every word in order, and no line is wider than it must be', () => {
    const words = fc.array(fc.stringMatching(/^[a-z]{1,12}$/), { minLength: 1, maxLength: 30 })
    fc.assert(
      fc.property(words, fc.integer({ min: 1, max: 40 }), (said, wide) => {
        const lines = wrapped(said.join(' '), width, wide)
        expect(lines.join(' ')).toBe(said.join(' '))
        for (const [nth, line] of lines.entries()) {
          if (line.includes(' ')) expect(line.length).toBeLessThanOrEqual(wide)
          const next = lines[nth + 1]?.split(' ')[0]
          if (next) expect(`${line} ${next}`.length).toBeGreaterThan(wide)
        }
      }),
    )
  })
})
