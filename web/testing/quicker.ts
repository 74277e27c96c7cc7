import * as React from 'react'

/** All labels of a page: by the id of what each is for, and those that stand around theirs. */
function labelsOf(page: Document) {
  const [byId, around] = [new Map<string, HTMLLabelElement[]>(), [] as HTMLLabelElement[]]
  for (const label of page.querySelectorAll('label')) {
    if (!label.htmlFor) around.push(label)
    else byId.set(label.htmlFor, [...(byId.get(label.htmlFor) ?? []), label])
  }
  return { byId, around }
}

/**
 * The labels of a field, found once until the page changes. jsdom asks all nodes of a page for the label of each field anew,
 * and takes seconds for a question by label or name in a form of a hundred fields.
 */
function keepLabels(): void {
  let known: ReturnType<typeof labelsOf> | null = null
  const changes = new MutationObserver(() => (known = null))
  changes.observe(document, {
    subtree: true,
    childList: true,
    attributes: true,
    attributeFilter: ['for', 'id'],
  })
  for (const { prototype } of [HTMLInputElement, HTMLTextAreaElement, HTMLSelectElement, HTMLButtonElement])
    Object.defineProperty(prototype, 'labels', {
      configurable: true,
      get(this: HTMLElement) {
        if (changes.takeRecords().length > 0) known = null
        known ??= labelsOf(document)
        return [...(known.byId.get(this.id) ?? []), ...known.around.filter((label) => label.contains(this))]
      },
    })
}

const AN_ID = /^\[id="([^"\\]+)"\]$/

/** What is sought by its id alone is looked up: jsdom tries all nodes of the page, for each label that a field names. */
function lookUpIds(): void {
  const search = Element.prototype.querySelector
  Element.prototype.querySelector = function (this: Element, selector: string) {
    const id = AN_ID.exec(selector)?.[1]
    const found = id === undefined ? null : document.getElementById(id)
    return found && found !== this && this.contains(found) ? found : search.call(this, selector)
  }
}

/** jsdom draws nothing, and without rules need not match them against each element whose name or role is asked. */
function takeNoRules(): void {
  CSSStyleSheet.prototype.insertRule = () => 0
}

/** Where each element was made is not noted: React's build for development makes an error with its trace for each. */
function noteNoOwners(): void {
  const shared = (React as Record<string, unknown>)[
    '__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE'
  ]
  if (typeof shared !== 'object' || shared === null) throw new Error('React keeps what it shares elsewhere')
  Object.defineProperty(shared, 'recentlyCreatedOwnerStacks', {
    configurable: true,
    get: () => Infinity,
    set: () => undefined,
  })
}

/** Lets jsdom and React do the same in less time, once for each page. */
export function doItQuicker(): void {
  keepLabels()
  lookUpIds()
  takeNoRules()
  noteNoOwners()
}
