/**
 * The line protocol of instruments, over a local socket: ASCII lines that end in CR LF.
 *
 * The client asks `READ`. A scale answers `ST,+158.1,mg` once it is stable and `US,+157.6,mg` while it is not; a timer
 * answers `GT,3.021,s` when both gates were passed and `WT` while it waits. A gauge answers `LV,+423.0,mm`, a weather
 * station `AT,+15.2,C` of the air and `WS,+3.4,m/s` of the wind. Anything wrong is `ER,<word>`.
 */
export type InstrumentKind = 'scale' | 'timer' | 'level' | 'air' | 'wind'

/** What each says of a reading that counts: its code, its unit, its decimals. */
const SAYS = {
  scale: { code: 'ST', unit: 'mg' },
  timer: { code: 'GT', unit: 's' },
  level: { code: 'LV', unit: 'mm' },
  air: { code: 'AT', unit: 'C' },
  wind: { code: 'WS', unit: 'm/s' },
} as const

/** One line of an instrument. */
export type InstrumentLine =
  | { readonly kind: 'stable'; readonly value: number }
  | { readonly kind: 'unstable'; readonly value: number }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'fault'; readonly word: string }

/** Reads a line; null for one that the protocol does not know, as when it was torn on its way. */
export function readLine(kind: InstrumentKind, line: string): InstrumentLine | null {
  const [code = '', figure = '', unit = ''] = line.trim().split(',')
  if (code === 'WT') return { kind: 'waiting' }
  if (code === 'ER') return { kind: 'fault', word: figure }
  const value = /^[+-]?\d+(\.\d+)?$/.test(figure) ? Number(figure) : NaN
  if (!Number.isFinite(value) || unit !== SAYS[kind].unit) return null
  if (code === 'US' && kind === 'scale') return { kind: 'unstable', value }
  return code === SAYS[kind].code ? { kind: 'stable', value } : null
}

/** Writes a line as an instrument does. */
export function writeLine(kind: InstrumentKind, line: InstrumentLine): string {
  const { code, unit } = SAYS[kind]
  switch (line.kind) {
    case 'stable':
      return `${code},${kind === 'timer' ? line.value.toFixed(3) : signed(line.value)},${unit}\r\n`
    case 'unstable':
      return `US,${signed(line.value)},${unit}\r\n`
    case 'waiting':
      return 'WT\r\n'
    case 'fault':
      return `ER,${line.word}\r\n`
  }
}

const signed = (value: number) => `${value < 0 ? '-' : '+'}${Math.abs(value).toFixed(1)}`
