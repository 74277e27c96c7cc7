// Runs before anything is installed: plain JavaScript, no dependencies.
import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'

/** How Node runs the server: answers live shortly, so a small nursery keeps it 25 MB smaller and costs no time. */
export const SERVER_FLAGS = ['--max-semi-space-size=2']

/** The project's root folder. */
export const root = dirname(dirname(fileURLToPath(import.meta.url)))

const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm'
const SOURCES = ['core', 'contract', 'server', 'web', 'demo']
const BUILD_FILES = ['package-lock.json', 'vite.config.ts', 'vite.along.config.ts', 'vite.server.config.ts']

/** Runs a program, in the project's root unless told where; resolves with its exit code and, where captured, its output. */
export function run(program, args, { env = {}, capture = false, quiet = false, cwd = root } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: capture || quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
    })
    let output = ''
    child.stdout?.on('data', (chunk) => (output += chunk))
    child.stderr?.on('data', (chunk) => (output += chunk))
    child.on('error', reject)
    child.on('close', (code) => resolve({ code: code ?? 1, output }))
  })
}

/** Path of an installed package's program. */
export const bin = (name) =>
  join(root, 'node_modules', '.bin', process.platform === 'win32' ? `${name}.cmd` : name)

function hashOf(files) {
  const hash = createHash('sha256')
  for (const file of files)
    hash.update(relative(root, file)).update('\0').update(readFileSync(file)).update('\0')
  return hash.digest('hex')
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((entry) => {
      const path = join(folder, entry.name)
      return entry.isDirectory() ? filesBelow(path) : [path]
    })
}

const noted = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '')
function note(file, text) {
  mkdirSync(dirname(file), { recursive: true })
  writeFileSync(file, text)
}

/** Installs from the lockfile where it differs from what is installed. */
export async function ensureInstalled() {
  const mark = join(root, 'node_modules', '.heavy-thistle-lock')
  const wanted = hashOf([join(root, 'package-lock.json')])
  if (noted(mark) === wanted) return
  process.stdout.write('Installing from the lockfile …\n')
  const { code, output } = await run(npm, ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    capture: true,
  })
  if (code !== 0) {
    process.stderr.write(`${output}\nThe install failed. Check the network and run the command again.\n`)
    process.exit(1)
  }
  note(mark, wanted)
}

/** Builds pages and server where a source has changed since the last build. */
export async function ensureBuilt() {
  const mark = join(root, 'dist', 'built-from.txt')
  const sources = [
    ...SOURCES.flatMap((folder) => filesBelow(join(root, folder))).filter(
      (file) => !/\.test\.tsx?$/.test(file),
    ),
    ...BUILD_FILES.map((file) => join(root, file)),
  ]
  const wanted = hashOf(sources)
  if (noted(mark) === wanted) return
  process.stdout.write('Building …\n')
  for (const args of [
    ['build', '--logLevel', 'warn'],
    ['build', '--config', 'vite.along.config.ts', '--logLevel', 'warn'],
    ['build', '--config', 'vite.server.config.ts', '--logLevel', 'warn'],
  ]) {
    const { code, output } = await run(bin('vite'), args, { capture: true })
    if (code !== 0) throw new Error(`The build failed.\n${output}`)
  }
  note(join(root, 'dist', 'build-id.txt'), wanted.slice(0, 12))
  note(mark, wanted)
}

/** Whether a path is there and is a file. */
export const isFile = (path) => existsSync(path) && statSync(path).isFile()
