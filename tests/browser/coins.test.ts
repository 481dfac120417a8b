import type { WebDriver } from 'selenium-webdriver'
import { By, byRole, Key, noViolations, text, until, type Running } from './world'
import { inChromium } from './here'

const here = inChromium()
const { click, fresh, size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))

const lines = '[aria-label="Running equations"]'
const said = '[aria-label="What to say"]'

async function asked(problem: string, mode: string, more: Record<string, string> = {}): Promise<void> {
  await fresh({ 'sett.material': 'coins', 'sett.mode': mode, 'sett.cards-seen': '["coins"]', ...more })
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
  await driver.wait(async () => (await driver.findElements(By.css('.coins'))).length > 0, 20_000)
}

test('a heap counted Alone with “kept counting by the last value” is found in the Daybook', async () => {
  await asked('3 * 25 + 2 * 10', 'alone')
  const say = await byRole(driver, 'textbox', 'I say')
  await noViolations(driver)
  for (const [word, coin] of [
    ['25', 'Count 25, 3 in the heap'],
    ['50', 'Count 25, 2 in the heap'],
    ['75', 'Count 25, 1 in the heap'],
    ['100', 'Count 10, 2 in the heap'],
    ['110', 'Count 10, 1 in the heap'],
  ] as const) {
    await say.sendKeys(word)
    await click(coin)
  }
  await (await byRole(driver, 'textbox', 'Answer')).sendKeys('125', Key.ENTER)
  await click('Save')
  await byRole(driver, 'textbox', 'Note')
  await (await driver.findElement(By.css('[role="dialog"] button[type="submit"]'))).click()
  await text(driver, '.p-toast', 'is in the Daybook')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, 'tbody tr', 'kept counting by the last value')
})

test('a heap Together by tapping the coins: where the kind changes it is said, and a coin can go back', async () => {
  await asked('2 * 25 + 1 * 10', 'together')
  const coin = async (value: string) =>
    (
      await driver.findElements(
        By.xpath(`//section[@aria-label="The heap"]//span[contains(@class,"coin") and normalize-space()="${value}"]`),
      )
    )[0]!
  await (await coin('25')).click()
  await (await coin('25')).click()
  await text(driver, said, 'Stop. Now one token of ten.')
  await (await coin('10')).click()
  await text(driver, lines, '50 + 10 = 60')
  await click('Take the last back')
  await text(driver, lines, '60 − 10 = 50')
  await noViolations(driver)
})

test('change Together: counted up from the price by keyboard alone, with the line in step', async () => {
  await asked('200 - 135', 'together', { 'sett.beside': 'openline' })
  await (await byRole(driver, 'button', 'Count up from 1.35')).sendKeys(Key.ENTER)
  for (const coin of ['5', '10', '50']) await (await byRole(driver, 'button', `Give ${coin}`)).sendKeys(Key.ENTER)
  await text(driver, lines, '150 + 50 = 200')
  await text(driver, '.second', '+50')
  await (await byRole(driver, 'textbox', 'Answer')).sendKeys('65', Key.ENTER)
  await text(driver, said, 'equals sixty-five')
})

test('coins counted are exchanged for others of the same worth, and an amount is paid', async () => {
  await asked('87', 'together')
  await text(driver, '.ways', /in \d+ ways/)
  for (const coin of ['50', '25']) await click(`Give ${coin}`)
  await click('Exchange')
  await click('Exchange 25 for 10 and 10 and 5')
  await text(driver, said, 'seventy-five')
  await noViolations(driver)
})

test('a disc of 25 mm is 25 mm by the device’s own measure, once a card has been held to the screen', async () => {
  await asked('3 * 25', 'together')
  await click('Measure this screen')
  const slider = await driver.wait(until.elementLocated(By.css('input[type="range"]')), 10_000)
  await noViolations(driver)
  for (let n = 0; n < 12; n++) await slider.sendKeys(Key.ARROW_RIGHT)
  const bar = (await (await driver.findElement(By.css('.card'))).getRect()).width
  await click('It is as long as the card')
  await byRole(driver, 'button', 'True size')
  const disc = (await (await driver.findElement(By.css('.lying .coin'))).getRect()).width
  // The token of 25 is 25 mm across; the bar is a card's 85.60 mm.
  expect(Math.abs((disc / bar) * 85.6 - 25)).toBeLessThan(0.3)
})

test('a class counts in its own money', async () => {
  await driver.get(`${app.url}/settings`)
  const choice = await driver.wait(
    async () =>
      (await driver.findElements(By.xpath('//label[contains(., "The coins are")]/select/option[3]')))[0] ?? null,
    10_000,
  )
  await choice!.click()
  await click('Save changes')
  await driver.wait(async () => {
    const room = (await (await fetch(`${app.url}/api/classroom`)).json()) as { classroom: { hands: { money: object } } }
    return JSON.stringify(room.classroom.hands.money).includes('uk')
  }, 20_000)
  await asked('2 * 50 + 1 * 20', 'together')
  await click('Count 50p, 2 in the heap')
  await click('Count 50p, 1 in the heap')
  await text(driver, '.total', '£1.00')
})

