import { defineConfig } from 'vite'

/**
 * The server and the demo as plain JavaScript for Node. What they depend on is packed in, since to look for hundreds of
 * files takes half of a start; outside stays what brings files of its own: the database driver, pictures, and pages.
 */
export default defineConfig({
  ssr: { noExternal: true, external: ['libsql', 'sharp', 'swagger-ui-dist'] },
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: {
        main: 'server/main.ts',
        demo: 'demo/main.ts',
        upkeep: 'server/upkeep.ts',
      },
      output: { entryFileNames: '[name].js' },
    },
  },
})
