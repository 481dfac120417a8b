import { createCanvas, loadImage } from '@napi-rs/canvas'
import { writeFileSync, mkdtempSync } from 'node:fs'
import { execFileSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { WebDriver } from 'selenium-webdriver'
import { inChromium } from './here'
import { By, byRole, Key, lessonsAround, noViolations, pick, text, type Running } from './world'

/** Print in Chromium: from a lesson to its kit and its printed sheets, by keyboard; and back from paper to Marking. */

const here = inChromium()
const { size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))

const open = async (query = ''): Promise<void> => {
  await driver.get(`${app.url}/plan/print${query}`)
  await byRole(driver, 'heading', 'Print')
  // From here on files are caught that the page gives.
  await driver.executeScript(`
    window.files = []
    const make = URL.createObjectURL
    URL.createObjectURL = (blob) => (window.files.push(blob), make(blob))`)
}
/** Adds a sheet from the gallery, by keyboard. */
const add = async (name: string): Promise<void> => {
  await (await byRole(driver, 'button', 'Add a sheet')).sendKeys(Key.ENTER)
  await (await byRole(driver, 'button', name)).sendKeys(Key.ENTER)
  await driver.wait(async () => (await driver.findElements(By.css('.p-dialog'))).length === 0, 20_000)
}
const fresh = async (query = ''): Promise<void> => {
  await driver.get(`${app.url}/plan/print`)
  await driver.executeScript(`localStorage.removeItem('sett.paper')`)
  await open(query)
}
const pagesSay = (fits: string | RegExp): Promise<void> => text(driver, '.page-header', fits)
/** The next file that the page gives, in bytes. */
const given = async (): Promise<Buffer> => {
  await driver.wait(async () => (await driver.executeScript<number>('return window.files.length')) > 0, 15_000)
  const base64 = await driver.executeAsyncScript<string>(`
    const done = arguments[arguments.length - 1]
    const reader = new FileReader()
    reader.onload = () => done(reader.result.split(',')[1])
    reader.readAsDataURL(window.files.shift())`)
  return Buffer.from(base64, 'base64')
}
interface ReadPdf {
  readonly pages: readonly { readonly width: number; readonly texts: readonly string[] }[]
}
const readPdf = (bytes: Buffer, pictures = false): { readonly read: ReadPdf; readonly folder: string } => {
  const folder = mkdtempSync(join(tmpdir(), 'sett-pdf-'))
  const file = join(folder, 'given.pdf')
  writeFileSync(file, bytes)
  const told = execFileSync('node', ['tests/outside/pdf/read.mjs', file, ...(pictures ? [join(folder, 'page')] : [])], {
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  })
  return { read: JSON.parse(told) as ReadPdf, folder }
}

test('from a lesson to its kit and its printed set', async () => {
  const [lesson] = await lessonsAround<{ id: string; turns: { learner: string | null; problem: string }[] }>(app.url)
  await driver.get(`${app.url}/plan/lessons/${lesson!.id}`)
  await (await byRole(driver, 'link', 'Count the pieces')).click()
  await text(driver, '.kit', 'Base-ten blocks')
  await driver.get(`${app.url}/plan/lessons/${lesson!.id}`)
  await (await byRole(driver, 'link', 'Print')).click()
  await byRole(driver, 'heading', 'Print')
  await driver.executeScript(`
    window.files = []
    const make = URL.createObjectURL
    URL.createObjectURL = (blob) => (window.files.push(blob), make(blob))`)
  await pagesSay(/[5-9] pages/)
  await (await byRole(driver, 'button', 'Download')).click()
  await text(driver, '.page-header', 'saved as a PDF')
  const { read } = readPdf(await given())
  const all = read.pages.flatMap((p) => p.texts)
  expect(all).toEqual(expect.arrayContaining(['Whole group', 'Say and ask', 'Wren', 'Problems', 'Answers', 'Notes']))
  expect(Math.round(read.pages[0]!.width)).toBe(595)
  // What is changed of it stays as it was left when the page is loaded again, and what was there before can still be brought back.
  await (await byRole(driver, 'button', 'Step by step: remove')).click()
  await pagesSay('5 pages')
  await driver.navigate().refresh()
  await byRole(driver, 'heading', 'Print')
  await pagesSay('5 pages')
  await (await byRole(driver, 'button', 'Undo: previous sheets')).click()
  await pagesSay('1 page')
  await noViolations(driver)
})

