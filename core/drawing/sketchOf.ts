import type { Fly } from '../dressing/index.ts'
import { frameOf } from './frame.ts'
import { bareSketchOf } from './sketch.ts'
import type { FlySketch } from './sketch.ts'

/** What of a fly is drawn, without the physics of its goods, and how large it will be. */
export function sketchOf(fly: Fly): FlySketch {
  const sketch = bareSketchOf(fly)
  return { ...sketch, frame: frameOf(sketch) }
}
