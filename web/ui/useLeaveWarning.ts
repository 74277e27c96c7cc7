import { useEffect } from 'react'
import { useBlocker } from 'react-router'
import type { Location } from 'react-router'

/** All of an address: leaving is also another subject of the same place. */
export const wholePlace = ({ pathname, search }: Location) => pathname + search
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
