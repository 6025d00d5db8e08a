import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  build: { outDir: 'dist', emptyOutDir: true, chunkSizeWarningLimit: 700, license: { fileName: 'licences-scripts.json' } },
  server: { proxy: { '/api': 'http://127.0.0.1:8420' } },
  // A busy machine mounts a surface in seconds.
  test: {
    maxWorkers: 2,
    pool: 'threads',
    // One page for all files of a worker: what they load is loaded once. None leaves anything on it for the next.
    isolate: false,
    environment: 'jsdom',
    include: ['src/**/*.test.ts'],
    setupFiles: ['src/testing/setup.ts'],
    testTimeout: 30_000,
  },
})
