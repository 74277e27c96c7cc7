import type { CommandInput } from '../../contract/index.ts'
import { fixedId } from '../db/ids.ts'

/** A fixed id of any kind. */
export const id = (key: string) => fixedId(key) as never
export const hookFamily = id('family:hook-straight')
export const threadFamily = id('family:thread-nylon')
export const hook = id('test:hook')
export const thread = id('test:thread')
export const patternId = id('test:pattern')
export const variantId = id('test:variant')
export const boxId = id('test:box')
export const [placeA, placeB] = [id('test:place-a'), id('test:place-b')]

/** A thread midge on one hook, with a home of three slits. */
export const midge = (change: Partial<CommandInput<'patternSave'>> = {}): CommandInput<'patternSave'> => ({
  patternId,
  version: null,
  name: 'Plain Thread',
  purpose: 'imitation',
  roles: [],
  ownMonths: [],
  fishedHow: [],
  waterKinds: [],
  dislike: 0,
  note: '',
  serves: [{ foodStageId: id('stage:river-midge-larva'), weight: 1 }],
  dressing: {
    components: [
      { key: 'body', kind: 'body', materialId: thread, place: { from: 0.1, to: 1, side: 'around' }, layers: 3 },
    ],
    steps: null,
  },
  newMaterials: [
    { id: hook, familyId: hookFamily, sizeKey: '16', colourName: 'bronze' },
    { id: thread, familyId: threadFamily, sizeKey: '70', colourName: 'black' },
  ],
  variants: [
    {
      id: variantId,
      label: '#16 black',
      hookMaterialId: hook,
      swaps: [],
      parCount: null,
      homeCompartmentId: placeA,
    },
  ],
  ...change,
})

export const box: CommandInput<'boxCreate'> = {
  boxId,
  name: 'Small Box',
  note: '',
  compartments: [
    { id: placeA, row: 1, column: 1, label: 'A', capacity: 6 },
    { id: placeB, row: 1, column: 2, label: 'B', capacity: 4 },
  ],
}
