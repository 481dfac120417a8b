import type { WebDriver } from 'selenium-webdriver'
import { isWithin, stepById, STEPS } from '../../core/course/index'
import { parseProblem } from '../../core/index'
import { inChromium } from './here'
import { By, byRole, Key, noViolations, pick, text, type Running } from './world'

const here = inChromium()
const { click, size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))

const choose = (label: string, option: string): Promise<void> => pick(driver, label, option)
/** Chooses from a list of the browser's own, as the page of a school's courses still has them. */
const chooseOld = async (label: string, option: string): Promise<void> => {
  const select = await byRole(driver, 'combobox', label)
  await select.findElement(By.xpath(`./option[normalize-space(.)="${option}"]`)).click()
}
const open = async (): Promise<void> => {
  await driver.get(`${app.url}/plan/steps`)
  await byRole(driver, 'heading', 'Steps')
  await text(driver, '.page-header', 'Next for Wren')
}
const listed = (): Promise<string[]> =>
  driver
    .executeScript<string[]>("return [...document.querySelectorAll('.problems li')].map((li) => li.textContent)")
    .then((all) => all.map((t) => t.replaceAll('−', '-').replaceAll('×', '*').replaceAll('÷', '/')))

test('the map says where a learner stands and what is next; a step has its problems, and leads to the Bench', async () => {
  await open()
  // Wren has been at taking away with an exchange: what that rests on is taken as laid.
  await text(driver, '.page-header', 'Take away two-digit numbers, one exchange')
  await noViolations(driver)
  await click(/^Take away across a nought/)
  await text(driver, '[aria-label="The step"]', 'stopped exchanging at a nought')
  const problems = await listed()
  expect(problems).toHaveLength(8)
  for (const p of problems) expect([p, isWithin(parseProblem(p), stepById('take-across')!.limits)]).toEqual([p, true])
  await noViolations(driver)
  // Told as a story, in a kind that fits it.
  await (await byRole(driver, 'link', 'Taking from: how many are left?')).sendKeys(Key.ENTER)
  await text(driver, '.told .text', /How many [\s\S]* now\?/)
  await driver.navigate().back()
  await click(/^Take away across a nought/)
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
  const now = await driver.findElement(By.css('.step.chosen'))
  await driver.executeScript('arguments[0].focus()', now)
  await here.press(Key.HOME)
  expect(await focused()).toMatch(/^Take away within 10/)
  await here.press(Key.ARROW_UP)
  expect(await focused()).toMatch(/^Add within 5/)
  await here.press(Key.ARROW_LEFT)
  expect(await focused()).toMatch(/^Numbers to 9,999 with thousands/)
  await here.press(Key.ARROW_RIGHT, Key.ARROW_RIGHT)
  expect(await focused()).toMatch(/^Add within 10/)
  // The whole map is one stop of the Tab key.
  expect(await driver.executeScript('return document.querySelectorAll(\'.map .step[tabindex="0"]\').length')).toBe(1)
  const stone = await byRole(driver, 'button', /^Add two-digit numbers past 100/)
  await driver.executeScript('arguments[0].focus()', stone)
  await stone.sendKeys(Key.ENTER)
  await text(driver, '[aria-label="The step"] h2', 'Add two-digit numbers past 100')
  const under = await byRole(driver, 'button', 'Add two-digit numbers, one exchange')
  await driver.executeScript('arguments[0].focus()', under)
  await under.sendKeys(Key.ENTER)
  await text(driver, '[aria-label="The step"] h2', 'Add two-digit numbers, one exchange')
})

test('a learner is placed with few questions, by keyboard, in two sittings, stopped at any moment', async () => {
  await open()
  await (await byRole(driver, 'link', 'Find Wren’s step')).click()
  await choose('Strand', 'Taking away')
  const strand = STEPS.filter((s) => s.strand === 'taking away')
  const ask = () => driver.executeScript<string>("return document.querySelector('.ask .question')?.innerText ?? ''")
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
      await text(driver, '.known', 'So far')
      // Each step's bar is as long as it is likely.
      const bars = await driver.executeScript<number[]>(
        "return [...document.querySelectorAll('.stones .fill')].map((bar) => bar.getBoundingClientRect().width)",
      )
      expect(Math.max(...bars)).toBeGreaterThan(100)
      expect(bars.at(-1)!).toBeLessThan(bars[0]!)
    }
  }
  expect(asked).toBeLessThanOrEqual(12)
  await text(driver, '.known', /Result\s*Taking away\s*Take away three-digit numbers, one exchange/)
  await noViolations(driver)
  await (await byRole(driver, 'link', 'Take away three-digit numbers, one exchange')).click()
  await text(driver, '[aria-label="The step"] h2', 'Take away three-digit numbers, one exchange')
})

