import styled from 'styled-components'

const Mark = styled.span`
  font-size: 0.75rem;
  color: var(--quiet);
  border-bottom: 1px dotted var(--quiet);
`

/** A figure with its band in quiet ink and where it comes from. Texts come ready from wording. */
export function Figure({
  text,
  band,
  mark,
}: {
  readonly text: string
  readonly band?: string | null
  readonly mark?: string | null
}) {
  return (
    <span>
      <span className="figures">{text}</span>
      {band ? (
        <span style={{ color: 'var(--quiet)' }}>
          {' '}
          likely <span className="figures">{band}</span>
        </span>
      ) : null}
      {mark ? (
        <>
          {' '}
          <Mark title="8 in 10 fall in this band">{mark}</Mark>
        </>
      ) : null}
    </span>
  )
}
