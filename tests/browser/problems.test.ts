import type { WebDriver } from 'selenium-webdriver'
import { featuresIn } from '../../core/course/index'
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
  await driver.get(`${app.url}/plan/problems`)
  await driver.executeScript("localStorage.removeItem('sett.problems')")
  await driver.get(`${app.url}/plan/problems`)
  await text(driver, '.how-many', /problems? fit/)
}
const choose = async (list: string, option: string): Promise<void> =>
  (await byRole(driver, 'combobox', list)).sendKeys(option)
const listed = async (): Promise<string[]> => {
  const texts = await driver.executeScript<string[]>(
    "return [...document.querySelectorAll('.set li')].map((li) => li.innerText)",
  )
  return texts.map((t) => t.replace(' =', '').replaceAll('−', '-').replaceAll('×', '*').replace('÷', '/'))
}

test('how many fit is seen as limits change, and every problem is within them', async () => {
  await open()
  await text(driver, '.how-many', '1,620 problems fit')
  await choose('Digits of the first', '3')
  await choose('Across a nought', 'yes')
  await choose('Columns that exchange', '2')
  await text(driver, '.how-many', /^(?!1,620)[\d,]+ problems fit/)
  await driver.wait(async () => {
    const all = await listed()
    return all.length === 10 && all.every((p) => featuresIn(p).acrossNought)
  }, 20_000)
  const set = await listed()
  expect(set).toHaveLength(10)
  for (const p of set) expect([p, featuresIn(p).exchanges]).toEqual([p, 2])
  await noViolations(driver)
  await click('Others')
  await driver.wait(async () => (await listed()).join() !== set.join(), 20_000)
})

test('limits that conflict are told with the smallest change, which is one key away', async () => {
  await open()
  await choose('Operation', 'Adding')
  await choose('Columns that carry', '2')
  await (await byRole(driver, 'textbox', 'Answers below')).sendKeys('100')
  await text(driver, '.conflict', 'answers below, and in how many columns is carried')
  await noViolations(driver)
  const change = await byRole(driver, 'button', 'Change it')
  await driver.executeScript('arguments[0].focus()', change)
  await change.sendKeys(Key.ENTER)
  await text(driver, '.how-many', /[\d,]+ problems fit/)
})

test('they are worked at the Bench one after another, and put on the marking page', async () => {
  await open()
  const set = await listed()
  await click('Put them on the marking page')
  expect(await (await byRole(driver, 'textbox', 'Problem 1')).getAttribute('value')).toBe(set[0])
  await driver.navigate().back()
  await byRole(driver, 'heading', 'Problems for just this step')
  await text(driver, '.how-many', /problems fit/)
  const again = await listed()
  await click('Work them at the Bench')
  await driver.wait(async () => new URL(await driver.getCurrentUrl()).pathname === '/bench', 10_000)
  const box = await byRole(driver, 'textbox', 'Problem')
  expect(((await box.getAttribute('value')) ?? '').replaceAll('−', '-')).toBe(again[0])
  expect(
    JSON.parse(
      (await driver.executeScript<string>(
        "return localStorage.getItem('sett.queue.' + sessionStorage.getItem('sett.tab'))",
      ))!,
    ).next,
  ).toEqual(again.slice(1).map((problem) => ({ problem })))
})

test('fractions, signs and division have limits of their own, also on a telephone', async () => {
  await size(390, 844)
  await open()
  await choose('With', 'fractions')
  await text(driver, '.how-many', /problems fit/)
  await choose('Bottoms alike', 'no')
  await driver.wait(async () => (await listed()).every((p) => /\/(\d+) - \d+\/(?!\1$)\d+$/.test(p)), 20_000)
  await choose('Operation', 'Dividing')
  await choose('Something left over', 'yes')
  await driver.wait(
    async () => (await listed()).length > 0 && (await listed()).every((p) => featuresIn(p).remainder),
    20_000,
  )
  const over = await driver.executeScript('return document.documentElement.scrollWidth - window.innerWidth')
  expect(over).toBeLessThanOrEqual(0)
  await noViolations(driver)
})
