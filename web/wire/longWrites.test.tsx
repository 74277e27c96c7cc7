// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/react'
import { expect, it } from 'vitest'
import type { PatternsView, StoresView } from '../../contract/index.ts'
import { PATHS } from '../../contract/paths.ts'
import { Tray } from '../app/frame/Tray.tsx'
import { onTheDemo, show, until } from '../testing/onThePage.tsx'
import { useFrameQuery } from './answers.ts'
import { post } from './outbox/sender.ts'
import { newId } from './useCommand.ts'

onTheDemo()

const json = <View,>(path: string) => fetch(path).then((answer) => answer.json() as Promise<View>)

function TrayOfFrame() {
  const { data } = useFrameQuery()
  return data ? <Tray frame={data} /> : null
}

it('a long import says how far it is in the tray, and is stopped there with nothing put in', async () => {
  const place = newId<never>()
  const compartments = [{ id: place, row: 1, column: 1, label: 'Large A', capacity: null }]
  await post({ id: newId(), kind: 'boxCreate', body: { boxId: newId<never>(), name: 'Large', note: '', compartments } }) // prettier-ignore
  const { materials } = await json<StoresView>(PATHS.stores)
  const hook = materials.find(({ kind }) => kind === 'hook')
  const newFlies = Array.from({ length: 1500 }, (_, n) => ({ patternId: newId<never>(), variantId: newId<never>(), name: `Sorted ${n}`, label: '#16', hookMaterialId: hook!.id })) // prettier-ignore
  const lines = newFlies.map(({ variantId }) => ({ compartmentId: place, variantId, count: 1 }))
  show(<TrayOfFrame />)
  const delivery = post({
    id: newId(),
    kind: 'fliesPutIn',
    body: { how: 'found', newMaterials: [], newFlies, lines },
  })
  const bar = await screen.findByRole('progressbar', { name: 'Putting the table in' })
  await until(() => expect(bar).toHaveProperty('value', expect.any(Number)))
  fireEvent.click(screen.getByRole('button', { name: 'Stop' }))
  expect(await delivery).toMatchObject({ kind: 'refused', problem: { code: 'stopped' } })
  await until(() => expect(screen.queryByRole('progressbar')).toBeNull())
  expect(
    (await json<PatternsView>(PATHS.patterns)).patterns.filter(({ name }) => name.startsWith('Sorted')),
  ).toEqual([])
})
