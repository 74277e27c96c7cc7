import { act, cleanup, configure, render, renderHook, waitFor } from '@testing-library/react'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { createMemoryRouter, MemoryRouter, RouterProvider } from 'react-router'
import { afterAll, afterEach, beforeAll, inject } from 'vitest'
import { PATHS } from '../../contract/paths.ts'
import { flush, serveData } from '../wire/outbox/sender.ts'
import { store } from '../wire/store.ts'
import { doItQuicker } from './quicker.ts'
import { WorkerHere } from './workerHere.ts'

/** For so long something is waited for on the page. */
const LONGEST_MS = 90_000

/** Requests of the page go to the server of the test, as if it had served the page. */
function speakTo(address: string): void {
  const from = (asked: RequestInfo | URL) =>
    typeof asked === 'string' && asked.startsWith('/') ? address + asked : asked
  const { fetch, Request } = globalThis
  globalThis.fetch = (asked, options) => fetch(from(asked), options)
  globalThis.Request = class extends Request {
    constructor(asked: RequestInfo | URL, options?: RequestInit) {
      super(from(asked), options)
    }
  }
}

/** Each file of tests has the demo on a server of its own, workers, and what a browser has beyond jsdom. */
export function onTheDemo(): void {
  // a bound against a hang, never a measure of speed: a loaded machine takes its time
  configure({ asyncUtilTimeout: LONGEST_MS })
  beforeAll(async () => {
    const address = await fetch(inject('demoCopies')).then((answer) => answer.text())
    speakTo(address)
    const alive = (await fetch(PATHS.alive).then((answer) => answer.json())) as { readonly dataId: string }
    serveData(alive.dataId)
    Object.assign(globalThis, { Worker: WorkerHere })
    Object.assign(globalThis, {
      CSS: { escape: (text: string) => text.replace(/[^\w-]/g, (sign) => `\\${sign}`) },
    })
    doItQuicker()
    HTMLCanvasElement.prototype.getContext = () => null
    Element.prototype.scrollIntoView ??= () => undefined
    window.matchMedia ??= (media: string) =>
      ({
        media,
        matches: false,
        addEventListener: () => undefined,
        removeEventListener: () => undefined,
      }) as never
  })
  afterEach(async () => {
    cleanup()
    // what still waits belongs to this test: cleared unsent, the next would start without it, now and then
    await flush()
    localStorage.clear()
  })
  afterAll(() => WorkerHere.running.forEach((worker) => worker.terminate()))
}

/** A piece of the page at an address of it. */
export function show(piece: ReactNode, { at = '/', path = '/' } = {}) {
  const router = createMemoryRouter(
    [
      { path, element: piece },
      { path: '*', element: null },
    ],
    { initialEntries: [at] },
  )
  const shown = render(
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>,
  )
  return { ...shown, router }
}

/** A hook as a piece of the page would call it; wait for what it gives with `until`. */
export function callHook<Given, Result>(
  hook: (given: Given) => Result,
  given: Given,
  { at = '/', around = (piece: ReactNode) => piece } = {},
) {
  const wrapper = ({ children }: { children: ReactNode }) => (
    <Provider store={store}>
      <MemoryRouter initialEntries={[at]}>{around(children)}</MemoryRouter>
    </Provider>
  )
  return renderHook(hook, { initialProps: given, wrapper })
}

/** Waits until something is there and gives it. */
export async function until<Value>(
  look: () => Value | null | undefined | false | Promise<Value | null | undefined | false>,
  timeout = LONGEST_MS,
): Promise<Value> {
  let found: Value | null | undefined | false
  await waitFor(
    async () => {
      found = await look()
      if (found === null || found === undefined || found === false)
        throw new Error(`not there yet: ${look.toString()}`)
    },
    { timeout },
  )
  return found as Value
}

/** Presses a key where nothing has focus. */
export function press(key: string, held: { shift?: boolean; ctrl?: boolean; alt?: boolean } = {}): void {
  act(() => {
    document.body.dispatchEvent(
      new KeyboardEvent('keydown', {
        key, bubbles: true, cancelable: true, shiftKey: held.shift, ctrlKey: held.ctrl, altKey: held.alt,
      }),
    )
  }) // prettier-ignore
}
