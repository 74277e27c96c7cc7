/** How far from what is seen a thing is near. */
const MARGIN = '300px'

const waiting = new WeakMap<Element, () => void>()
const observers = new Map<Element | null, IntersectionObserver>()

/** What watches over what scrolls with the sheet, or else over what stands in the window. */
function observerOf(element: Element): IntersectionObserver {
  const root = element.closest('#sheet')
  const known = observers.get(root)
  if (known) return known
  const observer = new IntersectionObserver(
    (entries) => {
      for (const { isIntersecting, target } of entries) {
        if (!isIntersecting) continue
        observer.unobserve(target)
        waiting.get(target)?.()
      }
    },
    { root, rootMargin: MARGIN },
  )
  observers.set(root, observer)
  return observer
}

/** Does something when an element comes near to what is seen, once; answers how to let that be. */
export function whenNear(element: Element, then: () => void): () => void {
  if (typeof IntersectionObserver === 'undefined') {
    then()
    return () => undefined
  }
  waiting.set(element, then)
  const observer = observerOf(element)
  observer.observe(element)
  return () => observer.unobserve(element)
}
