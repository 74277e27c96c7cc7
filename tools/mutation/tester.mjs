// Runs in a process of its own, on a copy of the checkout: puts in one fault after the other and runs the tests that reach it.
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createVitest } from 'vitest/node'
import { withFault } from './faults.mjs'

const here = process.cwd()
const vitest = await createVitest('test', {
  root: here,
  watch: false,
  bail: 1,
  maxWorkers: 1,
  reporters: [{}],
})
await vitest.standalone()
const all = await vitest.globTestSpecifications()
const named = new Map(all.map((specification) => [specification.moduleId, specification]))

/** What a test says of the fault now in: nothing, that it failed, or that it ran out of time. */
async function verdict(test) {
  const { testModules, unhandledErrors } = await vitest.runTestSpecifications([named.get(test)])
  if (unhandledErrors.length === 0 && testModules.every((module) => module.ok())) return 'alive'
  const failures = testModules.flatMap((module) => [
    ...module.errors(),
    ...[...module.children.allTests('failed')].flatMap((failed) => failed.result().errors ?? []),
  ])
  return failures.length > 0 && failures.every(({ message }) => /timed out in \d+ ?ms/.test(message))
    ? 'timed out'
    : 'killed'
}

async function tried({ fault, tests }) {
  const path = join(here, fault.path)
  const text = readFileSync(path, 'utf8')
  writeFileSync(path, withFault(text, fault))
  vitest.invalidateFile(path)
  let answer = 'alive'
  try {
    // Nearest first, one by one: most faults are noticed by the first.
    for (const test of tests) {
      if ((await verdict(test)) === 'alive') continue
      // noticed by chance, as on a busy machine, is not noticed: it must be so again
      const again = await verdict(test)
      if (again === 'killed') return again
      if (again === 'timed out') answer = again
    }
    return answer
  } finally {
    writeFileSync(path, text)
    vitest.invalidateFile(path)
  }
}

process.on('message', async (task) => process.send({ number: task.fault.number, answer: await tried(task) }))
process.send({ ready: true })
