/**
 * Goes to the first field of what is saved together (marked `data-saved`) whose text was not understood.
 *
 * @returns whether there is one: then nothing is saved, for it would be without what stands there
 */
export function goToUnread(): boolean {
  const field = document.querySelector<HTMLElement>('[data-saved] [data-unread] input')
  field?.focus()
  return field !== null
}
