import { Button as AriaButton } from 'react-aria-components'
import type { ButtonProps } from 'react-aria-components'
import styled from 'styled-components'

type Look = 'plain' | 'main' | 'quiet'

const Base = styled(AriaButton)<{ $look: Look; $large: boolean }>`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
  min-height: ${({ $large }) => ($large ? 48 : 32)}px;
  min-width: ${({ $large }) => ($large ? 48 : 32)}px;
  padding: ${({ $large }) => ($large ? '8px 18px' : '4px 12px')};
  font: inherit;
  font-size: ${({ $large }) => ($large ? '1.125rem' : '0.9375rem')};
  max-width: 100%;
  white-space: ${({ $large }) => ($large ? 'normal' : 'nowrap')};
  line-height: ${({ $large }) => ($large ? '1.2' : 'inherit')};
  color: ${({ $look }) => ($look === 'main' ? 'var(--panel)' : $look === 'quiet' ? 'var(--thistle)' : 'var(--ink)')};
  background: ${({ $look }) => ($look === 'main' ? 'var(--thistle)' : $look === 'quiet' ? 'transparent' : 'var(--panel)')};
  border: 1px solid
    ${({ $look }) => ($look === 'plain' ? 'var(--quiet)' : $look === 'main' ? 'var(--thistle)' : 'transparent')};
  border-radius: 6px;
  cursor: pointer;
  &[data-hovered] {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  &[aria-pressed='true'] {
    border-color: var(--thistle);
    box-shadow: inset 0 -3px 0 var(--thistle);
  }
  &[data-disabled] {
    color: var(--quiet);
    background: transparent;
    border-color: var(--rule);
    cursor: default;
  }
`

/** A button. `main` is the one next step of a sheet; `large` is for wet hands. */
export function Button({
  look = 'plain',
  large = false,
  ...props
}: ButtonProps & { readonly look?: Look; readonly large?: boolean }) {
  return <Base {...props} $look={look} $large={large} />
}
