import type { WebDriver, WebElement } from 'selenium-webdriver'
import { By, byRole, Key, noViolations, take, text, until, type Running } from './world'
import { inChromium } from './here'

const here = inChromium()
const { active, click, fresh, press, size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})

const said = '[aria-label="What to say"]'
const SEEN = JSON.stringify(['strips', 'vessel', 'line', 'fraction-rule'])

/** A bench in a mode with a material of parts, and a problem typed. */
async function asked(problem: string, material: string, mode: string): Promise<void> {
  await fresh({ 'sett.mode': mode, 'sett.material': material, 'sett.cards-seen': SEEN })
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
  await driver.wait(until.elementLocated(By.css(material === 'line' ? '.number-line' : '.parts svg')), 20_000)
}
/** A line of the page with fractions in it, written as mathematics. */
const line = async (written: string): Promise<WebElement> =>
  driver.wait(until.elementLocated(By.css(`[aria-label="Running equations"] math[alttext="${written}"]`)), 20_000)
const answer = async (value: string): Promise<void> =>
  (await byRole(driver, 'textbox', 'Answer')).sendKeys(value, Key.ENTER)
const move = async (typed: string): Promise<void> =>
  (await driver.findElement(By.id('move'))).sendKeys(Key.chord(Key.CONTROL, 'a'), typed, Key.ENTER)

test('3/10 + 4/10 Together on strips, then on the vessel; “why not 7/20?” is answered on the mat', async () => {
  await asked('3/10 + 4/10', 'strips', 'together')
  const tenth = (): Promise<WebElement> => driver.findElement(By.css('.source[data-of="10"]')) as Promise<WebElement>
  const drag = async (to: string): Promise<void> =>
    driver
      .actions({ async: true })
      .move({ origin: await tenth() })
      .press()
      .move({ origin: await driver.findElement(By.css(`[data-zone="${to}"]`)), duration: 200 })
      .release()
      .perform()
  for (let i = 0; i < 3; i++) await drag('main')
  await line('3/10')
  await click(/^Set/)
  await line('3/10 + 4/10')
  await click('Push together')
  await line('3/10 + 4/10 = 7/10')
  await answer('7/20')
  await text(driver, said, 'seven twentieths fewer than is there')
  await click(/^Why not/)
  // Two rows from one edge, at one scale: seven tenths reach twice as far as seven twentieths.
  const reach = async (row: string): Promise<number> =>
    driver.executeScript(
      'const bars = [...document.querySelectorAll(`.bar[data-from="${arguments[0]}"] .piece`)].map((e) => e.getBoundingClientRect()); return Math.max(...bars.map((b) => b.right)) - Math.min(...bars.map((b) => b.left))',
      row,
    )
  expect((await reach('main')) / (await reach('1'))).toBeCloseTo(2, 1)
  await click('is more than')
  await text(driver, said, 'Seven tenths is more than seven twentieths')
  await noViolations(driver)
  await answer('7/10')
  await text(driver, said, 'equals seven tenths')
  // The fraction on the page is a real one: its top stands above its bottom.
  const [top, bottom] = await driver.executeScript<[number, number]>(
    'const f = document.querySelector(`[aria-label="Running equations"] mfrac`); return [...f.children].map((e) => e.getBoundingClientRect().top)',
  )
  expect(bottom).toBeGreaterThan(top + 5)
  await take(driver, 'Material', 'vessel')
  await driver.wait(until.elementLocated(By.css('.vessel')), 20_000)
  // The work goes on there as it stood.
  await text(driver, '.parts > .sr-only', 'container 1: 7 tenths')
  await line('3/10 + 4/10 = 7/10')
  await noViolations(driver)
})

test('2 2/5 + 1 3/4 Alone: tops and bottoms added are found in the Daybook', async () => {
  await asked('2 2/5 + 1 3/4', 'strips', 'alone')
  await click(/^Lay 2/)
  await click(/^Set 1/)
  await answer('3 5/9')
  await click('Save')
  await byRole(driver, 'textbox', 'Note')
  await (await driver.findElement(By.css('[role="dialog"] button[type="submit"]'))).click()
  await text(driver, '.p-toast', 'is in the Daybook')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, 'tbody tr', 'added tops and bottoms')
  await noViolations(driver)
})

