import type { WebDriver, WebElement } from 'selenium-webdriver'
import { By, byRole, Key, noViolations, take, text, until, type Running } from './world'
import { inChromium } from './here'

const here = inChromium()
const { click, fresh, press, size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})

const lines = '[aria-label="Running equations"]'
const said = '[aria-label="What to say"]'
const SEEN = JSON.stringify(['signed', 'line', 'signs'])

/** A bench in a mode with a material, and a problem typed. */
async function asked(problem: string, material: string, mode: string): Promise<void> {
  await fresh({ 'sett.mode': mode, 'sett.material': material, 'sett.cards-seen': SEEN })
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
  await driver.wait(until.elementLocated(By.css(material === 'signed' ? '.signed' : '.number-line, .paper')), 20_000)
}
const answer = async (value: string): Promise<void> =>
  (await byRole(driver, 'textbox', 'Answer')).sendKeys(value, Key.ENTER)

test('−3 − 5 Alone: the operation sign counted as the number’s own is found in the Daybook', async () => {
  await asked('-3 - 5', 'signed', 'alone')
  for (let i = 0; i < 3; i++) await click('Lay one minus')
  // Five minuses are taken away, as if it were −3 − (−5): two pairs are brought in for it.
  for (let i = 0; i < 2; i++) await click('Bring in one pair')
  for (let i = 0; i < 5; i++) await click('Take 1 minus')
  await answer('2')
  await click('Save')
  await byRole(driver, 'textbox', 'Note')
  await (await driver.findElement(By.css('[role="dialog"] button[type="submit"]'))).click()
  await text(driver, '.p-toast', 'is in the Daybook')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, 'tbody tr', 'took the operation sign for the number’s own sign')
  await noViolations(driver)
})

test('8 − (−4) Together by dragging: laid, pairs brought in, lined up, taken', async () => {
  await asked('8 - (-4)', 'signed', 'together')
  const store = async (sign: string): Promise<WebElement> => driver.findElement(By.css(`.source[data-sign="${sign}"]`))
  const zone = async (name: string): Promise<WebElement> => driver.findElement(By.css(`[data-zone="${name}"]`))
  const drag = async (from: WebElement, to: WebElement): Promise<void> =>
    driver
      .actions({ async: true })
      .move({ origin: from })
      .press()
      .move({ origin: to, duration: 200 })
      .release()
      .perform()
  for (let i = 0; i < 8; i++) await drag(await store('plus'), await zone('plus'))
  await text(driver, lines, '8 − (−4)')
  for (let i = 0; i < 4; i++) await drag(await store('pair'), await zone('line'))
  await text(driver, lines, '8 = 12 + (−4)')
  // A pair is parted, so that its minus can be taken.
  for (let i = 0; i < 4; i++) await drag(await driver.findElement(By.css('.piece.pair')), await zone('minus'))
  for (let i = 0; i < 4; i++) await drag(await driver.findElement(By.css('.below .piece')), await zone('tray'))
  await text(driver, lines, '8 − (−4) = 12')
  await text(driver, '[aria-label="Up or down"]', /goes up\s+8 − \(−4\) = 12/)
  await answer('12')
  await text(driver, said, 'Eight take away negative four equals twelve.')
  await noViolations(driver)
})

test('a plus dragged onto a minus makes a pair, which is cleared', async () => {
  await asked('3 + (-2)', 'signed', 'together')
  const many = await driver.findElement(By.css('.many input'))
  await many.sendKeys(Key.chord(Key.CONTROL, 'a'), '3')
  await click('Lay 3 pluses')
  await many.sendKeys(Key.chord(Key.CONTROL, 'a'), '2')
  await click('Lay 2 minuses')
  const [plus, minus] = await Promise.all(
    ['.above .piece', '.below .piece'].map((css) => driver.findElement(By.css(css))),
  )
  await driver
    .actions({ async: true })
    .move({ origin: plus! })
    .press()
    .move({ origin: minus!, duration: 200 })
    .release()
    .perform()
  await driver.wait(until.elementLocated(By.css('.piece.pair')), 3000)
  await click('Line up all pairs')
  await click('Clear the pairs')
  await text(driver, said, 'Clear away two zero pairs: worth nought. Still one.')
  await text(driver, lines, '3 + (−2) = 1')
})

