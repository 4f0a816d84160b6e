import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react()],
  build: { target: 'es2023', chunkSizeWarningLimit: 700 },
  // For work on the interface: `npm run dev` beside a running server.
  server: { proxy: { '/api': 'http://localhost:8080' } },
})
