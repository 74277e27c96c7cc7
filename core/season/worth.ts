import { isDated } from './emergence/index.ts'
import type { FoodStage } from './foodStage.ts'

/** What comes and goes within weeks is worth so much more attention than what is there all year. */
const PASSING = 1.5

/** How much attention a stage is worth: how likely it is, times how important to trout, more for what soon passes. */
export const worthOf = (
  { trigger, importance }: { readonly trigger: FoodStage['trigger']; readonly importance: number },
  likelihood: number,
): number => likelihood * importance * (isDated(trigger) ? PASSING : 1)
