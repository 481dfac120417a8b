import { mkdirSync, writeFileSync } from 'node:fs'
import { browser, byRole, Key, serve, text, type Running } from '../../tests/browser/world'
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
