/** Wet stuff is darker: water between its fibres lets less light out again (Lekner & Dorf 1988, Appl. Opt. 27, 1278). */
const WET = 0.72

/** How a dry colour looks wet, where nobody has looked. */
export const whenWet = (hex: string): string =>
  `#${[1, 3, 5]
    .map((at) => Math.round(parseInt(hex.slice(at, at + 2), 16) * WET))
    .map((channel) => channel.toString(16).padStart(2, '0'))
    .join('')}`
