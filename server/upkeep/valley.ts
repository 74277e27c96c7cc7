import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { access } from 'node:fs/promises'
import { join } from 'node:path'
import { ProblemError } from '../problems/problem.ts'

/** The made-up valley, served beside a user's own data by a process of its own. */
export interface Valley {
  /** Opens it, or says where it is open already. */
  readonly open: () => Promise<{ readonly address: string }>
  readonly close: () => void
}

/** The first start fills a folder; on a slow machine that takes its time. */
const LONGEST_START_MS = 180_000
const SERVES_AT = /http:\/\/127\.0\.0\.1:\d+/
/** What an answer of the child may say before it serves, characters. */
const MOST_SAID = 4000

const failed = () => new ProblemError('busy', 'The valley could not be opened. Type npm run demo instead.')

/** Waits for the address that a child serves at; it says so on one of its outputs. */
function addressOf(child: ChildProcess): Promise<string> {
  return new Promise((resolve, reject) => {
    let said = ''
    const timer = setTimeout(() => reject(failed()), LONGEST_START_MS)
    const hear = (chunk: Buffer) => {
      said = (said + chunk.toString()).slice(-MOST_SAID)
      const [address] = SERVES_AT.exec(said) ?? []
      if (!address) return
      clearTimeout(timer)
      resolve(address)
    }
    child.stdout?.on('data', hear)
    // another process that serves the folder is named here
    child.stderr?.on('data', hear)
    child.once('error', () => reject(failed()))
    child.once('exit', () => {
      clearTimeout(timer)
      reject(failed())
    })
  })
}

/**
 * The valley as a second process: on a free port of loopback, with a folder of its own beside the user's, and ended with
 * this one, since it reads a pipe that ends with its parent.
 */
export function makeValley(rootPath: string, dataPath: string): Valley {
  const script = join(rootPath, 'dist', 'server', 'demo.js')
  let child: ChildProcess | null = null
  let serving: Promise<string> | null = null
  const begin = async (): Promise<string> => {
    await access(script).catch(() => Promise.reject(failed()))
    const started = spawn(
      process.execPath,
      [script, '--port', '0', '--data', `${dataPath}-valley`, '--with-parent'],
      {
        cwd: rootPath,
        env: { ...process.env, HEAVY_THISTLE_ROOT: rootPath },
        stdio: ['pipe', 'pipe', 'pipe'],
      },
    )
    child = started
    const address = addressOf(started)
    started.once('exit', () => {
      if (child === started) [child, serving] = [null, null]
    })
    return address
  }
  return {
    open: async () => {
      serving ??= begin()
      try {
        return { address: await serving }
      } catch (error) {
        serving = null
        throw error
      }
    },
    close: () => void child?.kill('SIGTERM'),
  }
}
