import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { SERVER_FLAGS } from '../tools/project.mjs'

/** A server of its own on a free port, with a data directory of its own. */
export interface Serving {
  readonly address: string
  readonly dataPath: string
  readonly process: ChildProcess
  readonly stop: () => Promise<void>
}

/** Starts the built server and waits until it says its address. */
export function startProcess(
  entry: 'demo' | 'main',
  dataPath: string,
  port = 0,
  env: NodeJS.ProcessEnv = {},
): Promise<Serving> {
  const child = spawn(
    process.execPath,
    [...SERVER_FLAGS, join('dist', 'server', `${entry}.js`), '--port', String(port), '--data', dataPath],
    {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...env },
    },
  )
  return new Promise((resolve, reject) => {
    let output = ''
    const onText = (chunk: Buffer) => {
      output += chunk.toString()
      const address = /serves at (http:\/\/\S+)/.exec(output)?.[1]
      if (!address) return
      const stop = () =>
        new Promise<void>((done) => {
          if (child.exitCode !== null || child.signalCode !== null) return done()
          child.once('close', () => done())
          child.kill('SIGTERM')
        })
      resolve({ address, dataPath, process: child, stop })
    }
    child.stdout.on('data', onText)
    child.stderr.on('data', onText)
    child.once('close', (code) => reject(new Error(`the server ended with ${code}: ${output}`)))
  })
}

/** Starts a server in a temporary directory that goes when it stops. */
export async function serveApart(entry: 'demo' | 'main', env: NodeJS.ProcessEnv = {}): Promise<Serving> {
  const dataPath = await mkdtemp(join(tmpdir(), 'thistle-'))
  const serving = await startProcess(entry, dataPath, 0, env)
  return {
    ...serving,
    stop: async () => {
      await serving.stop()
      await rm(dataPath, { recursive: true, force: true })
    },
  }
}
