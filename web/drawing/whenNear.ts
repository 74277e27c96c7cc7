/** How far from what is seen a thing is near. */
const MARGIN = '300px'

const waiting = new WeakMap<Element, () => void>()
let observer: IntersectionObserver | null = null

function observerOf(): IntersectionObserver {
  observer ??= new IntersectionObserver(
    (entries) => {
      for (const { isIntersecting, target } of entries) {
        if (!isIntersecting) continue
        observer?.unobserve(target)
        waiting.get(target)?.()
      }
    },
    { root: document.getElementById('sheet'), rootMargin: MARGIN },
  )
  return observer
}

/** Does something when an element comes near to what is seen, once; answers how to let that be. */
export function whenNear(element: Element, then: () => void): () => void {
  if (typeof IntersectionObserver === 'undefined') {
    then()
    return () => undefined
  }
  waiting.set(element, then)
  observerOf().observe(element)
  return () => observerOf().unobserve(element)
}
