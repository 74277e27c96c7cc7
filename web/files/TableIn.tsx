import { useRef, useState } from 'react'
import type { ReactNode } from 'react'
import { wording } from '../../core/index.ts'
import type { RowFault } from '../../core/index.ts'
import { readCsv } from './readCsv.ts'
import type { CsvFile } from './readCsv.ts'
import type { Delivery } from '../wire/outbox/sender.ts'
import { Button } from '../ui/Button.tsx'
import { Fault, Row, Section } from '../ui/layout.tsx'
import { labels } from '../words/parts.ts'

type Cells = Extract<CsvFile, { kind: 'cells' }>

/** What a table says, and how to take it in. */
export interface ReadTable {
  readonly faults: readonly RowFault[]
  readonly preview: ReactNode
  /** words of the button that takes it in */
  readonly takeLabel: string
  readonly take: () => Promise<Delivery>
}

interface TableInProps {
  readonly label: string
  /** what the file has to look like */
  readonly hint: string
  readonly read: (cells: Cells) => ReadTable
  /** choices that bear on the reading */
  readonly children?: ReactNode
  readonly onDone: () => void
}

const FIRST_FAULTS = 8

/** Takes a table in from a file: what it would do is shown first, every fault by its row, and nothing is half done. */
export function TableIn({ label, hint, read, children, onDone }: TableInProps) {
  const picker = useRef<HTMLInputElement>(null)
  const [cells, setCells] = useState<Cells | null>(null)
  const [refused, setRefused] = useState<string | null>(null)
  const pick = async (file: File | undefined) => {
    setCells(null)
    setRefused(null)
    if (!file) return
    const found = await readCsv(file)
    if (found.kind === 'cells') setCells(found)
    else setRefused(found.why)
  }
  const table = cells ? read(cells) : null
  const take = async () => {
    if (!table) return
    const delivery = await table.take()
    if (delivery.kind === 'refused') setRefused(delivery.problem.detail)
    else onDone()
  }
  return (
    <Section aria-label={label}>
      <h2>{label}</h2>
      <p>{hint}</p>
      <input
        ref={picker}
        type="file"
        accept=".csv,.txt,text/csv"
        hidden
        aria-label={`${label}: file`}
        onChange={({ target }) => {
          void pick(target.files?.[0])
          target.value = ''
        }}
      />
      <Row style={{ padding: '8px 0' }}>
        <Button onPress={() => picker.current?.click()}>{labels.chooseAFile}</Button>
        {children}
        <Button look="quiet" onPress={onDone}>
          {labels.leaveIt}
        </Button>
      </Row>
      {refused ? <Fault>{refused}</Fault> : null}
      {table && table.faults.length > 0 ? (
        <div role="alert">
          {table.faults.slice(0, FIRST_FAULTS).map((fault) => (
            <Fault key={`${fault.row} ${fault.code}`}>{wording.rowFaultSentence(fault)}</Fault>
          ))}
          {table.faults.length > FIRST_FAULTS ? <p>And {table.faults.length - FIRST_FAULTS} more.</p> : null}
          <p>{labels.nothingWasTakenIn}</p>
        </div>
      ) : null}
      {table && table.faults.length === 0 ? (
        <>
          {table.preview}
          <Button look="main" onPress={() => void take()}>
            {table.takeLabel}
          </Button>
        </>
      ) : null}
    </Section>
  )
}