test('the stall: two things are bought, paid and given change for at the bench, one problem after another', async () => {
  await driver.get(`${app.url}/bench/shop`)
  await click(/^paper lantern/)
  await click(/^length of ribbon/)
  await noViolations(driver)
  await click('Receipt')
  await text(driver, '[aria-label="Receipt"]', '45 + 20 = 65')
  await text(driver, '[aria-label="Receipt"]', '100 − 65 = 35')
  await click('Pay and give change at the bench')
  const box = await byRole(driver, 'textbox', 'Problem')
  await driver.wait(async () => (await box.getAttribute('value')) === '45 + 20', 20_000)
  await byRole(driver, 'button', /^Material: coins/)
  await click('Next problem')
  await driver.wait(async () => (await box.getAttribute('value')) === '100 − 65', 20_000)
})

test('the stall: a thing of the class’s own, a wrong price refused, a heap dropped for a rule, and which coins it could be', async () => {
  await driver.get(`${app.url}/bench/shop`)
  await (await byRole(driver, 'textbox', 'Another thing')).sendKeys('button', Key.TAB, '700', Key.ENTER)
  await text(driver, '.stall', /A price is an amount up to/)
  await (await byRole(driver, 'textbox', 'Price')).sendKeys(Key.chord(Key.CONTROL, 'a'), '12', Key.ENTER)
  await byRole(driver, 'button', /^button /)
  await (await byRole(driver, 'textbox', 'Comes to')).sendKeys('41')
  await (await byRole(driver, 'textbox', 'Coins')).sendKeys('4')
  await click('Which coins could these be?')
  await text(driver, '[aria-label="What they could be"]', '1 × 20')
  await noViolations(driver)
  await click('Drop it on the bench')
  const box = await byRole(driver, 'textbox', 'Problem')
  expect(await box.getAttribute('value')).toMatch(/^\d+ × \d+( \+ \d+ × \d+)*$/)
})

/** The class counts in pounds and pence. */
async function inPence(): Promise<void> {
  const url = `${app.url}/api/classroom`
  const { classroom } = (await (await fetch(url)).json()) as { classroom: { hands: { money: object } } }
  const money = { ...classroom.hands.money, set: 'uk' }
  const body = JSON.stringify({ ...classroom, hands: { ...classroom.hands, money } })
  const put = await fetch(url, { method: 'PUT', headers: { 'content-type': 'application/json' }, body })
  expect(put.status).toBe(200)
}

test('the stall: an amount paid without a kind, every way to pay it, and a heap put together by hand that is not enough', async () => {
  await inPence()
  await driver.get(`${app.url}/bench/shop`)
  const amount = await byRole(driver, 'textbox', 'To pay')
  await amount.sendKeys(Key.chord(Key.CONTROL, 'a'), '1.7.5', Key.ENTER)
  await text(driver, '[aria-label="Paying"]', 'Say what is to be paid')
  await amount.sendKeys(Key.chord(Key.CONTROL, 'a'), '0.12')
  await click('Every way to pay it')
  await text(driver, '[aria-label="Paying"]', /There are \d+ ways/)
  await (await byRole(driver, 'checkbox', '10p')).click()
  await noViolations(driver)
  await click('Pay it at the bench')
  const box = await byRole(driver, 'textbox', 'Problem')
  await driver.wait(async () => (await box.getAttribute('value')) === '12 without 10', 20_000)
  await byRole(driver, 'button', 'Give 5p')
  expect(await driver.findElements(By.css('[aria-label="Give 10p"]'))).toHaveLength(0)

  await driver.get(`${app.url}/bench/shop`)
  await click('One more 50p')
  for (let n = 0; n < 2; n++) await click('One more 20p')
  await click('One 20p less')
  await (await byRole(driver, 'textbox', 'Should pay')).sendKeys('0.75', Key.ENTER)
  const asking = await byRole(driver, 'textbox', 'Problem')
  await driver.wait(async () => (await asking.getAttribute('value')) === '1 × 50 + 1 × 20 ? 75', 20_000)
  await click('Count 50p, 1 in the heap')
  await click('Count 20p, 1 in the heap')
  await click('Not enough')
  await text(driver, said, 'Seventy is not enough: five more are wanted.')
  await text(driver, lines, '70 < 75')
  await noViolations(driver)
})

test('a class’s own coins and paper money are kept, and lie on the bench', async () => {
  await driver.get(`${app.url}/settings`)
  const set = await byRole(driver, 'combobox', 'The coins are')
  await set.sendKeys('our own')
  await (await byRole(driver, 'combobox', 'Paper money')).sendKeys('lies there')
  await click('Take the coin of 25 out')
  await click('Add a coin')
  await (await byRole(driver, 'combobox', 'Coin 6: worth')).sendKeys('40')
  const across = await byRole(driver, 'spinbutton', 'Coin 6: millimetres across')
  await across.sendKeys(Key.chord(Key.CONTROL, 'a'), '31', Key.TAB)
  await (await byRole(driver, 'textbox', 'Sign after the small unit')).sendKeys('k', Key.TAB)
  await noViolations(driver)
  await click('Save changes')
  await driver.wait(async () => {
    const room = (await (await fetch(`${app.url}/api/classroom`)).json()) as {
      classroom: { hands: { money: { own: { coins: unknown[] } } } }
    }
    return JSON.stringify(room.classroom.hands.money.own.coins).includes('{"value":40,"across":31}')
  }, 20_000)
  await asked('545', 'together')
  for (const piece of ['500k', '40k', '5k']) await click(`Give ${piece}`)
  await text(driver, '.total', '5.45')
})
