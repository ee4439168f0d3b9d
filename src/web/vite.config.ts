import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [tailwindcss(), svelte()],
  server: {
    proxy: { '/api': process.env.INGEGNO_API ?? 'http://127.0.0.1:5080' },
  },
  build: { target: 'es2022', assetsInlineLimit: 0, modulePreload: { polyfill: false } },
});
