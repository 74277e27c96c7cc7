// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/react'
import { useState } from 'react'
import { expect, it } from 'vitest'
import { choose } from '../testing/choose.ts'
import { drawnFor } from '../testing/drawn.ts'
import { onTheDemo, show } from '../testing/onThePage.tsx'
import { Select } from './Select.tsx'

onTheDemo()

/** A choice beside a count, as a page asks for it: the choices are made anew each time, and who asks is another. */
function Asking({ onChosen }: { readonly onChosen: (id: string, count: number) => void }) {
  const [count, setCount] = useState(0)
  const [weight, setWeight] = useState('light')
  const names = count < 2 ? ['light', 'heavy'] : ['light', 'heavy', 'heaviest']
  return (
    <>
      <button onClick={() => setCount(count + 1)}>count {count}</button>
      <Select
        label="Weight"
        value={weight}
        choices={names.map((name) => ({ id: name, name }))}
        onChange={(id) => {
          setWeight(id)
          onChosen(id, count)
        }}
      />
    </>
  )
}
const counted = () => fireEvent.click(screen.getByRole('button', { name: /^count/ }))

it('is not drawn anew while its look stays, and passes what is chosen to who asks now', async () => {
  const chosen: (readonly [string, number])[] = []
  show(<Asking onChosen={(id, count) => chosen.push([id, count])} />)
  const drawn = drawnFor(counted)
  expect(drawn.get('Asking')).toBe(1)
  expect(drawn.has('ListBoxItem')).toBe(false)
  await choose(/Weight/, 'heavy')
  expect(chosen).toEqual([['heavy', 1]])
  expect(screen.getByRole('button', { name: /heavy/ })).toBeDefined()
})

it('offers another choice once there is one', async () => {
  const chosen: (readonly [string, number])[] = []
  show(<Asking onChosen={(id, count) => chosen.push([id, count])} />)
  counted()
  expect(drawnFor(counted).has('ListBoxItem')).toBe(true)
  await choose(/Weight/, 'heaviest')
  expect(chosen).toEqual([['heaviest', 2]])
})
