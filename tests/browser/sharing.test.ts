import type { WebDriver, WebElement } from 'selenium-webdriver'
import { By, byRole, Key, noViolations, take, text, type Running } from './world'
import { inChromium } from './here'

const here = inChromium()
const { click, press } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})

const lines = '[aria-label="Running equations"]'
const said = '[aria-label="What to say"]'

/** The Bench with nothing left over, in Together, with a problem typed. */
async function asked(problem: string): Promise<void> {
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'textbox', 'Problem')
  await driver.executeScript(
    `localStorage.clear(); localStorage.setItem('sett.mode', 'together'); localStorage.setItem('sett.cards-seen', '["plates"]')`,
  )
  await driver.get(`${app.url}/bench`)
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
}

test('a division that does not come out is refused by blocks, offered plates, and shared out by mouse', async () => {
  await asked('25 / 4')
  await text(driver, '[role="alert"]', 'it does not multiply or divide')
  await click('Work it with plates')
  for (const store of ['tens', 'tens', 'ones', 'ones', 'ones', 'ones', 'ones'])
    await click(`Store of ${store}: take one in hand`)
  await text(driver, lines, '25 = 20 + 5')
  // Two tens do not go round among four plates: it is said at once, and taken back.
  await click('One on plate 1: ten')
  await text(driver, said, 'That does not go round: plates 2, 3 and 4 wait, and one ten is left.')
  await (await byRole(driver, 'button', /^Plate 1:/)).sendKeys(Key.BACK_SPACE)
  await text(driver, said, 'twenty-five')
  await click('Break one ten')
  await click('Break one ten')
  await click('One on each: ones')
  // One by one the piece goes to the plate whose turn it is.
  for (const plate of [1, 2, 3]) await click(`One on plate ${plate}: one`)
  await text(driver, said, 'Not the same on every plate yet: plate 4 waits.')
  await click('One on plate 4: one')
  for (let round = 0; round < 4; round++) await click('One on each: ones')
  await noViolations(driver)
  expect(await (await byRole(driver, 'button', 'Plate 4: 6 ones')).isDisplayed()).toBe(true)
  await (await byRole(driver, 'textbox', /^Answer/)).sendKeys('6 r 1', Key.ENTER)
  await text(driver, said, 'Twenty-five divided by four equals six each, and one left over.')
  await text(driver, lines, '25 = 4 × 6 + 1')
})

test('by keyboard alone: plates are walked with arrows, filled and emptied', async () => {
  await asked('9 / 3')
  await take(driver, 'Material', 'plates')
  await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('lay 9', Key.ENTER)
  await driver.executeScript(`document.querySelector('[data-plate="1"]').focus()`)
  await press(Key.ENTER, Key.ARROW_RIGHT, Key.ENTER, Key.ARROW_RIGHT, Key.ENTER)
  await byRole(driver, 'button', 'Plate 3: 1 one')
  await press(Key.DELETE)
  await byRole(driver, 'button', 'Plate 3: nothing')
  await press(Key.ENTER)
  await text(driver, lines, '9 − 3 × 1 = 6')
})

test('pieces are dragged: from the store into the hand, onto a plate, to another plate and back', async () => {
  await asked('8 / 4')
  await take(driver, 'Material', 'plates')
  const plate = (n: number) => byRole(driver, 'button', new RegExp(`^Plate ${n}:`))
  const drag = async (css: string, to: WebElement): Promise<void> =>
    driver
      .actions()
      .dragAndDrop(await driver.findElement(By.css(css)), to)
      .perform()
  for (let n = 1; n <= 2; n++) {
    await drag('.store[data-place="0"]', await driver.findElement(By.css('[data-column="0"] .pieces')))
    await text(driver, '.plates', `${n} one`)
  }
  await drag('.piece[data-from="hand"]', await plate(3))
  await byRole(driver, 'button', 'Plate 3: 1 one')
  await drag('.piece[data-plate="3"]', await plate(2))
  await byRole(driver, 'button', 'Plate 2: 1 one')
  await drag('.piece[data-plate="2"]', await driver.findElement(By.css('[data-column="0"] .pieces')))
  await byRole(driver, 'button', 'Plate 2: nothing')
})

test('three eighths or three divided by eight: Sett asks which was meant', async () => {
  await asked('3/8')
  await text(driver, '[role="alert"]', '3/8 could be 3 ÷ 8, or the fraction 3/8.')
  await noViolations(driver)
  await click('3 ÷ 8, a division')
  await text(driver, '[role="alert"]', 'it does not multiply or divide')
  await click('Work it with plates')
  expect(await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')).toBe('3 ÷ 8')
  expect(await driver.findElements(By.css('.plate'))).toHaveLength(8)
})
