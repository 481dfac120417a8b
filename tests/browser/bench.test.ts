import type { WebDriver } from 'selenium-webdriver'
import { browser, By, byRole, fileWith, Key, serve, text, type Running, noViolations } from './world'

let app: Running
let driver: WebDriver
beforeEach(async () => {
  app = await serve()
  driver = await browser()
})
afterEach(async () => {
  await driver.quit()
  await app.stop()
})

const lines = '[aria-label="Running equations"]'
const say = '[aria-label="What to say"]'
const course = '[aria-label="The course of stones"]'
const press = (...keys: string[]): Promise<void> =>
  driver
    .actions()
    .sendKeys(...keys)
    .perform()
const type = async (...keys: string[]): Promise<void> => (await driver.switchTo().activeElement()).sendKeys(...keys)

const accessible = (): Promise<void> => noViolations(driver)

/** As a new teacher does: names the room, adds a learner, comes to the bench. */
async function moveIn(): Promise<void> {
  await driver.get(app.url)
  await (await byRole(driver, 'textbox', 'Name of the class')).sendKeys('the Loft')
  await (await byRole(driver, 'textbox', 'Learners’ code names')).sendKeys('Wren')
  await (await byRole(driver, 'button', 'Skip to the Bench')).click()
  await byRole(driver, 'group', 'The mat')
}

/** Drags from the middle of one element to the middle of another. */
async function drag(from: string, to: string): Promise<void> {
  const [a, b] = [await driver.findElement(By.css(from)), await byRole(driver, 'button', to)]
  await driver.actions().move({ origin: a }).press().move({ origin: b, duration: 120 }).release().perform()
}
const spot = (name: string) => byRole(driver, 'button', name)

test('a new teacher works 52 − 37 by mouse, saves it, and finds it after the server was killed', async () => {
  await driver.get(app.url)
  await byRole(driver, 'heading', 'Welcome to Sett')
  await accessible()
  await moveIn()
  await text(driver, say, 'Fifty-two take away thirty-seven.')
  await (await byRole(driver, 'button', 'Together')).click()

  for (let i = 1; i <= 5; i++) {
    await drag('.store .grip[data-place="1"]', `${i - 1} ${i === 2 ? 'ten' : 'tens'} on the mat`)
    await spot(`${i} ${i === 1 ? 'ten' : 'tens'} on the mat`)
  }
  await (await spot('Store of ones')).click()
  await (await spot('0 ones on the mat')).click()
  await (await spot('Store of ones')).click()
  await (await spot('1 one on the mat')).click()
  await text(driver, course, '− 37')
  await text(driver, lines, '52 = 50 + 2')

  // A ten let go among the ones breaks.
  await drag('.piece[data-id] .place-1', '2 ones on the mat')
  await spot('12 ones on the mat')
  await text(driver, lines, '52 = 40 + 12')
  await accessible()

  // Seven ones tapped one after another, then the tray.
  for (const piece of (await driver.findElements(By.css('.piece .place-0'))).slice(0, 7)) await piece.click()
  await text(driver, '.in-hand', '7 ones in hand')
  await (await spot('0 ones taken away')).click()
  await text(driver, lines, '52 − 7 = 45')
  const tens = await driver.findElements(By.css('.piece .place-1'))
  for (const piece of tens.slice(0, 3)) await piece.click()
  await (await spot('0 tens taken away')).click()
  await text(driver, lines, '45 − 30 = 15')

  await (await byRole(driver, 'textbox', 'Answer')).sendKeys('15')
  await (await byRole(driver, 'button', 'Answer')).click()
  await text(driver, lines, '52 − 37 = 15')
  await text(driver, say, 'Fifty-two take away thirty-seven equals fifteen.')
  const written = await (await driver.findElement(By.css(lines))).getText()

  await (await byRole(driver, 'button', 'Save')).click()
  await (await byRole(driver, 'radio', 'Pointed or looked')).click()
  await (await byRole(driver, 'textbox', 'Note')).sendKeys('Tea-lights in boxes of ten.')
  await accessible()
  const buttons = await driver.findElements(By.css('[role="dialog"] button[type="submit"]'))
  await buttons[0]!.click()
  await text(driver, '.p-toast', 'is in the Daybook')

  await app.kill()
  app = await serve({ data: app.data })
  await driver.get(`${app.url}/learners/records`)
  await text(driver, 'table', 'Tea-lights in boxes of ten.')
  await text(driver, 'table', 'pointed')
  await accessible()
  // What is exported is read back: a record that was deleted meanwhile is there again, and nothing is there twice.
  const exported = await (await fetch(`${app.url}/api/records/file`)).text()
  const { records } = JSON.parse(exported) as { records: { id: string }[] }
  await fetch(`${app.url}/api/records/${records[0]!.id}`, { method: 'DELETE' })
  const picker = () => driver.findElement(By.css('input[aria-label="File of records"]'))
  await (await picker()).sendKeys(fileWith(exported))
  await text(driver, '.p-toast', /1 imported/)
  await (await picker()).sendKeys(fileWith(exported.slice(0, -9)))
  await text(driver, '[role="alert"].trouble', 'cut off when it was copied')
  await (await byRole(driver, 'link', '52 − 37')).click()
  await text(driver, '[role="status"]', 'From the Daybook')
  expect(await (await driver.findElement(By.css(lines))).getText()).toBe(written)
  await (await byRole(driver, 'button', 'Back to the start')).click()
  await text(driver, lines, 'Every move writes its line here.')
  await (await byRole(driver, 'button', 'Next step')).click()
  await text(driver, lines, '10')
})

