import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

export default defineConfig(({ mode }) => ({
  plugins: [svelte()],
  build: {
    outDir: 'target/classes/static',
    emptyOutDir: true,
    target: 'es2022',
    // Pictures inlined as data would need an exception in the content security policy.
    assetsInlineLimit: 0,
  },
  resolve: mode === 'test' ? { conditions: ['browser'] } : undefined,
  // On a machine that is busy with other tests the first look into a page takes seconds.
  test: { environment: 'jsdom', include: ['src/**/*.test.ts'], testTimeout: 30_000 },
  server: {
    proxy: { '/api': 'http://localhost:8080' },
    fs: { allow: ['.', '../docs'] },
  },
}));
