import { useCallback, useState } from 'react'

/** How large an element is, px, kept up to date as the window changes. */
export function useRoom() {
  const [room, setRoom] = useState({ widthPx: 0, heightPx: 0 })
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined
    const take = (widthPx: number, heightPx: number) =>
      setRoom((now) => (now.widthPx === widthPx && now.heightPx === heightPx ? now : { widthPx, heightPx }))
    // known before it is first seen: else it would be laid out twice
    take(element.clientWidth, element.clientHeight)
    if (typeof ResizeObserver === 'undefined') return undefined
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return
      const { width, height } = entry.contentRect
      take(Math.floor(width), Math.floor(height))
    })
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return { ref, ...room }
}
