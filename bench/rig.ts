import { speedAtHeight } from '../core/drift/index.ts'
import { ballBody, bestRetrieve, sink } from '../core/rig/index.ts'
import type { LinePiece, RigLine, StillCast } from '../core/rig/index.ts'
import { laid, netOf, settle } from '../core/rig/engine/index.ts'
import { hangTight } from '../core/rig/tightLine.ts'
import { tryAnyRig } from '../core/testing/anyRig.ts'
import { randomFrom } from '../core/uncertainty/index.ts'
import { waterAt } from '../core/water/index.ts'
import { ms, timeOf } from './timing.ts'
import type { Line } from './timing.ts'

const water = waterAt(10)
const RUN = { depthMm: 900, surfaceMmPerS: 600, roughnessMm: 60 }
const DEEP = { depthMm: 2000, surfaceMmPerS: 500, roughnessMm: 60 }
const RIGS = 2000
const line = (lengthMm: number, diameterMm: number): LinePiece => ({ lengthMm, diameterMm, densityMgPerMm3: 1.45, group: 'line' }) // prettier-ignore
const nylon = (lengthMm: number, diameterMm: number): LinePiece => ({ lengthMm, diameterMm, densityMgPerMm3: 1.14, group: 'leader' }) // prettier-ignore
const withFly = (pieces: readonly LinePiece[], submergedMg: number, diameterMm: number): RigLine => ({
  pieces,
  flies: [{ body: ballBody(submergedMg, diameterMm, water), aboveMm: 0, sideMm: 0 }],
})

const SINKING: StillCast = {
  rig: withFly([line(11_000, 1.05), line(1500, 0.9), line(1500, 0.75), nylon(1500, 0.2)], 20, 2.4),
  water,
  bedMm: null,
}
const counts = Array.from({ length: 20 }, (_, i) => 3 + 2 * i)
const retrieves = Array.from({ length: 10 }, (_, i) => ({ mmPerS: 40 * (i + 1), stripMm: 300, pauseS: i % 2 }))

/** How long two hundred pairs of count and retrieve take, and until the first is told. */
function searchRetrieves() {
  const from = performance.now()
  const search = bestRetrieve(SINKING, 0, { fromMm: 1000, toMm: 2000 }, counts, retrieves)
  let firstMs: number | null = null
  for (let next = search.next(); !next.done; next = search.next()) firstMs ??= performance.now() - from
  return { firstMs: firstMs ?? 0, allMs: performance.now() - from }
}

function anyRigs() {
  const random = randomFrom(20260603)
  let [notFinite, stretched] = [0, 0]
  for (let i = 0; i < RIGS; i += 1) {
    const fared = tryAnyRig(random)
    if (!fared.isFinite) notFinite += 1
    stretched = Math.max(stretched, fared.stretched)
  }
  return { notFinite, stretched }
}

/** What a line costs: hung, sunk and retrieved, searched; and any rig that can be written down. */
export function benchRig(): readonly Line[] {
  const tight = {
    rig: withFly([nylon(2000, 0.2), nylon(1400, 0.13)], 100, 2.6),
    tipHeightMm: 1700,
    depthMm: RUN.depthMm,
    current: (depthMm: number) => speedAtHeight(RUN, RUN.depthMm - Math.max(depthMm, 0)),
    ledMmPerS: 540,
    water,
  }
  const swung = {
    water,
    current: (depthMm: number) => speedAtHeight(DEEP, DEEP.depthMm - Math.max(depthMm, 0)),
    bedMm: DEEP.depthMm,
    lineOff: { across: 1, along: 1 },
  }
  const dangling = withFly([line(12_000, 1), nylon(1500, 0.2)], 40, 4)
  const retrieve = { mmPerS: 200, stripMm: 0, pauseS: 0 }
  const { firstMs, allMs } = searchRetrieves()
  const { notFinite, stretched } = anyRigs()
  return [
    { what: 'a tight line, at rest', figure: ms(timeOf(20, () => hangTight(tight))), wanted: 'under 50 ms' },
    {
      what: 'a sinking line at the end of its swing, at rest',
      figure: ms(
        timeOf(20, () => settle(laid(netOf(dangling), [0, 0], [{ lengthMm: 1, toward: [1, 0] }]), swung)),
      ),
      wanted: 'under 50 ms',
    },
    {
      what: 'a minute of sinking and retrieving, 40 nodes',
      figure: ms(timeOf(5, () => [...sink(SINKING, { countS: 25, retrieve, untilS: 60 })])),
      wanted: 'under 1 s',
    },
    {
      what: '200 counts and retrieves: the first, all',
      figure: `${ms(firstMs)}, ${ms(allMs)}`,
      wanted: 'within 1 s, within 6 s',
    },
    {
      what: `${RIGS} rigs of any kind: not a number; longest segment over its length`,
      figure: `${notFinite}; ${stretched.toExponential(1)}`,
      wanted: '0; under 1e-4',
    },
  ]
}
