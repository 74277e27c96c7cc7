/** A colour in OKLab: lightness 0 to 1 and two opponent axes. */
export interface OkLab {
  readonly l: number
  readonly a: number
  readonly b: number
}

const linear = (channel: number) => (channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4)

/** OKLab of an sRGB hex such as `#6A3D8F` (Ottosson 2020). */
export function okLab(hex: string): OkLab {
  const [r, g, b] = [1, 3, 5].map((at) => linear(parseInt(hex.slice(at, at + 2), 16) / 255)) as [
    number,
    number,
    number,
  ]
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b)
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b)
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b)
  return {
    l: 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    a: 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    b: 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  }
}

/** Perceptual distance of two colours; about 0.02 is just seen, 0.1 plainly another colour, black to white 1. */
export function colourDistance(a: string, b: string): number {
  const [x, y] = [okLab(a), okLab(b)]
  return Math.hypot(x.l - y.l, x.a - y.a, x.b - y.b)
}