test('1/2 + 1/3 by keyboard alone: laid, set, recut, pushed together, answered', async () => {
  await asked('1/2 + 1/3', 'strips', 'together')
  /** Tabs on to a button or a field, by how its name begins. */
  const tabTo = async (name: string): Promise<void> => {
    for (let i = 0; i < 80; i++) {
      const now = await active('(e.ariaLabel || e.innerText || "").trim().replace(/\\s+/g, " ")')
      if (now.startsWith(name)) return
      await press(Key.TAB)
    }
    throw new Error(`no Tab leads to “${name}”`)
  }
  await (await driver.findElement(By.id('mat'))).sendKeys(Key.TAB)
  await tabTo('Lay one half')
  await press(Key.ENTER)
  await line('1/2')
  await tabTo('Set')
  await press(Key.ENTER)
  await line('1/2 + 1/3')
  await tabTo('Cut it into 3 sixths')
  await press(Key.ENTER)
  await line('1/2 = 3/6')
  await tabTo('What is cut anew')
  await press(Key.ARROW_DOWN)
  await tabTo('Cut it into 2 sixths')
  await press(Key.ENTER)
  await line('1/3 = 2/6')
  await driver.executeScript('document.getElementById("mat").focus()')
  await tabTo('Push together')
  await press(Key.ENTER)
  await line('3/6 + 2/6 = 5/6')
  await answer('5/6')
  await text(driver, said, 'equals five sixths')
})

test('parts that are not of one length are refused with the reason; other lengths of the whole too', async () => {
  await asked('1/2 + 1/3', 'strips', 'together')
  await move('lay 1/2')
  await line('1/2')
  await move('recut 1 half as 2 thirds')
  await text(driver, said, '1 third is too short, 2 thirds are too long')
  await move('whole short')
  await text(driver, said, 'cut from one whole')
})

test('points on the line are put in order; at 390 px everything is in reach', async () => {
  await asked('2/3 ? 3/4 ? 5/8', 'line', 'together')
  await click(/^Stand at/)
  await click(/^Mark/)
  await line('2/3 ? 3/4')
  await click(/^Mark/)
  await line('2/3 ? 3/4 ? 5/8')
  const order = await driver.findElement(By.css('[aria-label="Put in order, the least first"]'))
  const pick = async (name: string): Promise<void> =>
    (await order.findElement(By.xpath(`.//button[.//*[@alttext="${name}"]]`))).click()
  await pick('5/8')
  await pick('< 2/3')
  await pick('< 3/4')
  await line('5/8 < 2/3 < 3/4')
  await noViolations(driver)
  await size(390, 844)
  await asked('5/6 - 1/4', 'vessel', 'together')
  await click(/^Pour in 5/)
  await line('5/6')
  const wide = await driver.executeScript<number>('return document.documentElement.scrollWidth')
  expect(wide).toBeLessThanOrEqual(390)
  await noViolations(driver)
  await size(1280, 800)
})

test('the rule is written step by step, a wrong line is struck and named, and a line is copied', async () => {
  await asked('1/2 + 1/3', 'strips', 'together')
  await move('lay 1/2')
  await line('1/2')
  await click('Tools and practice')
  await (await byRole(driver, 'menuitem', 'Copy the line as LaTeX')).click()
  await text(driver, '[role="status"]', 'Copied: 1/2')
  await fresh({ 'sett.mode': 'together', 'sett.material': 'fraction-rule', 'sett.cards-seen': SEEN })
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '1/2 + 1/3', Key.ENTER)
  for (const written of ['1/2', '1/2 + 1/3', '1/2 + 1/3 = 2/5']) await move(`write ${written}`)
  await text(driver, said, 'Look again')
  for (const written of ['1/2 = 3/6', '1/3 = 2/6', '3/6 + 2/6 = 5/6']) await move(`write ${written}`)
  await line('3/6 + 2/6 = 5/6')
})