test('by keyboard alone: ask, work, read, save and set the next, five in a row without a mouse', async () => {
  await driver.get(app.url)
  await byRole(driver, 'textbox', 'Name of the class')
  // Past the link to the main part and the three steps.
  await press(...Array<string>(5).fill(Key.TAB))
  await type('the Loft', Key.TAB)
  await type('Pip', Key.TAB)
  // Past the file and Next.
  await type(Key.TAB)
  await type(Key.TAB)
  await type(Key.ENTER)
  await byRole(driver, 'group', 'The mat')

  // 43 − 18 is laid, broken and taken with arrows, digits and Enter on the mat.
  await press('a')
  await type('43 - 18', Key.ENTER)
  await text(driver, say, 'Forty-three take away eighteen.')
  await press('@')
  await byRole(driver, 'textbox', 'Answer')
  await press('/')
  await type('lay 43', Key.ENTER)
  await text(driver, lines, '43 − 18')
  await type(Key.TAB)
  await (await spot('4 tens on the mat')).sendKeys('b')
  await spot('13 ones on the mat')
  await (await spot('3 tens on the mat')).sendKeys(Key.ARROW_RIGHT)
  await press('8', Key.ARROW_DOWN, Key.ENTER)
  await text(driver, lines, '43 − 8 = 35')
  await (await spot('3 tens on the mat')).sendKeys('1')
  await press(Key.ARROW_DOWN, Key.ENTER)
  await text(driver, lines, '35 − 10 = 25')

  for (let i = 0; i < 5; i++) {
    if (i > 0)
      for (let n = 0; n < 20 && !(await done()); n++) {
        // “Offer a move” twice does the move that is offered.
        await press('h')
        await press('h')
      }
    else {
      await press('r')
      await type('25', Key.ENTER)
    }
    await text(driver, say, 'equals')
    await press('s')
    await byRole(driver, 'textbox', 'Note')
    await driver.wait(async () => (await (await driver.switchTo().activeElement()).getText()) === 'Save', 20_000)
    await type(Key.ENTER)
    await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 20_000)
    const problem = await value('problem')
    await press('n')
    await driver.wait(async () => (await value('problem')) !== problem, 20_000)
    await text(driver, say, 'take away')
  }
  await driver.get(`${app.url}/learners/records`)
  await text(driver, '.top', '5 worked · 5 right')

  async function done(): Promise<boolean> {
    return (await (await driver.findElement(By.css(say))).getText()).includes('equals')
  }
  async function value(id: string): Promise<string | null> {
    return (await driver.findElement(By.id(id))).getAttribute('value')
  }
})

