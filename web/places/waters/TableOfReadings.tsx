import { useRef, useState } from 'react'
import { dateOf } from '../../../core/index.ts'
import type { DateOrder, TableFault, TableReading } from '../../../core/index.ts'
import type { CommandInput } from '../../../contract/index.ts'
import { setWork } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { NoteField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Caution, Fault, Quiet, Row } from '../../ui/layout.tsx'
import { runJob } from '../../workers/gateway.ts'
import type { ReadText } from '../../workers/readText.ts'
import { labels } from '../../words/waters.ts'
import { dateName } from '../../words/words.ts'

const LARGEST_BYTES = 20_000_000

/** Where readings come from. */
export type Source = CommandInput<'readingsImport'>['readings']['source']
type OnTake = (source: Source, rowsJson: string) => Promise<boolean>

const FAULTS: Readonly<Record<TableFault['code'], (text: string) => string>> = {
  noDate: (text) => `“${text}” is no date. Write 2026-06-03 or 3/6/2026.`,
  noSuchDay: (text) => `There is no such day as ${text}.`,
  noSuchTime: (text) => `“${text}” is no time of the day.`,
  noFigure: (text) => `“${text}” is no temperature.`,
  tooWarm: (text) => `Water of ${text}? Say that it is in °F, or mend the line.`,
  belowIce: (text) => `Water is not colder than ice: ${text}.`,
}

/** A table that is pasted or picked, what it was read as, and taking it in. */
function useTable(onTake: OnTake) {
  const { units } = useWording()
  const [text, setText] = useState('')
  const [fileName, setFileName] = useState<string | null>(null)
  const [unit, setUnit] = useState<'°C' | '°F'>(units.temperature)
  const [dateOrder, setDateOrder] = useState<DateOrder>('dayFirst')
  const [read, setRead] = useState<ReadText | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  const dispatch = useAppDispatch()

  const look = async (of: string, reading: TableReading) => {
    setFault(null)
    setBusy(true)
    const found = await runJob(
      'readText',
      { text: of, reading },
      {
        key: 'readText',
        onProgress: ({ done }) => dispatch(setWork({ label: 'Reading the table', done })),
      },
    )
    dispatch(setWork(null))
    setBusy(false)
    if (!('kind' in found)) setRead(found)
  }
  const pick = async (file: File | undefined) => {
    if (!file) return
    setRead(null)
    if (file.size > LARGEST_BYTES) {
      setFault(
        `This file has ${Math.round(file.size / 1e6)} MB. Take at most 20 MB at once; ten years of hours are about 3.`,
      )
      return
    }
    const content = await file.text()
    setFileName(file.name)
    setText(content)
    await look(content, { dateOrder, unit })
  }
  const takeIn = async () => {
    if (read?.result.kind !== 'readings') return
    setBusy(true)
    dispatch(setWork({ label: `Taking ${read.result.count.toLocaleString('en')} readings in`, done: 0.5 }))
    const taken = await onTake(fileName ? 'file' : 'pasted', read.result.rowsJson)
    dispatch(setWork(null))
    setBusy(false)
    if (!taken) return
    setText('')
    setFileName(null)
    setRead(null)
  }
  const change = (next: Partial<TableReading>) => {
    const reading = { dateOrder, unit, ...next }
    setDateOrder(reading.dateOrder)
    setUnit(reading.unit)
    if (read) void look(text, reading)
  }
  const type = (typed: string) => {
    setText(typed)
    setRead(null)
  }
  return {
    text,
    type,
    fileName,
    unit,
    dateOrder,
    change,
    read,
    fault,
    busy,
    look: () => look(text, { dateOrder, unit }),
    pick,
    takeIn,
  }
}

