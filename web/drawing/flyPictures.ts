import { useSyncExternalStore } from 'react'
import type { FlySketch } from '../../core/index.ts'
import type { PictureMade, PictureWanted } from '../workers/pictureMaker.ts'

/** A fly as dots: where the browser keeps them, and how large they are at the scale at which they were drawn. */
export interface FlyPicture {
  readonly src: string
  readonly widthPx: number
  readonly heightPx: number
}

/** Long enough for several pictures, and too short to be noticed. */
const TOGETHER_MS = 120

type ByScale = Map<number, FlyPicture | 'asked'>

const pictures = new WeakMap<FlySketch, ByScale>()
const asked = new Map<number, { readonly known: ByScale; readonly pxPerMm: number }>()
const listeners = new Set<() => void>()
let maker: Worker | null = null

function take({ id, blob, widthPx, heightPx }: PictureMade): void {
  const request = asked.get(id)
  asked.delete(id)
  request?.known.set(request.pxPerMm, { src: URL.createObjectURL(blob), widthPx, heightPx })
  tellSoon()
}

let telling = false
/** Pictures come one after the other; the page is told of all that came within a moment at once. */
function tellSoon(): void {
  if (telling) return
  telling = true
  setTimeout(() => {
    telling = false
    listeners.forEach((listener) => listener())
  }, TOGETHER_MS)
}

function makerOf(): Worker | null {
  if (maker || typeof OffscreenCanvas === 'undefined') return maker
  maker = new Worker(new URL('../workers/pictureMaker.ts', import.meta.url), { type: 'module' })
  maker.addEventListener('message', ({ data }: MessageEvent<PictureMade>) => take(data))
  return maker
}

function subscribe(listener: () => void) {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Asks for a picture, once: a worker draws it, so that nothing waits for it. */
export function wantPicture(sketch: FlySketch, pxPerMm: number): void {
  const known: ByScale = pictures.get(sketch) ?? new Map<number, FlyPicture | 'asked'>()
  pictures.set(sketch, known)
  if (known.has(pxPerMm)) return
  known.set(pxPerMm, 'asked')
  const id = Math.max(0, ...asked.keys()) + 1
  asked.set(id, { known, pxPerMm })
  const dots = Math.min(Math.max(window.devicePixelRatio || 1, 1.5), 3)
  makerOf()?.postMessage({ id, sketch, pxPerMm, dots } satisfies PictureWanted)
}

/** The picture of a fly at a scale: made once, kept as long as the page. Null until it is there. */
export function useFlyPicture(sketch: FlySketch, pxPerMm: number): FlyPicture | null {
  const found = useSyncExternalStore(subscribe, () => pictures.get(sketch)?.get(pxPerMm))
  return found && found !== 'asked' ? found : null
}
