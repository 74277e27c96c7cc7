import { spawn } from 'node:child_process'
import { once } from 'node:events'

const ANSWERS_NOTHING = `
  const server = require('node:http').createServer((_asked, answer) => answer.end())
  server.listen(0, '127.0.0.1', () => console.log(server.address().port))
`

/**
 * A server that answers at once with nothing: what it takes is what the machine takes by itself, and whoever asks. Ours
 * cannot be quicker there.
 */
export async function startBareServer() {
  const child = spawn(process.execPath, ['-e', ANSWERS_NOTHING], { stdio: ['ignore', 'pipe', 'inherit'] })
  const [port] = (await once(child.stdout, 'data')) as [Buffer]
  return {
    address: `http://127.0.0.1:${port.toString().trim()}`,
    stop: async () => {
      const ended = once(child, 'close')
      child.kill()
      await ended
    },
  }
}
