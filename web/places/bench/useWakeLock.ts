import { useEffect, useState } from 'react'

/** Keeps the screen awake where the browser allows; says whether it does. */
export function useWakeLock(): boolean {
  const [awake, setAwake] = useState(false)
  useEffect(() => {
    if (!('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | null = null
    let left = false
    const take = async () => {
      try {
        const taken = await navigator.wakeLock.request('screen')
        if (left) return void taken.release()
        lock = taken
        setAwake(true)
        taken.addEventListener('release', () => setAwake(false))
      } catch {
        setAwake(false)
      }
    }
    const onShow = () => {
      if (document.visibilityState === 'visible') void take()
    }
    void take()
    document.addEventListener('visibilitychange', onShow)
    return () => {
      left = true
      document.removeEventListener('visibilitychange', onShow)
      void lock?.release()
    }
  }, [])
  return awake
}
