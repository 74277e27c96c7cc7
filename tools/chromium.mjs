// Finds Chromium, or brings it from Debian's packages where it is missing and may.
import { isFile, run } from './project.mjs'

const PATHS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome', '/snap/bin/chromium']
const HOW = 'Install Chromium (Debian: sudo apt-get install -y chromium) or set CHROMIUM_PATH.'

const installed = () => [process.env.CHROMIUM_PATH, ...PATHS].find((path) => path && isFile(path))

async function mayInstall() {
  if (!isFile('/usr/bin/apt-get')) return null
  if (process.getuid?.() === 0) return []
  if (!isFile('/usr/bin/sudo')) return null
  return (await run('sudo', ['-n', 'true'], { quiet: true })).code === 0 ? ['sudo', '-n'] : null
}

/** Path of a Chromium, installing it where that is allowed; throws with the line to type where it is not. */
export async function findChromium() {
  const there = installed()
  if (there) return there
  const prefix = await mayInstall()
  if (!prefix) throw new Error(HOW)
  const options = ['-o', 'DPkg::Lock::Timeout=60', '-qq']
  for (const args of [['update'], ['install', '-y', '--no-install-recommends', 'chromium']]) {
    const [program, ...rest] = [...prefix, 'apt-get', ...options, ...args]
    const { code, output } = await run(program, rest, {
      capture: true,
      env: { DEBIAN_FRONTEND: 'noninteractive' },
    })
    if (code !== 0) throw new Error(`${HOW}\n${output.slice(-600)}`)
  }
  const path = installed()
  if (!path) throw new Error(HOW)
  return path
}
