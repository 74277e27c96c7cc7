import { createContext, useContext } from 'react'
import type { ComponentType } from 'react'
import type { DisplayUnits } from '../../../core/index.ts'

/** What a page at the water is given by what it runs in: the app, or a file on a phone that asks nobody. */
export interface Means {
  readonly units: DisplayUnits
  readonly pxPerMm: number
  readonly DrawnFly: ComponentType<{ readonly drawingKey: string | null; readonly pxPerMm: number }>
}

/** The means of the pages below it. */
export const MeansContext = createContext<Means | null>(null)

/** The means of this page. */
export function useMeans(): Means {
  const means = useContext(MeansContext)
  if (!means) throw new Error('a page at the water was given no means')
  return means
}
