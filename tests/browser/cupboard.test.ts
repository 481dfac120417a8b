import type { WebDriver } from 'selenium-webdriver'
import { inChromium } from './here'
import { byRole, Key, lessonsAround, noViolations, pick, text, type Running } from './world'

const here = inChromium()
const { click, size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))
const open = async (query = ''): Promise<void> => {
  await driver.get(`${app.url}/plan/materials${query}`)
  await byRole(driver, 'heading', 'Materials')
}
const fill = async (name: string, value: string): Promise<void> =>
  (await byRole(driver, 'textbox', name)).sendKeys(Key.chord(Key.CONTROL, 'a'), value, Key.TAB)
const choose = (label: string, option: string): Promise<void> => pick(driver, label, option)
/** How many are needed of a piece. */
const need = (piece: string): Promise<string> =>
  driver.executeScript<string>(
    `const row = [...document.querySelectorAll('.row')].find((r) => r.querySelector('b')?.innerText === ${JSON.stringify(piece)})
     return row ? row.querySelector('.need').lastChild.textContent.trim() : ''`,
  )
const typed = async (): Promise<void> => {
  await open()
  await choose('Count for', 'Problems that I type')
  await text(driver, '.kit', 'Base-ten blocks')
}
type Kept = {
  readonly version: number
  readonly youngest: number
  readonly stock: Readonly<
    Record<string, { have: number; pack: number; shelf?: string; size?: number[]; standIn?: string }>
  >
  readonly packs?: readonly { kinds: string[] }[]
}
const there = async (): Promise<Kept> => (await (await fetch(`${app.url}/api/cupboard`)).json()) as Kept

test('pieces are counted for what is typed, and what is there is taken off and saved', async () => {
  await typed()
  // 61 − 25 has six tens out at once, 52 − 37 twelve ones: for six learners, one in twenty to spare.
  await driver.wait(async () => (await need('Tens')) === '38', 20_000)
  expect(await need('Ones')).toBe('76')
  await text(driver, '.kit', 'Most at once: 6')
  await noViolations(driver)
  await fill('Have: tens', '30')
  await text(driver, '.kit', /8 missing[\s\S]*bundles/)
  await click('More about tens')
  await fill('Pack size: tens', '10')
  await click('More about tens')
  await text(driver, '.kit', 'Buy 1 pack.')
  await driver.wait(async () => (await there()).stock['blocks/ten']?.pack === 10, 20_000)
  await driver.navigate().refresh()
  await choose('Count for', 'Problems that I type')
  await text(driver, '.kit', 'Buy 1 pack.')
})

test('the column of what there is takes arrow keys and a column from a spreadsheet', async () => {
  await typed()
  const box = await byRole(driver, 'textbox', 'Have: tens')
  await box.sendKeys(Key.ARROW_DOWN)
  const name = await driver.switchTo().activeElement().getAttribute('aria-label')
  expect(name).toBe('Have: ones')
  await driver.executeScript(
    `const data = new DataTransfer(); data.setData('text', '31\\n77\\n')
     arguments[0].dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))`,
    box,
  )
  await driver.wait(async () => {
    const { stock } = await there()
    return stock['blocks/ten']?.have === 31 && stock['blocks/one']?.have === 77
  }, 20_000)
  await text(driver, 'main', '2 kinds of pieces are changed.')
  await click('Undo')
  await driver.wait(async () => (await there()).stock['blocks/ten']?.have === 30, 20_000)
})

test('who uses the pieces is set once in Settings, and cautions stand beside what is counted', async () => {
  await driver.get(`${app.url}/settings/safety`)
  await (await byRole(driver, 'spinbutton', 'Age of the youngest')).sendKeys(Key.chord(Key.CONTROL, 'a'), '4', Key.TAB)
  await (await byRole(driver, 'checkbox', 'Small pieces are hard to grasp')).click()
  await noViolations(driver)
  await driver.wait(async () => (await there()).youngest === 4, 20_000)
  await text(driver, '.page-header', 'Saved.')
  await typed()
  await text(driver, 'aside', 'A small part')
  await text(driver, 'aside', /Harder for some hands[\s\S]*strips/)
  await noViolations(driver)
})

