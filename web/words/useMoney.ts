import { useCallback } from 'react'
import { useFrameQuery } from '../wire/api.ts'

const COIN = 100

/** Says an amount of the currency's smallest coin in the user's currency: `€0.42`. */
export function useMoney(): (minor: number) => string {
  const { data } = useFrameQuery()
  const currency = data?.settings.currency ?? 'EUR'
  return useCallback(
    (minor: number) => {
      const { format } = new Intl.NumberFormat('en-GB', { style: 'currency', currency })
      return minor > 0 && minor < 0.5 ? `under ${format(1 / COIN)}` : format(minor / COIN)
    },
    [currency],
  )
}
