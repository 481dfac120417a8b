import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { browser, serve } from '../../tests/browser/world'
import type { Figure } from './all'

/** Kilobytes of script, as sent gzipped, that a page loads before it stands still; prefetched files are not counted. */
async function scriptOf(url: string, path: string): Promise<number> {
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
    return bytes / 1000
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
    return await scriptOf('http://127.0.0.1:4391', '/')
  } finally {
    child.kill()
  }
}

export async function firstLoad(): Promise<Figure[]> {
  const app = await serve({ demo: true })
  const bench = await scriptOf(app.url, '/bench').finally(() => app.stop())
  const empty = await emptyApp()
  return [
    { what: 'gzipped script until the Bench stands', value: `${bench.toFixed(0)} kB`, beside: 'budget 250 kB' },
    {
      what: 'the same for an empty page (Nuxt, Vue, Pinia)',
      value: `${empty.toFixed(0)} kB`,
      beside: `${(bench / empty).toFixed(1)} times as much`,
    },
  ]
}
