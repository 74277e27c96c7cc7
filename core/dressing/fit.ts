import type { FitFinding } from './finding.ts'
import type { Fly } from './fly.ts'
import { KINDS } from './kinds/index.ts'

/** Checks whether what is on a hook goes on it, leaves it able to hook, and is wise. */
export const checkFit = (fly: Fly): readonly FitFinding[] =>
  fly.components.flatMap((component) => KINDS[component.kind].fit(component, fly))
