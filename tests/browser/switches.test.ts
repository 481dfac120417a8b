import type { WebDriver } from 'selenium-webdriver'
import { accessSchema, type Access, type KeptLearner } from '../../shared/learners'
import type { SavedRecord } from '../../shared/schemas'
import { inChromium } from './here'
import { By, byRole, Key, noViolations, text, type Running } from './world'

/** The whole job with one switch and with two: no mouse, no other key. What is pressed for is read from the frame that is lit. */

const here = inChromium()
const { fresh, press } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
async function reaching(access: Partial<Access>): Promise<KeptLearner> {
  const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: KeptLearner[] }
  const wren = learners.find((l) => l.codeName === 'Wren')!
  const body = { ...wren, choices: { ...wren.choices, access: accessSchema.parse(access) } }
  const kept = await fetch(`${app.url}/api/learners/${wren.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  expect(kept.status).toBe(200)
  return (await kept.json()) as KeptLearner
}
/** What is lit, and how: its level, its name, and the names of all that lies within. */
interface Lit {
  readonly level: string
  readonly name: string
  readonly names: readonly string[]
}
const LIT = `
  const frame = document.querySelector('.scan-frame')
  // While the page has just changed presses do not count, and nobody gives one.
  if (!frame || frame.dataset.settling) return null
  const box = frame.getBoundingClientRect()
  const within = [...document.querySelectorAll('button, a[href], input, select, textarea, [role="button"], [role="slider"], [role="option"]')]
    .filter((e) => {
      const b = e.getBoundingClientRect()
      // What lies under something else is not what is lit.
      const top = document.elementFromPoint(b.left + b.width / 2, b.top + b.height / 2)
      if (!e.matches('[role="slider"]') && (!top || !(e.contains(top) || top.contains(e)))) return false
      return b.width > 1 && e.checkVisibility() && b.left >= box.left - 1 && b.right <= box.right + 1 && b.top >= box.top - 1 && b.bottom <= box.bottom + 1
    })
    .map((e) => (e.getAttribute('aria-label') || e.labels?.[0]?.textContent || e.textContent).replace(/\\s+/g, ' ').trim())
  return { level: ['group', 'row', 'item'].find((l) => frame.classList.contains(l)), name: frame.dataset.lit, names: within }`
const lit = (): Promise<Lit | null> => driver.executeScript<Lit | null>(LIT)

let presses = 0
let pressedAt = 0
const choose = async (): Promise<void> => {
  presses += 1
  await press(Key.SPACE)
  pressedAt = Date.now()
}
const fits = (name: string, wanted: string | RegExp): boolean =>
  typeof wanted === 'string' ? name === wanted : wanted.test(name)
/** Waits for the light, and presses for a thing until it has been done; `advance` is the second switch, where there is one. */
async function pick(wanted: string | RegExp, advance?: () => Promise<void>): Promise<void> {
  // What has been lit for a while may go on before a press arrives: only what is newly lit is pressed for.
  let last = Date.now() - pressedAt > 80 ? JSON.stringify(await lit()) : ''
  const until = Date.now() + 30_000
  while (Date.now() < until) {
    const now = await lit()
    const key = JSON.stringify(now)
    const holds = now !== null && (fits(now.name, wanted) || now.names.some((n) => fits(n, wanted)))
    if (holds && (key !== last || advance)) {
      await choose()
      if (fits(now.name, wanted) && now.names.length <= 1) return
      last = ''
    } else if (advance) await advance()
    else last = key
    await driver.sleep(advance ? 10 : 25)
  }
  throw new Error(`the light never came to ${wanted}; last lit: ${JSON.stringify(await lit())}`)
}
/** Saves in the dialog; a press while it is still opening does not count, so it is given again. */
async function saveThere(advance?: () => Promise<void>): Promise<void> {
  await text(driver, '[role="dialog"]', 'Save to the Daybook')
  const open = async (): Promise<boolean> => (await driver.findElements(By.css('[role="dialog"]'))).length > 0
  for (let tries = 0; tries < 4 && (await open()); tries++) {
    await pick('Save', advance)
    await driver.wait(async () => !(await open()), 3000).catch(() => undefined)
  }
}
/** The newest record of a learner's for a problem, once there is one that was not there before. */
async function saved(learner: string, problem: string, before: readonly string[] = []): Promise<SavedRecord> {
  let id: string | undefined
  await driver.wait(
    async () => {
      id = (await recordsOf(learner, problem)).find((one) => !before.includes(one))
      return id !== undefined
    },
    20_000,
    'the record is in the Daybook',
  )
  return (await (await fetch(`${app.url}/api/records/${id}`)).json()) as SavedRecord
}
const recordsOf = async (learner: string, problem: string): Promise<readonly string[]> => {
  const of = new URLSearchParams({ learner, problem, limit: '200' })
  const page = (await (await fetch(`${app.url}/api/records?${of}`)).json()) as { records: { id: string }[] }
  return page.records.map((r) => r.id)
}

test('one switch: 52 − 37 on blocks, from asking to saved', async () => {
  const wren = await reaching({ switches: 1, pace: 400, firstPause: 0 })
  await fresh({
    'sett.learner': wren.id,
    'sett.cards-seen': '["blocks"]',
    'sett.mode': 'together',
    'sett.material': 'blocks',
  })
  await driver.wait(async () => (await lit()) !== null, 20_000)
  await noViolations(driver)
  // The site's places are no part of what is scanned while a learner is at the Bench.
  expect(await driver.executeScript("return document.querySelector('.rail').dataset.scan")).toBe('never')
  const before = await recordsOf(wren.id, '52 - 37')
  presses = 0
  let acts = 0
  const does = async (...all: (string | RegExp)[]): Promise<void> => {
    for (const one of all) {
      await pick(one)
      acts += 1
    }
  }
  await does('Problem')
  await text(driver, '.scan-pad', 'Done')
  await noViolations(driver)
  // What is written in the box goes first, by a long press each: taken back.
  const length = (await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value'))!.length
  for (let i = 0; i < length; i++) await does('take the last one back')
  await does('5', '2', 'minus', '3', '7', 'Enter')
  await driver.wait(async () => (await driver.findElements(By.css('.scan-pad'))).length === 0, 20_000)
  await text(driver, '[aria-label="The mat"]', /store/)
  for (let i = 0; i < 5; i++) await does('Store of tens', /^\d tens? on the mat/)
  for (let i = 0; i < 2; i++) await does('Store of ones', /^\d ones? on the mat/)
  await text(driver, '.lines', '52 = 50 + 2')
  // A ten is broken among the ones, seven ones and three tens go to the tray.
  await does(/^5 tens on the mat/, /^2 ones on the mat/)
  await text(driver, '.lines', '52 = 40 + 12')
  for (let i = 0; i < 7; i++) await does(/^\d+ ones? on the mat/, /ones? taken away$/)
  for (let i = 0; i < 3; i++) await does(/^\d+ tens? on the mat/, /tens? taken away$/)
  await text(driver, '.lines', '15')
  await does('Answer', '1', '5', 'Enter', 'Save')
  await saveThere()
  const record = await saved(wren.id, '52 - 37', before)
  expect(record.work.representation).toBe('blocks')
  expect(record.outcome.right).toBe(true)
  // Each act needs one press at the least; groups and rows cost at most two more.
  expect(presses).toBeGreaterThanOrEqual(acts)
  expect(presses / acts).toBeLessThanOrEqual(3)
}, 300_000)

/** The second switch. */
const advance = async (): Promise<void> => {
  presses += 1
  await press(Key.ENTER)
}
const heldDown = (): Promise<void> => driver.actions().keyDown(Key.SPACE).pause(1400).keyUp(Key.SPACE).perform()
/** A bench with a problem laid out already, in Together, for two switches. */
async function benchFor(problem: string, material: string): Promise<string> {
  const wren = await reaching({ switches: 2 })
  await fresh({
    'sett.mode': 'together',
    'sett.material': material,
    'sett.cards-seen': JSON.stringify([material]),
    'sett.learner': wren.id,
  })
  const ask = await byRole(driver, 'textbox', 'Problem')
  // Space and Enter are switches here already.
  await ask.sendKeys(Key.chord(Key.CONTROL, 'a'), problem.replaceAll(' ', ''))
  await (await byRole(driver, 'button', 'Start')).click()
  // Whoever set the problem had the mouse; the first press of a switch takes over, at the mat.
  await driver.wait(async () => (await lit()) === null, 20_000)
  await press(Key.SPACE)
  await driver.wait(async () => (await lit()) !== null, 20_000)
  const begins = `const f = document.querySelector('.scan-frame').getBoundingClientRect(), m = document.querySelector('#mat').getBoundingClientRect()
    return f.left >= m.left - 10 && f.right <= m.right + 10 && f.top >= m.top - 10 && f.bottom <= m.bottom + 10`
  expect(await driver.executeScript(begins)).toBe(true)
  return wren.id
}

test('two switches: 7 + 2 on the abacus, by beads and to the Daybook', async () => {
  const learnerId = await benchFor('7 + 2', 'abacus')
  presses = 0
  const does = async (...all: (string | RegExp)[]): Promise<void> => {
    for (const one of all) await pick(one, advance)
  }
  await does(/^Ones rod/)
  await text(driver, '.scan-pad', 'the upper bead to the bar')
  await noViolations(driver)
  await does('the upper bead to the bar', '2 beads to the bar')
  await text(driver, '.lines', '7')
  await does('2 beads to the bar', 'Done')
  await text(driver, '.lines', '9')
  await does('Answer', '9', 'Enter', 'Save')
  await saveThere(advance)
  const record = await saved(learnerId, '7 + 2')
  expect(record).toMatchObject({ work: { representation: 'abacus' }, outcome: { right: true } })
}, 240_000)

test('two switches: counters are set out and counted; a long press takes back a counter too many and a wrong sign', async () => {
  const learnerId = await benchFor('3 + 2', 'counters')
  const does = async (...all: (string | RegExp)[]): Promise<void> => {
    for (const one of all) await pick(one, advance)
  }
  for (let i = 0; i < 4; i++) await does('Put one')
  await text(driver, '.lines', '4')
  // One too many: held down, it goes at once, without the light on its way to Undo.
  await heldDown()
  await driver.wait(async () => !(await (await driver.findElement(By.css('.lines'))).getText()).includes('4'), 10_000)
  await text(driver, '.lines', '3')
  await does('Answer', '6')
  await text(driver, '.scan-pad .written', '6')
  // Wrong: held down, it is taken back.
  await heldDown()
  await text(driver, '.scan-pad .written', '…')
  await does('5', 'Enter', 'Save')
  await saveThere(advance)
  expect((await saved(learnerId, '3 + 2')).work.representation).toBe('counters')
}, 240_000)

test('the switch box presses for another window, and a press that is too short or too soon does not count', async () => {
  await benchFor('7 + 2', 'counters')
  const bench = await driver.getWindowHandle()
  await driver.switchTo().newWindow('tab')
  await driver.get(`${app.url}/settings/switch-box`)
  await byRole(driver, 'heading', 'Switch box')
  await noViolations(driver)
  const box = await driver.getWindowHandle()
  const at = async (): Promise<string> => {
    await driver.switchTo().window(bench)
    const now = JSON.stringify(await lit())
    await driver.switchTo().window(box)
    return now
  }
  const before = await at()
  const step = await byRole(driver, 'button', 'Step')
  await driver.actions().move({ origin: step }).press().pause(80).release().perform()
  await driver.wait(async () => (await at()) !== before, 20_000, 'the light goes on')
  await driver.close()
  await driver.switchTo().window(bench)
  // Now only presses of half a second count.
  const wren = await reaching({ switches: 2, hold: 500 })
  expect(wren.choices.access.hold).toBe(500)
  await driver.navigate().refresh()
  await driver.wait(async () => (await lit()) !== null, 20_000)
  const still = JSON.stringify(await lit())
  await driver.actions().keyDown(Key.ENTER).pause(100).keyUp(Key.ENTER).perform()
  expect(JSON.stringify(await lit())).toBe(still)
  await driver.actions().keyDown(Key.ENTER).pause(700).keyUp(Key.ENTER).perform()
  await driver.wait(async () => JSON.stringify(await lit()) !== still, 20_000, 'a long enough press counts')
}, 120_000)
