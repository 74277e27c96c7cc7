import type { SettingsBody, SettingsChange } from './records/settings.ts'
import { saidIn } from './saidIn.ts'

/** Settings with a change made to them; of units, evenings and cover only the fields that it names. */
export const changedSettings = (settings: SettingsBody, change: SettingsChange): SettingsBody => ({
  ...settings,
  ...saidIn(change),
  units: { ...settings.units, ...saidIn(change.units ?? {}) },
  evenings: { ...settings.evenings, ...saidIn(change.evenings ?? {}) },
  cover: { ...settings.cover, ...saidIn(change.cover ?? {}) },
})
