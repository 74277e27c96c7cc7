import { defineConfig } from 'drizzle-kit'

export default defineConfig({
  dialect: 'sqlite',
  schema: ['./server/db/schema.ts', './server/db/seasonTables.ts', './server/db/supplyTables.ts'],
  out: './server/migrations',
})
