import { useState } from 'react'
import { parseDecimal, wording } from '../../../core/index.ts'
import type { MaterialLine } from '../../../contract/index.ts'
import { useCommand } from '../../app/useCommand.ts'
import { stockAmount } from '../../app/words.ts'
import { Button } from '../../ui/Button.tsx'
import { NoteField, TextField } from '../../ui/fields.tsx'
import { Caution, Fault, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'

const UNITS: Readonly<Record<MaterialLine['stockUnit'], { words: string; steps: number }>> = {
  count: { words: 'pieces', steps: 100 },
  mm: { words: 'm', steps: 1000 },
  mg: { words: 'g', steps: 1000 },
  patch: { words: 'cm²', steps: 100 },
}

/** A figure in the unit people say, as smallest steps; null where it is none. */
function steps(text: string, unit: MaterialLine['stockUnit']): number | null {
  const parsed = parseDecimal(text)
  if (parsed.kind === 'unclear' || parsed.value < 0 || parsed.value > 1_000_000) return null
  return Math.round(parsed.value * UNITS[unit].steps)
}

function faultOf(text: string): string | undefined {
  if (text.trim() === '') return undefined
  const parsed = parseDecimal(text)
  if (parsed.kind === 'unclear') return wording.unclearSentence(parsed.code, parsed.suggestions)
  return parsed.value < 0
    ? wording.unclearSentence('negative', [])
    : parsed.value > 1_000_000
      ? wording.unclearSentence('tooLarge', [])
      : undefined
}

/** One drawer: count it, add a purchase, say what to keep. */
export function DrawerSheet({
  line,
  title,
  onClose,
}: {
  readonly line: MaterialLine
  readonly title: string
  readonly onClose: () => void
}) {
  const command = useCommand()
  const unit = UNITS[line.stockUnit]
  const [amount, setAmount] = useState('')
  const [keep, setKeep] = useState(line.minimumAmount === null ? '' : String(line.minimumAmount / unit.steps))
  const [note, setNote] = useState(line.note)
  const [refused, setRefused] = useState<string | null>(null)
  const read = steps(amount, line.stockUnit)
  const book = async (cause: 'counted' | 'bought' | 'given') => {
    if (read === null) return
    const delivery = await command(
      'materialEntry',
      { materialId: line.id, cause, amount: read },
      { quietly: true },
    )
    setRefused(delivery.kind === 'refused' ? delivery.problem.detail : null)
    if (delivery.kind === 'done') setAmount('')
  }
  const save = (change: { minimumAmount?: number | null; note?: string }) =>
    void command('materialSave', {
      materialId: line.id,
      version: line.version,
      minimumAmount: line.minimumAmount,
      packAmount: line.packAmount,
      note: line.note,
      ...change,
    })
  return (
    <>
      <Heading>
        <h1>
          <span
            style={{
              display: 'inline-block',
              width: 18,
              height: 18,
              marginRight: 8,
              background: line.colourHex,
              border: '1px solid var(--quiet)',
              verticalAlign: -2,
            }}
          />
          {title}
        </h1>
        <Button onPress={onClose}>All drawers</Button>
      </Heading>
      <p>
        {line.onHand === null
          ? 'Not counted yet.'
          : line.onHand < 0
            ? 'Flies were tied from it, and it was never counted: count it now.'
            : `${stockAmount(line.onHand, line.stockUnit)} on hand.`}{' '}
        <Quiet>
          {line.usedBy === 0
            ? 'No fly uses it.'
            : `${line.usedBy} ${line.usedBy === 1 ? 'variant uses' : 'variants use'} it.`}
        </Quiet>
      </p>
      <Section>
        <Row $align="end">
          <TextField
            label={`How much, ${unit.words}`}
            value={amount}
            onChange={setAmount}
            width="130px"
            fault={faultOf(amount)}
          />
          <Button look="main" onPress={() => void book('counted')} isDisabled={read === null}>
            I count {amount || '…'}
          </Button>
          <Button onPress={() => void book('bought')} isDisabled={!read}>
            Bought
          </Button>
          <Button onPress={() => void book('given')} isDisabled={!read}>
            Gave away
          </Button>
        </Row>
        {refused ? <Fault>{refused}</Fault> : null}
      </Section>
      <Section>
        <Row $align="end">
          <TextField
            label={`Keep at least, ${unit.words}`}
            value={keep}
            onChange={setKeep}
            width="150px"
            fault={faultOf(keep)}
          />
          <Button
            onPress={() => save({ minimumAmount: keep.trim() === '' ? null : steps(keep, line.stockUnit) })}
            isDisabled={Boolean(faultOf(keep))}
          >
            Keep this
          </Button>
        </Row>
        <NoteField
          label="Note"
          value={note}
          onChange={setNote}
          onBlur={() => (note !== line.note ? save({ note }) : undefined)}
          width="520px"
        />
        {line.cautions.map((key) => (
          <Caution key={key}>{wording.caution(key)}</Caution>
        ))}
      </Section>
    </>
  )
}
