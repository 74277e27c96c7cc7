import { useState } from 'react'
import { lineOfGoods, readSpool, wording } from '../../../core/index.ts'
import type { OnSpool } from '../../../core/index.ts'
import type { MaterialLine } from '../../../contract/index.ts'
import { within } from '../../../contract/limits.ts'
import { useFamilyQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Caution, Quiet, Row, Section } from '../../ui/layout.tsx'
import { MeasureField } from '../../ui/MeasureField.tsx'
import { labels } from '../../words/stores.ts'
import { useWording } from '../../words/useWording.ts'

/** Of so much of a line it is said how it is built. */
const SHOWN_MM = 12_000

/** What the spool of a line says: its thickness with a rate or a weight, what follows, and where the two disagree. */
export function LineOnSpool({ line }: { readonly line: MaterialLine }) {
  const { data: family } = useFamilyQuery(line.familyId)
  const command = useCommand()
  const { units } = useWording()
  const [typed, setTyped] = useState<{
    readonly diameterMm?: number | null
    readonly rateMmPerS?: number | null
    readonly massMg?: number | null
    readonly lengthMm?: number | null
  }>({})
  if (!family) return null
  const pieces = lineOfGoods({ ...line, family, overrides: line.overrides }, SHOWN_MM)
  // what a spool says is of what sinks: of a floating line with a tip that sinks, of its tip
  const said = family.line?.build === 'sinkTip' ? pieces.at(-1) : pieces[0]
  if (!said) return null
  const isSaid = line.overrides.densityMgPerMm3 !== undefined
  const { diameterMm = said.diameterMm, rateMmPerS = null, massMg = null, lengthMm = null } = typed
  const spool: OnSpool | null =
    diameterMm === null
      ? null
      : { diameterMm, rateMmPerS, weight: massMg !== null && lengthMm !== null ? { massMg, lengthMm } : null }
  const read = spool && readSpool(spool)
  const keep = (said: OnSpool | null) => {
    setTyped({})
    return command('lineSpool', { materialId: line.id, version: line.version, spool: said })
  }
  return (
    <Section aria-label={labels.onItsSpool}>
      <h2>{labels.onItsSpool}</h2>
      <p>
        {wording.lineSentences(pieces, units).join(' ')}{' '}
        <Quiet>{isSaid ? labels.bySpool : labels.byItsKind}</Quiet>
      </p>
      <Row $gap={10} $align="end">
        <MeasureField
          label={labels.lineThick}
          unit={units.smallLength}
          value={diameterMm}
          {...within('threadMm')}
          onChange={(next) => setTyped({ ...typed, diameterMm: next })}
          width="110px"
        />
        <MeasureField
          label={labels.sinksAt}
          unit={units.speed}
          value={rateMmPerS}
          {...within('lineRate')}
          onChange={(next) => setTyped({ ...typed, rateMmPerS: next })}
          width="120px"
        />
        <MeasureField
          label={labels.lineWeighs}
          unit="gr"
          value={massMg}
          {...within('lineMg')}
          onChange={(next) => setTyped({ ...typed, massMg: next })}
          width="120px"
        />
        <MeasureField
          label={labels.overALength}
          unit={units.depth}
          value={lengthMm}
          {...within('pieceMm')}
          onChange={(next) => setTyped({ ...typed, lengthMm: next })}
          width="130px"
        />
      </Row>
      {read && spool ? (
        <p role="status">
          {wording.spoolSentence(read, spool, units)}{' '}
          {read.isDoubtful ? <Caution>{labels.tooHeavyForALine}</Caution> : null}
        </p>
      ) : null}
      <Row style={{ paddingTop: 10 }}>
        <Button look="main" isDisabled={!read} onPress={() => void keep(spool)}>
          {labels.keepWhatItSays}
        </Button>
        <Button isDisabled={!isSaid} onPress={() => void keep(null)}>
          {labels.takeItBack}
        </Button>
      </Row>
    </Section>
  )
}
