import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import { addComponent } from 'nuxt/kit'
import words from '@intlify/unplugin-vue-i18n/vite'

/** PrimeVue's controls that are used, by the names of their files. */
const CONTROLS = [
  'Button',
  'Checkbox',
  'Column',
  'DataTable',
  'DatePicker',
  'Dialog',
  'Drawer',
  'InputNumber',
  'InputText',
  'Listbox',
  'Menu',
  'Message',
  'Popover',
  'RadioButton',
  'Select',
  'SelectButton',
  'Stepper',
  'StepItem',
  'StepPanel',
  'StepPanels',
  'Step',
  'StepList',
  'Textarea',
  'Toast',
]
/** Icons by their names, as `IconSun`; each is an SVG of its own. */
const ICONS = [
  'ArrowLeft',
  'ArrowRight',
  'ArrowUp',
  'Check',
  'ChevronDown',
  'Download',
  'Ellipsis',
  'GripVertical',
  'Eye',
  'Lock',
  'LockOpen',
  'Maximize',
  'Mic',
  'Minus',
  'Pencil',
  'Play',
  'Plus',
  'Printer',
  'Redo2',
  'Search',
  'Settings',
  'Square',
  'Trash2',
  'TriangleAlert',
  'Undo2',
  'Volume2',
  'X',
]

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  telemetry: false,
  // The bench lives in the browser; the server keeps records. Nothing is gained by drawing a mat twice.
  ssr: false,
  devtools: { enabled: false },
  // Another place is fetched when somebody reaches for it, not while the bench is still opening.
  experimental: {
    componentIslands: false,
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
  },
  modules: [
    '@pinia/nuxt',
    // PrimeVue's controls and the icons by their names in templates.
    () => {
      for (const name of CONTROLS) addComponent({ name, filePath: `primevue/${name.toLowerCase()}` })
      for (const name of ICONS) addComponent({ name: `Icon${name}`, export: name, filePath: '@lucide/vue' })
    },
    '@vueuse/nuxt',
    'nuxt-security',
    '@vite-pwa/nuxt',
    '@nuxt/eslint',
  ],
  hooks: {
    // The page of all controls is for whoever builds Sett.
    'pages:extend': (pages) => {
      const at = pages.findIndex(({ path }) => path === '/settings/about/controls')
      if (at >= 0 && process.env.NODE_ENV === 'production') pages.splice(at, 1)
    },
    // Nothing is fetched that the page does not ask for: not every mat, nor an icon font in four formats.
    'build:manifest': (manifest) => {
      for (const file of Object.values(manifest)) file.prefetch = false
    },
    // Work on whole database files and replaying have threads of their own, each built as a file of its own (server/utils/aside.ts, replaying.ts).
    'nitro:init': (nitro) => {
      nitro.hooks.hook('compiled', async () => {
        await build({
          entryPoints: {
            aside: fileURLToPath(new URL('server/aside/thread.ts', import.meta.url)),
            replays: fileURLToPath(new URL('server/aside/replayThread.ts', import.meta.url)),
          },
          outdir: nitro.options.output.serverDir,
          outExtension: { '.js': '.mjs' },
          bundle: true,
          platform: 'node',
          format: 'esm',
          external: ['better-sqlite3'],
          logLevel: 'warning',
        })
      })
    },
  },
  css: [
    '@fontsource/andika/latin-400.css',
    '@fontsource/andika/latin-700.css',
    '@fontsource/atkinson-hyperlegible/latin-400.css',
    '@fontsource/atkinson-hyperlegible/latin-700.css',
    '~/assets/main.css',
  ],
  imports: { imports: [{ name: 'useI18n', from: 'petite-vue-i18n' }] },
  components: [{ path: '~/components', pathPrefix: false, extensions: ['vue'] }],
  app: {
    head: {
      htmlAttrs: { lang: 'en-GB' },
      title: 'Sett',
      viewport: 'width=device-width, initial-scale=1',
      meta: [{ name: 'description', content: 'Every move of the hand becomes a true written line.' }],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/sett.svg' },
        { rel: 'apple-touch-icon', href: '/sett-192.png' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
      ],
    },
  },
  // Sett opens without its server too, and can be put on a tablet's home screen (workers/offline.ts).
  pwa: {
    strategies: 'injectManifest',
    srcDir: fileURLToPath(new URL('workers', import.meta.url)),
    filename: 'offline.ts',
    registerType: 'autoUpdate',
    injectRegister: false,
    client: { registerPlugin: false },
    injectManifest: {
      // Fonts in the one form that browsers here read; what was compressed is asked for by its plain name.
      globPatterns: ['**/*.{js,css,svg,woff2,png}'],
      maximumFileSizeToCacheInBytes: 8_000_000,
    },
    manifest: {
      name: 'Sett',
      short_name: 'Sett',
      description: 'Every move of the hand becomes a true written line.',
      lang: 'en-GB',
      start_url: '/',
      scope: '/',
      display: 'standalone',
      background_color: '#f6f0e4',
      theme_color: '#2e3a4a',
      icons: [
        { src: '/sett.svg', sizes: 'any', type: 'image/svg+xml' },
        { src: '/sett-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/sett-512.png', sizes: '512x512', type: 'image/png' },
        { src: '/sett-edge.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      ],
      shortcuts: [
        { name: 'Note at the table', url: '/learners/notes' },
        { name: 'Bench', url: '/bench' },
      ],
    },
  },
  security: {
    strict: false,
    nonce: true,
    sri: false,
    ssg: false,
    rateLimiter: false,
    requestSizeLimiter: false,
    xssValidator: false,
    corsHandler: false,
    allowedMethodsRestricter: false,
    hidePoweredBy: true,
    headers: {
      crossOriginEmbedderPolicy: false,
      strictTransportSecurity: false,
      // A teacher may record their own voice.
      permissionsPolicy: { microphone: ['self'] },
      contentSecurityPolicy: {
        'default-src': ["'self'"],
        'script-src': ["'self'", "'nonce-{{nonce}}'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'media-src': ["'self'", 'blob:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'frame-ancestors': ["'none'"],
        'base-uri': ["'none'"],
        'form-action': ["'self'"],
        'object-src': ["'none'"],
        'upgrade-insecure-requests': false,
      },
    },
  },
  nitro: {
    // The core's front door introduces all materials and ways; nothing else in it does anything by being imported.
    moduleSideEffects: [fileURLToPath(new URL('core/index.ts', import.meta.url))],
    errorHandler: '~~/server/error.ts',
    compressPublicAssets: true,
  },
  vite: {
    // Words are compiled beforehand, so that no compiler of messages has to be fetched.
    plugins: [
      words({
        include: [fileURLToPath(new URL('app/locales/**/*.json', import.meta.url))],
        runtimeOnly: true,
        compositionOnly: true,
        dropMessageCompiler: true,
        fullInstall: false,
        // Keys are named < and >; nothing is put into a page as HTML.
        strictMessage: false,
        // Another version of Vite than Nuxt's own describes its plugins in other types.
      }) as never,
    ],
    build: {
      rollupOptions: {
        // The core does nothing by being imported, so that of its doors only what is asked for is fetched.
        treeshake: { moduleSideEffects: (id) => id.includes('node_modules') || !id.includes('/core/') },
      },
    },
  },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },
  eslint: { config: { stylistic: false } },
})
