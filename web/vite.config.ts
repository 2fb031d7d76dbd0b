import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

// The build goes where the Python package serves it from; the dev server passes API calls on to a running demo.
export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  build: { outDir: '../src/sun_crumb/webroot', emptyOutDir: true, chunkSizeWarningLimit: 600 },
  server: { proxy: { '/api': 'http://127.0.0.1:8710' } },
  optimizeDeps: { exclude: ['vuetify'] },
})