test('on every strand at once twelve questions say for each where to go on', async () => {
  await open()
  await (await byRole(driver, 'link', 'Find Wren’s step')).click()
  await choose('Strand', 'Everything')
  const ask = () => driver.executeScript<string>("return document.querySelector('.ask .question')?.innerText ?? ''")
  let asked = 0
  for (let problem = await ask(); problem !== ''; problem = await ask()) {
    expect(++asked).toBeLessThanOrEqual(12)
    await click('Not yet')
    await driver.wait(async () => (await ask()) !== problem, 20_000)
  }
  await text(driver, '.known', 'Result')
  await text(driver, '.known', /Counting and place value\s*Count to 5/)
  await noViolations(driver)
})

test('the map is narrowed, made larger, and follows the course that the room takes', async () => {
  await open()
  const stones = () => driver.executeScript<number>("return document.querySelectorAll('.map .step').length")
  expect(await stones()).toBe(STEPS.length)
  await (await byRole(driver, 'searchbox', 'Find a step')).sendKeys('nought')
  await driver.wait(async () => (await stones()) < 15, 3000)
  await byRole(driver, 'button', /^Take away across a nought/)
  await (await byRole(driver, 'searchbox', 'Find a step')).sendKeys(' of lava')
  await text(driver, '.map', 'No step fits')
  await (await byRole(driver, 'searchbox', 'Find a step')).clear()
  await (await byRole(driver, 'searchbox', 'Find a step')).sendKeys(' ')
  await click('Filter')
  await choose('Show', 'Next and begun')
  await driver.wait(async () => (await stones()) < 8, 3000)
  await choose('Year or grade', 'Grade 2')
  await noViolations(driver)
  await click('Show all steps')
  await driver.wait(async () => (await stones()) === STEPS.length, 3000)
  const height = () => driver.executeScript<number>("return document.querySelector('.map .step').offsetHeight")
  const before = await height()
  await click('Larger stones')
  expect(await height()).toBeGreaterThan(before)
  await click('Smaller stones')
  await choose('Course', 'Columns late')
  await text(driver, 'main', 'The column sheet waits')
  await click(/^Take away two-digit numbers, no exchange/)
  const shown = (): Promise<string> =>
    driver.executeScript<string>("return document.querySelector('.details .materials').innerText")
  await driver.wait(async () => !(await shown()).includes('column sheet'), 5000)
  await choose('Course', 'Ones first')
  await driver.wait(async () => (await shown()).includes('column sheet'), 5000)
})

test('a school copies a course, changes a step, hides one, is told what is wrong, and keeps it', async () => {
  await driver.get(`${app.url}/plan/courses`)
  await text(driver, '.place', 'This course comes with Sett')
  await noViolations(driver)
  await click('Copy')
  await text(driver, '.found', 'Nothing is wrong')
  await click('Add two-digit numbers, one exchange')
  await choose('Exchanges', 'exactly 2 exchanges')
  await text(driver, '.found', /do not go together/)
  expect(await (await byRole(driver, 'button', 'Keep it')).isEnabled()).toBe(false)
  // What is not kept yet is there again after the page was left.
  await driver.navigate().refresh()
  await chooseOld('Course', 'Ones first, ours')
  await click('Add two-digit numbers, one exchange')
  await choose('Exchanges', 'exactly one exchange')
  await text(driver, '.found', 'Nothing is wrong')
  const say = await byRole(driver, 'textbox', 'What to say, a line each')
  await say.sendKeys(Key.END, Key.ENTER, 'Ten reeds make a bundle.', Key.TAB)
  await click('Count to 5: hide')
  await byRole(driver, 'button', 'Count to 5: show')
  await click('Take the last change back')
  await byRole(driver, 'button', 'Count to 5: hide')
  await click('Add a number near a ten: hide')
  await byRole(driver, 'button', 'Add a number near a ten: show')
  await click('Subtract across a nought: earlier')
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
  await choose('Course', 'Ones first, ours')
  // A step of the same name is shown before and after, so the stone itself is waited for.
  await driver.wait(
    async () => (await driver.findElements(By.css('[data-step="add-2-2-near"]'))).length === 0,
    20_000,
    'the hidden step leaves the map',
  )
  await choose('Course', 'Ones first')
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
