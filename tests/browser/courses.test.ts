import type { WebDriver } from 'selenium-webdriver'
import { isWithin, stepById, STEPS } from '../../core/course/index'
import { parseProblem } from '../../core/index'
import { inChromium } from './here'
import { By, byRole, Key, noViolations, text, type Running } from './world'

const here = inChromium()
const { click, size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))

const choose = async (label: string, option: string): Promise<void> => {
  const select = await byRole(driver, 'combobox', label)
  await select.findElement(By.xpath(`./option[normalize-space(.)="${option}"]`)).click()
}
const open = async (): Promise<void> => {
  await driver.get(`${app.url}/plan/steps`)
  await byRole(driver, 'heading', 'Courses')
  await text(driver, '.next', 'Next for Wren')
}
const listed = (): Promise<string[]> =>
  driver
    .executeScript<string[]>("return [...document.querySelectorAll('.problems li')].map((li) => li.innerText)")
    .then((all) => all.map((t) => t.replaceAll('−', '-').replaceAll('×', '*').replaceAll('÷', '/')))

test('the map says where a learner stands and what is next; a step has its problems, and leads to the Bench', async () => {
  await open()
  // Wren has been at taking away with an exchange: what that rests on is taken as laid.
  await text(driver, '.next', 'Tens and ones, one exchange')
  await noViolations(driver)
  await click(/^Across a nought/)
  await text(driver, '[aria-label="The step"]', 'stopped exchanging at a nought')
  const problems = await listed()
  expect(problems).toHaveLength(8)
  for (const p of problems) expect([p, isWithin(parseProblem(p), stepById('take-across')!.limits)]).toEqual([p, true])
  await noViolations(driver)
  // Told as a story, in a kind that fits it.
  await (await byRole(driver, 'link', 'Some go: how many now')).sendKeys(Key.ENTER)
  await text(driver, '.told .text', /How many [\s\S]* now\?/)
  await driver.navigate().back()
  await click(/^Across a nought/)
  await click('chips')
  await driver.wait(async () => new URL(await driver.getCurrentUrl()).pathname === '/bench', 10_000)
  const asked = await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')
  expect((asked ?? '').replaceAll('−', '-')).toBe(problems[0])
  await byRole(driver, 'button', /^Material: chips/i)
})

const focused = (): Promise<string> =>
  driver.executeScript<string>(
    "return document.activeElement.getAttribute('aria-label') ?? document.activeElement.innerText",
  )

test('by keyboard: arrow keys go from stone to stone, one is chosen, and what it rests on is one key away', async () => {
  await open()
  const now = await driver.findElement(By.css('.step.now'))
  await driver.executeScript('arguments[0].focus()', now)
  await here.press(Key.HOME)
  expect(await focused()).toMatch(/^Take away within 10/)
  await here.press(Key.ARROW_UP)
  expect(await focused()).toMatch(/^Add within 5/)
  await here.press(Key.ARROW_LEFT)
  expect(await focused()).toMatch(/^Thousands/)
  await here.press(Key.ARROW_RIGHT, Key.ARROW_RIGHT)
  expect(await focused()).toMatch(/^Add within 10/)
  // The whole map is one stop of the Tab key.
  expect(await driver.executeScript('return document.querySelectorAll(\'.map .step[tabindex="0"]\').length')).toBe(1)
  const stone = await byRole(driver, 'button', /^Tens and ones, over a hundred/)
  await driver.executeScript('arguments[0].focus()', stone)
  await stone.sendKeys(Key.ENTER)
  await text(driver, '[aria-label="The step"] h2', 'Tens and ones, over a hundred')
  const under = await byRole(driver, 'button', 'Tens and ones, one exchange')
  await driver.executeScript('arguments[0].focus()', under)
  await under.sendKeys(Key.ENTER)
  await text(driver, '[aria-label="The step"] h2', 'Tens and ones, one exchange')
})

test('a learner is placed with few questions, by keyboard, in two sittings, stopped at any moment', async () => {
  await open()
  await click('Find where Wren stands')
  await choose('In', 'Taking away')
  const strand = STEPS.filter((s) => s.strand === 'taking away')
  const ask = () => driver.executeScript<string>("return document.querySelector('.ask .big')?.innerText ?? ''")
  /** Everything up to one exchange is answered rightly, beyond it the smaller digit is taken from the larger. */
  const answer = (problem: string): string => {
    const [a, b] = problem.replaceAll('−', '-').replace(' = ?', '').split(' - ').map(Number) as [number, number]
    const within = strand.findIndex((s) => isWithin(parseProblem(`${a} - ${b}`), s.limits))
    if (within <= 4) return String(a - b)
    return String(
      Number(
        [...String(a)]
          .map((d, i) => Math.abs(Number(d) - Number(String(b).padStart(String(a).length, '0')[i])))
          .join(''),
      ),
    )
  }
  await noViolations(driver)
  let asked = 0
  for (let problem = await ask(); problem !== '' && asked < 13; problem = await ask()) {
    await (await byRole(driver, 'textbox', 'What Wren answered')).sendKeys(answer(problem), Key.ENTER)
    asked++
    await driver.wait(async () => (await ask()) !== problem, 20_000)
    if (asked === 2) {
      await driver.navigate().refresh()
      await click('Find where Wren stands')
      await text(driver, '.known', 'So far: this is the step to work on')
    }
  }
  expect(asked).toBeLessThanOrEqual(12)
  await text(driver, '.known', /Result: this is the step to work on\.\s*Taking away\s*Three digits, one exchange/)
  await noViolations(driver)
  await click('Three digits, one exchange')
  await text(driver, '[aria-label="The step"] h2', 'Three digits, one exchange')
})

