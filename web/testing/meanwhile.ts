/** Meanwhile what the page asks is answered by `answer`, or goes through where that says nothing. */
export async function meanwhile<Result>(
  answer: (asked: Request) => Promise<Response | null> | Response | null,
  act: () => Promise<Result>,
): Promise<Result> {
  const { fetch } = globalThis
  globalThis.fetch = async (input, options) => {
    const request = new Request(input, options)
    return (await answer(request.clone())) ?? fetch(request)
  }
  try {
    return await act()
  } finally {
    globalThis.fetch = fetch
  }
}

/** While nobody answers. */
export const away = <Result>(act: () => Promise<Result>): Promise<Result> =>
  meanwhile(() => Promise.reject(new TypeError('fetch failed')), act)

/** While what is asked of a path waits until it is let go. */
export async function heldBack<Result>(
  path: string,
  act: (letGo: () => void) => Promise<Result>,
): Promise<Result> {
  let letGo = (): void => undefined
  const held = new Promise<void>((resolve) => (letGo = resolve))
  return meanwhile(
    async ({ url }) => {
      if (new URL(url).pathname === path) await held
      return null
    },
    () => act(letGo).finally(() => letGo()),
  )
}
