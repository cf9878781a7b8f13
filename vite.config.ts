import react from '@vitejs/plugin-react'
import {defineConfig} from 'vite'

export default defineConfig({
  plugins: [react()],
  base: '/build/',
  publicDir: false,
  build: {
    outDir: 'public/build',
    manifest: 'manifest.json',
    rolldownOptions: {input: 'resources/js/main.tsx'},
    assetsInlineLimit: 0,
  },
})
