import type { WebDriver } from 'selenium-webdriver'
import { inChromium } from './here'
import { By, byRole, Key, noViolations, text, type Running } from './world'

/** Noting at the table and progress in Chromium: by keyboard, without a server, and read by its table alone. */

const here = inChromium()
const { size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
const away = (offline: boolean): Promise<unknown> =>
  (driver as unknown as { setNetworkConditions: (c: object) => Promise<unknown> }).setNetworkConditions({
    offline,
    latency: 0,
    download_throughput: offline ? 0 : 50_000_000,
    upload_throughput: offline ? 0 : 50_000_000,
  })
afterEach(async () => {
  await away(false)
  await size(1280, 800)
})
const keys = (...all: string[]): Promise<void> =>
  driver
    .actions()
    .sendKeys(...all)
    .perform()
const rows = async (): Promise<{ kind: string; problem: string; right: boolean; help: string; slips: string[] }[]> =>
  ((await (await fetch(`${app.url}/api/records?limit=200`)).json()) as { records: never[] }).records
const noted = async () => (await rows()).filter((r) => r.kind === 'table')
async function open(): Promise<void> {
  await driver.get(`${app.url}/learners/notes`)
  await byRole(driver, 'heading', 'At the table')
  // A sitting that an earlier test left goes on until it is ended.
  const [end] = await driver.findElements(By.xpath('//button[normalize-space(.)="End the sitting"]'))
  await end?.sendKeys(Key.ENTER)
  await byRole(driver, 'button', 'Begin')
}
async function sitDown(names: readonly string[], asked = '52 - 37'): Promise<void> {
  for (const name of names) {
    const box = await byRole(driver, 'checkbox', name)
    if (!(await box.isSelected())) await box.sendKeys(Key.SPACE)
  }
  await (await byRole(driver, 'textbox', 'What is asked')).sendKeys(asked)
  await (await byRole(driver, 'textbox', /^Count besides/)).sendKeys('asked for a break')
  await (await byRole(driver, 'button', 'Begin')).sendKeys(Key.ENTER)
  await text(driver, '.table', names[0]!)
}

test('a group of four is noted by keyboard: right, not yet, help, a tally, taken back; all of it stands in the Daybook', async () => {
  await open()
  await noViolations(driver)
  await sitDown(['Wren', 'Pip', 'Fen', 'Ash'])
  await noViolations(driver)
  // 1 right, 2 not yet, 3 right with a spoken hint, 4 right and taken back, 4 not yet.
  await keys('1', 'r', '2', 'n', '3', 'h', 'h', 'r', '4', 'r')
  await text(driver, '.said', 'Ash: right, no help.')
  await keys('u')
  await text(driver, '.said', 'Ash: the last try is taken back.')
  await keys('n')
  await text(driver, '.said', 'Ash: not yet, no help.')
  await keys('1', 't', 't')
  await text(driver, '.table li:nth-child(1)', /asked for a break 2/)
  await text(driver, '.table li:nth-child(3)', '0 of 1 right without help')
  const note = await byRole(driver, 'textbox', 'Note')
  await note.sendKeys('rubbed her eyes', Key.TAB)
  await (await byRole(driver, 'button', 'End the sitting')).sendKeys(Key.ENTER)
  await text(driver, '.said', 'The sitting is ended: 4 tries.')
  await driver.wait(async () => (await noted()).length === 4, 20_000)
  expect((await noted()).map((r) => [r.problem, r.right, r.help]).sort()).toEqual(
    [
      ['52 - 37', true, 'independent'],
      ['52 - 37', false, 'independent'],
      ['52 - 37', true, 'spoken'],
      ['52 - 37', false, 'independent'],
    ].sort(),
  )
  await text(driver, '.place header', 'Everything is in the Daybook.')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, '.table', /at the table/)
  await text(driver, '.table', 'rubbed her eyes')
  // Nobody said how it was worked, and nobody measured how long it took.
  const attempt = (await driver.findElement(By.xpath('//tr[contains(., "at the table")]'))).getText()
  expect(await attempt).not.toMatch(/Alone|Together|\b0 s\b/)
  await noViolations(driver)
})

test('without a server nothing is lost and nothing comes twice: tries wait in the browser, also over a reload', async () => {
  const before = (await noted()).length
  await open()
  await sitDown(['Wren', 'Pip'], '64 - 21')
  await away(true)
  for (let i = 0; i < 12; i++) await keys(i % 2 ? '2' : '1', i % 3 ? 'r' : 'n')
  await text(driver, '.table li:nth-child(1)', /of 6 right/)
  await text(driver, '.place header', '12 tries are kept in this browser')
  // Sent for in vain: the reason is said, and they stay.
  await text(driver, '.place', 'It is sent again by itself.')
  expect((await noted()).length).toBe(before)
  await away(false)
  // On whatever page the browser is opened again, they go on their way.
  await driver.get(`${app.url}/today`)
  await driver.wait(async () => (await noted()).length === before + 12, 25_000)
  await driver.get(`${app.url}/learners/notes`)
  await text(driver, '.place header', 'Everything is in the Daybook.')
  expect((await noted()).length).toBe(before + 12)
})

