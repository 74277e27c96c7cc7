/** Prints an element on its own, and nothing else of the window. */
export function printElement(page: HTMLElement): void {
  page.classList.add('printed')
  document.body.append(page)
  window.addEventListener('afterprint', () => page.remove(), { once: true })
  window.print()
}
