import { useCallback, useEffect, useRef, useState } from 'react'
import { clamp } from '../../../core/index.ts'

/** Runs a clock by animation frames and tells it to a painter, without drawing the page again. */
export function useTankClock(lastS: number, rate: number, paint: (timeS: number) => void) {
  const time = useRef(0)
  const [running, setRunning] = useState(false)
  const show = useCallback(
    (timeS: number) => {
      time.current = clamp(timeS, 0, lastS)
      paint(time.current)
    },
    [lastS, paint],
  )
  useEffect(() => {
    show(time.current)
  }, [show])
  useEffect(() => {
    if (!running) return
    let before: number | null = null
    let frame = requestAnimationFrame(function tick(now) {
      if (before !== null) show(time.current + ((now - before) / 1000) * rate)
      before = now
      if (time.current >= lastS) {
        setRunning(false)
        return
      }
      frame = requestAnimationFrame(tick)
    })
    return () => cancelAnimationFrame(frame)
  }, [running, rate, lastS, show])
  const toggle = () => {
    if (!running && time.current >= lastS) show(0)
    setRunning(!running)
  }
  return { time, running, toggle, show, stop: () => setRunning(false) }
}
