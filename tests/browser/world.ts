import { AxeBuilder } from '@axe-core/webdriverjs'
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Builder, By, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver'
import chrome from 'selenium-webdriver/chrome'

/** The built app served on a free port with a data folder of its own. */
export interface Running {
  readonly url: string
  readonly data: string
  /** Ends the server as a power cut would. */
  kill(): Promise<void>
  stop(): Promise<void>
}

const BUILT = join(process.cwd(), '.output/server/index.mjs')

let stale: boolean | undefined
/** Whether the built app is another than the sources make: tests of it would say nothing of these. */
const isStale = (): boolean =>
  (stale ??= spawnSync(process.execPath, ['tools/build.mjs', '--look'], { stdio: 'ignore' }).status !== 0)

async function freePort(): Promise<number> {
  const server = createServer()
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  const { port } = server.address() as { port: number }
  await new Promise((done) => server.close(done))
  return port
}

/** Starts the built server; with `data` given, on that folder again, and with `port` at that address again. */
export async function serve(
  options: { demo?: boolean; data?: string; port?: number; env?: Record<string, string> } = {},
): Promise<Running> {
  if (isStale()) throw new Error('The app is not built from these sources: run npm run build first.')
  const port = options.port ?? (await freePort())
  const data = options.data ?? mkdtempSync(join(tmpdir(), 'sett-test-'))
  const child: ChildProcess = spawn(process.execPath, [BUILT], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(port),
      SETT_DATA: data,
      ...(options.demo ? { SETT_DEMO: '1' } : {}),
      ...options.env,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  let isEnding = false
  const ended = new Promise<void>((done) =>
    child.once('exit', (code, signal) => {
      if (!isEnding) console.error(`The server at ${port} ended by itself: ${signal ?? `code ${code}`}.`)
      done()
    }),
  )
  const url = `http://127.0.0.1:${port}`
  await answering(`${url}/api/session`)
  const end = async (signal: NodeJS.Signals): Promise<void> => {
    isEnding = true
    child.kill(signal)
    await ended
  }
  return {
    url,
    data,
    kill: () => end('SIGKILL'),
    stop: async () => {
      await end('SIGTERM')
      rmSync(data, { recursive: true, force: true })
    },
  }
}

async function answering(url: string): Promise<void> {
  const until = Date.now() + 20_000
  for (;;) {
    const ok = await fetch(url).then(
      (r) => r.ok,
      () => false,
    )
    if (ok) return
    if (Date.now() > until) throw new Error(`${url} does not answer`)
    await new Promise((next) => setTimeout(next, 50))
  }
}

/** A folder for what a browser keeps. */
export const newProfile = (): string => mkdtempSync(join(tmpdir(), 'sett-profile-'))

/** Ends the browser of a profile as a flat battery would. */
export async function killBrowser(profile: string): Promise<void> {
  spawnSync('pkill', ['-9', '-f', `user-data-dir=${profile}`])
  const until = Date.now() + WAIT
  while (spawnSync('pgrep', ['-f', `user-data-dir=${profile}`]).status === 0) {
    if (Date.now() > until) throw new Error('the browser does not end')
    await new Promise((next) => setTimeout(next, 50))
  }
  rmSync(join(profile, 'SingletonLock'), { force: true })
}

/** A new Chromium of Debian's, with a profile of its own unless one is given. */
export async function browser(width = 1280, height = 800, profile = newProfile()): Promise<WebDriver> {
  const options = new chrome.Options()
  options.setChromeBinaryPath('/usr/bin/chromium')
  options.addArguments(
    '--headless=new',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--hide-scrollbars',
    // A microphone that hears a tone, and may be used.
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    `--user-data-dir=${profile}`,
    `--window-size=${width},${height}`,
  )
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new chrome.ServiceBuilder('/usr/bin/chromedriver'))
    .build()
  // Looked again soon: a page that is quick is not waited for.
  const wait = driver.wait.bind(driver) as (...all: unknown[]) => unknown
  driver.wait = ((condition: unknown, ms: number, message?: string, poll = POLL_MS) =>
    wait(condition, ms, message, poll)) as typeof driver.wait
  await (driver as ChromeDriver).sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
    width,
    height,
    deviceScaleFactor: 1,
    mobile: false,
  })
  return driver
}

