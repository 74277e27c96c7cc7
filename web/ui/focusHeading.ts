/** How long a sheet may take to open before its heading is looked for no more, ms. */
const LONGEST_MS = 4000

const heading = () => document.querySelector<HTMLElement>('#sheet h1')

/** Whether nothing that matters has the focus: nothing at all, the sheet as a whole, what is gone, or the roll. */
function isFree(): boolean {
  const now = document.activeElement
  return (
    !now ||
    now === document.body ||
    now.id === 'sheet' ||
    now.closest('nav') !== null ||
    (now instanceof HTMLButtonElement && now.disabled)
  )
}

/** Puts the focus on the heading of the sheet, unless something on it has taken it. */
export function focusHeading(): void {
  const found = heading()
  if (!found || !isFree()) return
  found.tabIndex = -1
  found.focus({ preventScroll: true })
}

/** The same once the sheet that is being opened has a heading; answers how to let that be. */
export function focusHeadingWhenThere(): () => void {
  const before = heading()
  const sheet = document.getElementById('sheet')
  if (!sheet) return () => undefined
  const end = () => {
    observer.disconnect()
    clearTimeout(timer)
  }
  const observer = new MutationObserver(() => {
    const found = heading()
    if (!found || (found === before && found.isConnected)) return
    end()
    // what takes the focus when it opens, such as the bench, does so first
    requestAnimationFrame(focusHeading)
  })
  const timer = setTimeout(() => {
    end()
    focusHeading()
  }, LONGEST_MS)
  observer.observe(sheet, { childList: true, subtree: true })
  return end
}

/** What last had the focus on the sheet, but for what ends an edit. */
let cameFrom: HTMLElement | null = null

/** Remembers where the focus is on the sheet, so that it can go back; buttons marked `data-ends` are not remembered. */
export function rememberFocus({ target }: { readonly target: EventTarget }): void {
  if (target instanceof HTMLElement && !target.closest('[data-ends]')) cameFrom = target
}

/** Puts the focus back to where it was before a button that ends an edit was pressed, else on the heading. */
export function focusWhereItCameFrom(): void {
  if (cameFrom?.isConnected && isFree()) cameFrom.focus({ preventScroll: true })
  focusHeading()
}
