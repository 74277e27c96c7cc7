import { spawn } from 'node:child_process'
import { once } from 'node:events'
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

const launch = (entry: 'demo' | 'main', dataPath: string, port: number, env: NodeJS.ProcessEnv) =>
  spawn(
    process.execPath,
    [...SERVER_FLAGS, join('dist', 'server', `${entry}.js`), '--port', String(port), '--data', dataPath],
    { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } },
  )

/** Starts the built server and kills it after so many ms, whatever it is at. */
export async function killWhileStarting(dataPath: string, afterMs: number): Promise<void> {
  const child = launch('main', dataPath, 0, {})
  const ended = once(child, 'close')
  await new Promise((resolve) => setTimeout(resolve, afterMs))
  child.kill('SIGKILL')
  await ended
}

/** Starts the built server and waits until it says its address. */
export function startProcess(
  entry: 'demo' | 'main',
  dataPath: string,
  port = 0,
  env: NodeJS.ProcessEnv = {},
): Promise<Serving> {
  const child = launch(entry, dataPath, port, env)
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
