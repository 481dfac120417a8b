import type { WebDriver } from 'selenium-webdriver'
import { inChromium } from './here'
import { By, byRole, Key, noViolations, text, type Running } from './world'

/** Stories in Chromium: one whose words mislead is worked by keyboard from its words to the answer and to the Bench. */

const here = inChromium()
const { size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))
const open = async (problem = '15 - 8'): Promise<void> => {
  await driver.get(`${app.url}/stories`)
  await driver.executeScript(`localStorage.removeItem('sett.stories'); localStorage.removeItem('sett.own-story')`)
  await driver.get(`${app.url}/stories?problem=${encodeURIComponent(problem)}`)
  await byRole(driver, 'heading', 'Stories')
}
const story = (): Promise<string> =>
  driver.executeScript<string>(`return document.querySelector('.told .text').innerText`)
const answer = async (value: string): Promise<void> =>
  (await byRole(driver, 'textbox', 'Answer')).sendKeys(Key.chord(Key.CONTROL, 'a'), value, Key.ENTER)

test('“more” that misleads: the answer by the word is seen through, the bars help, the right one is taken', async () => {
  await open()
  await text(driver, '.told .text', /has 15 [\s\S]* has 8 more [\s\S]* than [\s\S]*\?/)
  await noViolations(driver)
  await answer('23')
  await text(driver, '.told form', 'That goes by the word.')
  await byRole(driver, 'img', /^Bars: \w+: a bar of 2 parts, what is asked, 8/)
  await noViolations(driver)
  await answer('15')
  await text(driver, '.told form', 'That number is told already.')
  await answer('seven tokens')
  await text(driver, '.told form', 'Write a number.')
  await answer('7')
  await text(driver, '.told form', 'That is it. 15 − 8 = 7')
  await (await byRole(driver, 'button', 'Number sentence')).sendKeys(Key.ENTER)
  await text(driver, '.sentence', '? + 8 = 15')
  await (await byRole(driver, 'button', 'Work it at the Bench')).sendKeys(Key.ENTER)
  await driver.wait(
    async () => ((await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')) ?? '').includes('15'),
    8000,
  )
})

test('other kinds, other scenes, other numbers; what fits no story says so', async () => {
  await open('24 / 6')
  await text(driver, '.for', 'In rows')
  const before = await story()
  await (await byRole(driver, 'radio', /^how many groups/)).sendKeys(Key.SPACE)
  await driver.wait(async () => (await story()) !== before, 5000)
  await (await byRole(driver, 'combobox', 'Scene')).sendKeys('Tea-lights')
  await text(
    driver,
    '.told .text',
    /There are 24 tea-lights\.[\s\S]*In each box there are 6\.[\s\S]*How many boxes are there\?/,
  )
  await (await byRole(driver, 'checkbox', 'Numbers in words')).sendKeys(Key.SPACE)
  await text(driver, '.told .text', 'There are twenty-four tea-lights.')
  await open('2.5 + 3')
  await text(driver, '.told .text', 'ribbon')
  await (await byRole(driver, 'combobox', 'Scene')).sendKeys('Lanterns')
  await text(driver, '.told', 'There is no part of a lantern. Told in another scene.')
  const box = await byRole(driver, 'textbox', 'Told from')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), 'five plus')
  await driver.wait(async () => (await driver.findElements(By.css('.told .trouble'))).length > 0, 5000)
  await noViolations(driver)
})

test('a story of the teacher’s own: its numbers are found, said what they are, checked, and worked', async () => {
  await open()
  await (await byRole(driver, 'button', 'One of my own')).sendKeys(Key.ENTER)
  await text(driver, '.own', '2 numbers are found.')
  await text(driver, '.own', 'It is not said yet which number is the difference, and which the greater amount.')
  await (await byRole(driver, 'combobox', 'the greater amount')).sendKeys('15')
  await (await byRole(driver, 'combobox', 'the difference')).sendKeys('8')
  await text(driver, '.own', '? + 8 = 15')
  await text(driver, '.own', '“more” would mislead whoever listens to the words alone.')
  await byRole(driver, 'img', /^Bars: /)
  await noViolations(driver)
  const box = await byRole(driver, 'textbox', 'The story')
  await box.sendKeys(Key.chord(Key.CONTROL, Key.END), ' The stall opens at ten.')
  await text(driver, '.own', '“ten” is not needed.')
  await (await byRole(driver, 'button', 'Work it at the Bench')).sendKeys(Key.ENTER)
  await driver.wait(
    async () => ((await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')) ?? '').includes('15'),
    8000,
  )
})

test('at 390 × 844 the story comes first, and nothing is out of reach', async () => {
  await size(390, 844)
  await open()
  await (await byRole(driver, 'button', 'Bars')).click()
  expect(await driver.executeScript('return document.documentElement.scrollWidth')).toBeLessThanOrEqual(390)
  await noViolations(driver)
})
