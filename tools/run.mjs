// npm run demo | start | dev | screenshots | bench | depths | backup | restore | verify
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { findChromium } from './chromium.mjs'
import { bin, ensureBuilt, ensureInstalled, root, run, SERVER_FLAGS } from './project.mjs'

const [task, ...args] = process.argv.slice(2)

/** What a program says that did not come to say it itself. */
const endedBy = (signal) =>
  ['SIGABRT', 'SIGSEGV', 'SIGBUS', 'SIGILL'].includes(signal)
    ? `Heavy Thistle broke off (${signal}). Its database may be damaged: "npm run verify" says; "npm run restore" puts a copy of its backups folder back.`
    : `Heavy Thistle was ended (${signal}).`

/** Hands over to a long-running program: signals reach it, and its exit code is ours. */
function become(program, programArgs, env = {}) {
  const child = spawn(program, programArgs, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  child.on('close', (code, signal) => {
    if (signal) process.stderr.write(`${endedBy(signal)}\n`)
    process.exit(code ?? 1)
  })
}

const serve = (entry) =>
  become(process.execPath, [...SERVER_FLAGS, join('dist', 'server', `${entry}.js`), ...args])

const tasks = {
  async demo() {
    await ensureBuilt()
    serve('demo')
  },
  async start() {
    await ensureBuilt()
    serve('main')
  },
  async dev() {
    become(bin('concurrently'), [
      '--kill-others',
      '--names',
      'server,web',
      `"${bin('tsx')}" watch demo/main.ts --api-only --port 4181`,
      `"${bin('vite')}" --port 4180`,
    ])
  },
  async screenshots() {
    await ensureBuilt()
    const { code } = await run(bin('tsx'), ['e2e/screenshots.ts', ...args], {
      env: { CHROMIUM_PATH: await findChromium() },
    })
    process.exit(code)
  },
  async bench() {
    if (args.includes('--against')) return (await import('./benchAgainst.mjs')).benchAgainst(args)
    await ensureBuilt()
    const { code } = await run(bin('tsx'), ['bench/run.ts', ...args])
    process.exit(code)
  },
  async depths() {
    const { code } = await run(bin('tsx'), ['tools/workOutDepths.mjs'])
    process.exit(code)
  },
  backup: () => upkeep('backup'),
  restore: () => upkeep('restore'),
  verify: () => upkeep('verify'),
}

async function upkeep(what) {
  await ensureBuilt()
  become(process.execPath, [join('dist', 'server', 'upkeep.js'), what, ...args])
}

if (!tasks[task]) {
  process.stderr.write(`Unknown task ${task ?? ''}. Known: ${Object.keys(tasks).join(', ')}.\n`)
  process.exit(1)
}
await ensureInstalled()
await tasks[task]()
