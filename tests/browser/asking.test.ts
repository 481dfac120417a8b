import type { WebDriver } from 'selenium-webdriver'
import { By, byRole, choose, Key, noViolations, take, text, until, type Running } from './world'
import { hasMat, REPRESENTATION_IDS } from '../../core/index'
import { inChromium } from './here'

/** Asking in one gesture, the shelf, cards: what everybody meets first. */

const here = inChromium()
const { click, press, active, fresh } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
const say = '[aria-label="What to say"]'

describe('asking is one gesture', () => {
  test('materials are offered for what is typed while it is typed; choosing one works it', async () => {
    await fresh()
    const box = await byRole(driver, 'textbox', 'Problem')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '9 x 4')
    await text(driver, '.under', 'Work 9 × 4 with')
    await text(driver, '.under', 'The mat still has 52 − 37.')
    // Blocks cannot hold a product: they are not among what is offered.
    expect(await (await driver.findElement(By.css('.under'))).getText()).not.toContain('base-ten blocks')
    await click('nines hands')
    await byRole(driver, 'group', 'The mat')
    await text(driver, say, 'Nine times four.')
    expect(await box.getAttribute('value')).toBe('9 × 4')
    expect(await driver.getTitle()).toBe('9 × 4 with nines hands – Bench – Sett')
    expect(await driver.findElements(By.css('.under'))).toHaveLength(0)
  })

  test('a refused problem says why under the box, and the mat keeps its own heading', async () => {
    await fresh()
    const box = await byRole(driver, 'textbox', 'Problem')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '52 minus', Key.ENTER)
    await text(driver, '#problem-trouble', 'has no number after it')
    await text(driver, '#problem-trouble', 'The mat still has 52 − 37.')
    expect(await active('e.id')).toBe('problem')
    await noViolations(driver)
    // Escape leaves the box; it says again what is on the mat, and keys work.
    await press(Key.ESCAPE)
    expect(await box.getAttribute('value')).toBe('52 − 37')
    expect(await active('e.id')).toBe('mat')
    await press('@')
    await text(driver, say, 'Now lay fifty-two: drag five tens and two ones from the store.')
  })

  test('a way or a mode chosen while something else is typed works what is typed', async () => {
    await fresh()
    const box = await byRole(driver, 'textbox', 'Problem')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '46 plus 27 = ?')
    await click('Together')
    await text(driver, say, 'Forty-six add twenty-seven.')
    expect(await box.getAttribute('value')).toBe('46 + 27')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '29 + 46')
    await take(driver, 'Way of working', 'Make a friendly number')
    await text(driver, say, 'Twenty-nine add forty-six.')
  })
})

