import type { WebDriver } from 'selenium-webdriver'
import { SLIPS } from '../../core/record/slips'
import { By, byRole, Key, noViolations, text, type Running, take } from './world'
import { inChromium } from './here'

const here = inChromium()
const { click } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})

const lines = '[aria-label="Running equations"]'
const accessible = (): Promise<void> => noViolations(driver)

/** Asks a problem to be worked alone in a material, by a way if it is not the first. */
async function alone(problem: string, material: string, way?: string): Promise<void> {
  await driver.get(`${app.url}/bench`)
  const ask = async (): Promise<void> => {
    const box = await byRole(driver, 'textbox', 'Problem')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
  }
  await driver.executeScript('localStorage.clear()')
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'group', 'The mat')
  // Blocks hold every sum here; products are offered elsewhere at once.
  await ask()
  await driver.wait(async () => {
    const [other] = await driver.findElements(By.css('#problem-trouble button'))
    const box = await byRole(driver, 'textbox', 'Problem')
    if (other) await other.click()
    return other || (await box.getAttribute('value'))?.includes('−') || !/[-×]/.test(problem)
  }, 20_000)
  await take(driver, 'Material', new RegExp(`^${material}`, 'i'))
  await click('Alone')
  if (way) await take(driver, 'Way of working', way)
  await byRole(driver, 'group', 'The mat')
}
async function say(...words: number[]): Promise<void> {
  for (const word of words) {
    const field = await driver.wait(async () => (await driver.findElements(By.css('.word input')))[0], 20_000)
    await field!.sendKeys(String(word), Key.ENTER)
    await text(driver, '[aria-label="The course of stones"]', String(word))
  }
}
async function read(value: number): Promise<void> {
  await (await byRole(driver, 'textbox', 'Answer')).sendKeys(String(value), Key.ENTER)
  await text(driver, '[aria-label="The course of stones"]', `read ${value}`)
}
async function move(typed: string): Promise<void> {
  const box = await byRole(driver, 'textbox', 'Type a move')
  await box.sendKeys(typed, Key.ENTER)
  await driver.wait(async () => (await box.getAttribute('value')) === '', 20_000)
}
async function saveAndFind(problem: string, slip: string): Promise<void> {
  await click('Save')
  await byRole(driver, 'textbox', 'Note')
  await (await driver.findElement(By.css('[role="dialog"] button[type="submit"]'))).click()
  await text(driver, '.p-toast', 'is in the Daybook')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, 'tbody tr', problem)
  await text(driver, 'tbody tr', slip)
  await text(driver, 'tbody tr', 'not right')
}

test('fingers: the start is said again when counting on', async () => {
  await alone('8 + 5', 'fingers', 'count on')
  await click('Keep 8 in the head')
  await text(driver, '.card', '8')
  await say(8, 9, 10, 11, 12)
  await text(driver, lines, '8 · 8 9 10 11 12')
  await accessible()
  await read(12)
  await saveAndFind('8 + 5', SLIPS.startSaid)
})

test('joint marks: one is missed', async () => {
  await alone('6 + 3', 'joint marks', 'count all')
  for (let i = 0; i < 8; i++) await click('Mark one')
  await accessible()
  await read(8)
  await saveAndFind('6 + 3', SLIPS.short)
})

test('tallies: one too few is crossed out, and stays in sight', async () => {
  await alone('5 - 2', 'tallies', 'take away')
  for (let i = 0; i < 5; i++) await click('Draw one')
  await click('Cross one')
  expect(await driver.findElements(By.css('.tally.crossed'))).toHaveLength(1)
  await accessible()
  await read(4)
  await saveAndFind('5 − 2', SLIPS.notTaken)
})

test('counters: a wrong card is placed, and the right one after it', async () => {
  await alone('4 + 3', 'counters', 'count all')
  for (let i = 0; i < 4; i++) await click('Put one')
  for (let i = 0; i < 3; i++) await click(/^Set one/)
  await click('Push together')
  await text(driver, lines, '4 + 3 = 7')
  await accessible()
  await click('Place 8')
  await text(driver, '[aria-label="Sentence cards"]', /4 \+ 3 =\s+8/)
  await saveAndFind('4 + 3', SLIPS.misread)
})

test('touch numerals: counted back from the number itself', async () => {
  await alone('14 - 6', 'touch numerals')
  await click('Keep 14 in the head')
  await say(14, 13, 12, 11, 10, 9)
  await accessible()
  await read(9)
  await saveAndFind('14 − 6', SLIPS.backStartSaid)
})

