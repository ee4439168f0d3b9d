import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** The client's session application: an entry of its own below /s/, so that a phone loads nothing of the coach's. */
export default defineConfig({
  root: 'src/client-app',
  base: '/s/',
  publicDir: '../../public-client-app',
  plugins: [
    tailwindcss(),
    svelte({ configFile: '../../svelte.config.js' }),
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: null,
      filename: 'sw.js',
      manifest: {
        id: '/s/',
        name: 'Ingegno session',
        short_name: 'Session',
        description: 'Your training, one exercise at a time. Works without a net.',
        start_url: '/s/',
        scope: '/s/',
        display: 'standalone',
        background_color: '#15202a',
        theme_color: '#1c2a33',
        icons: [
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        navigateFallback: '/s/index.html',
        inlineWorkboxRuntime: true,
        sourcemap: false,
      },
    }),
  ],
  build: {
    target: 'es2022',
    outDir: '../../dist/s',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
  },
});
