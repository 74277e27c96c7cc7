import styled from 'styled-components'

/** How every field looks. */
export const fieldLook = `
  font: inherit;
  font-size: 0.9375rem;
  min-height: 32px;
  width: 100%;
  padding: 3px 8px;
  color: var(--ink);
  background: var(--panel);
  border: 1px solid var(--quiet);
  border-radius: 6px;
`

/** A field with its label, hint and fault. */
export const Shell = styled.div<{ $width: string | undefined }>`
  width: ${({ $width }) => $width ?? 'auto'};
  max-width: 100%;
  min-width: 0;
  .label {
    display: block;
    font-size: 0.8125rem;
    color: var(--quiet);
  }
  .hint {
    font-size: 0.8125rem;
    color: var(--quiet);
  }
  .fault {
    display: block;
    font-size: 0.875rem;
    color: var(--madder);
  }
  input,
  textarea {
    ${fieldLook}
  }
  input[data-invalid],
  textarea[data-invalid] {
    border: 2px solid var(--madder);
  }
  textarea {
    min-height: 56px;
    resize: vertical;
  }
`
