import type { DisplayUnits } from '../../core/index.ts'

/** Until the settings have come. */
export const defaultUnits: DisplayUnits = {
  smallLength: 'mm',
  depth: 'm',
  speed: 'cm/s',
  temperature: '°C',
  mass: 'mg',
}