test('the work goes along into another material, and a problem too large says where it fits', async () => {
  await alone('7 + 5', 'counters', 'count all')
  for (let i = 0; i < 7; i++) await click('Put one')
  await take(driver, 'Material', /^tallies/)
  await text(driver, lines, '7')
  expect(await driver.findElements(By.css('.tally'))).toHaveLength(7)
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '48 + 9', Key.ENTER)
  await text(driver, '#problem-trouble', '48 + 9 is 57. It holds 50')
  await click('Work it with base-ten blocks')
  await byRole(driver, 'button', 'Store of ones')
})

test('notches are moved by keyboard, kept, and put back', async () => {
  await driver.get(`${app.url}/settings/touch-points`)
  await byRole(driver, 'heading', 'Notches')
  const notch = await byRole(driver, 'slider', 'Notch 1 of 7')
  const before = await notch.getAttribute('aria-valuenow')
  await notch.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT)
  await accessible()
  await driver.navigate().refresh()
  const after = await (await byRole(driver, 'slider', 'Notch 1 of 7')).getAttribute('aria-valuenow')
  expect(Number(after)).toBe(Number(before) + 2)
  await click('Reset this numeral')
  expect(await (await byRole(driver, 'slider', 'Notch 1 of 7')).getAttribute('aria-valuenow')).toBe(before)
})

test('nines hands: the wrong finger is folded, and put right', async () => {
  await alone('4 × 9', 'nines hands')
  await click('Fold finger 5')
  await click('Unfold finger 5')
  await click('Fold finger 4')
  await text(driver, lines, '4 × 9 = 30 + 6')
  await accessible()
  await read(35)
  await saveAndFind('4 × 9', SLIPS.wrongFinger)
})

test('touch numerals in columns: the start is said again, and the column does not come out', async () => {
  await alone('25 + 13', 'touch numerals in columns')
  await move('write 25')
  await move('under + 13')
  const saying = async (word: number): Promise<void> => {
    const field = await driver.wait(async () => (await driver.findElements(By.css('.word input')))[0], 20_000)
    await field!.sendKeys(String(word), Key.ENTER)
    await text(driver, '.touch-sheet .words', new RegExp(`${word}$`))
  }
  for (const word of [5, 6, 7]) await saying(word)
  await accessible()
  await move('answer 7 ones')
  await move('answer 3 tens')
  await read(37)
  await saveAndFind('25 + 13', SLIPS.startSaid)
})

test('a set of sentence cards is worked one after another', async () => {
  await alone('2 + 3', 'counters', 'count all')
  await click('Make four cards')
  for (let i = 0; i < 2; i++) await click('Put one')
  for (let i = 0; i < 3; i++) await click(/^Set one/)
  await click('Push together')
  await click('Place 5')
  await byRole(driver, 'button', '2 + 3 = 5')
  const [next] = await driver.findElements(By.css('[aria-label="Sentence cards"] button:not([aria-current="true"])'))
  const sentence = (await next!.getText()).split(' =')[0]!
  await next!.click()
  await driver.wait(
    async () => (await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')) === sentence,
    20_000,
  )
  await byRole(driver, 'button', '2 + 3 = 5')
  await accessible()
})

test('by keyboard alone: 8 − 5 counted up on fingers, and 6 + 2 on touch numerals', async () => {
  await alone('8 - 5', 'fingers', 'count up')
  await click('Together')
  const press = (...keys: string[]) =>
    driver
      .actions()
      .sendKeys(...keys)
      .perform()
  const tabTo = async (name: string): Promise<void> => {
    for (let i = 0; i < 60; i++) {
      const here = await driver.switchTo().activeElement()
      if ((await here.getAccessibleName()).trim() === name) return
      await press(Key.TAB)
    }
    throw new Error(`Tab never comes to ${name}`)
  }
  await tabTo('Count up from 5 to 8')
  await press(Key.ENTER)
  for (const word of ['six', 'seven', 'eight']) {
    await byRole(driver, 'button', `Say ${word}`)
    await tabTo(`Say ${word}`)
    await press(Key.ENTER)
  }
  await text(driver, lines, '5 · 6 7 8')
  await press('r')
  await press('3', Key.ENTER)
  await text(driver, lines, '8 − 5 = 3')
  await press(Key.ESCAPE)
  await alone('6 + 2', 'touch numerals')
  await click('Together')
  await tabTo('Keep 6 in the head')
  await press(Key.ENTER)
  for (const word of ['seven', 'eight']) {
    await byRole(driver, 'button', `Say ${word}`)
    await tabTo(`Say ${word}`)
    await press(Key.ENTER)
  }
  await press('r')
  await press('8', Key.ENTER)
  await text(driver, lines, '6 + 2 = 8')
})