test('two who fill the cupboard at once do not lose what the other has counted', async () => {
  await typed()
  const now = await there()
  const other = { ...now, stock: { ...now.stock, 'counters/counter': { have: 70, pack: 0, madeOf: 'plain' } } }
  await fetch(`${app.url}/api/cupboard`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(other),
  })
  await fill('Have: ones', '90')
  await driver.wait(async () => (await there()).stock['blocks/one']?.have === 90, 20_000)
  expect((await there()).stock['counters/counter']!.have).toBe(70)
})

test('from a lesson to its kit in two steps, by keyboard too; what has no pieces says so', async () => {
  const [lesson] = await lessonsAround<{ readonly id: string }>(app.url)
  await driver.get(`${app.url}/plan/lessons/${lesson!.id}`)
  const link = await byRole(driver, 'link', 'Count the pieces')
  await driver.executeScript('arguments[0].focus()', link)
  await link.sendKeys(Key.ENTER)
  await byRole(driver, 'heading', 'Materials')
  await text(driver, '.kit', /Base-ten blocks[\s\S]*2 sets for 2 learners/)
  await typed()
  const box = await byRole(driver, 'textbox', 'Problems, one a line')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '3/8 + 1/8', Key.ENTER, 'reeds')
  await text(driver, '.typed', 'Cannot be read: reeds')
  await text(driver, '.kit', '3/8 + 1/8:')
})

test.each([
  [390, 844],
  [1024, 768],
])('at %d x %d nothing is out of reach', async (width, height) => {
  await size(width, height)
  await typed()
  const over = await driver.executeScript('return document.documentElement.scrollWidth - window.innerWidth')
  expect(over).toBeLessThanOrEqual(0)
  await noViolations(driver)
})

test('a piece has its shelf, its own size and what stands in for it; a pack of several kinds is counted', async () => {
  await open()
  await driver.executeScript(`localStorage.removeItem('sett.cupboard')`)
  await typed()
  await fill('Have: tens', '0')
  await click('More about tens')
  await fill('Kept: tens', 'top shelf')
  // What is no size is not taken.
  await fill('Size in mm: tens', 'large')
  await text(driver, '.kit', 'A size is three edges')
  await fill('Size in mm: tens', '10 x 10 x 120')
  await choose('Stand-in: tens', 'bundles')
  await text(driver, '.kit', 'Ten sticks')
  await click('Add a mixed pack')
  await (await byRole(driver, 'textbox', 'Name of the pack')).sendKeys('Starter box')
  await click('Save pack')
  await text(driver, '.packs', 'Tick what is in it.')
  for (const kind of ['tens', 'ones']) await (await byRole(driver, 'checkbox', kind)).click()
  await click('Save pack')
  // 38 tens are wanted and none are there: of a hundred pieces, half of them tens, one pack is enough.
  await text(driver, '.packs', /Starter box: 100 pieces, as many of each: tens, ones\.[\s\S]*[12] to buy/)
  await click('Stock')
  await text(driver, '.p-dialog', 'top shelf')
  await noViolations(driver)
  await here.press(Key.ESCAPE)
  await driver.wait(async () => {
    const { stock, packs } = await there()
    const tens = stock['blocks/ten']
    return (
      tens?.shelf === 'top shelf' &&
      tens.standIn === 'bundles' &&
      String(tens.size) === '10,10,120' &&
      String(packs?.[0]?.kinds) === 'blocks/ten,blocks/one'
    )
  }, 20_000)
  await (await byRole(driver, 'button', 'Print missing pieces')).click()
  await byRole(driver, 'heading', 'Print')
  await text(driver, '.press', 'Blocks to cut out')
})