test('Show steps, goes back, jumps, asks for a prediction and plays', async () => {
  await moveIn()
  await driver.executeScript('document.activeElement.blur()')
  await press(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT)
  await text(driver, say, 'Exchange one ten for ten ones. Still fifty-two.')
  await press(Key.ARROW_LEFT)
  await text(driver, say, 'Take away thirty-seven.')
  await (await byRole(driver, 'button', /^take 3 tens/)).click()
  await text(driver, lines, '45 − 30 = 15')
  await (await byRole(driver, 'button', /^lay 52/)).click()
  await spot('5 tens on the mat')
  // What is to come would give away what is asked.
  const toCome = async (): Promise<number> => (await driver.findElements(By.css('.course .stone.hollow'))).length
  expect(await toCome()).toBeGreaterThan(0)
  await press('p')
  await driver.wait(async () => (await toCome()) === 0, 20_000, 'what is to come is hidden')
  await press(Key.ARROW_RIGHT)
  await press(Key.ARROW_RIGHT)
  await (await byRole(driver, 'button', 'the same')).click()
  await accessible()
  await (await byRole(driver, 'button', 'See')).click()
  await text(driver, say, 'It is worth the same, as you said. Changed: the tens and ones.')
  await driver.executeScript('document.activeElement.blur()')
  await press('p')
  await press(' ')
  await text(driver, say, 'equals fifteen')
})

test('bad input is answered at the place, and what lies on the mat stays', async () => {
  await moveIn()
  await (await byRole(driver, 'button', 'Together')).click()
  await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('lay 52', Key.ENTER)
  await spot('5 tens on the mat')
  const box = await byRole(driver, 'textbox', 'Problem')
  const ask = async (problem: string): Promise<void> => {
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
  }
  for (const [problem, said] of [
    ['52 −− 37', 'Two signs stand side by side at place 4.'],
    ['1e9', 'There is a letter, “e”, at place 2.'],
    ['٣+٤', 'is a digit of another script'],
    ['<script>', '“<” at place 1 is not part of a problem.'],
    ['7'.repeat(400), 'That number has 400 digits'],
    ['3 - 5', 'It would fit on: plus and minus counters'],
  ] as const) {
    await ask(problem)
    await text(driver, '#problem-trouble', said)
    await spot('5 tens on the mat')
  }
  await ask('9999 + 1')
  await text(driver, '#problem-trouble', 'The chart holds 9999 at most'.toLowerCase().slice(4))
  await (await byRole(driver, 'button', 'Work it with the column sheet')).click()
  await byRole(driver, 'group', 'Column sheet')
  await (await byRole(driver, 'button', 'Review')).click()
  await (await byRole(driver, 'button', /^Open 52 − 37 of/)).click()
  await spot('5 tens on the mat')
  await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('take 9 thousandz', Key.ENTER)
  await text(driver, say, '“thousandz” is not a place here.')
})

test('a digit written on the sheet moves the blocks', async () => {
  await moveIn()
  await (await byRole(driver, 'button', 'Together')).click()
  await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('lay 52', Key.ENTER)
  await (await byRole(driver, 'button', 'tens digit: 5')).click()
  await (await byRole(driver, 'button', '4')).click()
  await text(driver, say, 'Put the small 1 before the ones')
  await (await byRole(driver, 'button', 'ones digit: 2')).click()
  await (await byRole(driver, 'button', 'Small 1 before the digit')).click()
  await spot('12 ones on the mat')
  await (await byRole(driver, 'button', 'Answer square, ones: empty')).sendKeys('5')
  await spot('7 ones taken away')
  await text(driver, lines, '52 − 7 = 45')
  await accessible()
})

test('a closed window loses nothing', async () => {
  await moveIn()
  await (await byRole(driver, 'button', 'Alone')).click()
  await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('lay 52', Key.ENTER)
  await text(driver, lines, '52 = 50 + 2')
  await driver.navigate().refresh()
  await text(driver, lines, '52 = 50 + 2')
  await spot('5 tens on the mat')
})
