import { randomUUID } from 'node:crypto'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { WebDriver } from 'selenium-webdriver'
import { enter, openBench, parseProblem, recordOf } from '../../core/index'
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

const open = async (path = '/learners/marking'): Promise<void> => {
  await driver.get(app.url + path)
  await driver.executeScript("for (const k of ['sett.marking', 'sett.marking-class']) localStorage.removeItem(k)")
  await driver.get(app.url + path)
  await byRole(driver, 'heading', 'Marking')
}
const field = (name: string) => byRole(driver, 'textbox', name)
const focused = async (): Promise<string> => (await driver.switchTo().activeElement()).getAccessibleName()
const type = (...keys: string[]): Promise<void> =>
  driver
    .actions()
    .sendKeys(...keys)
    .perform()

/** Problems with the answers of one who takes the smaller digit from the larger, and a slip. */
const PAGE = [
  ['52 - 37', '25'],
  ['81 - 38', '57'],
  ['64 - 21', '43'],
  ['70 - 46', '36'],
  ['95 - 48', '53'],
  ['88 - 35', '63'],
] as const

test('a page typed by keyboard alone: marked, shown where it parts, asked on, and worked at the Bench', async () => {
  await open()
  await (await field('Problem 1')).click()
  for (const [problem, answer] of PAGE) await type(problem, Key.ENTER, answer, Key.ENTER)
  expect(await focused()).toBe('Problem 7')
  // On to the button with the keyboard, and mark.
  for (let i = 0; i < 6 && (await focused()) !== 'Mark the page'; i++) await type(Key.TAB)
  expect(await focused()).toBe('Mark the page')
  await type(Key.ENTER)
  await text(driver, '[aria-label="What the answers say"]', 'took the smaller digit from the larger in each column')
  await text(driver, 'tbody', 'a slip, right: 53')
  await text(driver, '[aria-label="What the answers say"]', 'lines 1, 2, 4, 5')
  await noViolations(driver)

  await click('Show where it parts')
  await click('To where they part')
  await text(driver, '.parting', 'Here they part, in the ones: 7 less 2, turned round, is 5.')
  await noViolations(driver)
  await click('base-ten blocks')
  await driver.wait(async () => new URL(await driver.getCurrentUrl()).pathname === '/bench', 10_000)
  await text(driver, 'main', 'Fifty-two take away thirty-seven.')
})

test('what was typed is there again; a line that cannot be read is told, and nothing is lost', async () => {
  await open()
  await (await field('Problem 1')).click()
  await type('304 - 178 = 136', Key.ENTER)
  expect(await (await field('Answer 1')).getAttribute('value')).toBe('136')
  await type(Key.ENTER, '502 - - 3', Key.ENTER, '4', Key.ENTER)
  await click('Mark the page')
  await text(driver, '[role="alert"]', 'Line 2 cannot be read')
  await driver.navigate().refresh()
  await driver.wait(async () => (await (await field('Problem 2')).getAttribute('value')) === '502 - - 3', 20_000)
  await (await field('Problem 2')).sendKeys(Key.chord(Key.CONTROL, 'a'), '502 - 137')
  await (await field('Answer 2')).sendKeys(Key.chord(Key.CONTROL, 'a'), '375')
  await click('Mark the page')
  // Two habits give these answers; both are named, and the next question tells them apart.
  await text(driver, '[aria-label="What the answers say"]', 'Not told apart yet')
  // Whoever comes back from another place finds the result.
  await driver.get(`${here.app.url}/today`)
  await driver.get(`${here.app.url}/learners/marking`)
  await text(driver, '[aria-label="What the answers say"]', 'Not told apart yet')
  await click('The next question')
  await text(driver, '[aria-label="The next question"]', /: (stopped exchanging at a nought|exchanged across a nought)/)
  await click('Put it on the page')
  expect(await (await field('Problem 3')).getAttribute('value')).toMatch(/^\d+ - \d+$/)
})

test('what is typed is put aside before anything takes its place, and brought back', async () => {
  await open()
  await (await field('Problem 1')).click()
  await type('52 - 37', Key.ENTER, '25', Key.ENTER, '81 - 38', Key.ENTER, '57', Key.ENTER)
  await click('Empty the page')
  expect(await (await field('Problem 1')).getAttribute('value')).toBe('')
  await click('Bring back the page before')
  expect(await (await field('Answer 2')).getAttribute('value')).toBe('57')
  // With what is written above, Enter goes through all three fields of a line.
  await (await byRole(driver, 'checkbox', /^What was written above/)).click()
  await (await field('Problem 3')).click()
  await type('64 - 28', Key.ENTER, '5 14', Key.ENTER, '36', Key.ENTER)
  expect(await focused()).toBe('Problem 4')
  expect(await (await field('Written above 3')).getAttribute('value')).toBe('5 14')
  await click('Mark the page')
  await text(driver, 'tbody', 'right')
})

test('kept twice it is kept once, and a page without answers says nothing', async () => {
  await open()
  await (await byRole(driver, 'combobox', 'Of')).sendKeys('Teal')
  await (await field('Problem 1')).click()
  for (const [problem, answer] of PAGE) await type(problem, Key.ENTER, answer, Key.ENTER)
  await click('Mark the page')
  for (let i = 0; i < 2; i++) {
    await click('Keep with Teal')
    await text(driver, '.left', 'Kept with Teal')
  }
  await text(driver, '[aria-label="Pages kept"]', 'Took the smaller digit')
  expect(await driver.findElements(By.css('[aria-label="Pages kept"] li'))).toHaveLength(1)
  await click('Empty the page')
  await (await field('Problem 1')).click()
  await type('52 - 37', Key.ENTER, Key.ENTER)
  await click('Mark the page')
  await text(driver, '[aria-label="What the answers say"]', 'Nothing was answered')
})

