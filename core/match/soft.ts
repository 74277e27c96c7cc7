import type { FlyComponent } from '../dressing/index.ts'
import { valueOf } from '../material/index.ts'

/** Fibres that fold back this much in the water also wave in it. */
const SOFT_FOLD = 0.35

/** Whether goods go on moving while the fly is still: rubber, and what folds back as it falls. */
export const isSoft = ({ material }: Pick<FlyComponent, 'material'>): boolean =>
  material.family.kind === 'rubber' || valueOf(material, 'foldExponent') >= SOFT_FOLD
