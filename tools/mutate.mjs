// npm run mutate -- FOLDER [--count 40] [--seed 1] [--files REGEX] [--at-once 2]
// Draws small faults into the code by a seed, runs the tests related to each, and reports those that no test noticed.
// Works on copies in a temporary folder: the checkout is never touched.
import { spawn } from 'node:child_process'
import {
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { ensureInstalled, root } from './project.mjs'

const { values: options, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    count: { type: 'string', default: '40' },
    seed: { type: 'string', default: '1' },
    files: { type: 'string', default: '' },
    'at-once': { type: 'string', default: '2' },
  },
})
const [folder = 'core'] = positionals
const SOURCES = ['core', 'contract', 'server', 'web', 'demo']
const SETTINGS = ['package.json', 'vitest.config.ts', 'tsconfig.json', 'tsconfig.base.json', 'tsconfig.core.json', 'tsconfig.node.json', 'tsconfig.web.json'] // prettier-ignore
const LONGEST_MS = 180_000

await ensureInstalled()
const { default: ts } = await import('typescript')

/** Operators and what each is turned into. */
const SWAPPED = new Map([
  ['<', '<='], ['<=', '<'], ['>', '>='], ['>=', '>'], ['===', '!=='], ['!==', '==='], ['+', '-'], ['-', '+'],
  ['*', '/'], ['/', '*'], ['&&', '||'], ['||', '&&'],
]) // prettier-ignore

/** Every place of a file where a fault can be put in: from, to and what stands there then. */
function placesIn(path) {
  const text = readFileSync(join(root, path), 'utf8')
  const file = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true)
  const places = []
  const put = (node, by) => places.push({ path, from: node.getStart(file), to: node.getEnd(), by })
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return
    if (ts.isBinaryExpression(node)) {
      const by = SWAPPED.get(node.operatorToken.getText(file))
      const joins = node.operatorToken.kind === ts.SyntaxKind.PlusToken && /['"`]/.test(node.getText(file))
      if (by && !joins) put(node.operatorToken, by)
    }
    if (ts.isNumericLiteral(node) && !ts.isEnumMember(node.parent)) put(node, `(${node.text} + 1)`)
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false')
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true')
    if (ts.isIfStatement(node)) put(node.expression, `!(${node.expression.getText(file)})`)
    if (ts.isConditionalExpression(node)) put(node.condition, `!(${node.condition.getText(file)})`)
    if (ts.isPropertyAccessExpression(node) && /^Math\.(min|max)$/.test(node.getText(file)))
      put(node.name, node.name.text === 'min' ? 'max' : 'min')
    if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) put(node, ';')
    ts.forEachChild(node, visit)
  }
  visit(file)
  const lineOf = (at) => file.getLineAndCharacterOfPosition(at).line + 1
  return places.map((place) => ({ ...place, line: lineOf(place.from), was: text.slice(place.from, place.to) }))
}

const wanted = new RegExp(options.files || '\\.tsx?$')
const filesBelow = (path) =>
  readdirSync(join(root, path), { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() ? filesBelow(join(path, entry.name)) : [join(path, entry.name)],
  )
const isCode = (path) =>
  /\.tsx?$/.test(path) && !/\.(test|d)\.tsx?$|\/(testing|migrations)\//.test(path) && wanted.test(path)

/** Numbers from a seed, 0 to 1 (mulberry32). */
function randomFrom(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const start = statSync(join(root, folder)).isDirectory() ? filesBelow(folder) : [folder]
const all = start.filter(isCode).sort().flatMap(placesIn)
const random = randomFrom(Number(options.seed))
const drawn = all
  .map((place) => ({ place, order: random() }))
  .sort((a, b) => a.order - b.order)
  .slice(0, Number(options.count))
  .map(({ place }) => place)

/** A copy of the checkout to put faults into. */
function workplace() {
  const here = mkdtempSync(join(tmpdir(), 'thistle-mutate-'))
  for (const name of [...SOURCES, ...SETTINGS]) cpSync(join(root, name), join(here, name), { recursive: true })
  symlinkSync(join(root, 'node_modules'), join(here, 'node_modules'))
  return here
}

/** Whether some tests pass in a workplace; what takes too long has not. */
function testsPass(here, which) {
  return new Promise((resolve) => {
    const args = [...which, '--run', '--bail=1', '--passWithNoTests', '--reporter=dot']
    const child = spawn(join(root, 'node_modules', '.bin', 'vitest'), args, { cwd: here, stdio: 'ignore' })
    const clock = setTimeout(() => child.kill('SIGKILL'), LONGEST_MS)
    child.on('close', (code) => {
      clearTimeout(clock)
      resolve(code === 0)
    })
  })
}

/** The tests beside a file find most faults at once; only what they pass is tried against all that are related. */
async function survives(here, path) {
  const beside = path.split('/').slice(0, 2).join('/')
  return (await testsPass(here, ['run', `${beside}/`])) && testsPass(here, ['related', path])
}

const survivors = []
let tried = 0
async function work() {
  const here = workplace()
  for (let mutant = drawn.pop(); mutant; mutant = drawn.pop()) {
    const file = join(here, mutant.path)
    const text = readFileSync(file, 'utf8')
    writeFileSync(file, text.slice(0, mutant.from) + mutant.by + text.slice(mutant.to))
    const survived = await survives(here, mutant.path)
    writeFileSync(file, text)
    tried += 1
    const what = `${mutant.path}:${mutant.line}  ${mutant.was.replace(/\s+/g, ' ').slice(0, 60)}  →  ${mutant.by.slice(0, 60)}`
    process.stdout.write(`${survived ? 'alive ' : 'killed'} ${what}\n`)
    if (survived) survivors.push(what)
  }
  rmSync(here, { recursive: true, force: true })
}
process.stdout.write(`${all.length} places in ${folder}; ${drawn.length} drawn by seed ${options.seed}\n`)
await Promise.all(Array.from({ length: Number(options['at-once']) }, work))
process.stdout.write(`\nAlive:\n${survivors.sort().join('\n')}\n`)
process.stdout.write(
  `${tried - survivors.length} of ${tried} killed (${Math.round((100 * (tried - survivors.length)) / Math.max(tried, 1))} %)\n`,
)
