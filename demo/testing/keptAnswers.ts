import { randomFrom } from '../../core/index.ts'
import { openTestServer } from '../../server/testing/testServer.ts'
import { allViews, doSome } from './takingBack.ts'

/** What came of commands after each of which all views were asked twice: of the server that did them, and of a new one. */
export interface KeptAnswers {
  /** kinds of the commands after which the two said different things */
  readonly differing: readonly string[]
  readonly kinds: ReadonlySet<string>
  /** commands after which all views were as before */
  readonly changedNothing: number
}

/**
 * Does commands of all kinds by chance, each third taken back, and compares what a server that keeps its answers says after
 * each with what one says that has kept nothing.
 *
 * @param file database of a demo, which is written to
 */
export async function compareKept(file: string, commands: number, seed: number): Promise<KeptAnswers> {
  const server = await openTestServer(file)
  const random = randomFrom(seed)
  const kinds = new Set<string>()
  const differing: string[] = []
  let changedNothing = 0
  let before = JSON.stringify(await allViews(server))
  for (let n = 0; n < commands; n += 1) {
    const [done] = await doSome(server, 1, random)
    if (n % 3 === 2 && done) await server.command('undo', { actionId: done.id as never }).expect(200)
    if (done) kinds.add(done.kind)
    const fresh = await openTestServer(file)
    const after = JSON.stringify(await allViews(server))
    if (after !== JSON.stringify(await allViews(fresh))) differing.push(done?.kind ?? 'nothing')
    await fresh.close()
    if (after === before) changedNothing += 1
    before = after
  }
  await server.close()
  return { differing, kinds, changedNothing }
}
