import { useVirtualizer } from '@tanstack/react-virtual'
import { lazy, Suspense, useMemo, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import styled from 'styled-components'
import { buyingList } from '../../../core/index.ts'
import type { MaterialLine } from '../../../contract/index.ts'
import { useStoresQuery } from '../../wire/answers.ts'
import { EMPTY_CONTENT, useColumn } from '../../column/marks.ts'
import { useNow } from '../../moment/useNow.ts'
import { useWording } from '../../words/useWording.ts'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, TextField } from '../../ui/fields.tsx'
import { Heading, Quiet, Row } from '../../ui/layout.tsx'
import { useNarrow } from '../../ui/useNarrow.ts'
import { drawerTitle, STATE_COLOURS, STATE_WORDS, stateOf } from '../../recipe/drawerState.ts'
import { BuyingList } from '../../parts/buying/BuyingList.tsx'
import type { NamedBuyLine } from '../../parts/buying/BuyingList.tsx'
import { Purchases } from './Purchases.tsx'
import { DrawerSheet } from './DrawerSheet.tsx'
import { stillToMake } from './stillToMake.ts'
import { labels } from '../../words/stores.ts'

const NewMaterial = lazy(() => import('./NewMaterial.tsx'))
const StoresTableIn = lazy(() => import('./StoresTableIn.tsx'))

const Scroll = styled.div`
  height: calc(100dvh - 210px);
  min-height: 300px;
  overflow-y: auto;
  border-top: 1px solid var(--quiet);
  .inner {
    position: relative;
  }
  button.drawer {
    position: absolute;
    left: 0;
    width: 100%;
    height: 34px;
    display: grid;
    grid-template-columns: 64px minmax(0, 1fr) 74px 88px 96px;
    gap: 10px;
    align-items: center;
    padding: 0 8px 0 4px;
    font: 0.9375rem/1.2 var(--text);
    text-align: left;
    color: var(--ink);
    background: none;
    border: 0;
    border-bottom: 1px solid var(--rule);
    cursor: pointer;
  }
  button.drawer:hover {
    background: var(--panel);
  }
  .number {
    text-align: right;
  }
  .swatch {
    display: inline-block;
    width: 13px;
    height: 13px;
    margin-right: 7px;
    border: 1px solid var(--quiet);
    border-radius: 2px;
    vertical-align: -2px;
  }
  .name {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  @media (max-width: 700px) {
    button.drawer {
      grid-template-columns: minmax(0, 1fr) 56px 78px;
      font-size: 0.875rem;
      height: 50px;
    }
    .kind,
    .keep {
      display: none;
    }
    .name {
      display: -webkit-box;
      white-space: normal;
      -webkit-line-clamp: 2;
      -webkit-box-orient: vertical;
    }
  }
`

const ROW_PX = 34
/** Where there is no room beside it, a name takes two lines. */
const NARROW_ROW_PX = 50

/** What brings every drawer up to what is kept of it. */
const toFillUp = (materials: readonly MaterialLine[]): readonly NamedBuyLine[] => {
  const lines = new Map(materials.map((line) => [line.id as string, line]))
  const drawers = materials.map(({ id, minimumAmount, packAmount, onHand, ...drawer }) => ({
    ...drawer,
    // below nought: nobody counted it, so nobody knows what is short
    onHand: onHand !== null && onHand < 0 ? null : onHand,
    key: id as string,
    minimum: minimumAmount,
    pack: packAmount,
  }))
  return buyingList(drawers, []).flatMap((buy) => {
    const line = lines.get(buy.key)
    return line
      ? [{ ...buy, name: drawerTitle(line), stockUnit: line.stockUnit, packAmount: line.packAmount }]
      : []
  })
}

interface DrawerProps {
  readonly line: MaterialLine
  readonly top: number
  readonly onOpen: () => void
}

/** A drawer in the list: what is in it, and whether that is low. */
function Drawer({ line, top, onOpen }: DrawerProps) {
  const { stock } = useWording()
  const state = stateOf(line)
  return (
    <button type="button" className="drawer" style={{ top }} onClick={onOpen}>
      <Quiet className="kind">{line.kind}</Quiet>
      <span className="name">
        <span className="swatch" style={{ background: line.colourHex }} />
        {drawerTitle(line)}
      </span>
      <span className="number figures" style={{ color: STATE_COLOURS[state] }}>
        {line.onHand === null || line.onHand < 0 ? '' : stock(line.onHand, line.stockUnit)}
      </span>
      <span className="number keep">
        <Quiet>{line.minimumAmount === null ? '' : `keep ${stock(line.minimumAmount, line.stockUnit)}`}</Quiet>
      </span>
      <span style={{ color: STATE_COLOURS[state] }}>{STATE_WORDS[state]}</span>
    </button>
  )
}

