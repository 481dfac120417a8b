import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { browser, serve } from '../../tests/browser/world'
import type { Figure } from './all'

/** What a page loads before it stands still: kilobytes of script as sent gzipped, without what is prefetched; and how far things shift meanwhile (CLS). */
async function loadOf(url: string, path: string): Promise<{ readonly kb: number; readonly shift: number }> {
  const driver = await browser()
  try {
    await driver.get(url + path)
    await new Promise((next) => setTimeout(next, 2000))
    const names = await driver.executeScript<string[]>(
      `return performance.getEntriesByType('resource').filter(e => e.initiatorType !== 'prefetch' && !(e.initiatorType === 'link' && document.querySelector('link[rel=prefetch][href="' + new URL(e.name).pathname + '"]'))).map(e => e.name).filter(n => n.endsWith('.js'))`,
    )
    let bytes = 0
    for (const name of new Set(names)) {
      const { gzipSync } = await import('node:zlib')
      bytes += gzipSync(Buffer.from(await (await fetch(name)).arrayBuffer())).length
    }
    const shift = await driver.executeAsyncScript<number>(`
      const done = arguments[0]
      let sum = 0
      new PerformanceObserver((list) => { for (const e of list.getEntries()) sum += e.hadRecentInput ? 0 : e.value })
        .observe({ type: 'layout-shift', buffered: true })
      setTimeout(() => done(sum), 200)`)
    return { kb: bytes / 1000, shift }
  } finally {
    await driver.quit()
  }
}

/** An app of the same stack with one empty page, built beside. */
async function emptyApp(): Promise<number> {
  const dir = mkdtempSync(join(tmpdir(), 'sett-empty-'))
  mkdirSync(join(dir, 'app/pages'), { recursive: true })
  symlinkSync(join(process.cwd(), 'node_modules'), join(dir, 'node_modules'))
  writeFileSync(join(dir, 'package.json'), '{ "type": "module" }')
  writeFileSync(
    join(dir, 'nuxt.config.ts'),
    `export default defineNuxtConfig({ compatibilityDate: '2026-01-01', telemetry: false, ssr: false, devtools: { enabled: false }, modules: ['@pinia/nuxt'] })`,
  )
  writeFileSync(join(dir, 'app/app.vue'), '<template><NuxtPage /></template>')
  writeFileSync(join(dir, 'app/pages/index.vue'), '<template><p>Nothing.</p></template>')
  execFileSync('npx', ['--no-install', 'nuxt', 'build'], { cwd: dir, stdio: 'ignore' })
  const { spawn } = await import('node:child_process')
  const child = spawn(process.execPath, [join(dir, '.output/server/index.mjs')], {
    env: { ...process.env, HOST: '127.0.0.1', PORT: '4391' },
    stdio: 'ignore',
  })
  try {
    for (
      let i = 0;
      i < 100 &&
      !(await fetch('http://127.0.0.1:4391/').then(
        (r) => r.ok,
        () => false,
      ));
      i++
    )
      await new Promise((next) => setTimeout(next, 100))
    return (await loadOf('http://127.0.0.1:4391', '/')).kb
  } finally {
    child.kill()
  }
}

/** Places whose first load is measured, with what each may take. */
const PLACES = [
  ['/bench', 310],
  ['/today', 380],
  ['/plan/steps', 380],
  ['/learners', 380],
  ['/settings/screen', 380],
] as const
const MOST_SHIFT = 0.02

export async function firstLoad(): Promise<Figure[]> {
  const app = await serve({ demo: true })
  const figures: Figure[] = []
  try {
    for (const [path, most] of PLACES) {
      const { kb, shift } = await loadOf(app.url, path)
      figures.push(
        { what: `gzipped script until ${path} stands`, value: `${kb.toFixed(0)} kB`, beside: `budget ${most} kB` },
        { what: `how far things shift on ${path} (CLS)`, value: shift.toFixed(3), beside: `budget ${MOST_SHIFT}` },
      )
    }
  } finally {
    await app.stop()
  }
  const empty = await emptyApp()
  return [
    ...figures,
    { what: 'script of an empty page (Nuxt, Vue, Pinia)', value: `${empty.toFixed(0)} kB`, beside: '' },
  ]
}