test('sheets are chosen, set and taken out by keyboard; what cannot be made says why and the rest is printed', async () => {
  await fresh()
  await pagesSay('1 page')
  await add('Ten frames')
  await pagesSay('2 pages')
  const copies = await byRole(driver, 'spinbutton', 'Ten frames: copies')
  await copies.sendKeys(Key.chord(Key.CONTROL, 'a'), '3', Key.TAB)
  await pagesSay('4 pages')
  await add('Ruled lines')
  await pagesSay('5 pages')
  const to = await byRole(driver, 'spinbutton', 'To')
  await to.sendKeys(Key.chord(Key.CONTROL, 'a'), '9000', Key.TAB)
  await text(driver, '.panel', '9001 marks do not fit on one line')
  await pagesSay('4 pages')
  await (await byRole(driver, 'button', 'Ten frames: remove')).sendKeys(Key.ENTER)
  await pagesSay('1 page')
  await (await byRole(driver, 'button', 'Undo: Ten frames')).sendKeys(Key.ENTER)
  await pagesSay('4 pages')
  await (await byRole(driver, 'button', 'Ruled lines: remove')).sendKeys(Key.ENTER)
  await noViolations(driver)
  // A page is looked at larger, and turned with the arrow keys.
  await (await byRole(driver, 'button', 'Larger')).sendKeys(Key.ENTER)
  await text(driver, '.p-dialog', 'Page 1 of 4')
  await driver.actions().sendKeys(Key.ARROW_RIGHT).perform()
  await text(driver, '.p-dialog', 'Page 2 of 4: Ten frames')
  await noViolations(driver)
  await driver.actions().sendKeys(Key.ESCAPE).perform()
  await driver.wait(async () => (await driver.findElements(By.css('.p-dialog'))).length === 0, 20_000)
})

test('names, large print, sheets to be felt, two to a page: what is seen is what is printed', async () => {
  await fresh()
  await pagesSay('1 page')
  await (await byRole(driver, 'checkbox', 'Wren')).click()
  await (await byRole(driver, 'checkbox', 'Pip')).click()
  await pagesSay('2 pages')
  await (await byRole(driver, 'checkbox', 'Two to a page')).click()
  await pagesSay('1 page')
  await driver.wait(async () => (await driver.findElements(By.css('.preview .page svg'))).length === 1, 20_000)
  const seen = await driver.executeScript<string[]>(
    `return [...document.querySelectorAll('.preview .page svg text')].map((t) => t.textContent)`,
  )
  expect(seen).toEqual(expect.arrayContaining(['Wren', 'Pip']))
  await (await byRole(driver, 'button', 'Download')).click()
  const { read } = readPdf(await given())
  expect(read.pages.flatMap((p) => p.texts)).toEqual(seen)
  await (await byRole(driver, 'checkbox', 'Two to a page')).click()
  await (await byRole(driver, 'checkbox', 'To be felt, with braille')).click()
  await text(driver, '.press', 'Checked: black on white')
  await driver.wait(async () => (await driver.findElements(By.css('.preview .page svg text'))).length === 0, 20_000)
  await noViolations(driver)
  // One page as a drawing, with its fonts in it.
  await (await byRole(driver, 'button', 'Save this page as SVG')).click()
  const svg = (await given()).toString('utf8')
  expect(svg).toContain('<svg xmlns="http://www.w3.org/2000/svg" width="210mm"')
  expect(svg).toContain('@font-face')
})

test('a print set is kept under a name, and taken up again', async () => {
  await fresh()
  await pagesSay('1 page')
  await add('Plates')
  await pagesSay('2 pages')
  await (await byRole(driver, 'textbox', 'Name of the set')).sendKeys('Monday', Key.ENTER)
  await text(driver, '.kept', 'Saved as Monday.')
  await fresh()
  await pagesSay('1 page')
  await pick(driver, 'Saved sets', 'Monday')
  await (await byRole(driver, 'button', 'Use')).sendKeys(Key.ENTER)
  await pagesSay('2 pages')
  await (await byRole(driver, 'button', 'Remove Monday')).click()
  await text(driver, '.kept', 'Monday removed.')
  await pagesSay('2 pages')
})

test('a ready set takes the place of the sheets, and what was printed before is opened again', async () => {
  await fresh()
  await driver.executeScript(`localStorage.removeItem('sett.printed')`)
  await fresh()
  await pagesSay('1 page')
  await (await byRole(driver, 'button', 'For home')).click()
  await pagesSay('3 pages')
  await (await byRole(driver, 'button', 'Download')).click()
  await pagesSay('3 pages saved as a PDF')
  await (await byRole(driver, 'button', 'Problems: remove')).click()
  await pagesSay('2 pages')
  await pick(driver, 'Printed before', /Problems, Problems, Step by step/)
  await (await byRole(driver, 'button', 'Open again')).click()
  await pagesSay('3 pages')
  await noViolations(driver)
})