/** What the stores hold, drawer by drawer. */
export default function Stores() {
  const { data } = useStoresQuery()
  const now = useNow()
  useColumn(useMemo(() => (now ? { ...EMPTY_CONTENT, flies: stillToMake(now) } : EMPTY_CONTENT), [now]))
  const [params, setParams] = useSearchParams()
  const [words, setWords] = useState('')
  const [onlyLow, setOnlyLow] = useState(false)
  const [taking, setTaking] = useState(false)
  const [making, setMaking] = useState(false)
  usePlaceActions([{ key: 'n', what: labels.newMaterial, go: () => setMaking(true) }])
  const scroll = useRef<HTMLDivElement>(null)
  const isNarrow = useNarrow()
  const shown = useMemo(() => {
    const sought = words.trim().toLowerCase()
    return (data?.materials ?? []).filter(
      (line) =>
        drawerTitle(line).toLowerCase().includes(sought) &&
        (!onlyLow || ['low', 'out'].includes(stateOf(line))),
    )
  }, [data, words, onlyLow])
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => (isNarrow ? NARROW_ROW_PX : ROW_PX),
    overscan: 12,
  })
  if (!data) return <p aria-busy="true">{labels.openingTheDrawers}</p>
  const open = data.materials.find(({ id }) => id === params.get('material'))
  if (open)
    return <DrawerSheet key={open.id} line={open} title={drawerTitle(open)} onClose={() => setParams({})} />
  const low = data.materials.filter((line) => ['low', 'out'].includes(stateOf(line)))
  return (
    <>
      <Heading>
        <h1>{labels.stores}</h1>
        <Row>
          <TextField
            label={labels.findAMaterial}
            hideLabel
            type="search"
            value={words}
            onChange={setWords}
            width="150px"
          />
          <Button onPress={() => setMaking(true)}>{labels.newMaterial}</Button>
          <Button look="quiet" onPress={() => setTaking(true)}>
            {labels.takeATableIn}
          </Button>
          <Button
            look="quiet"
            onPress={() =>
              void import('./StoresTableIn.tsx').then(({ saveStores }) => saveStores(data.materials))
            }
          >
            {labels.saveAsATable}
          </Button>
          <Checkbox isSelected={onlyLow} onChange={setOnlyLow}>
            {labels.onlyWhatIsLow}
          </Checkbox>
        </Row>
      </Heading>
      <p style={{ paddingBottom: 8 }}>
        {low.length > 0
          ? `${low.length} low: ${low.slice(0, 4).map(drawerTitle).join('; ')}${low.length > 4 ? ' …' : '.'}`
          : 'Nothing is low.'}{' '}
        <Quiet>{data.materials.length} drawers; not counted is not none.</Quiet>
      </p>
      {making ? (
        <Suspense fallback={<p aria-busy="true">{labels.openingTheDrawers}</p>}>
          <NewMaterial
            onDone={(material) => {
              setMaking(false)
              if (material) setParams({ material })
            }}
          />
        </Suspense>
      ) : null}
      {taking ? (
        <Suspense fallback={<p aria-busy="true">{labels.openingTheDrawers}</p>}>
          <StoresTableIn materials={data.materials} onDone={() => setTaking(false)} />
        </Suspense>
      ) : null}
      <Purchases purchases={data.purchases} materials={data.materials} />
      <Scroll ref={scroll} tabIndex={0} role="region" aria-label={labels.drawers}>
        <div className="inner" style={{ height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map(({ index, start }) => {
            const line = shown[index]
            return line ? (
              <Drawer key={line.id} line={line} top={start} onOpen={() => setParams({ material: line.id })} />
            ) : null
          })}
        </div>
      </Scroll>
      <BuyingList title={labels.toFillUpWhat} lines={toFillUp(data.materials)} />
      {shown.length === 0 ? <p>{labels.noDrawerAnswersTo}</p> : null}
    </>
  )
}
