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

async function noticed({ fault, tests }) {
  const path = join(here, fault.path)
  const text = readFileSync(path, 'utf8')
  writeFileSync(path, withFault(text, fault))
  vitest.invalidateFile(path)
  try {
    // Nearest first, one by one: most faults are noticed by the first.
    for (const test of tests) {
      const { testModules, unhandledErrors } = await vitest.runTestSpecifications([named.get(test)])
      if (unhandledErrors.length > 0 || testModules.some((module) => !module.ok())) return test
    }
    return null
  } finally {
    writeFileSync(path, text)
    vitest.invalidateFile(path)
  }
}

process.on('message', async (task) => process.send({ number: task.fault.number, by: await noticed(task) }))
process.send({ ready: true })
