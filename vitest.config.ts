import react from '@vitejs/plugin-react'
import {defineConfig} from 'vitest/config'

// What draws nothing needs no document, which takes longer to set up than most tests take. A test of a .ts file that
// needs one all the same says so: `// @vitest-environment happy-dom`.
export default defineConfig({
  plugins: [react()],
  test: {
    restoreMocks: true,
    isolate: false,
    projects: [
      {extends: true, test: {name: 'node', include: ['resources/js/**/*.test.ts'], environment: 'node'}},
      {extends: true, test: {name: 'dom', include: ['resources/js/**/*.test.tsx'], environment: 'happy-dom'}},
    ],
  },
})
