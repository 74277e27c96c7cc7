import type { SettingsBody, SettingsChange } from './records/settings.ts'

type Said<Body> = { readonly [Field in keyof Body]: Exclude<Body[Field], undefined> }
/** What a change says; a field that it leaves undefined is not changed. */
export const said = <Body extends object>(body: Body): Said<Body> =>
  Object.fromEntries(Object.entries(body).filter(([, value]) => value !== undefined)) as Said<Body>

/** Settings with a change made to them; of units, evenings and cover only the fields that it names. */
export const changedSettings = (settings: SettingsBody, change: SettingsChange): SettingsBody => ({
  ...settings,
  ...said(change),
  units: { ...settings.units, ...said(change.units ?? {}) },
  evenings: { ...settings.evenings, ...said(change.evenings ?? {}) },
  cover: { ...settings.cover, ...said(change.cover ?? {}) },
})
