import type { WebDriver } from 'selenium-webdriver'
import { featuresIn } from '../../core/course/index'
import { inChromium } from './here'
import type { Lesson } from '../../shared/lessons'
import { byRole, Key, lessonsAround, noViolations, pick, text, type Running } from './world'

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
  await text(driver, '.page-header', /problems? fit/)
}
const choose = (list: string, option: string): Promise<void> => pick(driver, list, option)
const listed = async (): Promise<string[]> => {
  const texts = await driver.executeScript<string[]>(
    "return [...document.querySelectorAll('.problem-set input')].map((box) => box.value)",
  )
  return texts.map((t) => t.replaceAll('−', '-').replaceAll('×', '*').replace('÷', '/'))
}

test('how many fit is seen as limits change, and every problem is within them', async () => {
  await open()
  await text(driver, '.page-header', '1,620 problems fit')
  await choose('First number', 'three-digit')
  await choose('Exchanges', 'exactly 2 exchanges')
  await click('More limits')
  await choose('Across a nought', 'yes')
  await text(driver, '.page-header', /(?<![\d,])(?!1,620)[\d,]+ problems fit/)
  await driver.wait(async () => {
    const all = await listed()
    return all.length === 10 && all.every((p) => featuresIn(p).acrossNought)
  }, 20_000)
  const set = await listed()
  expect(set).toHaveLength(10)
  for (const p of set) expect([p, featuresIn(p).exchanges]).toEqual([p, 2])
  await noViolations(driver)
  await click('New problems')
  await driver.wait(async () => (await listed()).join() !== set.join(), 20_000)
})

test('limits that conflict are told with the smallest change, which is one key away', async () => {
  await open()
  await choose('Operation', 'Add')
  await choose('Exchanges', 'exactly 2 exchanges')
  await (await byRole(driver, 'textbox', 'Answer below')).sendKeys('100')
  await text(driver, '.conflict', 'answer below, and exchanges')
  await noViolations(driver)
  const change = await byRole(driver, 'button', /^Change /)
  await driver.executeScript('arguments[0].focus()', change)
  await change.sendKeys(Key.ENTER)
  await text(driver, '.page-header', /[\d,]+ problems fit/)
})

test('a problem is kept, dropped or typed, a step sets its limits, and the set goes into a lesson', async () => {
  await open()
  const [first, second, third] = await listed()
  // What cannot be read is told at its place, and changes nothing.
  await (await byRole(driver, 'textbox', 'Problem 4')).sendKeys(Key.chord(Key.CONTROL, 'a'), 'reeds', Key.TAB)
  await text(driver, '.problem-set .trouble', /\S/)
  await noViolations(driver)
  await driver.navigate().refresh()
  await text(driver, '.page-header', /problems? fit/)
  await click(`Keep ${first!.replace('-', '−')}`)
  await click('New problems')
  await driver.wait(async () => !(await listed()).includes(second!), 20_000)
  expect((await listed())[0]).toBe(first)
  const [, dropped] = await listed()
  await click(`Replace ${dropped!.replace('-', '−')}`)
  await driver.wait(async () => !(await listed()).includes(dropped!), 20_000)
  expect((await listed()).length).toBe(10)
  const box = await byRole(driver, 'textbox', 'Problem 3')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '90 - 45', Key.TAB)
  await driver.wait(async () => (await listed()).includes('90 - 45'), 20_000)
  await choose('Step', 'Add across 10')
  await driver.wait(async () => (await listed()).every((p) => p.includes('+')), 20_000)
  expect(await listed()).not.toContain(third)
  // What was kept or typed is not lost by that.
  await click('Bring back the problems I kept')
  await driver.wait(async () => (await listed()).includes('90 - 45'), 20_000)
  await choose('Step', 'Add across 10')
  await driver.wait(async () => (await listed()).every((p) => p.includes('+')), 20_000)
  const set = await listed()
  const [lesson] = await lessonsAround<Lesson>(app.url)
  await click('More with these problems')
  await (await byRole(driver, 'menuitem', /^Put in the lesson of /)).click()
  await driver.wait(async () => /\/plan\/lessons\/./.test(await driver.getCurrentUrl()), 20_000)
  const now = (await lessonsAround<Lesson>(app.url)).find((l) => l.id === lesson!.id)!
  expect(now.turns.slice(lesson!.turns.length).map((t) => t.problem)).toEqual(set)
})

test('they are worked at the Bench one after another, and put on the marking page', async () => {
  await open()
  const set = await listed()
  await click('More with these problems')
  await (await byRole(driver, 'menuitem', 'Mark answers to these')).click()
  expect(await (await byRole(driver, 'textbox', 'Problem 1')).getAttribute('value')).toBe(set[0])
  await driver.navigate().back()
  await byRole(driver, 'heading', 'Problems')
  await text(driver, '.page-header', /problems fit/)
  const again = await listed()
  await click('Work at the Bench')
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
  await choose('Numbers', 'fractions')
  await text(driver, '.page-header', /problems fit/)
  await click('More limits')
  await choose('Same denominator', 'no')
  await driver.wait(async () => (await listed()).every((p) => /\/(\d+) - \d+\/(?!\1$)\d+$/.test(p)), 20_000)
  await choose('Operation', 'Divide')
  await choose('Remainder', 'with a remainder')
  await driver.wait(
    async () => (await listed()).length > 0 && (await listed()).every((p) => featuresIn(p).remainder),
    20_000,
  )
  const over = await driver.executeScript('return document.documentElement.scrollWidth - window.innerWidth')
  expect(over).toBeLessThanOrEqual(0)
  await noViolations(driver)
})
