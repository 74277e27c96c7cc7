/** One mark of a drawing, in dots of its scale, y downwards as screens and paper have it. */
export interface DrawingShape {
  /** the component it shows, or `hook` */
  readonly key: string
  /** path data as SVG writes it */
  readonly path: string
  readonly fill: string | null
  readonly stroke: string | null
  readonly strokePx: number
  readonly opacity: number
}

/** A fly drawn at a scale: flat shapes from back to front and the frame that holds them all. */
export interface FlyDrawing {
  readonly pxPerMm: number
  /** where the frame starts from the rear of the eye, px */
  readonly leftPx: number
  readonly topPx: number
  readonly widthPx: number
  readonly heightPx: number
  readonly shapes: readonly DrawingShape[]
}
