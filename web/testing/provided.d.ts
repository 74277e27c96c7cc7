import 'vitest'

declare module 'vitest' {
  /** What tests on the demo are given, see demo/testing/serveCopies.ts. */
  interface ProvidedContext {
    /** where a copy of the demo is asked for: the answer is the address of a server of its own */
    demoCopies: string
    /** a data directory with the demo in it, which nobody writes to */
    demoData: string
  }
}
