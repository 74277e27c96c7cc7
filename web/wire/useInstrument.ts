import { useState } from 'react'
import type { InstrumentReading } from '../../contract/index.ts'
import { useInstrumentMutation } from './api.ts'

type InstrumentKind = 'scale' | 'timer' | 'level' | 'air' | 'wind'
type Said = InstrumentReading['reading']

function trouble(said: Said): string {
  switch (said.kind) {
    case 'reading':
      return ''
    case 'noInstrument':
      return 'No instrument answers. Write the figure instead.'
    case 'lineDropped':
      return 'The line broke in the middle of the reading. Nothing was taken; read again.'
    case 'notStable':
      return 'It does not come to rest. Close the window, and read again.'
    case 'fault':
      return `The instrument says ${said.word.toLowerCase()}.`
  }
}

/** Reads an instrument and hands the figure over; what went wrong is said and takes nothing away. */
export function useInstrument(kind: InstrumentKind, onReading: (value: number) => void) {
  const [ask, { isLoading }] = useInstrumentMutation()
  const [fault, setFault] = useState<string | null>(null)
  const read = async (expected: number) => {
    setFault(null)
    const answer = await ask({ kind, expected })
    const said: Said = answer.data?.reading ?? { kind: 'noInstrument' }
    if (said.kind === 'reading') onReading(said.value)
    else setFault(trouble(said))
  }
  return { read, busy: isLoading, fault }
}
