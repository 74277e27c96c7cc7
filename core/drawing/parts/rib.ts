import { hexOf, radiusUnder } from '../scene.ts'
import type { Painter } from '../scene.ts'
import { ribbonOutline } from '../page/point.ts'
import type { Point } from '../page/point.ts'
import { shaded } from '../page/tones.ts'
import type { MaterialKind } from '../../material/index.ts'

const STEPS = 10
const LEAST_WIDTH_MM = 0.06
/** Round strands stand proud of the body by a share of their width; flat ones lie in it. */
const PROUD = 0.35
const FLAT: ReadonlySet<MaterialKind> = new Set(['tinsel', 'quill', 'floss'])
const SHINY: ReadonlySet<MaterialKind> = new Set(['wire', 'tinsel', 'rubber'])
/** A turn leans by half of its pitch. */
const LEAN = 0.5

/** Open turns run round the outline at their angle, the far half hidden behind the body. */
export const paintRib: Painter = (part, scene) => {
  const { page, line } = scene
  const hex = hexOf(part, scene)
  const turns = Math.max(Math.round(part.turns ?? 5), 1)
  const strands = Math.min(Math.max(part.strands ?? 1, 1), 4)
  const flat = FLAT.has(part.goods)
  const width = Math.max(flat && part.goods === 'tinsel' ? Math.min(part.widthMm, 1) : part.strandMm, LEAST_WIDTH_MM)
  const pitch = (part.toMm - part.fromMm) / turns
  const [whole, dark, glint]: [string[], string[], string[]] = [[], [], []]
  for (let turn = 0; turn < turns; turn += 1) {
    for (let strand = 0; strand < strands; strand += 1) {
      const middle = part.fromMm + pitch * (turn + 0.5) + (strand - (strands - 1) / 2) * width * 1.1
      const points = Array.from({ length: STEPS + 1 }, (_, i): Point => {
        const x = Math.min(Math.max(middle + pitch * LEAN * (0.5 - i / STEPS), part.fromMm), part.toMm)
        const radius = radiusUnder(scene, x) + (flat ? 0.01 : PROUD * width)
        return line.off(x, Math.cos((Math.PI * i) / STEPS) * radius)
      })
      whole.push(page.closed(ribbonOutline(points, (t) => width * (0.45 + 0.55 * Math.sin(Math.PI * Math.min(Math.max(t, 0.04), 0.96))))))
      dark.push(page.closed(ribbonOutline(points.slice(6), (t) => width * 0.8 * (1 - 0.3 * t))))
      glint.push(page.closed(ribbonOutline(points.slice(2, 5), (t) => width * 0.5 * Math.sin(Math.PI * Math.min(Math.max(t, 0.1), 0.9)))))
    }
  }
  page.put('body', part.key, whole.join(''), { fill: hex, stroke: shaded(hex, -0.75), strokeMm: 0.04 })
  page.put('body', part.key, dark.join(''), { fill: shaded(hex, -0.55), opacity: 0.5 })
  page.put('body', part.key, glint.join(''), { fill: '#fffbe6', opacity: SHINY.has(part.goods) ? 0.9 : 0.3 })
} // prettier-ignore
