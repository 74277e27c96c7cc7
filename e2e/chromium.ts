/** How Chromium is started here: without what reaches out to the network. */
export const CHROMIUM_ARGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

export const chromiumPath = (): string => process.env.CHROMIUM_PATH ?? '/usr/bin/chromium'
