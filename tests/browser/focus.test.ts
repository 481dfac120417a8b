import type { WebDriver } from 'selenium-webdriver'
import { By, byRole, Key, noViolations, take, text, until, type Running } from './world'
import { inChromium } from './here'

/** The focus is never lost. */

const here = inChromium()
const { click, press, active, fresh } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
const say = '[aria-label="What to say"]'

describe('the focus is never lost', () => {
  test('after asking, answering, the next problem, saving and every dialog', async () => {
    await fresh({ 'sett.mode': 'together', 'sett.cards-seen': '["blocks"]' })
    const here = (): Promise<string> => active('e.id || e.getAttribute("aria-label") || e.tagName')
    await press('a')
    await press('43 - 18', Key.ENTER)
    await text(driver, say, 'Forty-three')
    expect(await here()).toBe('mat')
    await press('r')
    await press('25', Key.ENTER)
    await text(driver, say, 'Twenty-five is right. The mat still shows nought.')
    expect(await here()).toBe('mat')
    await press('s')
    await driver.wait(until.elementLocated(By.css('[role="dialog"]')), 20_000)
    await press(Key.ESCAPE)
    await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 20_000)
    await driver.wait(async () => (await here()) !== 'BODY', 2000, 'the focus is lost after a dialog')
    await press('n')
    await driver.wait(async () => (await here()) === 'mat', 2000)
    for (const item of ['Which way suits it?', 'Read the numbers aloud', 'How we work the abacus']) {
      await click('Tools and practice')
      await (await byRole(driver, 'menuitem', item)).click()
      await driver.wait(until.elementLocated(By.css('[role="dialog"]')), 20_000)
      await noViolations(driver)
      await press(Key.ESCAPE)
      await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 20_000)
      await driver.wait(async () => (await here()) !== 'BODY', 2000, `the focus is lost after ${item}`)
    }
  })

  test('where what had the focus goes away: starting, writing down, keeping in the head, laying cards, deleting', async () => {
    const lost = (): Promise<boolean> =>
      driver.executeScript<boolean>(`const e = document.activeElement; return ` + 'e === document.body')
    const settle = (): Promise<void> =>
      driver.executeAsyncScript('requestAnimationFrame(() => requestAnimationFrame(() => arguments[0]()))')
    for (const [problem, material, way, button] of [
      ['45 + 37', 'Open number line', 'Hops from the first number', 'Start at 45'],
      ['45 + 37', 'Column sheet', 'Ones first', 'Write 45 down'],
      ['8 + 5', 'Fingers', 'Count on', 'Keep 8 in the head'],
      ['8 + 5', 'Counters', 'Count all', 'Make four cards'],
    ] as const) {
      await fresh({
        'sett.mode': 'together',
        'sett.cards-seen': '["openline","columns","fingers","counters","blocks"]',
      })
      const box = await byRole(driver, 'textbox', 'Problem')
      await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem)
      await take(driver, 'Material', material)
      await take(driver, 'Way of working', way)
      await (await byRole(driver, 'button', button)).sendKeys(Key.ENTER)
      await settle()
      await driver.wait(async () => !(await lost()), 2000, `the focus is lost after ${button}`)
    }
    // Undoing the last move takes the button's use away; the focus goes on to the next one.
    await fresh({ 'sett.mode': 'together', 'sett.cards-seen': '["blocks"]' })
    await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('lay 5 tens', Key.ENTER)
    await byRole(driver, 'button', '5 tens on the mat')
    await press(Key.ESCAPE)
    expect(await active('e.id')).toBe('mat')
    await (await byRole(driver, 'button', 'Undo')).sendKeys(Key.ENTER)
    await byRole(driver, 'button', '0 tens on the mat')
    await driver.wait(async () => !(await lost()), 2000, 'the focus is lost after undoing')
    await driver.get(`${app.url}/learners/records`)
    await (await byRole(driver, 'button', /^Delete /)).sendKeys(Key.ENTER)
    await settle()
    await driver.wait(async () => !(await lost()), 2000, 'the focus is lost after deleting')
  })

  test('rehearsing: the question has the focus, and the grid keeps its rules to itself until it is answered', async () => {
    await driver.get(`${app.url}/practice`)
    await click('Begin')
    expect(await active('e.id')).toMatch(/question|typed/)
    expect(await driver.findElements(By.css('.grid td b'))).toHaveLength(0)
    const names = await driver.executeScript<string>(
      'return [...document.querySelectorAll(".grid button")].map((b) => b.ariaLabel).join()',
    )
    expect(names).not.toMatch(/direct|complement/)
    await press('1')
    await driver.wait(until.elementLocated(By.css('#go-on')), 20_000).catch(() => click('Done'))
    await driver.wait(async () => (await driver.findElements(By.css('.grid td b'))).length > 0, 20_000)
  })

  test('with one thing at a time nothing unseen takes the focus, and Show has Undo and a box for the answer', async () => {
    await fresh({ 'sett.mode': 'show', 'sett.cards-seen': '["blocks"]' })
    await press('e')
    await byRole(driver, 'button', 'Show everything again')
    await press(Key.ARROW_RIGHT, Key.ARROW_RIGHT)
    await click('Back one step')
    await byRole(driver, 'textbox', 'Answer')
    await noViolations(driver)
    const reached = new Set<string>()
    for (let i = 0; i < 30; i++) {
      await press(Key.TAB)
      const [name, isSeen] = await driver.executeScript<[string, boolean]>(`
        const e = document.activeElement, b = e.getBoundingClientRect()
        return [e.id || e.getAttribute('aria-label') || e.innerText, e === document.body || (e.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && b.width > 1 && b.height > 1)]`)
      expect([name, isSeen]).toEqual([name, true])
      reached.add(name)
    }
    expect(reached).toContain('read')
    await press('e')
  })
})
