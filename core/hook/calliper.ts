/** What of a hook a calliper measures. */
export const MEASURED_OF_HOOK = ['shankMm', 'gapeMm', 'wireMm'] as const
export type MeasuredOfHook = (typeof MEASURED_OF_HOOK)[number]

/** How far a calliper is off, mm (80 %): where the bend begins is a matter of judgement, the wire is not. */
const OFF_MM: Readonly<Record<MeasuredOfHook, number>> = { shankMm: 0.15, gapeMm: 0.15, wireMm: 0.012 }

/** A length read off a calliper, as a property with its limits. */
export const byCalliper = (of: MeasuredOfHook, valueMm: number) => ({
  value: valueMm,
  low: valueMm - OFF_MM[of],
  high: valueMm + OFF_MM[of],
  evidence: 'entered' as const,
})
