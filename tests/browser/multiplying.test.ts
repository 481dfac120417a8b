import type { WebDriver } from 'selenium-webdriver'
import { By, byRole, Key, noViolations, take, text, type Running } from './world'
import { inChromium } from './here'

const here = inChromium()
const { click, press, active, fresh, size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))

const lines = '[aria-label="Running equations"]'
const said = '[aria-label="What to say"]'
const SEEN = JSON.stringify(['division', 'groups', 'area', 'product', 'plates', 'blocks'])

/** A bench with a material, a way and a mode, and this problem asked. */
async function asked(
  problem: string,
  material: string,
  mode: string,
  more: Record<string, string> = {},
): Promise<void> {
  await fresh({ 'sett.material': material, 'sett.mode': mode, 'sett.cards-seen': SEEN, ...more })
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
  await driver.wait(
    async () => ((await box.getAttribute('value')) ?? '').replace(/[×÷]/g, '') === problem.replace(/[*/]/g, ''),
    20_000,
  )
}

/** A finger put down on a button and lifted again. */
async function tap(name: string | RegExp): Promise<void> {
  const button = await byRole(driver, 'button', name)
  const { x, y, width, height } = await button.getRect()
  const devTools = driver as unknown as { sendDevToolsCommand(command: string, parameters: object): Promise<void> }
  const at = [{ x: Math.round(x + width / 2), y: Math.round(y + height / 2) }]
  await devTools.sendDevToolsCommand('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at })
  await devTools.sendDevToolsCommand('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
}

test('94 ÷ 6 Alone by touch, with the card: a remainder not smaller than the divisor is found in the Daybook', async () => {
  await size(1024, 768)
  await asked('94 / 6', 'division', 'alone')
  await tap('Write 94 down')
  await driver.wait(async () => (await driver.findElements(By.css('.card'))).length === 1, 20_000)
  await noViolations(driver)
  for (const digits of ['1', '6', '3']) {
    await tap(digits)
    if (digits !== '1') await tap('Write it')
  }
  await text(driver, '.loop', 'bring down')
  await tap('bring down')
  await driver.wait(async () => (await driver.findElements(By.css('.card'))).length === 0, 20_000)
  for (let finger = 0; finger < 5; finger++) await tap('One finger more')
  await text(driver, '.words', '30')
  await tap('Take the last back')
  await tap('4')
  for (const number of ['24', '10']) {
    for (const digit of number) await tap(digit)
    await tap('Write it')
  }
  await (await byRole(driver, 'textbox', /^Answer/)).sendKeys('14 r 10', Key.ENTER)
  await click('Save')
  await byRole(driver, 'textbox', 'Note')
  await (await driver.findElement(By.css('[role="dialog"] button[type="submit"]'))).click()
  await text(driver, '.p-toast', 'is in the Daybook')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, 'tbody tr', 'left a remainder that is not smaller than the divisor')
  await noViolations(driver)
})

test('long division by keyboard alone: the cursor goes from square to square, and a slip is put right', async () => {
  await asked('84 / 7', 'division', 'together')
  await (await byRole(driver, 'button', 'Write 84 down')).sendKeys(Key.ENTER)
  const slot = await byRole(driver, 'textbox', 'Quotient, over the 8')
  await slot.sendKeys('1', Key.ENTER)
  await byRole(driver, 'textbox', '1 times 7')
  await driver.wait(async () => (await active('e.getAttribute("aria-label")')) === '1 times 7', 20_000)
  await press('7', Key.ENTER)
  await driver.wait(async () => (await active('e.getAttribute("aria-label")')) === '8 less 7', 20_000)
  await press('1', Key.ENTER)
  await text(driver, lines, '84 − 7 × 10 = 14')
  await (await byRole(driver, 'button', 'bring down')).sendKeys(Key.ENTER)
  await (await byRole(driver, 'textbox', 'Quotient, over the 4')).sendKeys('1', Key.ENTER)
  await driver.wait(async () => (await active('e.getAttribute("aria-label")')) === '1 times 7', 20_000)
  await press('7', Key.ENTER)
  await driver.wait(async () => (await active('e.getAttribute("aria-label")')) === '14 less 7', 20_000)
  await press('7', Key.ENTER)
  await text(driver, said, 'another 7 still fits')
  // The step is chosen again: what stood there is struck, and stays.
  await (await byRole(driver, 'button', 'divide')).sendKeys(Key.ENTER)
  await driver.wait(async () => (await active('e.getAttribute("aria-label")')) === 'Quotient, over the 4', 20_000)
  await press('2', Key.ENTER)
  await driver.wait(async () => (await active('e.getAttribute("aria-label")')) === '2 times 7', 20_000)
  await press('1', '4', Key.ENTER)
  await driver.wait(async () => (await active('e.getAttribute("aria-label")')) === '14 less 14', 20_000)
  await press('0', Key.ENTER)
  expect(await driver.findElements(By.css('.figures.struck'))).toHaveLength(2)
  await (await byRole(driver, 'textbox', /^Answer/)).sendKeys('12', Key.ENTER)
  await text(driver, lines, '84 = 7 × 12')
})

test('7 × 8 on an array: split, filled part by part, turned round', async () => {
  await asked('7 * 8', 'groups', 'together', { 'sett.way': 'split-groups' })
  await driver.findElement(By.css('svg[aria-label^="Array"]'))
  await click('Split after')
  await text(driver, lines, '7 × 8 = 5 × 8 + 2 × 8')
  await click('5 × 8 at once')
  await click('2 × 8 at once')
  await text(driver, lines, '40 + 16 = 56')
  await noViolations(driver)
  await click('Turn it round')
  await text(driver, lines, '7 × 8 = 8 × 7')
  await driver.findElement(By.css('svg[aria-label^="Array: 8 groups of 7"]'))
})

test('groups one by one, with equal hops on the line and fingers beside the total', async () => {
  await asked('3 * 8', 'groups', 'together', { 'sett.beside': 'openline' })
  for (let n = 0; n < 3; n++) await (await byRole(driver, 'button', 'One group more')).sendKeys(Key.ENTER)
  await text(driver, lines, '16 + 8 = 24')
  await text(driver, '.second', '+8')
  await (await byRole(driver, 'textbox', 'Answer')).sendKeys('24', Key.ENTER)
  await text(driver, said, 'Three times eight equals twenty-four.')
})

test('37 × 24 on paper, the rectangle beside it filled in step; the second row that is not moved over is told', async () => {
  await asked('37 * 24', 'product', 'together', { 'sett.beside': 'area' })
  await (await byRole(driver, 'button', 'Row 1, ones: empty')).click()
  // The frame goes from square to square by itself.
  for (const digit of ['8', '2', '4', '1']) await press(digit)
  await text(driver, lines, '4 × 30 = 120')
  await press('4')
  await text(driver, said, 'it begins one place further to the left')
  await noViolations(driver)
  await (await byRole(driver, 'button', 'Row 2, ones: 4')).click()
  for (const digit of ['0', '4', '1', '7']) await press(digit)
  await text(driver, lines, '20 × 30 = 600')
  for (const digit of ['8', '8', '8']) await press(digit)
  await text(driver, lines, '148 + 740 = 888')
  await text(driver, '.second', /20 × 30 =\s+600/)
})

test('the rectangle by hand: parted at the tens, a wrong part struck and written again', async () => {
  await asked('37 * 24', 'area', 'together')
  await click('Part it at the tens')
  const part = await byRole(driver, 'textbox', '20 times 30')
  await part.sendKeys('60', Key.ENTER)
  await text(driver, said, '20 × 30 is not 60')
  await (await byRole(driver, 'textbox', '20 times 30')).sendKeys('600', Key.ENTER)
  for (const number of ['140', '120', '28']) {
    await driver.wait(async () => (await active('e.tagName')) === 'INPUT', 20_000)
    await press(...number, Key.ENTER)
  }
  await text(driver, lines, '600 + 140 + 120 + 28 = 888')
  await noViolations(driver)
})

test('how many plates of six: they are filled one by one, and the last one not full is told', async () => {
  await asked('14 / 6', 'plates', 'together', { 'sett.way': 'fill-plates' })
  const move = await byRole(driver, 'textbox', 'Type a move')
  await move.sendKeys('lay 14', Key.ENTER)
  await click('Break one ten')
  await click('Fill a plate with 6')
  await text(driver, lines, '14 − 6 = 8')
  await click('One on plate 2: one')
  await text(driver, said, 'Plate 2 is not full yet: 6 go on each.')
  for (let n = 0; n < 5; n++) await click('One on plate 2: one')
  await (await byRole(driver, 'textbox', /^Answer/)).sendKeys('2 r 2', Key.ENTER)
  await text(driver, said, 'equals two groups, and two left over')
})

test('facts are rehearsed from the grid: a wrong one is marked, and asked again by choosing it', async () => {
  await driver.get(`${app.url}/practice/facts`)
  await click('7 × 8: not asked yet')
  await (await byRole(driver, 'textbox', '7 times 8')).sendKeys('54', Key.ENTER)
  await text(driver, '[aria-label="Rehearsing"]', 'It is 56.')
  await noViolations(driver)
  await click(/^7 × 8: missed last time/)
  await (await byRole(driver, 'textbox', '7 times 8')).sendKeys('56', Key.ENTER)
  await byRole(driver, 'button', /^7 × 8: right, not due yet, 1 of 2 right/)
  await driver.navigate().refresh()
  await byRole(driver, 'button', /^7 × 8: (right, not due yet|due again), 1 of 2 right/)
  await click('Count back')
  await click('Products')
  await click('Begin')
  await byRole(driver, 'textbox', /^Count back \d from \d+$/)
})

test('a room’s own names for the four steps, and a square left empty, are kept and used', async () => {
  await driver.get(`${app.url}/settings`)
  const box = await byRole(driver, 'textbox', /The step “divide” is called/)
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), 'share', Key.TAB)
  await driver.findElement(By.xpath('//label[contains(., "Where no group fits first")]/select/option[2]')).click()
  await click('Save changes')
  await driver.wait(async () => {
    const room = (await (await fetch(`${app.url}/api/classroom`)).json()) as {
      classroom: { hands: { division: object } }
    }
    return JSON.stringify(room.classroom.hands.division).includes('share')
  }, 20_000)
  await asked('612 / 7', 'division', 'show')
  await press(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT)
  await text(driver, said, 'Share: how many times seven in sixty-one? Eight.')
  await take(driver, 'Way of working', 'long division')
})
