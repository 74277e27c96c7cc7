import { useCallback } from 'react'
import type { FrameView } from '../../contract/index.ts'
import { useFramePart } from '../wire/answers.ts'

const COIN = 100

const currencyOf = (frame: FrameView | undefined) => ({ currency: frame?.settings.currency ?? 'EUR' })

/** Says an amount of the currency's smallest coin in the user's currency: `€0.42`. */
export function useMoney(): (minor: number) => string {
  const { currency } = useFramePart(currencyOf)
  return useCallback(
    (minor: number) => {
      const { format } = new Intl.NumberFormat('en-GB', { style: 'currency', currency })
      return minor > 0 && minor < 0.5 ? `under ${format(1 / COIN)}` : format(minor / COIN)
    },
    [currency],
  )
}