test('on every strand at once twelve questions say for each where to go on', async () => {
  await open()
  await click('Find where Wren stands')
  await choose('In', 'Everything')
  const ask = () => driver.executeScript<string>("return document.querySelector('.ask .big')?.innerText ?? ''")
  let asked = 0
  for (let problem = await ask(); problem !== ''; problem = await ask()) {
    expect(++asked).toBeLessThanOrEqual(12)
    await click('Nothing written')
    await driver.wait(async () => (await ask()) !== problem, 20_000)
  }
  await text(driver, '.known', 'Result: these are the steps to work on')
  await text(driver, '.known', /Counting\s*Count to 5/)
  await noViolations(driver)
})

test('the map is narrowed, made larger, and follows the course that the room takes', async () => {
  await open()
  const stones = () => driver.executeScript<number>("return document.querySelectorAll('.map .step').length")
  expect(await stones()).toBe(STEPS.length)
  await (await byRole(driver, 'searchbox', 'Look for')).sendKeys('nought')
  await driver.wait(async () => (await stones()) < 15, 3000)
  await byRole(driver, 'button', /^Across a nought/)
  await (await byRole(driver, 'searchbox', 'Look for')).sendKeys(' of lava')
  await text(driver, '.map', 'No step has that')
  await (await byRole(driver, 'searchbox', 'Look for')).clear()
  await (await byRole(driver, 'searchbox', 'Look for')).sendKeys(' ')
  await choose('Show', 'Next and begun')
  await driver.wait(async () => (await stones()) < 8, 3000)
  await choose('Show', 'All steps')
  const height = () => driver.executeScript<number>("return document.querySelector('.map .step').offsetHeight")
  const before = await height()
  await click('Larger stones')
  expect(await height()).toBeGreaterThan(before)
  await click('Smaller stones')
  await choose('The room’s course', 'Columns late')
  await text(driver, '.about-course', 'The column sheet waits')
  await click(/^Tens and ones, no exchange/)
  const shown = await driver.executeScript<string>("return document.querySelector('.about dl').innerText")
  expect(shown).not.toContain('column sheet')
  await choose('The room’s course', 'Ones first')
  await text(driver, '.about-course', 'Columns from the first tens')
})

test('a school copies a course, changes a step, hides one, is told what is wrong, and keeps it', async () => {
  await driver.get(`${app.url}/plan/courses`)
  await text(driver, '.place', 'This course comes with Sett')
  await noViolations(driver)
  await click('Copy')
  await text(driver, '.found', 'Nothing is wrong')
  await click('Tens and ones, one exchange')
  await choose('Columns that carry', '2')
  await text(driver, '.found', /do not go together/)
  expect(await (await byRole(driver, 'button', 'Keep it')).isEnabled()).toBe(false)
  // What is not kept yet is there again after the page was left.
  await driver.navigate().refresh()
  await choose('Course', 'Ones first, ours')
  await click('Tens and ones, one exchange')
  await choose('Columns that carry', '1')
  await text(driver, '.found', 'Nothing is wrong')
  const say = await byRole(driver, 'textbox', 'What to say, a line each')
  await say.sendKeys(Key.END, Key.ENTER, 'Ten reeds make a bundle.', Key.TAB)
  await click('Count to 5: hide')
  await byRole(driver, 'button', 'Count to 5: show')
  await click('Take the last change back')
  await byRole(driver, 'button', 'Count to 5: hide')
  await click('An addend near a ten: hide')
  await byRole(driver, 'button', 'An addend near a ten: show')
  await click('Across a nought: earlier')
  await click(/^Add a step/)
  await text(driver, '.found', 'Nothing is wrong')
  await noViolations(driver)
  await click('Keep it')
  await driver.wait(async () => {
    const here = (await (await fetch(`${app.url}/api/courses`)).json()) as {
      own: { steps: { id: string; hidden?: boolean; say: string[] }[] }[]
    }
    return here.own.length === 1
  }, 20_000)
  const { own } = (await (await fetch(`${app.url}/api/courses`)).json()) as {
    own: { id: string; steps: { id: string; hidden?: boolean; say: string[] }[] }[]
  }
  const steps = own[0]!.steps
  expect(steps).toHaveLength(STEPS.length + 1)
  expect(steps.find((s) => s.id === 'add-2-2-near')!.hidden).toBe(true)
  // Phrases that were left alone stay in the class's words, whatever these will be.
  expect(steps.find((s) => s.id === 'add-2-2-ten')!.say).toEqual(['under', 'tenForOne', 'Ten reeds make a bundle.'])
  const ids = steps.map((s) => s.id)
  expect(ids.indexOf('take-across')).toBeLessThan(ids.indexOf('take-3-3-two'))
  await driver.get(`${app.url}/plan/steps`)
  await choose('The room’s course', 'Ones first, ours')
  // A step of the same name is shown before and after, so the stone itself is waited for.
  await driver.wait(
    async () => (await driver.findElements(By.css('[data-step="add-2-2-near"]'))).length === 0,
    20_000,
    'the hidden step leaves the map',
  )
  await choose('The room’s course', 'Ones first')
})

test.each([
  [390, 844],
  [1024, 768],
])('at %d x %d nothing is out of reach', async (width, height) => {
  await size(width, height)
  await open()
  const over = await driver.executeScript('return document.documentElement.scrollWidth - window.innerWidth')
  expect(over).toBeLessThanOrEqual(0)
  await noViolations(driver)
})
