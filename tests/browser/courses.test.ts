import type { WebDriver } from 'selenium-webdriver'
import { isWithin, stepById } from '../../core/course/index'
import { parseProblem } from '../../core/index'
import { inChromium } from './here'
import { byRole, Key, noViolations, text, type Running } from './world'

const here = inChromium()
const { click, size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))

const open = async (): Promise<void> => {
  await driver.get(`${app.url}/courses`)
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
  await click('chips')
  await driver.wait(async () => new URL(await driver.getCurrentUrl()).pathname === '/bench', 10_000)
  const asked = await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')
  expect((asked ?? '').replaceAll('−', '-')).toBe(problems[0])
  await byRole(driver, 'button', /^Material: chips/i)
})

test('by keyboard: a stone is chosen, and what it rests on is one key away', async () => {
  await open()
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
  const strand = (await import('../../core/course/index')).STEPS.filter((s) => s.strand === 'taking away')
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
    await driver.wait(async () => (await ask()) !== problem, 5000)
    if (asked === 2) {
      await driver.navigate().refresh()
      await click('Find where Wren stands')
      await text(driver, '.known', 'So far it looks as if')
    }
  }
  expect(asked).toBeLessThanOrEqual(12)
  await text(driver, '.known', /^It looks as if Three digits, one exchange is the step/)
  await noViolations(driver)
  await click('Go to that step')
  await text(driver, '[aria-label="The step"] h2', 'Three digits, one exchange')
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
