import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { viteSingleFile } from 'vite-plugin-singlefile'

/** The page that goes along: one file with everything in it, into which the server puts an outing. */
export default defineConfig({
  root: 'web/along',
  plugins: [react(), viteSingleFile()],
  build: {
    outDir: '../../dist/along',
    emptyOutDir: true,
    target: 'es2022',
    modulePreload: { polyfill: false },
    chunkSizeWarningLimit: 3000,
    rollupOptions: { treeshake: { moduleSideEffects: (id) => !/\/core\/\w/.test(id) } },
  },
})
