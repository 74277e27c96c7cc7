import { useState } from 'react'
import { BARBS, parseDecimal, wording } from '../../../core/index.ts'
import type { Barb } from '../../../core/index.ts'
import type { MaterialLine } from '../../../contract/index.ts'
import { useFrameQuery } from '../../wire/answers.ts'
import type { Delivery } from '../../wire/outbox/sender.ts'
import { refusalOf } from '../../wire/refusal.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { useTyped } from '../../ui/useTyped.ts'
import { NoteField, TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Ledger } from '../../parts/Ledger.tsx'
import { Photo } from '../../parts/Photo.tsx'
import { LineOnSpool } from './LineOnSpool.tsx'
import { MeasuredHook } from './MeasuredHook.tsx'
import { Substitutes } from './Substitutes.tsx'
import { Caution, Fault, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/stores.ts'

const UNITS: Readonly<Record<MaterialLine['stockUnit'], { words: string; steps: number }>> = {
  count: { words: 'pieces', steps: 100 },
  mm: { words: 'm', steps: 1000 },
  mg: { words: 'g', steps: 1000 },
  patch: { words: 'cm²', steps: 100 },
}

const BARB_CHOICES = [{ id: '', name: 'not said' }, ...BARBS.map((id) => ({ id, name: wording.barbName[id] }))]

/** A figure in the unit people say, as smallest steps; null where it is none. */
function steps(text: string, unit: MaterialLine['stockUnit']): number | null {
  const parsed = parseDecimal(text)
  if (parsed.kind === 'unclear' || parsed.value < 0 || parsed.value > 1_000_000) return null
  return Math.round(parsed.value * UNITS[unit].steps)
}

function faultOf(text: string, whole = false): string | undefined {
  if (text.trim() === '') return undefined
  const parsed = parseDecimal(text)
  if (parsed.kind === 'unclear') return wording.unclearSentence(parsed.code, parsed.suggestions)
  if (whole && !Number.isInteger(parsed.value)) return 'Whole ones only.'
  return parsed.value < 0
    ? wording.unclearSentence('negative', [])
    : parsed.value > 1_000_000
      ? wording.unclearSentence('tooLarge', [])
      : undefined
}

/** Counts a drawer, or books what was bought for it or given away of it. */
function CountIt({ line }: { readonly line: MaterialLine }) {
  const command = useCommand()
  const unit = UNITS[line.stockUnit]
  const [amount, setAmount] = useState('')
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
  return (
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
          {labels.bought}
        </Button>
        <Button onPress={() => void book('given')} isDisabled={!read}>
          {labels.gaveAway}
        </Button>
      </Row>
      {refused ? <Fault>{refused}</Fault> : null}
    </Section>
  )
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
  const { stock } = useWording()
  const command = useCommand()
  const save = (change: Partial<Bought> & { note?: string; barb?: Barb | null }, options = {}) =>
    command(
      'materialSave',
      {
        materialId: line.id,
        version: line.version,
        minimumAmount: line.minimumAmount,
        packAmount: line.packAmount,
        priceMinor: line.priceMinor,
        leadTimeDays: line.leadTimeDays,
        supplier: line.supplier,
        barb: line.barb,
        note: line.note,
        ...change,
      },
      options,
    )
  const note = useTyped(line.note, (text) => save({ note: text }, { quietly: true }).then(refusalOf))
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
        <Button onPress={onClose}>{labels.allDrawers}</Button>
      </Heading>
      <p>
        {line.onHand === null
          ? 'Not counted yet.'
          : line.onHand < 0
            ? 'More went out of it than was counted into it: count it now.'
            : `${stock(line.onHand, line.stockUnit)} on hand.`}{' '}
        <Quiet>
          {line.usedBy === 0
            ? 'No fly uses it.'
            : `${wording.counted(line.usedBy, 'variant uses', 'variants use')} it.`}
        </Quiet>
      </p>
      <CountIt line={line} />
      {line.kind === 'hook' ? (
        <Select
          label={labels.itsBarb}
          value={line.barb ?? ''}
          choices={BARB_CHOICES}
          onChange={(id) => void save({ barb: id === '' ? null : (id as Barb) })}
          width="220px"
        />
      ) : null}
      {line.kind === 'hook' ? <MeasuredHook key={line.id + line.version} line={line} /> : null}
      {line.kind === 'line' ? <LineOnSpool key={line.id + line.version} line={line} /> : null}
      <Section>
        <HowBought line={line} onSave={save} />
        <NoteField label={labels.note} {...note} width="520px" />
        <div style={{ paddingTop: 10 }}>
          <Photo subject="material" subjectId={line.id} photoId={line.photoId} title={title} />
        </div>
        {line.cautions.map((key) => (
          <Caution key={key}>{wording.caution(key)}</Caution>
        ))}
      </Section>
      <Substitutes line={line} />
      <Ledger of={{ materialId: line.id }} words={(amount) => stock(amount, line.stockUnit)} />
    </>
  )
}

