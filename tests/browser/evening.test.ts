import type { WebDriver, WebElement } from 'selenium-webdriver'
import { inChromium } from './here'
import { By, byRole, Key, noViolations, still, text, type Running } from './world'

/**
 * A teacher's evening, from nothing to paper, with one kind of hand at a time: two learners' steps are found, problems are looked at, tomorrow's
 * lesson is planned, its pieces are counted, and its sheets with a mat are printed.
 */

const here = inChromium({ demo: false })
const { size } = here
let app: Running
let driver: WebDriver
type Tools = { sendDevToolsCommand(command: string, parameters: object): Promise<void> }
const tools = (command: string, parameters: object): Promise<void> =>
  (driver as unknown as Tools).sendDevToolsCommand(command, parameters)
beforeAll(async () => {
  ;({ app, driver } = here)
  await driver.get(app.url)
  await (await byRole(driver, 'textbox', 'Learners’ code names')).sendKeys('Wren, Pip')
  await here.click('Skip to the Bench')
  await at(/^\/bench/)
})

/** How something is pressed. */
type Hand = (element: WebElement) => Promise<void>
const mouse: Hand = (element) => element.click()
/** The focus is brought there by the Tab key alone. */
const keyboard: Hand = async (element) => {
  const MOST_TABS = 120
  for (let i = 0; i < MOST_TABS; i++) {
    if (await driver.executeScript<boolean>('return document.activeElement === arguments[0]', element)) break
    await driver.actions().sendKeys(Key.TAB).perform()
  }
  expect(await driver.executeScript('return document.activeElement === arguments[0]', element)).toBe(true)
  const isTick = (await element.getAttribute('type')) === 'checkbox'
  await driver
    .actions()
    .sendKeys(isTick ? Key.SPACE : Key.ENTER)
    .perform()
}
const touch: Hand = async (element) => {
  const point = await driver.executeScript<{ x: number; y: number }>(
    `arguments[0].scrollIntoView({ block: 'center' })
     const box = arguments[0].getBoundingClientRect()
     return { x: box.left + box.width / 2, y: box.top + box.height / 2 }`,
    element,
  )
  await tools('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [point] })
  await tools('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
}

const at = (path: RegExp): Promise<unknown> =>
  driver.wait(async () => path.test(new URL(await driver.getCurrentUrl()).pathname), 20_000)
const ask = () => driver.executeScript<string>("return document.querySelector('.ask .question')?.innerText ?? ''")

async function evening(hand: Hand): Promise<void> {
  const press = async (role: string, name: string | RegExp): Promise<void> => hand(await byRole(driver, role, name))
  const option = async (name: string): Promise<void> => {
    const found = await byRole(driver, 'option', name)
    // A list is walked through by its own keys.
    if (hand !== keyboard) return hand(found)
    await driver.actions().sendKeys(name).perform()
    await driver.actions().sendKeys(Key.ENTER).perform()
  }
  await driver.get(`${app.url}/plan/steps`)
  await driver.executeScript('localStorage.clear()')
  await driver.get(`${app.url}/plan/steps`)
  for (const name of ['Wren', 'Pip']) {
    await press('button', /^Learner: /)
    await still(driver, '.p-popover')
    await option(name)
    await press('link', `Find ${name}’s step`)
    await press('combobox', 'Strand')
    await still(driver, '.p-select-overlay')
    await option('Adding')
    for (let now = await ask(); now !== ''; now = await ask()) {
      const [a, b] = now.replace(' = ?', '').split(' + ').map(Number) as [number, number]
      const knows = a + b < (name === 'Wren' ? 20 : 10)
      if (knows) await (await byRole(driver, 'textbox', `What ${name} answered`)).sendKeys(String(a + b), Key.ENTER)
      else await press('button', 'Not yet')
      await driver.wait(async () => (await ask()) !== now, 20_000)
    }
    await press('button', 'Use this result')
    await text(driver, '.page-header', `Next for ${name}`)
  }
  await press('link', 'Problems')
  await text(driver, '.page-header', 'fit')
  await press('link', 'Lessons')
  await press('link', 'Plan a lesson')
  for (const name of ['Wren', 'Pip']) await press('checkbox', name)
  await press('button', 'Steps')
  await press('button', 'Plan lesson')
  await at(/^\/plan\/lessons\/[0-9a-f-]{36}$/)
  const lesson = new URL(await driver.getCurrentUrl()).pathname
  await press('link', 'Count the pieces')
  await text(driver, '.kit', /need/i)
  await driver.navigate().back()
  await at(new RegExp(`^${lesson}$`))
  await byRole(driver, 'button', 'Start')
  await press('link', 'Print')
  await byRole(driver, 'heading', 'Print')
  await text(driver, '.page-header', /\d pages/)
  await press('button', 'Add a sheet')
  await press('button', 'Place-value chart')
  await driver.wait(async () => (await driver.findElements(By.css('.p-dialog'))).length === 0, 20_000)
  await text(driver, '.panel', 'Place-value chart')
  await text(driver, '.page-header', /\d+ pages/)
  await noViolations(driver)
  await press('button', 'Download')
  await text(driver, '.page-header', 'saved as a PDF')
}

test('by mouse', () => evening(mouse))
test('by keyboard alone', () => evening(keyboard))
test('by touch at 1024 × 768', async () => {
  await size(1024, 768)
  await tools('Emulation.setTouchEmulationEnabled', { enabled: true })
  await evening(touch)
  const { scrollWidth } = await driver.executeScript<{ scrollWidth: number }>(
    'return { scrollWidth: document.documentElement.scrollWidth }',
  )
  expect(scrollWidth).toBeLessThanOrEqual(1024)
})