/** What Chromium's driver can besides. */
type ChromeDriver = WebDriver & { sendDevToolsCommand(command: string, parameters: object): Promise<void> }

const WAIT = 20_000
/** How often it is looked whether something has come about. */
const POLL_MS = 40

/** The visible element of a role with this accessible name, once there is one; one of the page comes before one of the frame around it. */
export async function byRole(driver: WebDriver, role: string, name: string | RegExp): Promise<WebElement> {
  const css: Record<string, string> = {
    button: 'button, [role="button"]',
    searchbox: 'input[type="search"]',
    textbox: 'input:not([type]):not([role="spinbutton"]), input[type="text"]:not([role="spinbutton"]), textarea',
    link: 'a[href]',
    radio: 'input[type="radio"]',
    combobox: '[role="combobox"], select',
    checkbox: 'input[type="checkbox"]',
    spinbutton: 'input[type="number"], [role="spinbutton"]',
    option: '[role="option"]',
    menuitem: '[role="menuitem"]',
    heading: 'h1, h2, h3',
    group: '[role="group"]',
  }
  const fits = (text: string): boolean => (typeof name === 'string' ? text === name : name.test(text))
  const selector = css[role] ?? `[role="${role}"]`
  return driver.wait(
    async () => {
      // A glance at all of them at once tells which are worth asking for their computed name.
      const elements = await driver.findElements(By.css(selector))
      const glances = await driver.executeScript<string[]>(GLANCE, selector)
      const likely = elements.filter((_, i) => glances[i] === undefined || glances[i] === '' || fits(glances[i]!))
      let framing: WebElement | null = null
      for (const element of likely) {
        try {
          if (!fits((await element.getAccessibleName()).trim()) || !(await isSeen(driver, role, element))) continue
          if (!(await driver.executeScript(IN_FRAME, element))) return element
          framing ??= element
        } catch {
          // It went away while it was looked at; the next round sees the new one.
        }
      }
      return framing
    },
    WAIT,
    `no ${role} called ${name}`,
  ) as Promise<WebElement>
}

/** A box to tick is laid clear over the one that is drawn for it. */
const isSeen = async (driver: WebDriver, role: string, element: WebElement): Promise<boolean> =>
  ['checkbox', 'radio'].includes(role)
    ? driver.executeScript<boolean>('return arguments[0].checkVisibility({ visibilityProperty: true })', element)
    : element.isDisplayed()

const IN_FRAME = "return arguments[0].closest('.rail, .place-head') !== null"

/** What each element is plainly called by its label or its text; nothing where only the browser can tell. */
const GLANCE = `return [...document.querySelectorAll(arguments[0])].map((e) =>
  (e.getAttribute('aria-label') ?? (e.matches('button, a, h1, h2, h3, [role="option"], [role="menuitem"]') && !e.hasAttribute('aria-labelledby') && !e.querySelector('[aria-hidden], [aria-label], img') ? e.innerText : '')).replace(/\\s+/g, ' ').trim())`

/** Waits until the element that `css` finds has a text that fits. */
export async function text(driver: WebDriver, css: string, fits: string | RegExp): Promise<void> {
  let last = ''
  await driver
    .wait(async () => {
      last = await driver.executeScript<string>('return document.querySelector(arguments[0])?.innerText ?? ""', css)
      return typeof fits === 'string' ? last.includes(fits) : fits.test(last)
    }, WAIT)
    .catch(() => {
      throw new Error(`${css} says ${JSON.stringify(last)}, not ${fits}`)
    })
}

