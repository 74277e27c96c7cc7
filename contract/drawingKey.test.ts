import { describe, expect, it } from 'vitest'
import { drawingKeyOf, roomOf } from './drawingKey.ts'
import { drawingKey } from './index.ts'

const HASH = '0123456789abcdef0123456789abcdef'

describe('the key of a drawing', () => {
  it('names its content, and its room to a hundredth of a millimetre', () => {
    const key = drawingKeyOf(HASH, { widthMm: 12.34, heightMm: 0.07 })
    expect(key).toBe('0123456789abcdef-1234x7')
    expect(roomOf(key)).toEqual({ widthMm: 12.34, heightMm: 0.07 })
    expect(drawingKey.safeParse(key).success).toBe(true)
  })

  it.each(['', '0123456789abcdef', '0123456789abcdef-12x', '0123456789abcde-12x7', '0123456789abcdef-1234567x7', '0123456789ABCDEF-12x7', '0123456789abcdef-12x7 '])('is not %j, which has no room', (text) => {
    expect(roomOf(text)).toBeNull()
    expect(drawingKey.safeParse(text).success).toBe(false)
  }) // prettier-ignore
})
