import { defineConfig } from 'vite'

/** The server and the demo as plain JavaScript for Node; dependencies stay outside. */
export default defineConfig({
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
