import { Link } from 'react-router'
import { billOfMaterials, costOf, fliesAllowed } from '../../../core/index.ts'
import { useStoresQuery } from '../../wire/answers.ts'
import { useMoney } from '../../words/useMoney.ts'
import { useWording } from '../../words/useWording.ts'
import { Dense, Quiet, Section } from '../../ui/layout.tsx'
import { drawerTitle } from '../../recipe/drawerState.ts'
import type { WorkedOut } from './useFlyReport.ts'
import { labels } from '../../words/patterns.ts'

/** A batch by which costs are said. */
const BATCH = 6

/** What a fly takes of the stores, waste included: what it costs, how many more can be tied, and what is the limit. */
export function WhatItTakes({ worked }: { readonly worked: WorkedOut }) {
  const { stock } = useWording()
  const { data } = useStoresQuery()
  const money = useMoney()
  if (!data) return null
  const drawers = new Map(data.materials.map((line) => [line.id as string, line]))
  const bill = billOfMaterials(worked.fly)
  const known = bill.map((line) => {
    const drawer = drawers.get(line.materialId)
    const onHand = drawer?.onHand ?? null
    return { ...line, drawer, onHand: onHand !== null && onHand >= 0 ? onHand : null }
  })
  const allowed = fliesAllowed(known)
  const limit = allowed ? drawers.get(allowed.limitedBy) : undefined
  const { minor, unpriced } = costOf(bill, (id) => drawers.get(id) ?? null)
  return (
    <Section aria-label={labels.whatItTakes}>
      <h2>{labels.whatItTakes}</h2>
      <p>
        {unpriced.length === bill.length
          ? 'What it costs nobody knows: none of it has a price yet.'
          : `A fly costs about ${money(minor)}, ${BATCH} of them ${money(minor * BATCH)}${unpriced.length > 0 ? `; ${unpriced.length === 1 ? 'one material has' : `${unpriced.length} materials have`} no price yet` : ''}.`}{' '}
        {allowed
          ? `The stores allow ${allowed.count}${limit ? `; the limit is ${drawerTitle(limit)}` : ''}.`
          : 'Nothing of it was counted, so nothing limits it.'}
      </p>
      <Dense aria-label={labels.whatAFlyTakes} style={{ width: 'auto' }}>
        <thead>
          <tr>
            <th>{labels.material}</th>
            <th className="number">{labels.aFlyWithWaste}</th>
            <th className="number">{labels.onHand}</th>
            <th className="number">{labels.costs}</th>
          </tr>
        </thead>
        <tbody>
          {known.map(({ materialId, perFly, onHand, drawer }) =>
            drawer ? (
              <tr key={materialId}>
                <td>
                  <Link to={`/stores?material=${materialId}`}>{drawerTitle(drawer)}</Link>
                </td>
                <td className="number">{stock(perFly, drawer.stockUnit)}</td>
                <td className="number">
                  {onHand === null ? <Quiet>{labels.notCounted}</Quiet> : stock(onHand, drawer.stockUnit)}
                </td>
                <td className="number">
                  {drawer.packAmount && drawer.priceMinor !== null
                    ? money((perFly / drawer.packAmount) * drawer.priceMinor)
                    : '–'}
                </td>
              </tr>
            ) : null,
          )}
        </tbody>
      </Dense>
    </Section>
  )
}
