// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { drawnFor } from '../testing/drawn.ts'
import { useRoom } from './useRoom.ts'

/** The browser's watch over an element, of which jsdom has none: told by hand how large it has become. */
let becomes: (widthPx: number, heightPx: number) => void
class Watch {
  constructor(told: (entries: readonly { contentRect: { width: number; height: number } }[]) => void) {
    becomes = (width, height) => told([{ contentRect: { width, height } }])
  }
  observe = () => undefined
  disconnect = () => undefined
}

beforeEach(() => {
  vi.stubGlobal('ResizeObserver', Watch)
  vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockReturnValue(320)
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockReturnValue(200)
})
afterEach(() => {
  cleanup()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

function Measured() {
  const { ref, widthPx, heightPx } = useRoom()
  return <p ref={ref}>{`${widthPx} × ${heightPx}`}</p>
}
const seen = () => screen.getByText(/×/).textContent

it('knows the room before it is first seen, and follows it', () => {
  render(<Measured />)
  expect(seen()).toBe('320 × 200')
  expect(drawnFor(() => becomes(280.9, 200)).get('Measured')).toBe(1)
  expect(seen()).toBe('280 × 200')
})

it('is not drawn anew where it is told of the room that it has', () => {
  render(<Measured />)
  expect(drawnFor(() => becomes(320.4, 200)).has('Measured')).toBe(false)
  expect(drawnFor(() => becomes(320, 199)).get('Measured')).toBe(1)
  expect(seen()).toBe('320 × 199')
})
