// Finds Chromium, or brings it from Debian's packages where it is missing and may.
import { isFile, run } from './project.mjs'

/** The one without windows first: a fifth faster, since it draws no tabs and menus that nobody sees. */
const PATHS = [
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
  '/snap/bin/chromium',
]
const HOW = 'Install Chromium (Debian: sudo apt-get install -y chromium) or set CHROMIUM_PATH.'

/** Path of a Chromium that is there; none where there is none. */
export const installedChromium = () =>
  [process.env.CHROMIUM_PATH, ...PATHS].find((path) => path && isFile(path))

async function mayInstall() {
  if (!isFile('/usr/bin/apt-get')) return null
  if (process.getuid?.() === 0) return []
  if (!isFile('/usr/bin/sudo')) return null
  return (await run('sudo', ['-n', 'true'], { quiet: true })).code === 0 ? ['sudo', '-n'] : null
}

/** Path of a Chromium, installing it where that is allowed; throws with the line to type where it is not. */
export async function findChromium() {
  const there = installedChromium()
  if (there) return there
  const prefix = await mayInstall()
  if (!prefix) throw new Error(HOW)
  const options = ['-o', 'DPkg::Lock::Timeout=60', '-qq']
  const aptGet = (...args) => {
    const [program, ...rest] = [...prefix, 'apt-get', ...options, ...args]
    return run(program, rest, { capture: true, env: { DEBIAN_FRONTEND: 'noninteractive' } })
  }
  await aptGet('update')
  const install = (name) => aptGet('install', '-y', '--no-install-recommends', name)
  // not every Debian has the one without windows
  const answers = [await install('chromium-headless-shell')]
  if (answers[0].code !== 0) answers.push(await install('chromium'))
  if (answers.at(-1).code !== 0) throw new Error(`${HOW}\n${answers.at(-1).output.slice(-600)}`)
  const path = installedChromium()
  if (!path) throw new Error(HOW)
  return path
}
