import sharp from 'sharp'
import type { PhotoId, StoresView } from '../../contract/index.ts'
import { from, newId, oneOf, places, stores, view, word } from './byChance.ts'
import type { Makers } from './byChance.ts'

/** Makers of commands on goods, tables of them and of flies, and pictures. */
export const storesMakers: Makers<
  'familyCreate' | 'storesPutIn' | 'fliesPutIn' | 'purchaseClose' | 'photoAttach'
> = {
  familyCreate: async (server, random) => {
    const like = oneOf(random, await stores(server))
    return (
      like && {
        familyId: newId(),
        kind: like.kind,
        name: word(random),
        likeFamilyId: like.familyId,
        colours: [{ name: 'dun', hex: '#8a8478' }],
        drawer: { id: newId(), sizeKey: like.sizeKey },
      }
    )
  },
  storesPutIn: async (server, random) => {
    const all = await stores(server)
    const [known, like] = [oneOf(random, all), oneOf(random, all)]
    const newDrawer = newId()
    const line = { minimumAmount: null, packAmount: 100, priceMinor: from(random, 900), supplier: word(random) }
    return (
      known &&
      like && {
        newMaterials: [
          { id: newDrawer, familyId: like.familyId, sizeKey: like.sizeKey, colourName: word(random), colourHex: '#506070' },
        ],
        lines: [
          { materialId: known.id, counted: 100 * from(random, 20), ...line },
          { materialId: newDrawer, counted: random() < 0.5 ? from(random, 9) : null, ...line },
        ],
      }
    ) // prettier-ignore
  },
  fliesPutIn: async (server, random) => {
    const hook = oneOf(
      random,
      (await stores(server)).filter(({ kind }) => kind === 'hook'),
    )
    const place = oneOf(random, await places(server))
    const variantId = newId()
    const newFly = hook && {
      patternId: newId(),
      variantId,
      name: word(random),
      label: '#14',
      hookMaterialId: hook.id,
    }
    return (
      newFly &&
      place && {
        how: random() < 0.5 ? 'found' : 'counted',
        anyway: true,
        newMaterials: [],
        newFlies: [newFly],
        lines: [
          { compartmentId: place.id, variantId, count: 1 + from(random, 5) },
          ...place.flies
            .slice(0, 1)
            .map((fly) => ({ compartmentId: place.id, variantId: fly.variantId, count: from(random, 5) })),
        ],
      }
    ) // prettier-ignore
  },
  purchaseClose: async (server, random) => {
    const open = oneOf(random, (await view<StoresView>(server, '/api/stores')).purchases)
    return open && { purchaseId: open.purchaseId, version: open.version }
  },
  photoAttach: async (server, random) => {
    const drawer = oneOf(random, await stores(server))
    const shade = from(random, 256)
    const bytes = await sharp({
      create: { width: 8, height: 8, channels: 3, background: { r: shade, g: 80, b: 90 } },
    })
      .jpeg()
      .toBuffer()
    const kept = await server.agent
      .post('/api/photos')
      .set({ Host: '127.0.0.1:4180', 'Content-Type': 'image/jpeg' })
      .send(bytes)
    const { photoId } = kept.body as { photoId: PhotoId }
    return drawer && { subject: 'material', subjectId: drawer.id, photoId }
  },
}