test('progress is read by its table alone, a goal is set, a suggestion is taken up with a word and stays so', async () => {
  const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: { id: string }[] }
  const learnerId = learners[5]!.id
  const trials = [2, 4, 5, 8, 9, 9].flatMap((right, day) =>
    Array.from({ length: 10 }, (_, k) => ({
      id: crypto.randomUUID(),
      learnerId,
      startedAt: new Date(Date.now() - (12 - 2 * day) * 86_400_000 + k * 1000).toISOString(),
      kind: 'table',
      help: k < right ? 'independent' : 'spoken',
      right: k < right,
      note: '',
      work: {
        format: 'sett-trial',
        version: 1,
        sitting: crypto.randomUUID(),
        step: 'take-2-2-ten',
        asked: '52 - 37',
        material: day < 2 ? 'blocks' : 'columns',
        ms: 15_000,
      },
    })),
  )
  const sent = await fetch(`${app.url}/api/trials`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ trials }),
  })
  expect(sent.status).toBe(200)
  await driver.get(`${app.url}/learners/progress?learner=${learnerId}`)
  const of = await byRole(driver, 'combobox', 'Of')
  await of.sendKeys('Take away two-digit numbers, one exchange')
  await text(driver, '.told', '60 tries on 6 days. Right without help: 2 of 10 on the first day, 9 of 10 on the last.')
  await noViolations(driver)
  await (await driver.findElement(By.css('summary'))).sendKeys(Key.ENTER)
  const table = await driver.findElement(By.css('table')).getText()
  expect(table).toMatch(/10 2 2 \(20 of 100\) [\d.]+ 2 0 8 0 0 held/)
  expect(table).toMatch(/10 9 9 \(90 of 100\) [\d.]+ 9 0 1 0 0 written/)
  // Only what is drawn is explained.
  const page = (): Promise<string> => driver.findElement(By.css('.place')).getText()
  expect(await page()).not.toContain('the aim line')
  // Set by keyboard alone.
  await (await byRole(driver, 'spinbutton', 'Right without help, of 100')).sendKeys(Key.chord(Key.CONTROL, 'a'), '90')
  await (await byRole(driver, 'button', 'Set the goal')).sendKeys(Key.ENTER)
  await text(driver, '.side', '90 of 100 of “Take away two-digit numbers, one exchange” right without help by')
  await text(driver, '.place', 'Dashed: the aim line.')
  await text(driver, '.suggestions', 'Move on to the next step')
  await text(driver, '.suggestions', /80 of 100 or more without help in 3 sessions running: 8 of 10 on/i)
  await (await driver.findElement(By.css('.suggestions input'))).sendKeys('ready', Key.ENTER)
  await text(driver, '.suggestions', 'Taken up: ready.')
  await driver.navigate().refresh()
  await (await byRole(driver, 'combobox', 'Of')).sendKeys('Take away two-digit numbers, one exchange')
  await text(driver, '.suggestions', 'Taken up: ready.')
  // A school that wants four sessions running has not seen enough.
  await (await driver.findElement(By.css('.side summary'))).sendKeys(Key.ENTER)
  const inputs = await driver.findElements(By.css('.side details input'))
  await inputs[1]!.sendKeys(Key.chord(Key.CONTROL, 'a'), '4', Key.ENTER)
  await text(driver, '.side', 'The rules are kept.')
  await driver.wait(
    async () => !(await (await driver.findElement(By.css('.suggestions'))).getText()).includes('Move on'),
    20_000,
  )
  await noViolations(driver)
  await inputs[1]!.sendKeys(Key.chord(Key.CONTROL, 'a'), '11', Key.ENTER)
  await text(driver, '.side', 'At most ten.')
})

test('a report is made from the figures, changed by a word, and given out as text and as PDF', async () => {
  await driver.get(`${app.url}/learners/progress`)
  await (await byRole(driver, 'link', 'Report')).sendKeys(Key.ENTER)
  await byRole(driver, 'heading', 'Report')
  await (await byRole(driver, 'combobox', 'Learner')).sendKeys('Wren')
  await (await byRole(driver, 'button', 'Make the report')).sendKeys(Key.ENTER)
  await text(driver, '.place', 'Every word of it can be changed.')
  const tried = await byRole(driver, 'textbox', 'What was tried')
  expect(await tried.getAttribute('value')).toMatch(/^From .+ Wren worked on .+ tries/)
  await (await byRole(driver, 'textbox', 'Next')).sendKeys('Tens and ones with chips.')
  await noViolations(driver)
  await driver.executeScript(`
    window.files = []
    const make = URL.createObjectURL
    URL.createObjectURL = (blob) => (window.files.push(blob), make(blob))`)
  /** The beginning of the next file that the page gives. */
  const given = async (): Promise<string> => {
    await driver.wait(async () => (await driver.executeScript<number>('return window.files.length')) > 0, 15_000)
    return driver.executeAsyncScript<string>('window.files.shift().slice(0, 4000).text().then(arguments[0])')
  }
  await (await byRole(driver, 'button', 'As plain text')).sendKeys(Key.ENTER)
  expect(await given()).toMatch(/^Report: Wren[\s\S]*WHAT WAS TRIED[\s\S]*NEXT\nTens and ones with chips\./)
  await (await byRole(driver, 'button', 'As PDF')).sendKeys(Key.ENTER)
  expect(await given()).toMatch(/^%PDF-1/)
})

test('at 390 × 844 nothing is out of reach', async () => {
  await size(390, 844)
  for (const [path, name] of [
    ['/learners/notes', 'At the table'],
    ['/learners/progress', 'Progress'],
    ['/learners/reports', 'Report'],
  ] as const) {
    await driver.get(app.url + path)
    await byRole(driver, 'heading', name)
    expect(await driver.executeScript('return document.documentElement.scrollWidth')).toBeLessThanOrEqual(390)
    await noViolations(driver)
  }
})
