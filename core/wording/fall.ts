import type { Listed } from '../evaluate/index.ts'
import type { DisplayUnits } from '../quantity/index.ts'
import { speed } from './figures.ts'
import { postureWord } from './names.ts'

/** What a list knows of a fly; incomplete where nobody knows what it is tied of. */
type Shown = Pick<Listed, 'sinkSpeedMmPerS' | 'posture'> & { readonly kind: Listed['kind'] | 'incomplete' }

/** What a fly does, in the few words of lists, rungs and cards: `falls 25 cm/s`. */
export function fallWords(shown: Shown | null, units: DisplayUnits): string {
  if (!shown) return 'no recipe'
  const { kind, sinkSpeedMmPerS, posture } = shown
  switch (kind) {
    case 'sinks':
      return sinkSpeedMmPerS === null ? '–' : `falls ${speed(sinkSpeedMmPerS, units)}`
    case 'hovers':
      return 'hovers'
    case 'floats':
      return posture ? postureWord[posture] : 'floats'
    case 'doesNotFit':
      return 'does not fit its hook'
    case 'incomplete':
      return 'no recipe'
  }
}
