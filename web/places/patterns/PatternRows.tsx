import { useVirtualizer } from '@tanstack/react-virtual'
import { memo, useRef } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import { wording } from '../../../core/index.ts'
import type { PatternLine } from '../../../contract/index.ts'
import { ListedFly, ListedSlits } from '../../drawing/ListedFly.tsx'
import { useTrueSize } from '../../drawing/trueSize.ts'
import { Dense, Quiet } from '../../ui/layout.tsx'
import { useLitAmong } from '../../wire/lit.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { labels } from '../../words/patterns.ts'
import { useWording } from '../../words/useWording.ts'
import { keptOf } from './sieve.ts'

const List = styled(Dense)`
  width: 100%;
  table-layout: fixed;
  th:nth-child(1) {
    width: 21%;
  }
  th:nth-child(2) {
    width: 98px;
  }
  th:nth-child(4),
  th:nth-child(6) {
    width: 72px;
  }
  th:nth-child(5) {
    width: 164px;
  }
  th:nth-child(7) {
    width: 112px;
  }
  .does {
    padding-left: 14px;
  }
  td.does {
    font-variant-numeric: tabular-nums;
  }
  td.fly {
    width: 92px;
  }
  tr.variant td {
    padding-top: 3px;
    padding-bottom: 3px;
  }
  tr[data-lit='true'] td {
    background: var(--panel);
  }
  td.label {
    overflow-wrap: anywhere;
  }
  td.name {
    vertical-align: top;
  }
  /* by hand: each variant in two lines, its fly beside them */
  @media (max-width: 700px) {
    &,
    tbody {
      display: block;
    }
    thead {
      display: none;
    }
    tr.variant {
      display: grid;
      grid-template-columns: 96px minmax(0, 1fr) auto;
      align-items: center;
      border-bottom: 1px solid var(--rule);
    }
    tr.variant td {
      display: block;
      width: auto;
      border: 0;
    }
    tr.variant td.name {
      grid-column: 1 / -1;
    }
    tr.variant td.fly {
      grid-row: span 2;
    }
    tr.variant td:nth-last-child(4),
    tr.variant td:nth-last-child(2) {
      display: none;
    }
    tr.variant td:last-child {
      grid-column: 2 / -1;
    }
  }
`

/** A list of so many patterns is drawn whole; of a longer one what is near. */
const DRAWN_WHOLE = 40
/** About how high a variant stands. */
const VARIANT_PX = 44

/** A pattern's variants; while the list scrolls those that stay are not drawn again. */
const Variants = memo(function Variants({
  pattern,
  usualPar,
}: {
  readonly pattern: PatternLine
  readonly usualPar: number
}) {
  const { fall, speedBand, mass } = useWording()
  const pxPerMm = useTrueSize()
  const dispatch = useAppDispatch()
  const lit = useLitAmong(pattern.variants)
  return pattern.variants.map((variant, i) => {
    const { figure } = variant
    const keep = keptOf(variant, usualPar)
    return (
      <tr
        key={variant.id}
        className="variant"
        data-lit={variant === lit}
        onMouseEnter={() => dispatch(light(variant.id))}
        onMouseLeave={() => dispatch(light(null))}
      >
        {i === 0 ? (
          <td className="name" rowSpan={pattern.variants.length}>
            <Link to={`/patterns/${pattern.id}`}>
              <strong>{pattern.name}</strong>
            </Link>
            <br />
            <Quiet>
              {pattern.purpose === 'imitation'
                ? pattern.serves
                    .map(({ name }) => name)
                    .slice(0, 2)
                    .join('; ') || 'imitates nothing yet'
                : pattern.purpose}
              {pattern.roles.map((role) => ` · ${wording.roleName[role]}`).join('')}
            </Quiet>
          </td>
        ) : null}
        <td className="fly">
          <ListedFly
            drawingKey={figure.drawingKey}
            pxPerMm={pxPerMm}
            title={`${pattern.name} ${variant.label}, true size`}
          />
        </td>
        <td className="label">
          <Link to={`/patterns/${pattern.id}?variant=${variant.id}`}>{variant.label}</Link>
        </td>
        <td className="number">{figure.massMg === null ? '–' : mass(figure.massMg)}</td>
        <td className="does">{fall(figure)}</td>
        <td className="number">
          <Quiet>
            {figure.kind === 'sinks' ? speedBand({ low: figure.low ?? 0, high: figure.high ?? 0 }) : ''}
          </Quiet>
        </td>
        <td>
          {keep > 0 || variant.onHand > 0 ? (
            <ListedSlits
              onHand={variant.onHand}
              keep={keep}
              drawingKey={figure.drawingKey}
              label={`${pattern.name} ${variant.label}`}
            />
          ) : (
            <Quiet>{labels.noPlace}</Quiet>
          )}
          {variant.olderOnHand > 0 ? <Quiet> {variant.olderOnHand} of an older dressing</Quiet> : null}
        </td>
      </tr>
    )
  })
})

interface PatternRowsProps {
  readonly shown: readonly PatternLine[]
  /** how many are kept of a fly of which nothing else was said */
  readonly usualPar: number
}

/** The table of patterns with their variants; scrolling draws what comes into view, and nothing beside the table. */
export const PatternRows = memo(function PatternRows({ shown, usualPar }: PatternRowsProps) {
  const list = useRef<HTMLTableElement>(null)
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => document.getElementById('sheet'),
    estimateSize: (i) => (shown[i]?.variants.length ?? 1) * VARIANT_PX,
    getItemKey: (i) => shown[i]?.id ?? i,
    scrollMargin: list.current?.offsetTop ?? 0,
    // a list of usual length is drawn whole
    overscan: shown.length <= DRAWN_WHOLE ? shown.length : 3,
    useFlushSync: false,
  })
  const items = rows.getVirtualItems()
  const before = (items[0]?.start ?? rows.options.scrollMargin) - rows.options.scrollMargin
  const after =
    rows.getTotalSize() - ((items.at(-1)?.end ?? rows.options.scrollMargin) - rows.options.scrollMargin)
  return (
    <List ref={list} aria-label={labels.patternsAndTheirVariants}>
      <thead>
        <tr>
          <th>{labels.pattern}</th>
          <th>{labels.fly}</th>
          <th>{labels.variant}</th>
          <th className="number">{labels.weighs}</th>
          <th className="does">{labels.falls}</th>
          <th className="number">{labels.likelySpan}</th>
          <th>{labels.onHand}</th>
        </tr>
      </thead>
      <tbody aria-hidden="true">
        <tr style={{ height: before }} />
      </tbody>
      {items.map(({ index, key }) => {
        const pattern = shown[index]
        return pattern ? (
          <tbody key={key} data-index={index} ref={rows.measureElement}>
            <Variants pattern={pattern} usualPar={usualPar} />
          </tbody>
        ) : null
      })}
      <tbody aria-hidden="true">
        <tr style={{ height: after }} />
      </tbody>
    </List>
  )
})
