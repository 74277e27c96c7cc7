import { connect } from 'node:net'
import { readLine } from './protocol.ts'
import type { InstrumentKind } from './protocol.ts'

/** What an instrument said, or why it said nothing that counts. */
export type Reading =
  | { readonly kind: 'reading'; readonly value: number }
  | { readonly kind: 'noInstrument' }
  /** the line broke in the middle of a reading */
  | { readonly kind: 'lineDropped' }
  | { readonly kind: 'notStable' }
  | { readonly kind: 'fault'; readonly word: string }

const ASK_EVERY_MS = 60
const MOST_ASKED = 20
const LONGEST_MS = 5000

/** Asks an instrument until it is stable. The same driver serves a stand-in and a real one behind a local socket. */
export function readInstrument(kind: InstrumentKind, port: number): Promise<Reading> {
  return new Promise((resolve) => {
    const socket = connect({ host: '127.0.0.1', port })
    let buffered = ''
    let asked = 0
    let over = false
    const finish = (reading: Reading) => {
      if (over) return
      over = true
      clearTimeout(timeout)
      socket.destroy()
      resolve(reading)
    }
    const ask = () => {
      asked += 1
      if (asked > MOST_ASKED) finish({ kind: 'notStable' })
      else if (!over) socket.write('READ\r\n')
    }
    const timeout = setTimeout(() => finish({ kind: 'notStable' }), LONGEST_MS)
    socket.on('connect', ask)
    socket.on('error', () => finish(asked === 0 ? { kind: 'noInstrument' } : { kind: 'lineDropped' }))
    socket.on('close', () => finish({ kind: 'lineDropped' }))
    socket.on('data', (data) => {
      buffered += data.toString('ascii')
      const end = buffered.indexOf('\r\n')
      if (end < 0) return
      const line = readLine(kind, buffered.slice(0, end))
      buffered = buffered.slice(end + 2)
      if (line?.kind === 'stable') finish({ kind: 'reading', value: line.value })
      else if (line?.kind === 'fault') finish({ kind: 'fault', word: line.word })
      else setTimeout(ask, ASK_EVERY_MS)
    })
  })
}
