import { installedChromium } from '../tools/chromium.mjs'

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

/** The browser of the tests and pictures. */
export const chromiumPath = (): string => installedChromium() ?? 'chromium'