test('a printed sheet is found again in Marking, by its letters and by a photograph of its code', async () => {
  await fresh()
  await pagesSay('1 page')
  await (await byRole(driver, 'button', 'Download')).click()
  const { read, folder } = readPdf(await given(), true)
  const code = read.pages[0]!.texts.find((t) => /^\w{4}-\w{4}-\w$/.test(t))!
  const found = async (): Promise<string> => {
    await driver.wait(
      async () => (await driver.findElements(By.css('input[aria-label^="Problem"]'))).length > 3,
      20_000,
    )
    return driver.executeScript<string>(
      `return [...document.querySelectorAll('input')].map((i) => i.value).filter((v) => /^\\d+ - \\d+$/.test(v)).join(', ')`,
    )
  }
  const inMarking = async (): Promise<void> => {
    await driver.get(`${app.url}/learners/marking`)
    await driver.executeScript(`localStorage.removeItem('sett.marking')`)
    await driver.navigate().refresh()
    await (await driver.wait(async () => (await driver.findElements(By.css('summary')))[0], 20_000))!.click()
  }
  await inMarking()
  await (await byRole(driver, 'textbox', 'Code of a printed set')).sendKeys(code.toLowerCase(), Key.ENTER)
  expect(await found()).toBe('52 - 37, 61 - 25, 70 - 46, 84 - 38')
  // A photograph: the printed page, smaller, askew, on a grey table.
  const page = await loadImage(join(folder, 'page-1.png'))
  const canvas = createCanvas(1600, 2000)
  const table = canvas.getContext('2d')
  table.fillStyle = '#8a8f86'
  table.fillRect(0, 0, 1600, 2000)
  table.translate(230, 90)
  table.rotate(0.06)
  table.drawImage(page, 0, 0, 1180, 1669)
  const photo = join(folder, 'photo.png')
  writeFileSync(photo, canvas.toBuffer('image/png'))
  await inMarking()
  await (await driver.findElement(By.css('input[type=file][accept="image/*"]'))).sendKeys(photo)
  expect(await found()).toBe('52 - 37, 61 - 25, 70 - 46, 84 - 38')
  await noViolations(driver)
  // A picture without a code says so, and nothing else is lost.
  const blank = join(folder, 'blank.png')
  writeFileSync(blank, createCanvas(300, 300).toBuffer('image/png'))
  await (await driver.findElement(By.css('input[type=file][accept="image/*"]'))).sendKeys(blank)
  await text(driver, '.set', 'No code was found in that picture')
})

test('what was worked goes from the Daybook onto paper; on a narrow screen all of it can be reached', async () => {
  await size(390, 844)
  await driver.get(`${app.url}/learners/records`)
  const print = await driver.wait(
    async () => (await driver.findElements(By.css('a[aria-label^="On paper"]')))[0],
    20_000,
  )
  await driver.executeScript('arguments[0].click()', print)
  await byRole(driver, 'heading', 'Print')
  await pagesSay('1 page')
  await driver.wait(async () => (await driver.findElements(By.css('.preview .page svg text'))).length > 8, 20_000)
  expect(await driver.executeScript('return document.documentElement.scrollWidth')).toBeLessThanOrEqual(390)
  await noViolations(driver)
})

test('the mat as it lies at the Bench goes on paper, and on swell paper where fingers can tell it apart', async () => {
  await driver.get(`${app.url}/settings`)
  await driver.executeScript(
    `localStorage.clear(); for (const [k, v] of Object.entries({ 'sett.material': 'blocks', 'sett.cards-seen': '["blocks"]' })) localStorage.setItem(k, v)`,
  )
  await driver.get(`${app.url}/bench`)
  await text(driver, '.say .words', /./)
  await (await byRole(driver, 'button', 'Next step')).click()
  await text(driver, '.lines', '52')
  await (await byRole(driver, 'button', 'Tools and practice')).click()
  await (await byRole(driver, 'menuitem', 'The mat on paper, for eyes or fingers')).click()
  await byRole(driver, 'heading', 'Print')
  await text(driver, '.panel', 'The mat as it is')
  await pagesSay('1 page')
  await (await byRole(driver, 'checkbox', /To be felt/)).click()
  await text(driver, '.place', 'Checked: black on white')
  await pagesSay('1 page')
  await text(driver, '.preview', /Page 1 of 1: 52 − 37/)
  await noViolations(driver)
})
