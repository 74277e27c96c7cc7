// @vitest-environment jsdom
import { describe, expect, it } from 'vitest'
import { asked } from '../testing/asked.ts'
import { drawnDuring } from '../testing/drawn.ts'
import { onTheDemo, show, until } from '../testing/onThePage.tsx'
import { write } from '../testing/write.ts'
import { useMoment } from '../moment/useMoment.ts'
import { useWording } from '../words/useWording.ts'
import { useBoxesQuery, useFrameQuery } from './answers.ts'

onTheDemo()

function Held() {
  const { data } = useBoxesQuery()
  const flies = data?.boxes.flatMap(({ compartments }) => compartments.flatMap(({ flies }) => flies))
  return <p id="held">{flies?.reduce((sum, { count }) => sum + count, 0)}</p>
}
function LastDone() {
  return <p id="last">{useFrameQuery().data?.lastAction?.label}</p>
}
function Units() {
  return <p id="units">{useWording().depth(1000)}</p>
}
function When() {
  return <p id="when">{useMoment()?.on}</p>
}

const text = (id: string) => document.getElementById(id)?.textContent ?? ''

describe('what was answered', () => {
  it('draws nothing anew while it is asked again, nor where the same comes back', async () => {
    show(<Held />)
    await until(() => Number(text('held')) > 0)
    const counts = await drawnDuring(async () => {
      await asked.boxes()
      await new Promise((resolve) => setTimeout(resolve, 200))
    })
    expect(counts.has('Held')).toBe(false)
  })

  it('is drawn anew where it differs, and of the frame only what is asked of it', async () => {
    show(
      <>
        <Held />
        <LastDone />
        <Units />
        <When />
      </>,
    )
    await until(() => Number(text('held')) > 0 && text('last') !== '' && text('when') !== '')
    const before = Number(text('held'))
    const { boxes } = await asked.boxes()
    const place = boxes.flatMap(({ compartments }) => compartments).find(({ flies }) => flies.length > 0)!
    const [fly] = place.flies
    const counts = await drawnDuring(async () => {
      await write('fliesCount', {
        compartmentId: place.id,
        variantId: fly!.variantId,
        counted: fly!.count + 3,
        anyway: true,
      })
      await until(() => Number(text('held')) === before + 3 && /counted/i.test(text('last')))
    })
    expect(counts.get('Held')).toBe(1)
    expect(counts.get('LastDone')).toBe(1)
    expect(counts.has('Units')).toBe(false)
    expect(counts.has('When')).toBe(false)
    await write('settingsSave', { change: { units: { ...(await asked.frame()).settings.units, depth: 'ft' } } })
    await asked.frame()
    await until(() => text('units').includes('ft'))
  })
})
