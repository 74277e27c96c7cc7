import styled from 'styled-components'

/** Buttons for a thumb, as many side by side as there is room for. */
export const Taps = styled.div<{ $narrow?: boolean }>`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(${({ $narrow }) => ($narrow ? 84 : 150)}px, 1fr));
  gap: 8px;
  padding-top: 6px;
  > button {
    white-space: normal;
    line-height: 1.2;
  }
`
