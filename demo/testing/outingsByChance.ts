import { from, lying, newId, oneOf, outings, places, variants } from './byChance.ts'
import type { Makers } from './byChance.ts'

/** Makers of commands on what is packed and was fished. */
export const outingMakers: Makers<'outingPack' | 'outingUnpack' | 'outingTakeIn' | 'spellArchive'> = {
  outingPack: async (server, random) => {
    const planned = (await outings(server)).filter(({ status }) => status === 'planned')
    const [outing, fly] = [oneOf(random, planned), await lying(server, random)]
    const others = (await places(server)).filter(({ id }) => id !== fly?.compartmentId)
    const place = oneOf(random, others)
    return (
      outing &&
      fly &&
      place && {
        outingId: outing.id,
        toCompartmentId: place.id,
        flies: [{ fromCompartmentId: fly.compartmentId, variantId: fly.variantId, count: 1 }],
        anyway: true,
      }
    )
  },
  outingUnpack: async (server, random) => {
    const packed = (await outings(server)).filter((one) => one.packed.length > 0)
    const outing = oneOf(random, packed)
    return outing && { outingId: outing.id }
  },
  outingTakeIn: async (server, random) => {
    const fished = (await outings(server)).filter(({ status }) => status === 'done')
    const [outing, fly] = [oneOf(random, fished), oneOf(random, await variants(server))]
    const lost = await lying(server, random)
    const [tied, leftIn, read] = [newId(), newId(), newId()]
    const atMs = 1_780_000_000_000 + from(random, 10_000)
    return (
      outing &&
      fly &&
      lost && {
        outingId: outing.id,
        taps: [
          { id: tied, atMs, kind: 'tiedOn', variantKey: fly.id, way: 'dry', stageKey: null, step: null },
          { id: read, atMs: atMs + 1000, kind: 'waterTemp', tempC: 11 },
          { id: leftIn, atMs: atMs + 60_000, kind: 'lost', variantKeys: [fly.id], leftIn: 'tree' },
        ],
        spells: [
          { tapId: tied, variantId: fly.id, rigId: null, minutes: 1, takes: from(random, 3), refusals: 0 },
        ],
        samples: [],
        readings: [{ tapIds: [read], localMin: 600 + from(random, 400), tempC100: 1100 }],
        losses: [
          {
            tapId: leftIn,
            losses: [{ compartmentId: lost.compartmentId, variantId: lost.variantId, cause: 'tree' }],
          },
        ],
      }
    )
  },
  spellArchive: async (server, random) => {
    const spell = oneOf(
      random,
      (await outings(server)).flatMap(({ spells }) => spells),
    )
    return spell && { spellId: spell.spellId, version: spell.version }
  },
}
