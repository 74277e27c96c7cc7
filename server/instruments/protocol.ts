/**
 * The line protocol of scale and drop timer, over a local socket: ASCII lines that end in CR LF.
 *
 * The client asks `READ`. A scale answers `ST,+158.1,mg` once it is stable and `US,+157.6,mg` while it is not; a timer
 * answers `GT,3.021,s` when both gates were passed and `WT` while it waits. Anything wrong is `ER,<word>`.
 */
export type InstrumentKind = 'scale' | 'timer'

/** One line of an instrument. */
export type InstrumentLine =
  | { readonly kind: 'stable'; readonly value: number; readonly unit: 'mg' | 's' }
  | { readonly kind: 'unstable'; readonly value: number }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'fault'; readonly word: string }

const UNIT: Readonly<Record<InstrumentKind, 'mg' | 's'>> = { scale: 'mg', timer: 's' }

/** Reads a line; null for one that the protocol does not know, as when it was torn on its way. */
export function readLine(kind: InstrumentKind, line: string): InstrumentLine | null {
  const [code = '', figure = '', unit = ''] = line.trim().split(',')
  if (code === 'WT') return { kind: 'waiting' }
  if (code === 'ER') return { kind: 'fault', word: figure }
  const value = /^[+-]?\d+(\.\d+)?$/.test(figure) ? Number(figure) : NaN
  if (!Number.isFinite(value) || unit !== UNIT[kind]) return null
  if (code === 'US' && kind === 'scale') return { kind: 'unstable', value }
  const done = kind === 'scale' ? 'ST' : 'GT'
  return code === done ? { kind: 'stable', value, unit: UNIT[kind] } : null
}

/** Writes a line as an instrument does. */
export function writeLine(kind: InstrumentKind, line: InstrumentLine): string {
  switch (line.kind) {
    case 'stable':
      return kind === 'scale' ? `ST,${signed(line.value)},mg\r\n` : `GT,${line.value.toFixed(3)},s\r\n`
    case 'unstable':
      return `US,${signed(line.value)},mg\r\n`
    case 'waiting':
      return 'WT\r\n'
    case 'fault':
      return `ER,${line.word}\r\n`
  }
}

const signed = (value: number) => `${value < 0 ? '-' : '+'}${Math.abs(value).toFixed(1)}`
