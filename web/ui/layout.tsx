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

/** A dense table with ruled lines. */
export const Dense = styled.table`
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
  th.number {
    text-align: right;
  }
  td.number {
    text-align: right;
    font-family: var(--figures);
    font-size: 0.875rem;
    white-space: nowrap;
  }
`

/** The place's heading line: title left, what can be done right. */
export const Heading = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  min-height: 36px;
  margin-bottom: 8px;
`
