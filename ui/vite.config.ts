import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

/** Changes with what the server says: a device does not show what an earlier one kept in another form. */
const shape = createHash('sha256')
  .update(readFileSync(new URL('../docs/openapi.json', import.meta.url)))
  .digest('hex')
  .slice(0, 12)

export default defineConfig({
  plugins: [
    react(),
    // The application itself is kept on the device; what the server says, the application keeps (src/app/kept.ts).
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script',
      manifest: {
        name: 'Neat Lanyard',
        short_name: 'Lanyard',
        description: 'From the flight-deck door to the line-up: a bare cord is ready to go.',
        display: 'standalone',
        background_color: '#F6F3EC',
        theme_color: '#F6F3EC',
        start_url: '/',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        // What drills are flown by is as large as the rest, and nobody drills on the ramp.
        globIgnores: ['**/assets/controls-*.js'],
        navigateFallbackDenylist: [/^\/api/, /^\/v3/, /^\/swagger-ui/, /^\/actuator/, /^\/error/],
        runtimeCaching: [
          {
            urlPattern: /\/api\/photos\/[0-9a-f-]+$/,
            handler: 'CacheFirst',
            options: { cacheName: 'photos', expiration: { maxEntries: 200 }, cacheableResponse: { statuses: [200] } },
          },
        ],
      },
    }),
  ],
  define: { SHAPE: JSON.stringify(shape) },
  build: { target: 'es2023', chunkSizeWarningLimit: 700 },
  // For work on the interface: `npm run dev` beside a running server.
  server: { proxy: { '/api': 'http://localhost:8080' } },
})