test('a table pasted fills as many lines; a set is found again by its code', async () => {
  await open()
  const pasted = PAGE.map((row) => row.join('\t')).join('\n')
  await driver.executeScript(
    `const data = new DataTransfer(); data.setData('text/plain', arguments[1]);
     arguments[0].dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))`,
    await field('Problem 1'),
    pasted,
  )
  expect(await (await field('Answer 6')).getAttribute('value')).toBe('63')
  await driver.findElement(By.xpath('//summary[contains(., "A set of problems")]')).click()
  await click('Make a set')
  const code = await (await driver.findElement(By.css('.foot b'))).getText()
  const first = await (await driver.findElement(By.css('.made li'))).getText()
  await (await field('Code of a printed set')).sendKeys(code.toLowerCase().replaceAll('-', ' '))
  await click('Put its problems on the page')
  const typed = (await (await field('Problem 1')).getAttribute('value'))!
  expect(`${typed.replace('-', '−')} =`).toBe(first)
  await (
    await field('Code of a printed set')
  ).sendKeys(Key.chord(Key.CONTROL, 'a'), `${code.slice(0, -1)}${code.endsWith('0') ? '1' : '0'}`)
  await click('Put its problems on the page')
  await text(driver, '[aria-label="A set of problems"]', /a sign of it is wrong/)
  await noViolations(driver)
})

test('a class from a file: bad lines told by line and reason, the good ones marked, groups, and all or nothing', async () => {
  await open()
  await click('A class')
  const path = join(mkdtempSync(join(tmpdir(), 'sett-class-')), 'class.csv')
  const rows = [
    'problem,Wren,Pip,"Fen, the second"',
    '52 - 37,25,15,25',
    '81 - 38,57,43,57',
    '70 - 4x,1,2,3',
    '"70 - 46",36,24,36',
    '"95 - 48,53,47,53',
  ]
  writeFileSync(path, rows.join('\r\n'))
  await driver.findElement(By.css('input[type="file"]')).sendKeys(path)
  await text(driver, '[aria-label="Lines that were left out"]', 'Line 4: “70 - 4x”')
  await text(
    driver,
    '[aria-label="Lines that were left out"]',
    'Line 6: A quotation mark that opens a cell here is never',
  )
  await text(driver, '[aria-label="Groups"]', 'Wren, Fen, the second')
  await text(driver, '[aria-label="Groups"]', 'took the smaller digit from the larger')
  await noViolations(driver)
  await click(/^Keep with the 2 who/)
  await text(driver, '.class-page', 'Kept with 2 of 3 learners')
  await (await byRole(driver, 'checkbox', /^All or nothing/)).click()
  await click('Mark the class')
  await text(driver, '[role="alert"]', 'Nothing was marked')
  // One learner's page is opened from the table, with what was kept of them before.
  await (await byRole(driver, 'checkbox', /^All or nothing/)).click()
  await click('Mark the class')
  await click('Wren')
  await text(driver, '[aria-label="Pages kept"]', 'Took the smaller digit from the larger')
})

test('kept with a learner, withdrawn with a word, and let stand again', async () => {
  await open()
  await (await byRole(driver, 'combobox', 'Of')).sendKeys('Pip')
  await (await field('Problem 1')).click()
  for (const [problem, answer] of PAGE) await type(problem, Key.ENTER, answer, Key.ENTER)
  await click('Mark the page')
  await click('Keep with Pip')
  await text(driver, '[aria-label="Pages kept"]', 'Took the smaller digit')
  await click('Withdraw')
  await (await field('Why, in a word')).sendKeys('worked with a neighbour', Key.ENTER)
  await text(driver, '[aria-label="Pages kept"]', 'withdrawn: worked with a neighbour')
  await click('Let it stand')
  await byRole(driver, 'button', 'Withdraw')
})

test('answers given alone at the Bench: the Daybook says what they say, and leads to marking them', async () => {
  const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as {
    learners: { id: string; codeName: string }[]
  }
  const moth = learners.find((l) => l.codeName === 'Moth')!.id
  for (const [i, [problem, answer]] of PAGE.slice(0, 5).entries()) {
    let bench = openBench(
      { problem: parseProblem(problem), representation: 'blocks', way: 'ones-first', also: ['equations'] },
      'alone',
    )
    bench = enter(bench, { at: 900, on: 'blocks', move: `read ${answer}` })
    await fetch(`${app.url}/api/records`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: randomUUID(),
        learnerId: moth,
        startedAt: `2026-11-26T09:0${i}:00.000Z`,
        work: recordOf(bench),
        outcome: { right: i === 2, help: 'independent', note: '' },
      }),
    })
  }
  await driver.get(`${app.url}/learners/records`)
  await (await byRole(driver, 'combobox', 'Whose records')).click()
  await (await byRole(driver, 'option', 'Moth')).click()
  await text(driver, '.say', 'took the smaller digit from the larger in each column')
  await noViolations(driver)
  await (await byRole(driver, 'link', 'Mark them')).click()
  await text(driver, '[aria-label="What the answers say"]', '4 of 4 wrong answers')
})

test.each([
  [390, 844],
  [640, 400],
])('at %d x %d nothing is out of reach', async (width, height) => {
  await size(width, height)
  await open()
  await (await field('Problem 1')).click()
  for (const [problem, answer] of PAGE) await type(problem, Key.ENTER, answer, Key.ENTER)
  await click('Mark the page')
  await click('Show where it parts')
  await click('To where they part')
  await text(driver, '.parting', 'Here they part')
  const over = await driver.executeScript('return document.documentElement.scrollWidth - window.innerWidth')
  expect(over).toBeLessThanOrEqual(0)
  await noViolations(driver)
})
