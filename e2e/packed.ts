import type { APIRequestContext } from '@playwright/test'
import { v7 } from 'uuid'
import type { BoxesView, OutingsView } from '../contract/index.ts'

/** The day of the demo's next outing. */
export const SATURDAY = '2026-06-06'

const NAMES = ['Third Button', 'Paper Lantern', 'Cold Tea', 'Kettle Lid', 'Chapel Roof', 'Singed Cuff']

/** Packs flies of Saturday's story into the tray, as the evening before does; gives the outing's id. */
export async function packedForSaturday(request: APIRequestContext, address = ''): Promise<string> {
  const { boxes } = (await (await request.get(`${address}/api/boxes`)).json()) as BoxesView
  const { outings } = (await (await request.get(`${address}/api/outings`)).json()) as OutingsView
  const places = boxes.flatMap(({ compartments }) => compartments)
  const outingId = outings.find(({ on }) => on === SATURDAY)?.id ?? ''
  const toCompartmentId = places.find(({ label }) => label === 'Bench tray')?.id
  const flies = places.flatMap((place) =>
    place.flies
      .filter(({ patternName, count }) => count > 0 && NAMES.includes(patternName))
      .map(({ variantId, count }) => ({ fromCompartmentId: place.id, variantId, count })),
  )
  const body = { outingId, toCompartmentId, flies, anyway: true }
  const answer = await request.post(`${address}/api/commands`, { data: { id: v7(), kind: 'outingPack', body } })
  if (answer.status() !== 200) throw new Error(await answer.text())
  return outingId
}
