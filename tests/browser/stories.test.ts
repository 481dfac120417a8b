import type { WebDriver } from 'selenium-webdriver'
import { codeOfList } from '../../core/paper/index'
import { inChromium } from './here'
import { By, byRole, Key, noViolations, pick, text, type Running } from './world'

/** Stories in Chromium: one whose words mislead is worked Alone by keyboard from its words to the answer, and found in the Daybook. */

const here = inChromium()
const { size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))
const open = async (problem = '15 - 8'): Promise<void> => {
  await driver.get(`${app.url}/plan/stories`)
  await driver.executeScript(
    `localStorage.removeItem('sett.stories'); localStorage.removeItem('sett.own-story'); localStorage.removeItem('sett.story-desk')`,
  )
  await driver.get(`${app.url}/plan/stories?problem=${encodeURIComponent(problem)}`)
  await byRole(driver, 'heading', 'Stories')
}
const story = (): Promise<string> =>
  driver.executeScript<string>(`return document.querySelector('.told .text').innerText`)
/** Whatever has the focus is left for the next thing that has this role and name, by the Tab key alone. */
async function tabTo(name: string | RegExp, most = 60): Promise<void> {
  for (let i = 0; i < most; i++) {
    const here = await driver.switchTo().activeElement()
    const found = `${(await here.getAccessibleName()) || ''}`.trim()
    if (typeof name === 'string' ? found === name : name.test(found)) return
    await driver.actions().sendKeys(Key.TAB).perform()
  }
  throw new Error(`Nothing called ${name} is reached by Tab.`)
}
const keys = (...all: string[]): Promise<void> =>
  driver
    .actions()
    .sendKeys(...all)
    .perform()
/** Goes on to a button by keyboard and presses it. */
const press = async (name: string | RegExp): Promise<void> => {
  await tabTo(name)
  await keys(Key.ENTER)
}

test('“more” that misleads, worked Alone by keyboard from its words to the answer; the mistake stands in the Daybook', async () => {
  await open()
  await text(driver, '.told .text', /has 15 [\s\S]* has 8 more [\s\S]* than [\s\S]*\?/)
  await noViolations(driver)
  await (await byRole(driver, 'button', 'Alone')).sendKeys(Key.SPACE)
  await press('Work it in stages')
  await text(driver, '.desk', 'Sett says nothing until the end')
  await noViolations(driver)
  // What happens: by the word.
  await press('Adding to')
  await text(driver, '.desk .said', 'Noted.')
  // What is needed, and what is asked.
  await tabTo('8')
  await keys(Key.SPACE)
  await tabTo('15')
  await keys(Key.SPACE)
  await tabTo('the smaller amount')
  await keys(Key.SPACE)
  await noViolations(driver)
  await press('Check')
  // Bars, each with the number in its place.
  for (const [number, place] of [
    ['8', 'The difference'],
    ['15', 'The larger'],
    ['?', 'The smaller'],
  ] as const) {
    await press(number)
    await press(`${place}: empty`)
  }
  await byRole(driver, 'img', /^Bars: \w+: a bar of 2 parts, what is asked, 8/)
  await noViolations(driver)
  await press('Check')
  // The sentence, and what is worked.
  await tabTo(/^What the story says/)
  await keys('? + 8 = 15', Key.TAB, '15 + 8', Key.ENTER)
  await press('Skip')
  await tabTo(/^Answer, with/)
  await keys('23 lanterns', Key.ENTER)
  await text(driver, '.again', /has 23 /)
  await press('It fits')
  await text(driver, '.save', 'Chose by a key word')
  await text(driver, '.save', 'Took the story for another situation')
  await text(driver, '.save', 'Did not see whether the answer fits')
  await noViolations(driver)
  await press('Save')
  await byRole(driver, 'button', 'Work it in stages')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, '.daybook', 'chose by a key word')
  await (await byRole(driver, 'button', 'Find')).click()
  const find = await byRole(driver, 'combobox', 'Slip')
  await find.sendKeys('chose by a key')
  await text(driver, '.table', /15 − 8[\s\S]*story[\s\S]*Alone[\s\S]*not right/)
  await (await driver.findElement(By.css('.table a.open'))).sendKeys(Key.ENTER)
  await text(driver, '.worked', /23 lanterns[\s\S]*not right[\s\S]*chose by a key word/)
  await noViolations(driver)
})

