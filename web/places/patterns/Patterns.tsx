import { useMemo } from 'react'
import { Link, useNavigate } from 'react-router'
import { LIST_CONDITIONS } from '../../../core/index.ts'
import type { PatternLine } from '../../../contract/index.ts'
import { useFrameQuery, usePatternsQuery } from '../../wire/answers.ts'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import { useWording } from '../../words/useWording.ts'
import { useKept } from '../../ui/useKept.ts'
import { useKeptRecord } from '../../ui/useKeptRecord.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { Heading, Quiet, Row } from '../../ui/layout.tsx'
import { KeptDrafts } from './KeptDrafts.tsx'
import { MovedNote } from './MovedNote.tsx'
import { PatternRows } from './PatternRows.tsx'
import { SieveFields } from './SieveFields.tsx'
import { missingOf, sift } from './sieve.ts'
import type { Sieve } from './sieve.ts'
import { ToldApart } from './ToldApart.tsx'
import { labels } from '../../words/patterns.ts'

type Order = 'name' | 'fastest' | 'emptiest'

const fastest = (pattern: PatternLine) =>
  Math.max(...pattern.variants.map(({ figure }) => figure.sinkSpeedMmPerS ?? 0))
const emptiness = (pattern: PatternLine, usualPar: number) =>
  pattern.variants.reduce((sum, variant) => sum + missingOf(variant, usualPar), 0)

const EVERYTHING: Sieve = { words: '', foodStageId: '', size: '', boxId: '', only: '' }

/** All patterns with their variants at true size. */
export default function Patterns() {
  const { wholeTemperature } = useWording()
  const { data } = usePatternsQuery()
  const { data: frame } = useFrameQuery()
  const navigate = useNavigate()
  const [sieve, setSieve] = useKeptRecord('patterns sieve', EVERYTHING)
  const [order, setOrder] = useKept<Order>('patterns', ['name', 'fastest', 'emptiest'])
  const usualPar = frame?.settings.parCount ?? 3
  usePlaceActions([{ key: 'n', what: labels.newPattern, go: () => void navigate('/patterns/new') }])
  const shown = useMemo(() => {
    const matching = data ? sift(data, sieve, usualPar) : []
    if (order === 'fastest') return [...matching].sort((a, b) => fastest(b) - fastest(a))
    if (order === 'emptiest')
      return [...matching].sort((a, b) => emptiness(b, usualPar) - emptiness(a, usualPar))
    return matching
  }, [data, sieve, order, usualPar])
  if (!data) return <p aria-busy="true">{labels.layingOutTheFlies}</p>
  return (
    <>
      <Heading>
        <h1>{labels.patterns}</h1>
        <Row>
          <Select
            label={labels.order}
            hideLabel
            value={order}
            onChange={(id) => setOrder(id as Order)}
            choices={[
              { id: 'name', name: 'by name' },
              { id: 'fastest', name: 'fastest first' },
              { id: 'emptiest', name: 'emptiest first' },
            ]}
            width="140px"
          />
          <Button look="main" onPress={() => void navigate('/patterns/new')}>
            {labels.newPattern}
          </Button>
        </Row>
      </Heading>
      <p>
        <Quiet>
          Flies at true size. Figures in free fall at {wholeTemperature(LIST_CONDITIONS.waterTempC)}, wet; 8 in
          10 fall within the band.
        </Quiet>
      </p>
      {data.patterns.length > 0 ? (
        <SieveFields
          data={data}
          sieve={sieve}
          onChange={setSieve}
          onClear={Object.values(sieve).some(Boolean) ? () => setSieve(EVERYTHING) : null}
        />
      ) : null}
      <MovedNote />
      <KeptDrafts />
      <ToldApart data={data} />
      <PatternRows shown={shown} usualPar={usualPar} />
      {data.patterns.length > 0 && shown.length === 0 ? <p role="status">{labels.noneOfThem}</p> : null}
      {data.patterns.length === 0 ? (
        <p>
          No pattern yet. <Link to="/patterns/new">{labels.designTheFirst}</Link>: hook, bead and a body are
          enough for a weight and a fall.
        </p>
      ) : null}
    </>
  )
}
