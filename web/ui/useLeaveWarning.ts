import { useEffect } from 'react'
import { useBlocker } from 'react-router'
import type { Location } from 'react-router'

const pathOf = ({ pathname }: Location) => pathname

/**
 * Warns before leaving what is not saved.
 *
 * @param placeOf what of an address has to change for it to be leaving; the path, unless told otherwise
 */
export function useLeaveWarning(dirty: boolean, placeOf: (location: Location) => string = pathOf) {
  useEffect(() => {
    if (!dirty) return
    const warn = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', warn)
    return () => window.removeEventListener('beforeunload', warn)
  }, [dirty])
  return useBlocker(
    ({ currentLocation, nextLocation }) => dirty && placeOf(currentLocation) !== placeOf(nextLocation),
  )
}
