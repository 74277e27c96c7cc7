import highsLoader from 'highs'
import type { Highs } from 'highs'
import wasmUrl from 'highs/runtime?url'

let loading: Promise<Highs> | null = null
let loaded: Highs | null = null

/** Fetches the solver when it is first needed; it is a megabyte. */
export async function loadSolver(): Promise<void> {
  loading ??= highsLoader({ locateFile: () => wasmUrl })
  loaded = await loading
}

/** The solver, once it was fetched. */
export function solver(): Highs {
  if (!loaded) throw new Error('the solver is not loaded yet')
  return loaded
}
