// npm run mutate -- FOLDER… [--count 40] [--seed 1] [--files REGEX] [--at-once 2]
// Draws small faults into the code of each folder by a seed, runs the tests that reach each, and reports those that
// no test noticed. What tests reach is found once for all folders.
// Works on copies in a temporary folder: the checkout is never touched.
import { fork, spawn } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join, relative } from 'node:path'
import { parseArgs } from 'node:util'
import { bin, ensureInstalled, root } from '../project.mjs'

const { values: options, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    count: { type: 'string', default: '40' },
    seed: { type: 'string', default: '1' },
    files: { type: 'string', default: '\\.tsx?$' },
    'at-once': { type: 'string', default: '2' },
  },
})
const folders = positionals.length > 0 ? positionals : ['core']
const COPIED = [
  'core', 'contract', 'server', 'web', 'demo', 'package.json', 'vitest.config.ts',
  'tsconfig.json', 'tsconfig.base.json', 'tsconfig.core.json', 'tsconfig.node.json', 'tsconfig.web.json',
] // prettier-ignore
/** Each test begins anew: what it imports may have a fault that it did not have before. */
const SETTINGS = readFileSync(join(root, 'vitest.config.ts'), 'utf8').replace('isolate: false', 'isolate: true')
/** A fault that keeps its tests busy for longer is endless: neither killed nor alive. */
const LONGEST_MS = 300_000

await ensureInstalled()
const { drawn, faultsIn, withMarks } = await import('./faults.mjs')

