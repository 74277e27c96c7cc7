import { drawSketch } from '../../core/index.ts'
import type { FlySketch } from '../../core/index.ts'

/** A fly to be drawn as dots: so many px to the mm, so many dots to a px. */
export interface PictureWanted {
  readonly id: number
  readonly sketch: FlySketch
  readonly pxPerMm: number
  readonly dots: number
}

/** The picture, and how large it is to be shown. */
export interface PictureMade {
  readonly id: number
  readonly blob: Blob
  readonly widthPx: number
  readonly heightPx: number
}

async function made({ id, sketch, pxPerMm, dots }: PictureWanted): Promise<PictureMade> {
  const { leftPx, topPx, widthPx, heightPx, shapes } = drawSketch(sketch, { pxPerMm })
  const canvas = new OffscreenCanvas(Math.ceil(widthPx * dots), Math.ceil(heightPx * dots))
  const context = canvas.getContext('2d')
  if (!context) throw new Error('this browser draws no pictures')
  context.setTransform(dots, 0, 0, dots, -leftPx * dots, -topPx * dots)
  context.lineCap = 'round'
  context.lineJoin = 'round'
  for (const { path, fill, stroke, strokePx, opacity } of shapes) {
    const shape = new Path2D(path)
    context.globalAlpha = opacity
    if (fill) {
      context.fillStyle = fill
      context.fill(shape)
    }
    if (!stroke) continue
    context.strokeStyle = stroke
    context.lineWidth = strokePx
    context.stroke(shape)
  }
  return { id, blob: await canvas.convertToBlob(), widthPx, heightPx }
}

// one after another, in the order that they were asked for
let last: Promise<unknown> = Promise.resolve()
self.onmessage = ({ data }: MessageEvent<PictureWanted>) => {
  last = last.then(async () => self.postMessage(await made(data)))
}
