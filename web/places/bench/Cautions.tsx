import { useEffect, useState } from 'react'
import type { BenchStep } from '../../../contract/index.ts'
import { useFrameQuery } from '../../wire/answers.ts'
import { Caution, Quiet } from '../../ui/layout.tsx'

const KEY = 'heavy-thistle:cautions-said'

/** Cautions that were said in full this evening. */
function saidOn(on: string): ReadonlySet<string> {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as { on?: string; keys?: string[] }
    return new Set(kept.on === on ? kept.keys : [])
  } catch {
    return new Set()
  }
}

/** The cautions of a step: in full the first time of an evening, afterwards as short marks that open again. */
export function Cautions({ step }: { readonly step: BenchStep }) {
  const { data: frame } = useFrameQuery()
  const on = frame?.today ?? ''
  const [said] = useState(() => saidOn(on))
  const [open, setOpen] = useState(false)
  const { cautions } = step
  useEffect(() => {
    if (on === '' || cautions.length === 0) return
    const keys = [...saidOn(on), ...cautions.map(({ key }) => key)]
    localStorage.setItem(KEY, JSON.stringify({ on, keys: [...new Set(keys)] }))
  }, [on, cautions])
  const fresh = cautions.filter(({ key }) => open || !said.has(key))
  const known = cautions.filter(({ key }) => !open && said.has(key))
  return (
    <>
      {fresh.map(({ key, text }) => (
        <Caution key={key}>{text}</Caution>
      ))}
      {known.length > 0 ? (
        <button
          type="button"
          onClick={() => setOpen(true)}
          aria-label={`Cautions: ${known.map(({ mark }) => mark).join(', ')}. Say them in full`}
          style={{
            minHeight: 32,
            padding: 0,
            alignSelf: 'flex-start',
            background: 'none',
            border: 0,
            cursor: 'pointer',
          }}
        >
          <Quiet>△ {known.map(({ mark }) => mark).join(' · ')}</Quiet>
        </button>
      ) : null}
    </>
  )
}
