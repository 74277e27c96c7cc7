import { serve } from '../server/cli.ts'
import { fillDemo } from './load.ts'

await serve({ directory: 'demo', title: 'Heavy Thistle (demo)', fill: fillDemo })