type Bought = Pick<MaterialLine, 'minimumAmount' | 'packAmount' | 'priceMinor' | 'leadTimeDays' | 'supplier'>

const textOf = (amount: number | null, steps: number) => (amount === null ? '' : String(amount / steps))
const COIN = 100

/** What is kept of it, and how it is bought: pack, price, days, where. */
function HowBought({
  line,
  onSave,
}: {
  readonly line: MaterialLine
  readonly onSave: (change: Bought) => Promise<Delivery>
}) {
  const { data: frame } = useFrameQuery()
  const unit = UNITS[line.stockUnit]
  const kept = {
    keep: textOf(line.minimumAmount, unit.steps),
    pack: textOf(line.packAmount, unit.steps),
    price: line.priceMinor === null ? '' : (line.priceMinor / COIN).toFixed(2),
    days: textOf(line.leadTimeDays, 1),
    supplier: line.supplier,
  }
  const [typed, setTyped] = useState<Partial<typeof kept>>({})
  const texts = { ...kept, ...typed }
  const type = (field: keyof typeof texts) => (text: string) =>
    setTyped((before) => ({ ...before, [field]: text }))
  const faults = {
    keep: faultOf(texts.keep),
    pack: faultOf(texts.pack),
    price: faultOf(texts.price),
    days: faultOf(texts.days, true),
    supplier: undefined,
  }
  const amount = (text: string, steps: number) => {
    const parsed = parseDecimal(text)
    return text.trim() === '' || parsed.kind === 'unclear' ? null : Math.round(parsed.value * steps)
  }
  const save = async () => {
    const delivery = await onSave({
      minimumAmount: amount(texts.keep, unit.steps),
      packAmount: amount(texts.pack, unit.steps) || null,
      priceMinor: amount(texts.price, COIN),
      leadTimeDays: amount(texts.days, 1),
      supplier: texts.supplier.trim(),
    })
    // what was refused stays as it was typed
    if (delivery.kind === 'done') setTyped({})
  }
  const field = (key: keyof typeof texts, label: string, width: string) => (
    <TextField
      label={label}
      value={texts[key]}
      onChange={type(key)}
      width={width}
      fault={faults[key]}
      maxLength={80}
    />
  )
  return (
    <Row $align="end">
      {field('keep', `Keep at least, ${unit.words}`, '150px')}
      {field('pack', `In a pack, ${unit.words}`, '130px')}
      {field('price', `A pack costs, ${frame?.settings.currency ?? ''}`, '130px')}
      {field('days', 'Comes within, days', '130px')}
      {field('supplier', 'From', '150px')}
      <Button onPress={() => void save()} isDisabled={Object.values(faults).some(Boolean)}>
        {labels.keepThis}
      </Button>
    </Row>
  )
}
