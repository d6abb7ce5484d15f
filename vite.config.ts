import vue from '@vitejs/plugin-vue'
import { resolve } from 'node:path'
import { defineConfig } from 'vitest/config'
import { notices } from './config/notices'

const page = (name: string) => resolve(import.meta.dirname, 'frontend', name)

export default defineConfig({
  root: 'frontend',
  base: '/build/',
  publicDir: false,
  plugins: [vue({ template: { transformAssetUrls: false } }), notices()],
  build: {
    outDir: '../public/build',
    emptyOutDir: true,
    // CSP allows no data: scripts, and fonts must be files that the player can keep.
    assetsInlineLimit: 0,
    rolldownOptions: {
      input: { index: page('index.html'), play: page('play.html'), sw: page('src/player/sw.ts') },
      output: { entryFileNames: (chunk) => (chunk.name === 'sw' ? 'sw.js' : 'assets/[name]-[hash].js') },
    },
  },
  test: { include: ['src/**/*.test.ts'], environment: 'node' },
})
