import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { sharedFiles } from './sharedFiles.ts';

const shared = await sharedFiles(import.meta.dirname);

export default defineConfig({
  plugins: [
    tailwindcss(),
    // As small as it gets, once, at the build: a phone in the field waits for it.
    compression({
      include: /\.(js|css|html|svg|webmanifest)$/,
      algorithms: [defineAlgorithm('brotliCompress')],
    }),
    // Installable, and there without a network: what it is made of is kept by the service worker,
    // src/field/serviceWorker.ts.
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src/field',
      filename: 'serviceWorker.ts',
      injectRegister: false,
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,wav,wasm}'],
        maximumFileSizeToCacheInBytes: 5_000_000,
      },
      manifest: {
        name: 'Urvek',
        short_name: 'Urvek',
        description: 'A field instrument for comparing the range of wireless products by walking',
        start_url: '/',
        display: 'standalone',
        background_color: '#f6f2e7',
        theme_color: '#1c211f',
        icons: [
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
          { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
    }),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2023',
    chunkSizeWarningLimit: 700,
    manifest: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [{ name: (id) => shared.get(id) ?? null }],
        },
      },
      // Libraries mark modules for server rendering, which a browser-only build has no use for.
      onwarn: (warning, warn) => {
        if (warning.code !== 'MODULE_LEVEL_DIRECTIVE') warn(warning);
      },
    },
  },
});