test('together each stage says whether it is right, can be shown, and waits until it is; nothing is lost when the page is loaded again', async () => {
  await open('12 + 8 - 5')
  await press('Work it in stages')
  await press('Taking from')
  await text(driver, '.desk .said', 'Not yet.')
  await press('Two steps')
  await text(driver, '.desk .said', 'That is right.')
  await press('Show it')
  await press('Show it')
  await tabTo(/^What the story says/)
  await keys('twelve', Key.ENTER)
  await text(driver, '.desk .said', 'cannot be read as a number sentence')
  await driver.navigate().refresh()
  await text(driver, '.stages', /Two steps/)
  await (await byRole(driver, 'button', /^6\s*Answer/)).sendKeys(Key.ENTER)
  await tabTo(/^Answer, with/)
  await keys('20', Key.ENTER)
  await text(driver, '.desk .said', 'That is the first step. What happens next?')
  await (await byRole(driver, 'textbox', /^Answer, with/)).sendKeys(Key.chord(Key.CONTROL, 'a'), '15', Key.ENTER)
  await text(driver, '.desk .said', 'The number is right. What is it a number of?')
  await noViolations(driver)
  await press('Close the story')
  await byRole(driver, 'button', 'Work it in stages')
  // What was put away unsaved can be gone on with.
  await (await byRole(driver, 'button', 'Bring back the last story')).sendKeys(Key.ENTER)
  await text(driver, '.stages', /Two steps[\s\S]*15/)
  await press('Close the story')
})

test('numbers are dragged onto the drawing of the bars by mouse; what stands there is taken away by a press', async () => {
  await open()
  await (await byRole(driver, 'button', 'Work it in stages')).click()
  await (await byRole(driver, 'button', /Draw the bars/)).click()
  const drag = async (number: string, place: string): Promise<void> => {
    const from = await byRole(driver, 'button', number)
    const to = await byRole(driver, 'button', new RegExp(`^${place}: `))
    await driver.executeScript(`arguments[0].scrollIntoView({ block: 'center' })`, to)
    await driver.actions().dragAndDrop(from, to).perform()
  }
  await drag('8', 'The smaller')
  await (await byRole(driver, 'button', 'The smaller: 8')).click()
  await byRole(driver, 'button', 'The smaller: empty')
  await drag('8', 'The difference')
  await drag('?', 'The smaller')
  await drag('15', 'The larger')
  await byRole(driver, 'img', /^Bars: \w+: a bar of 2 parts, what is asked, 8/)
  await (await byRole(driver, 'button', 'Check')).click()
  await text(driver, '.desk .said', 'That is right.')
  await (await byRole(driver, 'button', 'Close the story')).click()
})

test('other kinds, other scenes, other numbers; what fits no story says so', async () => {
  await open('24 / 6')
  await text(driver, '.for', 'Rows')
  const before = await story()
  await (await byRole(driver, 'option', 'Equal groups: how many groups?')).click()
  await driver.wait(async () => (await story()) !== before, 20_000)
  await pick(driver, 'Scene', /^Tea-lights/)
  await text(
    driver,
    '.told .text',
    /There are 24 tea-lights\.[\s\S]*In each box there are 6\.[\s\S]*How many boxes are there\?/,
  )
  await (await byRole(driver, 'checkbox', 'Numbers in words')).sendKeys(Key.SPACE)
  await text(driver, '.told .text', 'There are twenty-four tea-lights.')
  await (await byRole(driver, 'button', 'Joined sentences')).sendKeys(Key.SPACE)
  await text(driver, '.told .text', 'There are twenty-four tea-lights, and in each box there are six.')
  await (await byRole(driver, 'checkbox', 'A number is missing')).sendKeys(Key.SPACE)
  await text(driver, '.told .text', /\bsome\b/)
  await open('2.5 + 3')
  await pick(driver, 'Scene', /^Lanterns/)
  await text(driver, '.told', 'There is no part of a lantern. Told in another scene.')
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), 'five plus')
  await driver.wait(async () => (await driver.findElements(By.css('.told .trouble'))).length > 0, 20_000)
  await noViolations(driver)
  for (const [problem, told] of [
    ['-3 + 5', /below (?:the ground|zero)/],
    ['20 * 3/4', /Of (?:them|it) 3\/4|3\/4 of it/],
    ['3 * 12 ? 40', /enough/],
    ['4 * 6 - 5', /Then /],
  ] as const) {
    await open(problem)
    await text(driver, '.told .text', told)
  }
})

