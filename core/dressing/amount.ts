/** Amounts that a recipe may say and that are filled in where it does not. */
export const AMOUNTS = ['turns', 'fibreCount', 'strands', 'layers', 'bulk', 'widthMm'] as const
export type Amount = (typeof AMOUNTS)[number]
export type Amounts = Readonly<Partial<Record<Amount, number>>>
