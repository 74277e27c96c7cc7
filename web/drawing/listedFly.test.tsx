// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { PATHS } from '../../contract/paths.ts'
import { asked } from '../testing/asked.ts'
import { heldBack } from '../testing/meanwhile.ts'
import { onTheDemo, show, until } from '../testing/onThePage.tsx'
import { ListedFly } from './ListedFly.tsx'

onTheDemo()

const [PX_PER_MM, TITLE] = [10, 'a fly at its true size']
const sizeOf = (image: HTMLImageElement) => [image.width, image.height]

describe('a fly of a list', () => {
  it('takes as much room before its drawing is there as after', async () => {
    const key = (await asked.pattern('Third Button')).variants.find(({ figure }) => figure?.drawingKey)!.figure!
      .drawingKey
    await heldBack(PATHS.drawings, async (letGo) => {
      show(<ListedFly drawingKey={key} pxPerMm={PX_PER_MM} title={TITLE} />)
      const [before] = document.getElementsByTagName('img')
      const kept = sizeOf(before!)
      // a nymph on a #16 with its tails, from 5 to 20 mm
      expect(kept[0]! / PX_PER_MM).toBeGreaterThan(5)
      expect(kept[0]! / PX_PER_MM).toBeLessThan(20)
      letGo()
      const there = await until(() => screen.queryByAltText<HTMLImageElement>(TITLE))
      expect(sizeOf(there)).toEqual(kept)
    })
  })

  it('takes none where there is nothing to draw', () => {
    const { container } = show(<ListedFly drawingKey={null} pxPerMm={PX_PER_MM} title={TITLE} />)
    expect(container.textContent).toBe('')
    expect(container.getElementsByTagName('img')).toHaveLength(0)
  })
})
