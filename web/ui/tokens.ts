/** Colours of the day bench and of the night bench, by what they mean. */
export const palettes = {
  day: {
    ground: '#F2F5F1',
    panel: '#FFFFFF',
    ink: '#1C2325',
    quiet: '#566165',
    rule: '#D3DBD6',
    thistle: '#6A3D8F',
    moss: '#3F6B2C',
    brass: '#8A5A00',
    madder: '#A62B27',
    waterFilm: '#DDEBE8',
    waterDeep: '#B4CFCB',
    /** what flies are drawn on */
    paper: '#F2F5F1',
  },
  night: {
    ground: '#131718',
    panel: '#1B2122',
    ink: '#E9EEEB',
    quiet: '#9FADA9',
    rule: '#2E3739',
    thistle: '#C7A6E6',
    moss: '#9CC77F',
    brass: '#E3B556',
    madder: '#F08A80',
    waterFilm: '#24403F',
    waterDeep: '#0C1A1C',
    paper: '#B7C2BD',
  },
  /** at the water, where the sun stands on the screen: every text reads at ten to one and better */
  sun: {
    ground: '#FFFFFF',
    panel: '#FFFFFF',
    ink: '#000000',
    quiet: '#2E3436',
    rule: '#8A9396',
    thistle: '#3F1463',
    moss: '#12330B',
    brass: '#452B00',
    madder: '#5E0A08',
    waterFilm: '#FFFFFF',
    waterDeep: '#F0F5F5',
    paper: '#FFFFFF',
  },
} as const

export type Palette = keyof typeof palettes
export type Colour = keyof (typeof palettes)['day']

/** Pairs of text on ground that are permitted; a test holds each to 4.5:1. */
export const permittedPairs: readonly (readonly [text: Colour, ground: Colour])[] = [
  ...(['ink', 'quiet', 'thistle', 'moss', 'brass', 'madder'] as const).flatMap((text) => [
    [text, 'ground'] as const,
    [text, 'panel'] as const,
  ]),
  ['ink', 'waterFilm'],
  ['ink', 'waterDeep'],
  ['panel', 'thistle'],
]

/** A palette as CSS custom properties. */
export const asCss = (palette: Palette): string =>
  Object.entries(palettes[palette])
    .map(([name, hex]) => `--${name}: ${hex};`)
    .join('\n')
