// npm run depths: works out anew how deep flies come on usual rigs, after a change of the engine or of those rigs
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { workOutDepths } from '../core/rig/usual/workOut.ts'
import { root } from './project.mjs'

writeFileSync(join(root, 'core/rig/usual/depths.json'), `${JSON.stringify(workOutDepths())}\n`)