test('the line by keyboard alone: stand, point, draw; an arrow that starts at nought is slid', async () => {
  await asked('4 - 7', 'line', 'together')
  const pointer = await byRole(driver, 'slider', 'Where to stand')
  await driver.executeScript('arguments[0].focus()', pointer)
  await press(...Array<string>(4).fill(Key.ARROW_RIGHT), Key.ENTER)
  await text(driver, lines, '4 − 7')
  await byRole(driver, 'slider', 'Where the arrow ends')
  await press(...Array<string>(7).fill(Key.ARROW_LEFT))
  expect(await (await byRole(driver, 'slider', 'Where the arrow ends')).getAttribute('aria-valuetext')).toBe('-3')
  await press(Key.ENTER)
  await text(driver, said, 'Down seven, to negative three.')
  await text(driver, lines, '4 − 7 = −3')
  await noViolations(driver)
  await asked('4 - 7', 'line', 'together')
  for (const move of ['stand 4', 'arrow -7 from 0'])
    await (await byRole(driver, 'textbox', 'Type a move')).sendKeys(move, Key.ENTER)
  await text(driver, said, 'The arrow starts at 0, and one stands at 4.')
  await click('Slide it to where one stands')
  await text(driver, lines, '4 − 7 = −3')
})

test('a decimal answer stands in the box as a decimal, and a tap that draws nothing says what would', async () => {
  await asked('-7.5 + 3.25', 'line', 'together')
  for (const move of ['stand -7.5', 'arrow +3.25'])
    await (await byRole(driver, 'textbox', 'Type a move')).sendKeys(move, Key.ENTER)
  await driver.findElement(By.css('.number-line svg')).click()
  await driver.wait(
    async () => (await driver.getPageSource()).includes('Drag from where one stands'),
    3000,
    'nothing is said',
  )
  await answer('-4.25')
  await text(driver, lines, '−7.5 + 3.25 = −4.25')
  expect(await (await byRole(driver, 'textbox', 'Answer')).getAttribute('placeholder')).toBe('−4.25')
})

test('an arrow is drawn with the mouse, both ways, and lands on the mark it is pulled to', async () => {
  await asked('-3 + 5', 'line', 'together')
  await click('Stand at −3')
  const svg = await driver.findElement(By.css('.number-line svg'))
  const at = async (n: string): Promise<{ x: number; y: number }> =>
    driver.executeScript(
      `const t = [...document.querySelectorAll('.number-line .mark text')].find((e) => e.textContent.trim() === arguments[0]);
       const b = t.getBoundingClientRect(), s = arguments[1].getBoundingClientRect();
       return { x: Math.round(b.x + b.width / 2 - s.x - s.width / 2), y: Math.round(b.y - 40 - s.y - s.height / 2) }`,
      n,
      svg,
    )
  const [from, to] = [await at('−3'), await at('2')]
  await driver
    .actions({ async: true })
    .move({ origin: svg, ...from })
    .press()
    .move({ origin: svg, ...to, duration: 200 })
    .release()
    .perform()
  await text(driver, lines, '−3 + 5 = 2')
  await text(driver, said, 'Up five, to two.')
})

test('the rule of signs is written step by step, a false line struck; the room’s choices are heard', async () => {
  await driver.get(`${app.url}/settings`)
  for (const [label, option] of [
    ['A number’s own sign is written', 'small and raised'],
    ['Told as a story of', 'tokens owned and owed'],
  ] as const) {
    const select = await driver.wait(until.elementLocated(By.xpath(`//label[contains(., "${label}")]//select`)), 20_000)
    await select.findElement(By.xpath(`./option[contains(., "${option}")]`)).click()
  }
  await driver.findElement(By.xpath('//label[contains(., "The answer is guessed first")]//input')).click()
  await driver.findElement(By.css('form.room button[type="submit"]')).click()
  await byRole(driver, 'textbox', 'Problem')
  await asked('8 - (-4)', 'line', 'together')
  await (await byRole(driver, 'textbox', 'Guess first: about how much?')).sendKeys('10', Key.ENTER)
  for (const move of ['stand 8', 'arrow +4'])
    await (await byRole(driver, 'textbox', 'Type a move')).sendKeys(move, Key.ENTER)
  await text(driver, lines, '8 − ⁻4 = 12')
  await text(driver, said, 'A debt of four is let off: twelve owned.')
  await answer('12')
  await text(driver, said, 'The guess was ten: two away.')
  await take(driver, 'Material', 'rule of signs')
  await size(390, 844)
  await noViolations(driver)
  await size(1280, 800)
})
