import type { ComponentKind } from '../dressing/index.ts'
import type { MaterialKind } from '../material/index.ts'

/** Kinds of material that a component is usually made of, the likeliest first. */
export const MATERIALS_FOR: Readonly<Record<ComponentKind | 'hook', readonly MaterialKind[]>> = {
  hook: ['hook'], bead: ['bead'], cone: ['cone'], eyes: ['eyes'], wire: ['wire'], sheet: ['sheet'], thread: ['thread'],
  tail: ['fibre', 'marabou', 'hackle', 'hair', 'quill', 'rubber', 'yarn', 'feather'], shuck: ['yarn', 'dubbing', 'fibre'],
  body: ['dubbing', 'thread', 'floss', 'quill', 'herl', 'wire', 'tinsel', 'chenille', 'yarn', 'foam', 'sheet'],
  rib: ['wire', 'tinsel', 'thread', 'floss'], thorax: ['dubbing', 'herl', 'chenille'], gills: ['marabou', 'yarn', 'herl', 'fibre'],
  legs: ['hackle', 'rubber', 'fibre', 'marabou', 'hair'], collar: ['dubbing', 'hackle', 'cdc'], hackle: ['hackle', 'cdc'],
  wing: ['cdc', 'feather', 'hair', 'yarn', 'hackle'], post: ['yarn', 'hair', 'cdc', 'foam'], wingCase: ['feather', 'sheet', 'quill', 'tinsel'],
  back: ['sheet', 'quill', 'feather', 'foam'], strip: ['strip'], foam: ['foam'], coat: ['resin'], hotSpot: ['thread', 'floss', 'dubbing'],
  egg: ['yarn', 'chenille', 'bead'],
} // prettier-ignore
