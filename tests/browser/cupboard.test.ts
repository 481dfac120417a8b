import type { WebDriver } from 'selenium-webdriver'
import { inChromium } from './here'
import { By, byRole, Key, lessonsAround, noViolations, text, type Running } from './world'

const here = inChromium()
const { size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))
const open = async (query = ''): Promise<void> => {
  await driver.get(`${app.url}/plan/materials${query}`)
  await byRole(driver, 'heading', 'Cupboard')
}
const fill = async (name: string, value: string): Promise<void> =>
  (await byRole(driver, 'spinbutton', name)).sendKeys(Key.chord(Key.CONTROL, 'a'), value, Key.TAB)
const row = (piece: string): Promise<string> =>
  driver.executeScript<string>(
    `const row = [...document.querySelectorAll('tbody tr')].find((r) => r.querySelector('th')?.innerText.startsWith(${JSON.stringify(piece)}))
     return row ? [...row.querySelectorAll('td')].slice(0, 2).map((td) => td.innerText.trim()).join() : ''`,
  )

test('pieces are counted for what is typed, and what is there is taken off and kept', async () => {
  await open()
  await text(driver, '.kits', 'base-ten blocks')
  // 61 − 25 has six tens out at once, 52 − 37 twelve ones: for six learners, one in twenty to spare.
  await driver.wait(async () => (await row('tens')) === '6,38', 20_000)
  expect(await row('ones')).toBe('12,76')
  await noViolations(driver)
  await fill('There are: tens', '30')
  await text(driver, '.kits', /8[\s\S]*bundles/)
  await fill('In packs of: tens', '10')
  await text(driver, '.kits', '(1 pack)')
  await driver.wait(async () => {
    const kept = (await (await fetch(`${app.url}/api/cupboard`)).json()) as { stock: Record<string, { pack: number }> }
    return kept.stock['blocks/ten']?.pack === 10
  }, 20_000)
  await fill('The youngest is', '4')
  await text(driver, '.kits', 'A small part')
  await (await byRole(driver, 'checkbox', 'Small pieces are hard to grasp')).click()
  await text(driver, '.hands', 'strips')
  await noViolations(driver)
  await driver.navigate().refresh()
  await text(driver, '.kits', '(1 pack)')
})

test('two who fill the cupboard at once do not lose what the other has counted', async () => {
  await open()
  await text(driver, '.kits', 'base-ten blocks')
  const there = async () =>
    (await (await fetch(`${app.url}/api/cupboard`)).json()) as {
      version: number
      stock: Record<string, { have: number }>
    }
  const now = await there()
  const other = { ...now, stock: { ...now.stock, 'counters/counter': { have: 70, pack: 0, madeOf: 'plain' } } }
  await fetch(`${app.url}/api/cupboard`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(other),
  })
  await fill('There are: ones', '90')
  await driver.wait(async () => (await there()).stock['blocks/one']?.have === 90, 20_000)
  expect((await there()).stock['counters/counter']!.have).toBe(70)
})

test('from a lesson to its kit in two steps, by keyboard too; what has no pieces says so', async () => {
  const [lesson] = await lessonsAround<{ readonly id: string }>(app.url)
  await driver.get(`${app.url}/plan/lessons/${lesson!.id}`)
  const link = await byRole(driver, 'link', 'Count the pieces')
  await driver.executeScript('arguments[0].focus()', link)
  await link.sendKeys(Key.ENTER)
  await byRole(driver, 'heading', 'Cupboard')
  await text(driver, '.kits', /base-ten blocks[\s\S]*2 sets for 2 learners/)
  await open()
  const box = await driver.findElement(By.css('.for textarea'))
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '3/8 + 1/8', Key.ENTER, 'reeds')
  await text(driver, '.for', 'Not read: reeds')
  await text(driver, '.kits', '3/8 + 1/8:')
})

test.each([
  [390, 844],
  [1024, 768],
])('at %d x %d nothing is out of reach', async (width, height) => {
  await size(width, height)
  await open()
  await text(driver, '.kits', 'base-ten blocks')
  const over = await driver.executeScript('return document.documentElement.scrollWidth - window.innerWidth')
  expect(over).toBeLessThanOrEqual(0)
  await noViolations(driver)
})

test('a piece has its shelf, its own size and what stands in for it; a pack of several kinds is counted', async () => {
  await open()
  await driver.executeScript(`localStorage.removeItem('sett.cupboard')`)
  await open()
  await text(driver, '.kits', 'base-ten blocks')
  await fill('There are: tens', '0')
  const [details] = await driver.findElements(By.css('.kits details summary'))
  await details!.sendKeys(Key.ENTER)
  await (await byRole(driver, 'textbox', 'Shelf: tens')).sendKeys('top shelf', Key.TAB)
  await text(driver, '[aria-label="What there is, by shelf"]', 'top shelf')
  // What is no size is not taken.
  const measure = await byRole(driver, 'textbox', 'Size in mm: tens')
  await measure.sendKeys('large', Key.TAB)
  await text(driver, '.kits', 'A size is three edges')
  await measure.sendKeys(Key.chord(Key.CONTROL, 'a'), '10 x 10 x 120', Key.TAB)
  await (await byRole(driver, 'combobox', 'Stands in: tens')).sendKeys('bundles', Key.TAB)
  await text(driver, '.kits', 'Bundles stand in: Ten sticks')
  await (await byRole(driver, 'button', 'A pack with several kinds')).click()
  await (await byRole(driver, 'textbox', 'Called')).sendKeys('Starter box')
  await (await byRole(driver, 'button', 'Keep it')).click()
  await text(driver, '.packs', 'Say what is in it.')
  for (const kind of ['tens', 'ones']) await (await byRole(driver, 'checkbox', kind)).click()
  await (await byRole(driver, 'button', 'Keep it')).click()
  // 38 tens are wanted and none are there: of a hundred pieces, half of them tens, one pack is enough.
  await text(driver, '.packs', /Starter box: 100 pieces, as many tens as ones\.[\s\S]*[12] to buy/)
  await noViolations(driver)
  await driver.wait(async () => {
    const kept = (await (await fetch(`${app.url}/api/cupboard`)).json()) as {
      stock: Record<string, { shelf?: string; size?: number[]; standIn?: string }>
      packs?: { kinds: string[] }[]
    }
    const tens = kept.stock['blocks/ten']
    return (
      tens?.shelf === 'top shelf' &&
      tens.standIn === 'bundles' &&
      String(tens.size) === '10,10,120' &&
      String(kept.packs?.[0]?.kinds) === 'blocks/ten,blocks/one'
    )
  }, 20_000)
  await (await byRole(driver, 'button', 'Print what is short, to cut out')).click()
  await byRole(driver, 'heading', 'Paper')
  await text(driver, '.press', 'Blocks to cut out')
})