describe('the shelf', () => {
  test('by keyboard alone: opened, searched, walked, chosen; what does not fit says why', async () => {
    await fresh()
    await press('m')
    await driver.wait(until.elementLocated(By.css('[role="dialog"] .face')), 20_000)
    await noViolations(driver)
    expect(await active('e.closest("label")?.innerText.trim()')).toBe('Find a material')
    const fingers = await driver.findElement(By.css('[role="dialog"] .face[aria-label="Fingers"]'))
    expect(await fingers.getAttribute('aria-disabled')).toBe('true')
    const about = await fingers.getAttribute('aria-describedby')
    await text(driver, `#${about}`, '52 is asked. It holds 20')
    // Of what holds the problem each stands before what does not, and every card has its picture.
    const order = await driver.executeScript<boolean[][]>(
      'return [...document.querySelectorAll("[role=dialog] section")].map((s) => [...s.querySelectorAll(".face")].map((f) => f.ariaDisabled !== "true"))',
    )
    for (const fits of order) expect([...fits].sort((a, b) => Number(b) - Number(a))).toEqual(fits)
    expect(await driver.findElements(By.css('[role="dialog"] .face svg.thumb'))).toHaveLength(
      REPRESENTATION_IDS.filter(hasMat).length,
    )
    await press(Key.ARROW_DOWN)
    expect(await active('e.getAttribute("aria-label")')).toBe('Base-ten blocks')
    await press(Key.ARROW_RIGHT)
    expect(await active('e.getAttribute("aria-label")')).toBe('Chips')
    await press(Key.ENTER)
    await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 20_000)
    await byRole(driver, 'button', 'Material: chips')
    expect(await active('e.id')).toBe('mat')
    await press('m')
    await driver.wait(until.elementLocated(By.css('[role="dialog"] .face')), 20_000)
    await press('abac', Key.ENTER)
    await byRole(driver, 'button', 'Material: abacus')
    await press('w')
    await driver.wait(until.elementLocated(By.css('[role="dialog"] .face')), 20_000)
    await noViolations(driver)
    await press(Key.ESCAPE)
    await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 20_000)
  })

  test('what is pinned and what was used lately stand first', async () => {
    await fresh({ 'sett.lately': '["chips","blocks"]' })
    await click(/^Material/)
    await driver.wait(until.elementLocated(By.css('[role="dialog"] .face')), 20_000)
    const first = (): Promise<string[]> =>
      driver.executeScript(
        'const s = document.querySelector("[role=dialog] section"); return [s.getAttribute("aria-label"), ...[...s.querySelectorAll(".face")].map((f) => f.getAttribute("aria-label"))]',
      )
    expect(await first()).toEqual(['Pinned and used lately', 'Base-ten blocks', 'Chips'])
    const pin = await driver.findElement(By.css('[role="dialog"] .pin[aria-label="Keep Open number line first"]'))
    await pin.click()
    expect((await first())[1]).toBe('Open number line')
    await choose(driver, 'Drawn tens')
    await byRole(driver, 'group', 'The mat')
  })
})

test('a material’s card opens by itself the first time hands work with it, and is found again under ?', async () => {
  await fresh()
  expect(await driver.findElements(By.css('.first'))).toHaveLength(0)
  await click('Together')
  await text(driver, '.first', 'Drag a piece from the store into its column.')
  await noViolations(driver)
  await click('Got it')
  expect(await driver.findElements(By.css('.first'))).toHaveLength(0)
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'button', 'Store of ones')
  expect(await driver.findElements(By.css('.first'))).toHaveLength(0)
  await press('?')
  await text(driver, '[role="dialog"]', 'Drag a piece from the store into its column.')
  await noViolations(driver)
  await press(Key.ESCAPE)
  await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 20_000)
  expect(await active('e !== document.body')).toBe(true)
})

test('counters and drawn tens are dragged as blocks are', async () => {
  const drag = async (from: string, dx: number, dy: number): Promise<void> => {
    const origin = await driver.wait(until.elementLocated(By.css(from)), 20_000)
    await driver.actions().move({ origin }).press().move({ origin, x: dx, y: dy, duration: 150 }).release().perform()
  }
  await fresh({ 'sett.mode': 'together', 'sett.cards-seen': '["counters","drawn","blocks"]' })
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '3 - 1')
  await take(driver, 'Material', 'Counters')
  for (const n of [1, 2, 3]) {
    await drag('.bowl ellipse', -400, -60)
    await text(driver, '.stone.now, .stone[aria-current]', n === 3 ? '− 1' : `put ${n}`)
  }
  const counter = await driver.findElement(By.css('.counter .body'))
  const bowl = await driver.findElement(By.css('.bowl .front'))
  await driver.actions().move({ origin: counter }).press().move({ origin: bowl, duration: 150 }).release().perform()
  await text(driver, '[aria-label="Running equations"]', '3 − 1 = 2')

  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '31 - 4')
  await take(driver, 'Material', 'Drawn tens')
  const move = await byRole(driver, 'textbox', 'Type a move')
  await move.sendKeys('draw 31', Key.ENTER)
  await text(driver, '[aria-label="The course of stones"]', '− 4')
  const stroke = await driver.findElement(By.css('.thing .stroke'))
  const dot = await driver.findElement(By.css('.thing circle'))
  await driver.actions().move({ origin: stroke }).press().move({ origin: dot, duration: 150 }).release().perform()
  await text(driver, '[aria-label="Running equations"]', '31 = 20 + 11')
})