const filesBelow = (path) =>
  readdirSync(join(root, path), { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() ? filesBelow(join(path, entry.name)) : [join(path, entry.name)],
  )
const isCode = (path) =>
  /\.tsx?$/.test(path) &&
  !/\.(test|d)\.tsx?$|\/(testing|migrations)\//.test(path) &&
  new RegExp(options.files).test(path)
const read = (path) => readFileSync(join(root, path), 'utf8')

const faults = folders
  .flatMap((folder) => {
    const files = (statSync(join(root, folder)).isDirectory() ? filesBelow(folder) : [folder])
      .filter(isCode)
      .sort()
    const all = files.flatMap((path) => faultsIn(path, read(path)))
    const some = drawn(all, Number(options.seed), Number(options.count))
    process.stdout.write(`${all.length} places in ${folder}; ${some.length} drawn by seed ${options.seed}\n`)
    return some.map((fault) => ({ ...fault, folder }))
  })
  .map((fault, number) => ({ ...fault, number }))

/** A copy of the checkout to put faults into. */
function workplace() {
  const here = mkdtempSync(join(tmpdir(), 'thistle-mutate-'))
  for (const name of COPIED) cpSync(join(root, name), join(here, name), { recursive: true })
  symlinkSync(join(root, 'node_modules'), join(here, 'node_modules'))
  writeFileSync(join(here, 'vitest.config.ts'), SETTINGS)
  return here
}

/** What each test reaches, by fault: the tests' paths within a workplace, and how long each takes. */
async function reach() {
  const here = workplace()
  for (const path of new Set(faults.map((fault) => fault.path)))
    writeFileSync(
      join(here, path),
      withMarks(
        read(path),
        faults.filter((fault) => fault.path === path),
      ),
    )
  const notes = join(here, 'reached')
  mkdirSync(notes)
  const noting = join(here, 'noting.ts')
  writeFileSync(
    noting,
    `import { afterAll, expect } from 'vitest'
import { writeFileSync } from 'node:fs'
const from = performance.now()
const reached = ((globalThis as any).reached = new Set<number>())
afterAll(() => {
  const note = { test: expect.getState().testPath, ms: performance.now() - from, reached: [...reached] }
  writeFileSync(\`${notes}/\${process.pid}-\${Math.random()}.json\`, JSON.stringify(note))
})
`,
  )
  writeFileSync(
    join(here, 'vitest.config.ts'),
    SETTINGS.replace('test: {', `test: { setupFiles: [${JSON.stringify(noting)}],`),
  )
  const told = join(here, 'told.json')
  let said = ''
  await new Promise((resolve) => {
    const args = ['run', '--reporter=json', `--outputFile=${told}`]
    const tests = spawn(bin('vitest'), args, { cwd: here, stdio: ['ignore', 'ignore', 'pipe'] })
    tests.stderr.on('data', (chunk) => (said += chunk))
    tests.on('close', resolve)
  })
  // a test that reads sources, as one that compiles them, may mind the marks: it has no say then
  const good = new Set(
    JSON.parse(readFileSync(told, 'utf8')).testResults.flatMap(({ name, status }) =>
      status === 'passed' ? [relative(here, name)] : [],
    ),
  )
  const filled = join(here, '.cache', 'demo')
  if (existsSync(filled)) {
    process.env.HEAVY_THISTLE_FILLED = mkdtempSync(join(tmpdir(), 'thistle-filled-'))
    cpSync(join(filled, readdirSync(filled)[0]), process.env.HEAVY_THISTLE_FILLED, { recursive: true })
  }
  if (good.size === 0) throw new Error(`no test runs in the copy: ${said}`)
  const found = readdirSync(notes).map((name) => JSON.parse(readFileSync(join(notes, name), 'utf8')))
  rmSync(here, { recursive: true, force: true })
  const reaching = found.map((note) => ({
    ...note,
    test: relative(here, note.test),
    reached: new Set(note.reached),
  }))
  for (const { test } of reaching)
    if (!good.has(test)) process.stdout.write(`left out, as it fails without a fault: ${test}\n`)
  return reaching.filter(({ test }) => good.has(test))
}

/** How many folders two paths share. */
function shared(a, b) {
  const [one, other] = [a.split('/'), b.split('/')]
  let count = 0
  while (count < one.length - 1 && one[count] === other[count]) count += 1
  return count
}

const notes = await reach()
const testsOf = (fault) =>
  notes
    .filter((note) => note.reached.has(fault.number))
    .sort((a, b) => shared(b.test, fault.path) - shared(a.test, fault.path) || a.ms - b.ms)
    .map((note) => note.test)

/** A process that tries faults in its own copy; put down with all its children where a fault never ends. */
function tester() {
  const here = workplace()
  let child
  const start = () =>
    new Promise((resolve, reject) => {
      child = fork(join(root, 'tools', 'mutation', 'tester.mjs'), {
        cwd: here,
        detached: true,
        stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      })
      child.once('message', resolve)
      child.once('error', reject)
    })
  const stop = () => process.kill(-child.pid, 'SIGKILL')
  const tries = async (fault) => {
    const tests = testsOf(fault).map((test) => join(here, test))
    if (tests.length === 0) return 'unreached'
    if (!child) await start()
    const answer = await new Promise((resolve) => {
      const clock = setTimeout(() => resolve('endless'), LONGEST_MS)
      child.once('message', ({ answer }) => {
        clearTimeout(clock)
        resolve(answer)
      })
      child.send({ fault, tests })
    })
    if (answer === 'endless') {
      stop()
      writeFileSync(join(here, fault.path), read(fault.path))
      await start()
    }
    return answer
  }
  return {
    tries,
    end: () => {
      if (child) stop()
      rmSync(here, { recursive: true, force: true })
    },
  }
}

const unnoticed = new Map(folders.map((folder) => [folder, []]))
const waiting = [...faults]
async function work() {
  const { tries, end } = tester()
  for (let fault = waiting.shift(); fault; fault = waiting.shift()) {
    const answer = await tries(fault)
    const what = `${fault.path}:${fault.line}  ${fault.was.replace(/\s+/g, ' ').slice(0, 60)}  →  ${fault.by.slice(0, 60)}`
    process.stdout.write(`${answer.padEnd(9)} ${what}\n`)
    if (answer !== 'killed') unnoticed.get(fault.folder).push(`${answer.padEnd(9)} ${what}`)
  }
  end()
}
await Promise.all(Array.from({ length: Number(options['at-once']) }, work))
for (const [folder, alive] of unnoticed) {
  const count = faults.filter((fault) => fault.folder === folder).length
  const killed = count - alive.length
  process.stdout.write(`\nNot killed in ${folder}:\n${alive.sort().join('\n')}\n`)
  process.stdout.write(`${killed} of ${count} killed (${Math.round((100 * killed) / Math.max(count, 1))} %)\n`)
}
process.exit(0)
