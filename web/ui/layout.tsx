import { useEffect, useRef } from 'react'
import type { ComponentProps } from 'react'
import styled from 'styled-components'

/** A stretch of a sheet with a heading of its own, ruled off above. */
export const Section = styled.section`
  padding: 14px 0;
  border-top: 1px solid var(--rule);
  &:first-of-type {
    border-top: 0;
  }
`

/** Things side by side, wrapping. */
export const Row = styled.div<{ $gap?: number; $align?: string }>`
  display: flex;
  flex-wrap: wrap;
  align-items: ${({ $align }) => $align ?? 'center'};
  gap: ${({ $gap }) => $gap ?? 10}px;
  min-width: 0;
  > * {
    min-width: 0;
    max-width: 100%;
  }
`

/** Quiet words: units, bands, what is secondary. */
export const Quiet = styled.span`
  color: var(--quiet);
  font-size: 0.875rem;
`

/** A fault or warning in words, where it belongs. */
export const Fault = styled.p`
  color: var(--madder);
  font-size: 0.9375rem;
  &::before {
    content: '! ';
    font-weight: 700;
  }
`

/** A caution in words. */
export const Caution = styled.p`
  color: var(--brass);
  font-size: 0.9375rem;
  &::before {
    content: '△ ';
  }
`

const Ruled = styled.table`
  font-size: 0.9375rem;
  th {
    padding: 4px 10px 4px 0;
    text-align: left;
    font-weight: 400;
    font-size: 0.8125rem;
    color: var(--quiet);
    border-bottom: 1px solid var(--quiet);
    white-space: nowrap;
  }
  td {
    padding: 5px 10px 5px 0;
    border-bottom: 1px solid var(--rule);
    vertical-align: middle;
  }
  thead td {
    border-bottom: 1px solid var(--quiet);
  }
  /* heads stay in view over a long list; the sheet's own padding lies above them */
  thead th,
  thead td {
    position: sticky;
    top: -14px;
    z-index: 1;
    background: var(--ground);
  }
  th.number {
    text-align: right;
  }
  td.number {
    text-align: right;
    font-family: var(--figures);
    font-size: 0.875rem;
    white-space: nowrap;
  }
  /* on a phone a row is a few lines: its subject, then each cell with what it is */
  @media (max-width: 700px) {
    &:not(.keeps-columns) {
      thead {
        position: absolute;
        width: 1px;
        height: 1px;
        overflow: hidden;
        clip-path: inset(50%);
      }
      tr {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 2px 14px;
        padding: 7px 0;
        border-bottom: 1px solid var(--rule);
      }
      td,
      tbody th {
        padding: 0;
        border: 0;
        min-width: 0;
        max-width: 100%;
        white-space: normal;
      }
      td:first-child,
      tbody th:first-child {
        flex-basis: 100%;
      }
      td:empty {
        display: none;
      }
      td[data-label]:not(:first-child)::before {
        content: attr(data-label) ' ';
        font: 0.75rem var(--text);
        color: var(--quiet);
      }
    }
  }
`

/** Writes to each cell which column it is of: where there is no room for columns it says so itself. */
function labelCells(table: HTMLTableElement): void {
  const heads = [...(table.tHead?.rows[0]?.cells ?? [])].flatMap((cell) =>
    Array.from({ length: cell.colSpan }, () => cell.textContent.trim()),
  )
  for (const body of table.tBodies) {
    for (const row of body.rows) {
      let at = 0
      for (const cell of row.cells) {
        const label = heads[at]
        if (label) cell.dataset.label = label
        at += cell.colSpan
      }
    }
  }
}

/** A dense table with ruled lines; on a phone its rows are read line by line, unless its class is `keeps-columns`. */
export function Dense(props: ComponentProps<'table'>) {
  const table = useRef<HTMLTableElement>(null)
  useEffect(() => {
    if (table.current) labelCells(table.current)
  })
  return <Ruled ref={table} {...props} />
}

/** The place's heading line: title left, what can be done right. */
export const Heading = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  min-height: 36px;
  margin-bottom: 8px;
  > * {
    min-width: 0;
    max-width: 100%;
  }
`
