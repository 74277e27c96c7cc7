import { lazy, Suspense } from 'react'
import { wording } from '../../../../core/index.ts'
import type { Finalist, Wanted } from '../../../../core/index.ts'
import { useWording } from '../../../words/useWording.ts'
import { useMoney } from '../../../words/useMoney.ts'
import { Button } from '../../../ui/Button.tsx'
import { Dense, Quiet } from '../../../ui/layout.tsx'
import type { Finding } from './useFinder.ts'
import { labels } from '../../../words/patterns.ts'

const TradeChart = lazy(() => import('./TradeChart.tsx'))

const MERITS: Readonly<Record<Finalist['merits'][number], string>> = {
  lightest: 'the lightest that does it',
  slimmest: 'the slimmest',
  fastest: 'the fastest',
  steadiest: 'the steadiest',
  cheapest: 'the cheapest',
  nearest: 'the nearest to what was asked',
  inStores: 'the lightest from the stores',
  between: 'a step between',
}

interface FoundTableProps {
  readonly finding: Finding
  readonly onMake: (finalist: Finalist) => void
}

/** What a search found: the trade-off at one look, then each weighting with why it is there. */
export function FoundTable({ finding, onMake }: FoundTableProps) {
  const { few, busy, looked, wanted } = finding
  if (!few || !wanted) return null
  if (few.length === 0) {
    return busy ? null : (
      <p role="status">
        None of {looked.toLocaleString('en')} ways does this. Ask for less, or allow a larger hook or more
        splash.
      </p>
    )
  }
  return (
    <>
      <p role="status" style={{ padding: '6px 0' }}>
        {busy
          ? 'The best so far.'
          : `The best of ${looked.toLocaleString('en')} ways: nothing beats any of these on everything.`}
      </p>
      <Suspense fallback={<p aria-busy="true">{labels.drawingTheTradeOff}</p>}>
        <TradeChart few={few} wanted={wanted} />
      </Suspense>
      <Dense aria-label={labels.weightingsFound}>
        <thead>
          <tr>
            <th className="number">{labels.no}</th>
            <th>{labels.hook}</th>
            <th>{labels.bead}</th>
            <th>{labels.wire}</th>
            <GivesHead wanted={wanted} />
            <th className="number">{labels.weighs}</th>
            <th className="number">{labels.bulk}</th>
            <th className="number">{labels.costs}</th>
            <th>{labels.stores}</th>
            <th>{labels.why}</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {few.map((finalist, i) => (
            <FoundRow key={i} n={i + 1} finalist={finalist} wanted={wanted} onMake={onMake} />
          ))}
        </tbody>
      </Dense>
    </>
  )
}

/** Heads of the columns for what was asked. */
function GivesHead({ wanted }: { readonly wanted: Wanted }) {
  if (wanted.kind === 'posture') {
    return (
      <>
        <th className="number">{labels.inReserve}</th>
        <th className="number">{labels.carries}</th>
      </>
    )
  }
  return (
    <>
      <th className="number">{labels.downIn}</th>
      {wanted.kind === 'lead' ? <th className="number">{labels.castAboveBy}</th> : null}
      {wanted.kind === 'level' ? <th className="number">{labels.pin}</th> : null}
    </>
  )
}

/** What a weighting gives of what was asked. */
function Gives({ finalist, wanted }: { readonly finalist: Finalist; readonly wanted: Wanted }) {
  const { mass, depth, small } = useWording()
  const { timeS, low, high, leadMm, reserve, spareMg, weighting } = finalist
  if (wanted.kind === 'posture') {
    return (
      <>
        <td className="number">× {(reserve ?? 0).toFixed(1)}</td>
        <td className="number">{mass(spareMg ?? 0)}</td>
      </>
    )
  }
  return (
    <>
      <td className="number">
        {wording.seconds(timeS)}
        <br />
        <Quiet>
          {low.toFixed(1)}–{high.toFixed(1)}
        </Quiet>
      </td>
      {wanted.kind === 'lead' ? <td className="number">{leadMm === null ? '–' : depth(leadMm)}</td> : null}
      {wanted.kind === 'level' ? <td className="number">{small(weighting.pinMm ?? 0)}</td> : null}
    </>
  )
}

interface FoundRowProps {
  readonly n: number
  readonly finalist: Finalist
  readonly wanted: Wanted
  readonly onMake: (finalist: Finalist) => void
}

function FoundRow({ n, finalist, wanted, onMake }: FoundRowProps) {
  const { mass } = useWording()
  const money = useMoney()
  const { hook, bead, wire, turns, bulk } = finalist.weighting
  const metal = bead?.family.name.split(/ (alloy )?bead/)[0]
  return (
    <tr>
      <td className="number">{n}</td>
      <td>
        #{hook.sizeKey}
        {hook.family.hook && hook.family.hook.xHeavy > 0 ? <Quiet>{labels.heavy}</Quiet> : null}
      </td>
      <td>{bead ? `${metal} ${wording.beadSize(Number(bead.sizeKey))}` : 'none'}</td>
      <td>{wire && turns > 0 ? `${turns} turns ${wire.family.name.toLowerCase()} ${wire.sizeKey}` : 'none'}</td>
      <Gives finalist={finalist} wanted={wanted} />
      <td className="number">{mass(finalist.massMg)}</td>
      <td className="number">{finalist.bulkIndex.toFixed(2)}</td>
      <td className="number">{finalist.costMinor === null ? '–' : money(finalist.costMinor)}</td>
      <td>{finalist.inStores ? 'has it' : 'lacks it'}</td>
      <td>
        {finalist.merits.map((merit) => MERITS[merit]).join(', ')}
        {bulk === null ? '' : `; body bulk ${bulk}`}
      </td>
      <td>
        <Button onPress={() => onMake(finalist)} aria-label={`Make a variant of no. ${n}`}>
          {labels.makeAVariant}
        </Button>
      </td>
    </tr>
  )
}
