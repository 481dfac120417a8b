import type { WebDriver } from 'selenium-webdriver'
import { browser, byRole, Key, killBrowser, newProfile, serve, text, type Running } from './world'

/** Sett without its server: it opens, notes, is killed with its browser, and loses nothing. */

const TRIES = 500
let app: Running
let driver: WebDriver
const profile = newProfile()
beforeAll(async () => {
  app = await serve({ demo: true })
  driver = await browser(1280, 800, profile)
})
afterAll(async () => {
  await driver?.quit()
  await app?.stop()
})
interface Row {
  readonly id: string
  readonly kind: string
  readonly startedAt: string
}
/** Every try that the server has. */
async function there(): Promise<readonly Row[]> {
  const all: Row[] = []
  for (let before = ''; ;) {
    const answer = await fetch(`${app.url}/api/records?limit=200${before && `&before=${before}`}`)
    const page = (await answer.json()) as { records: Row[]; next: string | null }
    all.push(...page.records)
    if (page.next === null) return all.filter((r) => r.kind === 'table')
    before = page.next
  }
}
const script = <T>(code: string): Promise<T> => driver.executeScript<T>(code)

test('what Sett needs to open is kept once it was opened, and can be put on a home screen', async () => {
  await driver.get(`${app.url}/learners/notes`)
  await driver.wait(
    () =>
      driver.executeAsyncScript<boolean>(
        'navigator.serviceWorker.ready.then((r) => arguments[0](r.active.state === "activated"))',
      ),
    30_000,
  )
  // The page around it and the room are kept as they are asked for the next time.
  await driver.navigate().refresh()
  await byRole(driver, 'heading', 'At the table')
  expect(await script('return navigator.serviceWorker.controller?.scriptURL')).toBe(`${app.url}/offline.js`)
  const manifest = (await (await fetch(`${app.url}/manifest.webmanifest`)).json()) as {
    icons: { src: string; sizes: string; purpose?: string }[]
    start_url: string
    display: string
  }
  expect([manifest.start_url, manifest.display]).toEqual(['/', 'standalone'])
  for (const { src } of manifest.icons) expect((await fetch(app.url + src)).status).toBe(200)
  // What browsers ask for before they offer to install it.
  expect(manifest.icons.map((i) => i.sizes)).toEqual(expect.arrayContaining(['192x192', '512x512']))
  const kept = await driver.executeAsyncScript<string[]>(`
    caches.keys().then(async (names) => {
      const urls = []
      for (const name of names) for (const r of await (await caches.open(name)).keys()) urls.push(new URL(r.url).pathname)
      arguments[0](urls)
    })`)
  // Nothing of what learners did is kept beside the app.
  expect(kept.filter((u) => u.startsWith('/api/')).sort()).toEqual(
    expect.arrayContaining(['/api/classroom', '/api/courses', '/api/session']),
  )
  expect(kept.filter((u) => /records|progress|trials|rehears|marking/.test(u) && u.startsWith('/api/'))).toEqual([])
})

test(`without a server it opens and notes ${TRIES} tries; killed and opened again it has them; all reach the server once`, async () => {
  const before = (await there()).length
  await app.kill()
  await driver.get(`${app.url}/learners/notes`)
  for (const name of ['Wren', 'Pip']) {
    const box = await byRole(driver, 'checkbox', name)
    if (!(await box.isSelected())) await box.sendKeys(Key.SPACE)
  }
  await (await byRole(driver, 'button', 'Begin')).sendKeys(Key.ENTER)
  await text(driver, '.table', 'Pip')
  for (let i = 0; i < TRIES / 50; i++)
    await driver
      .actions()
      .sendKeys(i % 2 ? '2' : '1', ...Array.from({ length: 50 }, (_, k) => (k % 3 ? 'r' : 'n')))
      .perform()
  await text(driver, '.place header', `${TRIES} tries are kept in this browser and not in the Daybook yet.`)
  await killBrowser(profile)
  await driver.quit().catch(() => undefined)
  driver = await browser(1280, 800, profile)
  await driver.get(`${app.url}/learners/notes`)
  await text(driver, '.place header', `${TRIES} tries are kept in this browser and not in the Daybook yet.`)
  await text(driver, '.table li:nth-child(2)', `of ${TRIES / 2} right without help`)
  // The server comes back, and is killed once more while they stream in.
  const { data } = app
  const port = Number(new URL(app.url).port)
  app = await serve({ data, port })
  await driver.wait(async () => (await there()).length > before, 30_000)
  await app.kill()
  app = await serve({ data, port })
  await text(driver, '.place header', 'Everything is in the Daybook.')
  const now = await there()
  expect(now).toHaveLength(before + TRIES)
  expect(new Set(now.map((r) => r.id)).size).toBe(now.length)
})

test('without a server the Bench opens, works a problem, and says that it cannot save yet', async () => {
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'textbox', 'Problem')
  await app.kill()
  await driver.navigate().refresh()
  const ask = await byRole(driver, 'textbox', 'Problem')
  await ask.sendKeys(Key.chord(Key.CONTROL, 'a'), '52 - 37', Key.ENTER)
  await text(driver, 'main', /52/)
  await driver.get(`${app.url}/today`)
  await text(driver, 'main', /server does not answer/i)
  app = await serve({ data: app.data, port: Number(new URL(app.url).port) })
})
