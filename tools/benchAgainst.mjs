// npm run bench -- PART… --against COMMIT [--turns 3]
// Times parts of the bench at another commit and here, by turns, so that an hour in which the machine is slow is slow for
// both. That commit is built in a temporary folder. Every turn is told: which of them to believe is the reader's to say.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { root, run } from './project.mjs'

async function must(program, args, cwd) {
  const { code, output } = await run(program, args, { capture: true, cwd })
  if (code !== 0) throw new Error(`${program} ${args.join(' ')} failed:\n${output}`)
  return output
}

/** What each line of a run of the bench says, by what is timed. */
async function timed(parts, cwd) {
  const output = await must(process.execPath, ['tools/run.mjs', 'bench', ...parts], cwd)
  const figures = new Map()
  for (const [, what, figure] of output.matchAll(/^\| (.*) \| (.*) \| .* \|$/gm)) figures.set(what, figure)
  figures.delete('what')
  return figures
}

export async function benchAgainst(args) {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: { against: { type: 'string' }, turns: { type: 'string', default: '3' } },
  })
  if (positionals.length === 0) throw new Error('Say which parts: npm run bench -- core --against COMMIT.')
  const there = mkdtempSync(join(tmpdir(), 'thistle-against-'))
  try {
    await must('git', ['clone', '--quiet', root, there], root)
    await must('git', ['checkout', '--quiet', values.against], there)
    const told = new Map()
    for (let turn = 0; turn < Number(values.turns); turn += 1) {
      for (const [side, cwd] of [there, root].entries()) {
        for (const [what, figure] of await timed(positionals, cwd)) {
          const sides = told.get(what) ?? [[], []]
          sides[side].push(figure)
          told.set(what, sides)
        }
      }
    }
    process.stdout.write(`| what | ${values.against} | here |\n|---|---|---|\n`)
    for (const [what, sides] of told) {
      const [before, now] = sides.map((figures) => figures.join(' · ') || 'not timed')
      process.stdout.write(`| ${what} | ${before} | ${now} |\n`)
    }
  } finally {
    rmSync(there, { recursive: true, force: true })
  }
}
