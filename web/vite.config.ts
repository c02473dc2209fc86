import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { firstSight } from './firstSight';

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    firstSight(),
    // Keeps the pages in the browser, so that they open without the server. What the server answers is kept elsewhere.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Green Beam',
        short_name: 'Green Beam',
        start_url: '/',
        display: 'standalone',
        background_color: '#f4f7f5',
        theme_color: '#f4f7f5',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/health$/, /^\/ready$/],
        inlineWorkboxRuntime: true,
      },
    }),
  ],
  build: {
    ...{ manifest: true, target: 'es2022', assetsInlineLimit: 0 },
    // Every browser that reads this target preloads by itself, or goes without.
    modulePreload: { polyfill: false },
  },
  server: { port: 5173, proxy: { '/api': { target: 'http://127.0.0.1:3456' } } },
});
