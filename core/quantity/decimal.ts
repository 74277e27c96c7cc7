/** What a person's figure may be read as: a number, or a reason why it cannot be taken as it stands. */
export type ParsedNumber =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'unclear'; readonly code: UnclearCode; readonly suggestions: readonly string[] }

/** Why an entry was not taken. Wording turns the code into a sentence. */
export type UnclearCode =
  | 'empty'
  | 'notANumber'
  | 'unknownUnit'
  | 'thousandsOrDecimal'
  | 'inchOrMm'
  | 'negative'
  | 'tooLarge'
  | 'tooSmall'
  | 'zeroDenominator'
  | 'speedUnlikely'

const VULGAR: Readonly<Record<string, number>> = {
  '¼': 1 / 4,
  '½': 1 / 2,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
}

/** An entry that cannot be taken, with what could be typed instead. */
export const unclear = (code: UnclearCode, suggestions: readonly string[] = []) =>
  ({ kind: 'unclear', code, suggestions }) as const

/** Typographic marks as the signs of a keyboard: `7⁄64″`, `54ºF`, `1 000`, `–2`, `+2.8`, `2·8`. */
export const plainFigures = (text: string): string =>
  text
    .normalize('NFC')
    .replace(/[\u00a0\u2000-\u200a\u202f\u205f]/g, ' ')
    .replace(/[\u2010-\u2015\u2212]/g, '-')
    .replace(/[\u2044\u2215]/g, '/')
    .replace(/℃/g, '°C')
    .replace(/℉/g, '°F')
    .replace(/[\u00ba\u02da]/g, '°')
    .replace(/''|[\u2033\u201c\u201d]/g, '"')
    .replace(/[\u2032\u2018\u2019]/g, "'")
    .replace(/(\d)·(\d)/g, '$1.$2')
    .replace(/^\+\s*(?=[\d.,])/, '')
    .replace(
      /^(\d{1,3})((?: \d{3})+)(?![\d/])/,
      (_, first: string, rest: string) => first + rest.replaceAll(' ', ''),
    )
    .trim()

const parsed = (value: number): ParsedNumber => ({ kind: 'number', value })

function parseFraction(above: string, below: string, whole: number): ParsedNumber {
  const denominator = Number(below)
  return denominator === 0 ? unclear('zeroDenominator') : parsed(whole + Number(above) / denominator)
}

/**
 * Reads one figure as people write it: `2.8`, `2,8`, `.015`, `7/64`, `1 1/2`, `⅔`, `1⅓`.
 *
 * `1,234` could be a decimal comma or a thousands mark, so it is questioned and never guessed.
 *
 * @example parseDecimal('2,8') // { kind: 'number', value: 2.8 }
 * @example parseDecimal('7/64') // { kind: 'number', value: 0.109375 }
 */
export function parseDecimal(text: string): ParsedNumber {
  const written = plainFigures(text)
  if (written === '') return unclear('empty')
  const vulgar = /^(-?)(\d*)[\s-]*([¼½¾⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])$/u.exec(written)
  if (vulgar) {
    const share = VULGAR[vulgar[3] ?? '']
    if (share !== undefined) return parsed((vulgar[1] ? -1 : 1) * (Number(vulgar[2] || 0) + share))
  }
  const mixed = /^(\d+)(?:\s+|\s*-\s*)(\d+)\s*\/\s*(\d+)$/.exec(written)
  if (mixed) return parseFraction(mixed[2] ?? '', mixed[3] ?? '', Number(mixed[1]))
  const fraction = /^(\d+)\s*\/\s*(\d+)$/.exec(written)
  if (fraction) return parseFraction(fraction[1] ?? '', fraction[2] ?? '', 0)
  if (/^-?[1-9]\d{0,2}(,\d{3})+$/.test(written)) {
    return unclear('thousandsOrDecimal', [written.replace(',', '.'), written.replaceAll(',', '')])
  }
  if (/^-?(\d+([.,]\d*)?|[.,]\d+)$/.test(written)) return parsed(Number(written.replace(',', '.')))
  return unclear('notANumber')
}
