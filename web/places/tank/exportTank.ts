import { depthAtTime } from '../../../core/index.ts'
import { saveFile } from '../../files/saveFile.ts'
import { depthGone } from './tankFlies.ts'
import type { InTank } from './tankFlies.ts'
import { csvOf } from '../../files/saveCsv.ts'

const STEP_S = 0.25

/** Depth by time of all flies, in mm and seconds, as comma-separated values that no spreadsheet takes for formulae. */
export function tankCsv(flies: readonly InTank[]): string {
  const moving = flies.filter(({ descent }) => descent)
  const lastS = Math.max(0, ...moving.map(({ descent }) => descent?.points.at(-1)?.timeS ?? 0))
  const head = ['seconds', ...moving.flatMap(({ name }) => [`${name} mm`, `${name} low mm`, `${name} high mm`])]
  const rows = Array.from({ length: Math.ceil(lastS / STEP_S) + 1 }, (_, i) => {
    const timeS = i * STEP_S
    const depths = moving.flatMap((fly) => {
      const { descent, spread } = fly
      const end = descent?.points.at(-1)?.timeS ?? 0
      if (!descent || !spread || timeS > end) return ['', '', '']
      const goneMm = depthAtTime(descent, timeS)
      return [1, spread.low, spread.high].map((share) => depthGone(fly, goneMm * share).toFixed(0))
    })
    return [timeS.toFixed(2), ...depths]
  })
  return csvOf([head, ...rows])
}

export const saveCsv = (flies: readonly InTank[]): void =>
  saveFile('tank.csv', new Blob([tankCsv(flies)], { type: 'text/csv;charset=utf-8' }))

/** Every rule of the page's theme that the picture uses, written into a copy of the drawing. */
function withColours(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const { width, height } = svg.viewBox.baseVal
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('width', String(width * 2))
  copy.setAttribute('height', String(height * 2))
  const theme = getComputedStyle(document.documentElement)
  return new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\((--[A-Za-z]+)\)/g, (_, name: string) => theme.getPropertyValue(name).trim() || '#000000')
}

/** The tank as it stands, as a picture. */
export async function savePng(svg: SVGSVGElement): Promise<void> {
  const image = new Image()
  const loaded = new Promise((resolve, reject) => {
    image.onload = resolve
    image.onerror = reject
  })
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(withColours(svg))}`
  await loaded
  const canvas = document.createElement('canvas')
  canvas.width = image.width
  canvas.height = image.height
  const context = canvas.getContext('2d')
  if (!context) return
  context.fillStyle = getComputedStyle(document.body).backgroundColor
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(image, 0, 0)
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
  if (blob) saveFile('tank.png', blob)
}
