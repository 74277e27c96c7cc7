import { defineConfig } from 'drizzle-kit'

export default defineConfig({
  dialect: 'sqlite',
  schema: ['./server/db/schema.ts', './server/db/seasonTables.ts'],
  out: './server/migrations',
})