/** Gives a file to a button that asks for one; the window of the system, which a driver cannot reach, stays shut. */
export async function giveFile(driver: WebDriver, button: string, path: string): Promise<void> {
  await driver.executeScript(`
    const open = HTMLInputElement.prototype.click
    HTMLInputElement.prototype.click = function () {
      if (this.type !== 'file') return open.call(this)
      HTMLInputElement.prototype.click = open
      this.dataset.asked = ''
      document.body.append(this)
    }`)
  await (await byRole(driver, 'button', button)).click()
  await (await driver.wait(until.elementLocated(By.css('input[data-asked]')), WAIT)).sendKeys(path)
  await driver.executeScript(`document.querySelector('input[data-asked]')?.remove()`)
}

/** Chooses an option of a list, once the list stands still, and waits until it is gone. */
export async function pick(driver: WebDriver, list: string, option: string | RegExp): Promise<void> {
  await (await byRole(driver, 'combobox', list)).click()
  const chosen = await byRole(driver, 'option', option)
  await still(driver, '.p-select-overlay')
  await chosen.click()
  await driver.wait(
    async () => (await driver.findElements(By.css('.p-select-overlay'))).length === 0,
    WAIT,
    `the list ${list} stays open`,
  )
}

/** Chooses from a shelf by its button (`Material`, `Way of working`, `Beside`), and waits until the shelf is away. */
export async function take(driver: WebDriver, shelf: string, name: string | RegExp): Promise<void> {
  await (await byRole(driver, 'button', new RegExp(`^${shelf}`))).click()
  await choose(driver, name)
}

/** Chooses a card of the shelf that is open. */
export async function choose(driver: WebDriver, name: string | RegExp): Promise<void> {
  const dialog = await driver.wait(until.elementLocated(By.css('[role="dialog"] .groups')), WAIT)
  await driver.wait(
    async () => {
      const cards = await driver.findElements(By.css('[role="dialog"] .face:not([aria-disabled])'))
      for (const card of cards) {
        const title = await card.getAttribute('aria-label')
        if (
          typeof name === 'string'
            ? title?.toLowerCase() !== name.toLowerCase()
            : !new RegExp(name.source, 'i').test(title ?? '')
        )
          continue
        await still(driver, '.p-dialog')
        await card.click()
        return true
      }
      return false
    },
    WAIT,
    `no card called ${name}`,
  )
  await driver.wait(until.stalenessOf(dialog), WAIT, 'the shelf stays open')
}

/** Waits until nothing moves within what a selector finds. */
export async function still(driver: WebDriver, css: string): Promise<void> {
  await driver.wait(
    async () =>
      !(await driver.executeScript<boolean>(
        'return document.getAnimations().some((a) => a.effect?.target?.closest?.(arguments[0]))',
        css,
      )),
    WAIT,
  )
}

/** A file on disk that says this, to be chosen in a page; its path. */
export function fileWith(said: string): string {
  const path = join(mkdtempSync(join(tmpdir(), 'sett-file-')), 'chosen.json')
  writeFileSync(path, said)
  return path
}

/** Lessons of the days around now; the demo's is of the day on which the server began. */
export async function lessonsAround<Lesson>(url: string): Promise<Lesson[]> {
  const day = (from: number): string => new Date(Date.now() + from * 86_400_000).toISOString().slice(0, 10)
  return (await fetch(`${url}/api/lessons?from=${day(-7)}&to=${day(60)}`)).json() as Promise<Lesson[]>
}

/** Every rule that axe has, best practice too. */
const ALL_RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']

/** axe finds nothing to mend on what is shown, once what is on its way out has gone. */
export async function noViolations(driver: WebDriver): Promise<void> {
  await driver.wait(
    async () => (await driver.findElements(By.css('[class*="-leave-active"]'))).length === 0,
    WAIT,
    'something is still on its way out',
  )
  const { violations } = await new AxeBuilder(driver).options({ runOnly: ALL_RULES }).analyze()
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 140)).join(' | ')}`)).toEqual([])
}

export { By, Key, until }
