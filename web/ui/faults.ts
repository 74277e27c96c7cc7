/** Puts the focus on the first field within that says that it does not understand what stands in it; false where none. */
export function focusFirstFault(within: Element): boolean {
  const box = within.querySelector<HTMLElement>('[data-fault] :is(input, textarea, button)')
  box?.focus()
  return box !== null
}

/** Puts the focus on the first of the named fields that is within. */
export function focusField(within: Element, names: ReadonlySet<string>): void {
  const named = within.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>(':is(input, textarea)[name]')
  ;[...named].find(({ name }) => names.has(name))?.focus()
}
