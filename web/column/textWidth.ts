import { useSyncExternalStore } from 'react'

/** Font of the Column's labels, as the style sheet has it. */
const FONT = '12px "Atkinson Hyperlegible Next", sans-serif'
/** Where nothing can be measured. */
const USUAL_LETTER_PX = 6.2

let pen: CanvasRenderingContext2D | null | undefined
let loaded = false

/** How wide a label's text is, px. */
export function textWidth(text: string): number {
  pen ??= document.createElement('canvas').getContext('2d')
  if (!pen) return text.length * USUAL_LETTER_PX
  pen.font = FONT
  return pen.measureText(text).width
}

function whenLoaded(then: () => void): () => void {
  void document.fonts?.ready.then(() => {
    loaded = true
    then()
  })
  return () => undefined
}

/** Measures anew once the font has come: until then another stands for it. */
export const useFontLoaded = (): boolean => useSyncExternalStore(whenLoaded, () => loaded)
