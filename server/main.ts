import { serve } from './cli.ts'

await serve({ directory: 'own', title: 'Heavy Thistle' })
