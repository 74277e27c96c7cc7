import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { TestProject } from 'vitest/node'
import { start } from '../../server/start.ts'
import { copyOfDemo, filledDemo } from './filledDemo.ts'

/** Serves the demo to tests of pages: whoever asks gets a copy with a server of its own, until all tests are over. */
export default async function serveCopies(project: TestProject): Promise<() => Promise<void>> {
  const kept = await filledDemo()
  const endings: (() => Promise<void>)[] = []
  const serveCopy = async () => {
    const copy = await copyOfDemo(kept)
    const running = await start({
      dataPath: copy.path,
      port: 0,
      rootPath: process.cwd(),
      webFolder: null,
      logLevel: 'silent',
    })
    endings.push(running.stop, copy.remove)
    return running.address
  }
  const asked = createServer((_request, response) => {
    void serveCopy().then(
      (address) => response.end(address),
      (error: unknown) => response.writeHead(500).end(String(error)),
    )
  })
  await new Promise<void>((resolve) => asked.listen(0, '127.0.0.1', resolve))
  project.provide('demoCopies', `http://127.0.0.1:${(asked.address() as AddressInfo).port}/`)
  project.provide('demoData', kept)
  return async () => {
    asked.closeAllConnections()
    asked.close()
    for (const end of endings) await end()
  }
}
