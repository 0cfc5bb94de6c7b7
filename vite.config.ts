import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import compression from 'compression';
import type { Connect, Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';
import { POLICY_FOR_META } from './content-security-policy.ts';
import { cacheOf, HEADERS } from './serve-headers.ts';

/**
 * The demo opens on the sample kennel, real use on the person's own; both are served by the same
 * build.
 */
function openOn(kennel: string | undefined): Plugin {
  return {
    name: 'regulon-open-on',
    configurePreviewServer(server) {
      server.middlewares.use(compression() as unknown as Connect.NextHandleFunction);
      server.middlewares.use((request, response, next) => {
        response.setHeader('Cache-Control', cacheOf(request.url ?? ''));
        if (request.url !== '/' || kennel === undefined) return next();
        response.writeHead(302, { Location: `/${kennel}/today` }).end();
      });
    },
  };
}

/**
 * Writes the policy into the built page; the development server needs inline scripts for its
 * reloading and goes without.
 */
function policyInPage(): Plugin {
  return {
    name: 'regulon-policy',
    apply: 'build',
    transformIndexHtml: () => [
      {
        tag: 'meta',
        attrs: { 'http-equiv': 'Content-Security-Policy', content: POLICY_FOR_META },
        injectTo: 'head-prepend',
      },
    ],
  };
}

/** Packages that are in the build without a module of their own: the font, and what makes the styles. */
const WITHOUT_MODULES = ['@fontsource-variable/atkinson-hyperlegible-next', 'tailwindcss'];

/** The licences of all that others wrote and that ships with the build, as one text. */
function notices(): Plugin {
  return {
    name: 'regulon-notices',
    apply: 'build',
    generateBundle(_, bundle) {
      const names = new Set(WITHOUT_MODULES);
      for (const chunk of Object.values(bundle))
        for (const id of chunk.type === 'chunk' ? chunk.moduleIds : []) {
          const name = /node_modules\/((?:@[^/]+\/)?[^/]+)\/(?!.*node_modules\/)/.exec(id)?.[1];
          if (name) names.add(name);
        }
      const texts = [...names].sort().map((name) => {
        const folder = `node_modules/${name}`;
        const { version, license } = JSON.parse(readFileSync(`${folder}/package.json`, 'utf8'));
        const file = readdirSync(folder).find((one) => /^licen[cs]e/i.test(one));
        const text = file
          ? readFileSync(`${folder}/${file}`, 'utf8').trim()
          : 'No licence text comes with it.';
        return `${name} ${version} (${license})\n\n${text}`;
      });
      const source = `What others wrote and that ships with Regulon, each under its own licence.\n\n${texts.join('\n\n———\n\n')}\n`;
      this.emitFile({ type: 'asset', fileName: 'third-party-notices.txt', source });
    },
  };
}

/**
 * What a phone has to load before the first tap in the field: the entry and all that it imports at once,
 * gzip, in bytes. The build fails above it. The words of the field and of the core, and what writes plurals
 * and choices, are some 40 kB of it.
 */
const FIRST_LOAD = 300_000;

function firstLoad(): Plugin {
  return {
    name: 'regulon-first-load',
    apply: 'build',
    generateBundle(_, bundle) {
      const entry = Object.values(bundle).find((one) => one.type === 'chunk' && one.isEntry);
      if (entry?.type !== 'chunk' || !entry.facadeModuleId?.endsWith('index.html')) return;
      const needed = new Set([entry.fileName]);
      let bytes = 0;
      for (const name of needed) {
        const chunk = bundle[name];
        if (chunk?.type !== 'chunk') continue;
        for (const other of chunk.imports) needed.add(other);
        bytes += gzipSync(chunk.code).length;
      }
      const words = `first load: ${(bytes / 1000).toFixed(1)} kB of script, gzip, of ${FIRST_LOAD / 1000}`;
      if (bytes > FIRST_LOAD) this.error(`${words}: move what the field does not need into a lazy room`);
      else this.info(words);
    },
  };
}

/**
 * Everything is kept at the first visit, so that a field without a signal is as good as the kitchen
 * table. A newer version waits to be asked.
 */
function offline() {
  return VitePWA({
    registerType: 'prompt',
    injectRegister: false,
    workbox: {
      globPatterns: ['**/*.{js,css,html,svg,png,woff2,webmanifest}'],
      navigateFallback: 'index.html',
      cleanupOutdatedCaches: true,
      maximumFileSizeToCacheInBytes: 4_000_000,
    },
    manifest: {
      name: 'Regulon',
      short_name: 'Regulon',
      description:
        'Takes a dog-sport exercise apart, coaches it rep by rep, and tells whether it would pass.',
      start_url: '/',
      display: 'standalone',
      background_color: '#f6f1e3',
      theme_color: '#f6f1e3',
      icons: [
        { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
      ],
    },
  });
}

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    openOn(process.env.REGULON_KENNEL),
    policyInPage(),
    firstLoad(),
    notices(),
    offline(),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  worker: { format: 'es' },
  build: { target: 'es2023', assetsInlineLimit: 0, chunkSizeWarningLimit: 600 },
  preview: { headers: HEADERS, strictPort: true },
  test: {
    environment: 'node',
    // Property tests take a minute on a busy machine; what hangs still ends.
    testTimeout: 120_000,
    include: ['src/**/*.test.ts', 'checks/**/*.test.ts', 'studies/**/*.test.ts'],
    // Files share a worker's modules: loading them anew for each took half the time. What a test sets
    // up outside itself it takes down again.
    isolate: false,
    maxWorkers: Math.max(2, availableParallelism() - 1),
    setupFiles: ['checks/test-setup.ts'],
    benchmark: { include: ['src/**/*.bench.ts'] },
  },
});
