import { useEffect, useRef, useState } from 'react'
import type { ReactNode } from 'react'

/** How far from what is seen a thing is drawn already. */
const MARGIN = '900px'

interface NearViewProps {
  /** height that is left free for it until it is drawn */
  readonly estimatePx: number
  /** drawn at once, wherever it stands */
  readonly always: boolean
  readonly children: ReactNode
}

const waiting: (() => void)[] = []

/** Draws one thing a frame: several at once would hold up a sheet that is being scrolled. */
function drawInTurn(draw: () => void): void {
  waiting.push(draw)
  if (waiting.length > 1) return
  const next = () => {
    waiting.shift()?.()
    if (waiting.length > 0) requestAnimationFrame(next)
  }
  requestAnimationFrame(next)
}

/** Draws what is long only when the sheet comes near it; once drawn it stays. */
export function NearView({ estimatePx, always, children }: NearViewProps) {
  const place = useRef<HTMLDivElement>(null)
  const [near, setNear] = useState(always)
  useEffect(() => {
    if (near || !place.current) return
    const observer = new IntersectionObserver(
      (entries) => {
        if (!entries.some(({ isIntersecting }) => isIntersecting)) return
        observer.disconnect()
        drawInTurn(() => setNear(true))
      },
      { root: document.getElementById('sheet'), rootMargin: MARGIN },
    )
    observer.observe(place.current)
    return () => observer.disconnect()
  }, [near])
  return near ? children : <div ref={place} style={{ minHeight: estimatePx, background: 'var(--panel)' }} />
}
