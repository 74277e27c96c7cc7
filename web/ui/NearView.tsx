import { useEffect, useRef, useState } from 'react'
import type { ReactNode } from 'react'
import { doInTurn } from './inTurn.ts'

/** How far from what is seen a thing is drawn already. */
const MARGIN = '900px'

interface NearViewProps {
  /** height that is left free for it until it is drawn */
  readonly estimatePx: number
  /** with the sheet; in turn right after it; or in turn when the sheet comes near */
  readonly when: 'atOnce' | 'soon' | 'near'
  readonly children: ReactNode
}

/** Draws what is long after the sheet, or only when the sheet comes near it; once drawn it stays. */
export function NearView({ estimatePx, when, children }: NearViewProps) {
  const place = useRef<HTMLDivElement>(null)
  const [isDrawn, setDrawn] = useState(when === 'atOnce')
  useEffect(() => {
    if (isDrawn || !place.current) return
    if (when === 'soon') return doInTurn(() => setDrawn(true), 'soon')
    let leave: (() => void) | undefined
    const observer = new IntersectionObserver(
      (entries) => {
        if (!entries.some(({ isIntersecting }) => isIntersecting)) return
        observer.disconnect()
        leave = doInTurn(() => setDrawn(true), 'soon')
      },
      { root: document.getElementById('sheet'), rootMargin: MARGIN },
    )
    observer.observe(place.current)
    return () => {
      observer.disconnect()
      leave?.()
    }
  }, [isDrawn, when])
  return isDrawn ? children : <div ref={place} style={{ minHeight: estimatePx, background: 'var(--panel)' }} />
}
