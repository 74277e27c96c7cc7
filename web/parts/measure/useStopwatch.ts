import { useCallback, useEffect, useRef, useState } from 'react'

/** Fields and buttons keep the space bar for themselves. */
const takesSpace = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('input, textarea, select, button, [role="listbox"]') !== null

/**
 * A stopwatch under the space bar: down starts it as the fly goes in, down again stops it at the mark and hands the
 * time over. Listens only while it is armed.
 */
export function useStopwatch(armed: boolean, onTime: (timeS: number) => void) {
  const startedAt = useRef<number | null>(null)
  const [running, setRunning] = useState(false)
  const press = useCallback(() => {
    if (startedAt.current === null) {
      startedAt.current = performance.now()
      setRunning(true)
      return
    }
    const timeS = (performance.now() - startedAt.current) / 1000
    startedAt.current = null
    setRunning(false)
    onTime(Math.round(timeS * 100) / 100)
  }, [onTime])
  useEffect(() => {
    if (!armed) return
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== ' ' || event.repeat || takesSpace(event.target)) return
      event.preventDefault()
      press()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [armed, press])
  return { running, press }
}
