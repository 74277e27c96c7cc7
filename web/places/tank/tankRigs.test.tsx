// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { labels } from '../../words/tank.ts'
import TankRigs from './TankRigs.tsx'

onTheDemo()

const RIG = 'Slow sinker, two flies'
const field = (label: string) =>
  screen.getByRole<HTMLInputElement>('textbox', { name: new RegExp(`^${label}`) })
const says = () => screen.queryAllByRole('status').map(({ textContent }) => textContent)
/** Depths of the first fly by the second, as the table has them. */
const depths = () =>
  screen
    .getByRole('table', { name: `${labels.depthBySecond} ${RIG}` })
    .querySelectorAll('tbody td:nth-child(2)')
const table = () => screen.queryByRole('table', { name: `${labels.depthBySecond} ${RIG}` })
const metres = () => [...depths()].map(({ textContent }) => Number.parseFloat(textContent ?? ''))

describe('a rig in the tank', () => {
  it('goes down while it is counted, and no deeper than the water', async () => {
    show(<TankRigs />)
    await until(() => screen.queryByRole('heading', { name: labels.wholeRigs }))
    await choose(new RegExp(`${labels.aRig}$`), RIG)
    await until(table)
    const [start, five, ten, fifteen, twenty] = metres()
    expect(start).toBe(0)
    expect([five! < ten!, ten! < fifteen!, fifteen! < twenty!]).toEqual([true, true, true])
    expect(Math.max(...metres())).toBeLessThanOrEqual(6)
  })

  it('is not shown by what stood in a field before, while one is not understood', async () => {
    show(<TankRigs />)
    await until(() => screen.queryByRole('heading', { name: labels.wholeRigs }))
    await choose(new RegExp(`${labels.aRig}$`), RIG)
    await until(table)
    const before = metres()
    for (const label of [labels.waterDeep, labels.countedTo, labels.pulledAt, labels.pauseAfter]) {
      const was = field(label).value
      fireEvent.change(field(label), { target: { value: 'some' } })
      await until(() => says().includes(labels.sayAll))
      expect(table()).toBeNull()
      fireEvent.change(field(label), { target: { value: was } })
      await until(table)
      expect(metres()).toEqual(before)
    }
  })
})
