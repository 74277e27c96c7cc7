import { useCallback, useState } from 'react'

/** How large an element is, px, kept up to date as the window changes. */
export function useRoom() {
  const [room, setRoom] = useState({ widthPx: 0, heightPx: 0 })
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined
    // known before it is first seen: else it would be laid out twice
    setRoom({ widthPx: element.clientWidth, heightPx: element.clientHeight })
    if (typeof ResizeObserver === 'undefined') return undefined
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return
      const { width, height } = entry.contentRect
      setRoom({ widthPx: Math.floor(width), heightPx: Math.floor(height) })
    })
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return { ref, ...room }
}
