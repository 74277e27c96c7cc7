import { useState } from 'react'
import { Link } from 'react-router'
import type { BuyLine } from '../../../core/index.ts'
import type { MaterialId, MaterialLine } from '../../../contract/index.ts'
import { useMoney } from '../../words/useMoney.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { dayName } from '../../words/words.ts'
import { Button } from '../../ui/Button.tsx'
import { Dense, Fault, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/parts.ts'

/** A line of what to buy, with what it is. */
export interface NamedBuyLine extends BuyLine {
  readonly name: string
  readonly stockUnit: MaterialLine['stockUnit']
  /** what a pack holds; null where nobody noted it */
  readonly packAmount: number | null
}

/** What to buy, in whole packs, the most pressing first: to save, to print, to write down as ordered. */
export function BuyingList({
  title,
  lines,
}: {
  readonly title: string
  readonly lines: readonly NamedBuyLine[]
}) {
  const { stock } = useWording()
  const money = useMoney()
  const command = useCommand()
  const [refused, setRefused] = useState<string | null>(null)
  const [ordered, setOrdered] = useState(false)
  const inPacks = lines.filter(({ packs, packAmount }) => packs !== null && packAmount !== null)
  const total = lines.reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0)
  const rows = lines.map(({ name, amount, stockUnit, packs, priceMinor, orderBy }) => [
    name,
    stock(amount, stockUnit),
    packs === null ? '' : String(packs),
    priceMinor === null ? '' : money(priceMinor),
    orderBy ?? '',
  ])
  const order = async () => {
    const delivery = await command(
      'purchaseOrder',
      {
        purchaseId: newId(),
        supplier: '',
        lines: inPacks.map(({ key, packs, packAmount }) => ({
          lineId: newId(),
          materialId: key as MaterialId,
          packAmount: packAmount ?? 1,
          packs: packs ?? 1,
        })),
      },
      { quietly: true },
    )
    setRefused(delivery.kind === 'refused' ? delivery.problem.detail : null)
    setOrdered(delivery.kind === 'done')
  }
  if (lines.length === 0) return null
  return (
    <Section aria-label={title}>
      <Heading>
        <h2>
          {title} <Quiet>{total > 0 ? `· about ${money(total)}` : ''}</Quiet>
        </h2>
        <Row $gap={6}>
          <Button onPress={() => void import('./saveList.ts').then(({ saveBuyingCsv }) => saveBuyingCsv(rows))}>
            {labels.saveTheList}
          </Button>
          <Button
            look="quiet"
            onPress={() =>
              void import('./saveList.ts').then(({ saveBuyingMarkdown }) => saveBuyingMarkdown(title, rows))
            }
          >
            {labels.markdown}
          </Button>
          <Button
            look="quiet"
            onPress={() => void import('./saveList.ts').then(({ printBuying }) => printBuying(title, rows))}
          >
            {labels.print}
          </Button>
          <Button onPress={() => void order()} isDisabled={inPacks.length === 0 || ordered}>
            {ordered ? 'Written down as ordered' : 'Write down as ordered'}
          </Button>
        </Row>
      </Heading>
      {refused ? <Fault>{refused}</Fault> : null}
      <Dense aria-label={labels.buyingList} style={{ width: 'auto' }}>
        <thead>
          <tr>
            <th>{labels.material}</th>
            <th className="number">{labels.amount}</th>
            <th className="number">{labels.packs}</th>
            <th className="number">{labels.about}</th>
            <th>{labels.orderBy}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.key}>
              <td>
                <Link to={`/stores?material=${line.key}`}>{line.name}</Link>
              </td>
              <td className="number">{stock(line.amount, line.stockUnit)}</td>
              <td className="number">{line.packs ?? '–'}</td>
              <td className="number">{line.priceMinor === null ? '–' : money(line.priceMinor)}</td>
              <td>{line.orderBy === null ? <Quiet>{labels.whenItSuits}</Quiet> : dayName(line.orderBy)}</td>
            </tr>
          ))}
        </tbody>
      </Dense>
    </Section>
  )
}
