import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

/** The pages. The server is built by `tools/build.mjs` with the server config. */
export default defineConfig({
  root: 'web',
  plugins: [react()],
  html: { cspNonce: '__CSP_NONCE__' },
  worker: { format: 'es' },
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    modulePreload: { polyfill: false },
    chunkSizeWarningLimit: 900,
    // core does nothing on being loaded: what a page does not use of it stays out of its bundle
    rollupOptions: {
      treeshake: { moduleSideEffects: (id) => !/\/core\/\w/.test(id) },
      // a few lines each that every place needs: one request for all of them
      output: {
        codeSplitting: {
          groups: [
            { name: 'counting', test: /\/core\/(number|season\/(calendar|warmth\/(seasonalModel|forecast)))/ },
            { name: 'wire', test: /\/web\/wire\/(?!planned|askOnce)/ },
            {
              name: 'base',
              test: /\/node_modules\/(react|react-dom|scheduler|clsx|styled-components|stylis)\//,
            },
            { name: 'thumbs', test: /\/web\/(drawing\/(trueSize|FlyThumb|Slits|useSketch)|wire\/askOnce)/ },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4181' } },
})