/** A table of readings, pasted or from a file, with what it says before it is taken in. */
export function TableOfReadings({ onTake }: { readonly onTake: OnTake }) {
  const { text, type, fileName, unit, dateOrder, change, read, fault, busy, look, pick, takeIn } =
    useTable(onTake)
  const picker = useRef<HTMLInputElement>(null)
  return (
    <div role="group" aria-label={labels.aTableOfReadings} style={{ paddingTop: 8 }}>
      {fileName ? (
        <p>
          {fileName} <Quiet>{text.length.toLocaleString('en')} characters</Quiet>
        </p>
      ) : (
        <NoteField label={labels.pasteATableA} value={text} onChange={type} width="520px" />
      )}
      <Row $align="end">
        <Select
          label={labels.temperaturesAreIn}
          value={unit}
          choices={[
            { id: '°C', name: '°C' },
            { id: '°F', name: '°F' },
          ]}
          onChange={(id) => change({ unit: id as '°C' })}
          width="130px"
        />
        <Select
          label={labels.n342026Is}
          value={dateOrder}
          choices={[
            { id: 'dayFirst', name: 'the third of April' },
            { id: 'monthFirst', name: 'the fourth of March' },
          ]}
          onChange={(id) => change({ dateOrder: id as DateOrder })}
          width="180px"
        />
        <Button onPress={() => void look()} isDisabled={text.trim() === '' || busy}>
          {labels.seeWhatItSays}
        </Button>
        <Button onPress={() => picker.current?.click()}>{labels.takeAFile}</Button>
        <input
          ref={picker}
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          aria-label={labels.aFileOfReadings}
          hidden
          onChange={(event) => {
            void pick(event.target.files?.[0])
            event.target.value = ''
          }}
        />
      </Row>
      {busy ? <p aria-busy="true">{labels.reading}</p> : null}
      {fault ? <Fault>{fault}</Fault> : null}
      {read ? (
        <Preview
          read={read}
          onTake={() => void takeIn()}
          onColumn={(tempColumn) => change({ tempColumn })}
          isBusy={busy}
        />
      ) : null}
    </div>
  )
}

/** What a table says, or what is wrong with it line by line: all of it is taken in, or nothing. */
function Preview({
  read,
  onTake,
  onColumn,
  isBusy,
}: {
  readonly read: ReadText
  readonly onTake: () => void
  readonly onColumn: (at: number) => void
  readonly isBusy: boolean
}) {
  const { temperature } = useWording()
  const { result, ambiguous, dateOrder } = read
  if (result.kind === 'empty') return <Fault>{labels.thereIsNothingIn}</Fault>
  if (result.kind === 'which')
    return (
      <div role="status">
        <Caution>{labels.whichColumnIsTheWaters}</Caution>
        <Row $gap={8}>
          {result.columns.map(({ at, name }) => (
            <Button key={at} onPress={() => onColumn(at)}>
              {name}
            </Button>
          ))}
        </Row>
      </div>
    )
  if (result.kind === 'faulty') {
    const { faults, faultCount, good } = result
    return (
      <div role="status">
        <Fault>
          {faultCount.toLocaleString('en')} {faultCount === 1 ? 'line is' : 'lines are'} not clear, and{' '}
          {good.toLocaleString('en')} good. Nothing is taken in until all are.
        </Fault>
        <ul>
          {faults.map(({ line, code, text }) => (
            <li key={line}>
              line {line}: {FAULTS[code](text)}
            </li>
          ))}
        </ul>
        {faultCount > faults.length ? <Quiet>And {faultCount - faults.length} more.</Quiet> : null}
      </div>
    )
  }
  const { count, coldestC, warmestC, doubled, outOfOrder, firstDay, lastDay } = result
  return (
    <div role="status">
      <p>
        {count.toLocaleString('en')} {count === 1 ? 'reading' : 'readings'} from {dateName(dateOf(firstDay))} to{' '}
        {dateName(dateOf(lastDay))}, from {temperature(coldestC)} to {temperature(warmestC)}.
        {doubled > 0 ? ` ${doubled} stood twice, as autumn's hour does; their mean is taken.` : ''}
        {outOfOrder > 0 ? ' They were out of order, and are sorted.' : ''}
        {ambiguous
          ? ` The dates could be read either way; ${dateOrder === 'dayFirst' ? 'the day' : 'the month'} is taken to come first.`
          : ''}
      </p>
      <Button look="main" onPress={onTake} isDisabled={isBusy}>
        {labels.takeThemIn}
      </Button>
    </div>
  )
}