test('a story of the teacher’s own: its numbers are found, said what they are, checked, worked in stages and at the Bench', async () => {
  await open()
  await (await byRole(driver, 'button', 'Write your own')).sendKeys(Key.ENTER)
  await text(driver, '.place', '2 numbers found.')
  await text(driver, '.place', 'Choose which number is the difference, and which is the larger amount.')
  await pick(driver, 'the larger amount', '15')
  await pick(driver, 'the difference', '8')
  await text(driver, '.place', '? + 8 = 15')
  await text(driver, '.place', 'Tricky wording: “more”')
  await byRole(driver, 'img', /^Bars: /)
  await noViolations(driver)
  const box = await byRole(driver, 'textbox', 'Your story')
  await box.sendKeys(Key.chord(Key.CONTROL, Key.END), ' The stall opens at ten.')
  await text(driver, '.place', '“ten” is not needed.')
  await (await byRole(driver, 'button', 'Work it in stages')).sendKeys(Key.ENTER)
  await (await byRole(driver, 'button', /^6\s*Answer/)).sendKeys(Key.ENTER)
  await tabTo(/^Answer, with/)
  await keys('5 tokens', Key.ENTER)
  await text(driver, '.desk .said', 'One of these numbers is not needed.')
  await press('Close the story')
  await (await byRole(driver, 'button', 'Work it at the Bench')).sendKeys(Key.ENTER)
  await driver.wait(
    async () => ((await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')) ?? '').includes('15'),
    20_000,
  )
})

test('a class adds a scene and people; stories are told in it and of them', async () => {
  await open('4 * 6')
  await (await byRole(driver, 'button', 'Scenes and people')).sendKeys(Key.ENTER)
  const fill = async (name: string, value: string): Promise<void> =>
    (await byRole(driver, 'textbox', name)).sendKeys(value)
  await fill('Name', 'Owl')
  await pick(driver, 'Pronoun', 'they')
  await press('Add')
  await text(driver, '.scenes', 'Owl added.')
  await fill('Name', 'Hare')
  await press('Add')
  await text(driver, '.scenes', 'Hare added.')
  await press('Add the scene')
  await text(driver, '.scenes', 'Look at: Name of the scene.')
  for (const [name, value] of [
    ['Name of the scene', 'Bells on the door'],
    ['Thing (one), or what is measured', 'bell'],
    ['Thing (several)', 'bells'],
    ['One kind', 'brass'],
    ['Other kind', 'wooden'],
    ['Place', 'on the door'],
    ['Verb for adding', 'hangs up'],
    ['Verb for taking away', 'takes off'],
    ['Container (one)', 'hook'],
    ['Containers (several)', 'hooks'],
  ] as const)
    await fill(name, value)
  await text(driver, '.tried', /(?:Owl|Hare|Wren|Pip|Fen|Ash|Teal|Moth) takes off 8 of them\./)
  await noViolations(driver)
  await press('Add the scene')
  await text(driver, '.scenes', 'Bells on the door added.')
  await (await byRole(driver, 'button', 'Choose a story')).sendKeys(Key.ENTER)
  await pick(driver, 'Scene', 'Bells on the door')
  await text(driver, '.told .text', /bells/)
  await (await byRole(driver, 'button', 'Scenes and people')).sendKeys(Key.ENTER)
  await (await byRole(driver, 'button', 'Remove Bells on the door')).sendKeys(Key.ENTER)
  await text(driver, '.scenes', 'removed.')
  await (await byRole(driver, 'button', 'Undo')).sendKeys(Key.ENTER)
  await byRole(driver, 'button', 'Remove Bells on the door')
})

test('read aloud, each word is lit in its turn, and it can be stopped', async () => {
  await open()
  await (await byRole(driver, 'button', 'Read aloud')).sendKeys(Key.ENTER)
  const lit = (): Promise<string> =>
    driver.executeScript<string>(`return document.querySelector('.text .lit')?.innerText ?? ''`)
  await driver.wait(async () => (await lit()) !== '', 20_000)
  const first = await lit()
  await driver.wait(async () => (await lit()) !== first, 20_000)
  await (await byRole(driver, 'button', 'Stop reading')).sendKeys(Key.ENTER)
  await driver.wait(async () => (await lit()) === '', 20_000)
})

test('at 390 × 844 the story comes first, and nothing is out of reach; so at its stages', async () => {
  await size(390, 844)
  await open()
  await (await byRole(driver, 'button', 'Bars')).click()
  const wide = (): Promise<number> => driver.executeScript<number>('return document.documentElement.scrollWidth')
  expect(await wide()).toBeLessThanOrEqual(390)
  await noViolations(driver)
  await (await byRole(driver, 'button', 'Work it in stages')).click()
  await (await byRole(driver, 'button', /Draw the bars/)).click()
  await byRole(driver, 'button', 'Check')
  expect(await wide()).toBeLessThanOrEqual(390)
  await noViolations(driver)
})

test('a printed page of stories is found by its code, marked, and kept; what runs through it is said', async () => {
  // As it is kept when the file of a sheet of stories is made.
  const lines = ['15 - 8', '12 - 5', '14 - 6'].map((p, i) => `story compare/lesser/more ${i + 1}: ${p}`)
  const code = codeOfList(lines)
  const put = await fetch(`${app.url}/api/printed/${code}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ problems: lines }),
  })
  expect(put.ok).toBe(true)
  // Marking leads here.
  await driver.get(`${app.url}/learners/marking`)
  await (await driver.wait(async () => (await driver.findElements(By.css('summary')))[0], 20_000))!.click()
  await (await byRole(driver, 'textbox', /^Code of a printed set/)).sendKeys(code, Key.ENTER)
  await text(driver, '.page-of', '3 stories')
  await noViolations(driver)
  for (const [i, value] of ['23', '17', '8'].entries())
    await (await byRole(driver, 'textbox', `Answer ${i + 1}`)).sendKeys(value)
  await text(driver, '.page-of', 'Chose by a key word: in 2 of the 3 stories where it would show')
  await text(driver, '.page-of', '1 of 3 answered are right.')
  await (await byRole(driver, 'button', 'Save the page')).sendKeys(Key.ENTER)
  await text(driver, '.page-of', '3 stories of')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, '.daybook', 'On paper.')
})
