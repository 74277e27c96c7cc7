import { useState } from 'react'
import { fromCore, parseQuantity, POSTURES, wording } from '../../../../core/index.ts'
import type { ParsedQuantity, Posture, Wanted } from '../../../../core/index.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { useWording } from '../../../words/useWording.ts'
import { TextField } from '../../../ui/fields.tsx'
import { Select } from '../../../ui/Select.tsx'
import { labels } from '../../../words/patterns.ts'

/** Height of the stones of a usual bed, mm. */
const STONES_MM = 60
const FIRST_DEPTH_MM = 2000

type Asked = Wanted['kind']

const unclear = (parsed: ParsedQuantity) =>
  parsed.kind === 'unclear' ? wording.unclearSentence(parsed.code, parsed.suggestions) : undefined

/** Fields for what a weighting is to do, and what they say; `wanted` is null until it makes sense. */
export function useWanted() {
  const moment = useMoment()
  const { units, temperature } = useWording()
  const [asked, setAsked] = useState<Asked>('depthByTime')
  const [posture, setPosture] = useState<Posture>('inFilm')
  const [texts, setTexts] = useState(() => {
    const depth = fromCore(FIRST_DEPTH_MM, units.depth).toFixed(1)
    return { depth, lead: depth, seconds: '6', temp: null as string | null }
  })
  const type = (field: keyof typeof texts) => (text: string) =>
    setTexts((before) => ({ ...before, [field]: text }))
  const surfaceMmPerS = moment?.reach.surfaceSpeedMmPerS ?? 0
  const deep = parseQuantity(texts.depth, 'length', units.depth, { min: 100, max: 10_000 })
  const lead = parseQuantity(texts.lead, 'length', units.depth, { min: 100, max: 30_000 })
  const seconds = Number(texts.seconds.replace(',', '.'))
  const secondsFault = seconds > 0.2 && seconds <= 120 ? undefined : 'Between 0.2 and 120 s.'
  const tempText = texts.temp ?? temperature(moment?.waterTempC ?? 10)
  const temp = parseQuantity(tempText, 'temperature', units.temperature, { min: 0, max: 30 })

  function wanted(): Wanted | null {
    if (asked === 'posture') return { kind: 'posture', posture }
    if (deep.kind !== 'quantity') return null
    const depthMm = deep.value
    if (asked === 'level') return { kind: 'level', depthMm }
    if (asked === 'depthByTime') return secondsFault ? null : { kind: 'depthByTime', depthMm, withinS: seconds }
    if (lead.kind !== 'quantity') return null
    const current = { depthMm, surfaceMmPerS, roughnessMm: STONES_MM }
    return { kind: 'lead', depthMm, leadMm: lead.value, current }
  }

  const kinds: readonly { id: Asked; name: string }[] = [
    { id: 'depthByTime', name: 'be down in time' },
    ...(surfaceMmPerS > 0
      ? [{ id: 'lead' as const, name: `be down on ${moment?.reach.reachName ?? ''}, cast this far above` }]
      : []),
    { id: 'level', name: 'hang level from its eye' },
    { id: 'posture', name: 'hold a posture at the surface' },
  ]
  const fields = (
    <>
      <Select
        label={labels.itIsTo}
        value={asked}
        choices={kinds}
        onChange={(id) => setAsked(id as Asked)}
        width="260px"
      />
      {asked === 'posture' ? (
        <Select
          label={labels.andFloat}
          value={posture}
          choices={POSTURES.map((id) => ({ id, name: wording.postureWord[id] }))}
          onChange={(id) => setPosture(id as Posture)}
          width="220px"
        />
      ) : (
        <TextField
          label={asked === 'level' ? `timed to, ${units.depth}` : `down to, ${units.depth}`}
          value={texts.depth}
          onChange={type('depth')}
          width="130px"
          fault={unclear(deep)}
        />
      )}
      {asked === 'depthByTime' ? (
        <TextField
          label={labels.withinS}
          value={texts.seconds}
          onChange={type('seconds')}
          width="90px"
          fault={secondsFault}
        />
      ) : null}
      {asked === 'lead' ? (
        <TextField
          label={`cast above by, ${units.depth}`}
          value={texts.lead}
          onChange={type('lead')}
          width="130px"
          fault={unclear(lead)}
        />
      ) : null}
      <TextField
        label={`in water of, ${units.temperature}`}
        value={tempText}
        onChange={type('temp')}
        width="110px"
        fault={unclear(temp)}
      />
    </>
  )
  return { fields, wanted: wanted(), waterTempC: temp.kind === 'quantity' ? temp.value : null }
}
