// npm test: everything. Each tool counts as one, tests singly; the last line is always `N passed, N failed`.
import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import { findChromium } from './chromium.mjs'
import { bin, ensureBuilt, ensureInstalled, root, run } from './project.mjs'

/** The compiler in machine code: a third of the time. Lint and boundaries ask the one before it, whose API they need. */
const NATIVE_TSC = join(root, 'node_modules', 'typescript-native', 'bin', 'tsc')

let passed = 0
let failed = 0

function tell(name, ok, output, seconds) {
  process.stdout.write(`${ok ? 'ok  ' : 'FAIL'} ${name} (${seconds.toFixed(0)} s)\n`)
  if (!ok) process.stdout.write(`${output.trim().slice(-6000)}\n`)
}

/** Runs a tool that counts as one. */
async function tool(name, program, args) {
  const from = Date.now()
  const { code, output } = await run(program, args, { capture: true }).catch((error) => ({
    code: 1,
    output: String(error),
  }))
  if (code === 0) passed += 1
  else failed += 1
  tell(name, code === 0, output, (Date.now() - from) / 1000)
}

function readReport(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}

const readable = (message) => stripVTControlCharacters(message).slice(0, 1500)

/** Every test that failed of a report of Vitest: its file and title, and its error. */
const failedUnits = (report) =>
  (report?.testResults ?? []).flatMap(({ name, assertionResults }) =>
    assertionResults
      .filter(({ status }) => status === 'failed')
      .map(
        ({ fullName, failureMessages }) => `${name} › ${fullName}\n${readable(failureMessages.join('\n'))}\n`,
      ),
  )

async function unitTests() {
  const from = Date.now()
  const file = join(root, 'test-results', 'unit.json')
  rmSync(file, { force: true })
  const { code, output } = await run(
    bin('vitest'),
    ['run', '--reporter=json', `--outputFile=${file}`, '--reporter=dot'],
    { capture: true },
  )
  const report = readReport(file)
  const good = report?.numPassedTests ?? 0
  const bad = Math.max(report?.numFailedTests ?? 0, code === 0 ? 0 : 1)
  passed += good
  failed += bad
  tell(`unit and server tests: ${good} passed, ${bad} failed`, bad === 0, output, (Date.now() - from) / 1000)
  process.stdout.write(failedUnits(report).join('\n'))
}

/** Every try that failed of a report of Playwright: the test's file and title, and its error. */
function failedTries(suites) {
  return suites.flatMap(({ suites: within = [], specs = [] }) => [
    ...failedTries(within),
    ...specs.flatMap(({ file, title, tests }) =>
      tests
        .flatMap(({ results }) => results)
        .flatMap(({ errors }) => errors)
        .map(({ message }) => `${file} › ${title}\n${readable(message)}\n`),
    ),
  ])
}

async function endToEndTests(chromium) {
  const from = Date.now()
  const file = join(root, 'test-results', 'e2e.json')
  rmSync(file, { force: true })
  const path = await chromium.catch((error) => {
    process.stdout.write(`${error.message}\n`)
    return null
  })
  if (!path) {
    failed += 1
    tell('end-to-end tests: no Chromium', false, '', 0)
    return
  }
  const { code, output } = await run(bin('playwright'), ['test'], {
    capture: true,
    env: { CHROMIUM_PATH: path },
  })
  const report = readReport(file)
  const { expected = 0, flaky = 0, unexpected = 0 } = report?.stats ?? {}
  const good = expected + flaky
  const bad = Math.max(unexpected, code === 0 && good > 0 ? 0 : 1)
  passed += good
  failed += bad
  const unsteady = flaky > 0 ? `, ${flaky} of them at the second try` : ''
  tell(
    `end-to-end tests: ${good} passed${unsteady}, ${bad} failed`,
    bad === 0,
    output,
    (Date.now() - from) / 1000,
  )
  process.stdout.write(failedTries(report?.suites ?? []).join('\n'))
}

// Chromium may have to be installed: it comes while npm installs.
const chromium = findChromium()
chromium.catch(() => undefined)
await ensureInstalled()

const from = Date.now()
let built = true
try {
  await ensureBuilt()
  passed += 1
} catch (error) {
  built = false
  failed += 1
  process.stdout.write(`FAIL build\n${String(error)}\n`)
}
// Two cores: checks that only read run side by side, tests by themselves.
await Promise.all([
  (async () => {
    await tool('types', process.execPath, [NATIVE_TSC, '--build'])
    await tool('boundaries', bin('depcruise'), [
      'core',
      'contract',
      'server',
      'web',
      'demo',
      'bench',
      'e2e',
      '--output-type',
      'err',
    ])
  })(),
  (async () => {
    await tool('lint', bin('eslint'), [
      '.',
      '--max-warnings',
      '0',
      '--cache',
      '--cache-location',
      '.cache/eslint',
    ])
    await tool('format', bin('prettier'), [
      '--check',
      '.',
      '--log-level',
      'warn',
      '--cache',
      '--cache-location',
      '.cache/prettier',
    ])
    await tool('unused code', bin('knip'), ['--no-progress'])
  })(),
])
await unitTests()
if (built) await endToEndTests(chromium)

process.stdout.write(`in ${((Date.now() - from) / 1000).toFixed(0)} s\n${passed} passed, ${failed} failed\n`)
process.exit(failed === 0 ? 0 : 1)
