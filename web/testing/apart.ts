import { vi } from 'vitest'

// Each file of tests starts with modules of its own: a store, an outbox or sketches of the file before are not seen.
vi.resetModules()
