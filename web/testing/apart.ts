import { vi } from 'vitest'

// Before each file of tests: what modules of the last one remember (the store, what waits to be sent, sketches) is its own.
vi.resetModules()
