import { mkdirSync, writeFileSync } from 'node:fs'
import { browser, By, byRole, Key, serve, text, type Running } from '../../tests/browser/world'
import type { WebDriver } from 'selenium-webdriver'

interface Shot {
  readonly name: string
  readonly path: string
  readonly empty?: boolean
  readonly size?: readonly [number, number]
  readonly act?: (driver: WebDriver) => Promise<void>
}

const press = (driver: WebDriver, ...keys: string[]): Promise<void> =>
  driver
    .actions()
    .sendKeys(...keys)
    .perform()
async function ask(driver: WebDriver, problem: string): Promise<void> {
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
  await driver.executeScript('document.activeElement.blur()')
}
const move = async (driver: WebDriver, ...moves: string[]): Promise<void> => {
  for (const m of moves) await (await byRole(driver, 'textbox', 'Type a move')).sendKeys(m, Key.ENTER)
}
/** Chooses a material and, if another than its first is wanted, a way. */
async function choose(driver: WebDriver, material: string, way?: string): Promise<void> {
  for (const [list, option] of [
    ['Material', material],
    ['Way of working', way],
  ] as const) {
    if (!option) continue
    await (await byRole(driver, 'combobox', list)).click()
    await (await byRole(driver, 'option', option)).click()
    await driver.wait(async () => (await driver.findElements(By.css('.p-select-overlay'))).length === 0, 5000)
  }
  await driver.executeScript('document.activeElement.blur()')
}
const STEP = Key.ARROW_RIGHT
const EXCHANGED = 'Still fifty-two.'

const SHOTS: readonly Shot[] = [
  {
    name: 'bench',
    path: '/bench',
    act: async (d) => {
      await press(d, STEP, STEP, STEP)
      await text(d, '[aria-label="What to say"]', EXCHANGED)
    },
  },
  {
    name: 'bench-owing',
    path: '/bench',
    act: async (d) => {
      await (await byRole(d, 'button', 'Together')).click()
      await ask(d, '141 - 26')
      await move(d, 'lay 141', 'return ten')
    },
  },
  {
    name: 'bench-narrow',
    path: '/bench',
    size: [390, 844],
    act: async (d) => press(d, STEP, STEP, STEP),
  },
  {
    name: 'fingers',
    path: '/bench',
    act: async (d) => {
      await ask(d, '8 + 5')
      await choose(d, 'fingers', 'count on')
      await press(d, STEP, STEP, STEP, STEP, STEP)
      await text(d, '[aria-label="Running equations"]', '8 · 9 10 11')
    },
  },
  {
    name: 'touch-numerals',
    path: '/bench',
    act: async (d) => {
      await ask(d, '14 - 6')
      await choose(d, 'touch numerals')
      await press(d, STEP, STEP, STEP, STEP, STEP)
      await text(d, '[aria-label="Running equations"]', '14 · 13 12 11')
    },
  },
  {
    name: 'counters-cards',
    path: '/bench',
    act: async (d) => {
      await ask(d, '7 + 5')
      await choose(d, 'counters', 'count all')
      await (await byRole(d, 'button', 'Together')).click()
      await move(d, 'put 7', 'set 5', 'push 5', 'read 11')
      await byRole(d, 'button', 'Place 12')
    },
  },
  { name: 'notches', path: '/notches', act: async (d) => void (await byRole(d, 'heading', 'Notches')) },
  { name: 'daybook', path: '/daybook', act: async (d) => text(d, 'table', 'lantern') },
  { name: 'first-screen', path: '/', empty: true, act: async (d) => void (await byRole(d, 'button', 'To the bench')) },
]

mkdirSync('docs/screenshots', { recursive: true })
const only = process.argv[2]
for (const shot of SHOTS) {
  if (only && shot.name !== only) continue
  const app: Running = await serve({ demo: !shot.empty })
  const driver = await browser(...(shot.size ?? [1280, 800]))
  try {
    await driver.get(app.url + shot.path)
    if (shot.path === '/bench') await byRole(driver, 'group', 'The mat')
    if (shot.path === '/daybook')
      await (
        await byRole(driver, 'combobox', 'Whose records')
      )
        .click()
        .then(async () => (await byRole(driver, 'option', 'Everybody')).click())
    await shot.act?.(driver)
    // Pieces travel for a quarter of a second.
    await new Promise((next) => setTimeout(next, 600))
    writeFileSync(`docs/screenshots/${shot.name}.png`, Buffer.from(await driver.takeScreenshot(), 'base64'))
    console.log(`docs/screenshots/${shot.name}.png`)
  } finally {
    await driver.quit()
    await app.stop()
  }
}
