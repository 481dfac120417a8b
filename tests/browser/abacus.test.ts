import type { IRectangle, WebDriver, WebElement } from 'selenium-webdriver'
import { SLIPS } from '../../core/record/slips'
import { By, byRole, fileWith, Key, noViolations, pick, serve, text, type Running, take } from './world'
import { inChromium } from './here'

const here = inChromium()
const { click } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})

const totals = '[aria-label="Running equations"]'
const stones = '[aria-label="The course of stones"]'
/** Keys go to whatever has the focus, so that a chord is held together. */
const press = async (...keys: string[]): Promise<void> => {
  for (const key of keys) await driver.switchTo().activeElement().sendKeys(key)
}
/** One of the answers offered to what is asked. */
const choose = async (name: string): Promise<void> =>
  (
    await driver.findElement(
      By.xpath(`//*[@role="group"][@aria-label="Answer"]//button[contains(normalize-space(), "${name}")]`),
    )
  ).click()
const live = async (said: string | RegExp): Promise<void> => {
  await driver.wait(async () => {
    const all = await driver.executeScript<string[]>(
      'return [...document.querySelectorAll("[aria-live]")].map((e) => e.textContent)',
    )
    return all.some((t) => (typeof said === 'string' ? t.includes(said) : said.test(t)))
  }, 20_000)
}

/** Asks a problem on a frame, in a mode. */
async function bench(
  problem: string,
  material: string,
  mode: string,
  settings: Record<string, string> = {},
): Promise<void> {
  await driver.get(`${app.url}/bench`)
  await driver.executeScript(
    'localStorage.clear(); for (const [k, v] of Object.entries(arguments[0])) localStorage.setItem(k, v)',
    settings,
  )
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'group', 'The mat')
  await take(driver, 'Material', new RegExp(`^${material}`, 'i'))
  await byRole(driver, 'slider', 'Ones rod')
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
  await click(mode)
  await byRole(driver, 'slider', 'Ones rod')
}
const rod = (name: string): Promise<WebElement> => byRole(driver, 'slider', `${name} rod`)
const focus = (element: WebElement): Promise<void> => driver.executeScript('arguments[0].focus()', element)
const shows = async (name: string, value: number): Promise<void> => {
  await driver.wait(async () => (await (await rod(name)).getAttribute('aria-valuenow')) === String(value), 20_000)
}
async function read(value: string): Promise<void> {
  await (await byRole(driver, 'textbox', 'Answer')).sendKeys(value, Key.ENTER)
  await text(driver, stones, `read ${value.replace('-', '−')}`)
}
/** Where an element lies once it has not moved for twenty frames: lines that are written make the frame smaller. */
const atRest = (element: WebElement): Promise<IRectangle> =>
  driver.executeAsyncScript<IRectangle>(
    `const [element, done] = arguments
    let [was, still] = ['', 0]
    const look = () => {
      const { x, y, width, height } = element.getBoundingClientRect()
      const now = [x, y, width, height].join()
      still = now === was ? still + 1 : 0
      was = now
      if (still >= 20) done({ x, y, width, height })
      else requestAnimationFrame(look)
    }
    look()`,
    element,
  )
/** The middle of a bead, counted from the bar outwards. */
async function bead(
  name: string,
  side: 'upper' | 'lower',
  nth: number,
): Promise<{ x: number; y: number; element: WebElement }> {
  const index = Number(await (await rod(name)).getAttribute('data-rod'))
  const beads = await driver.findElements(By.css(`.bead.${side}`))
  const each = beads.length / (await driver.findElements(By.css('[role="slider"]'))).length
  const element = beads[index * each + nth]!
  const box = await atRest(element)
  return { x: Math.round(box.x + box.width / 2), y: Math.round(box.y + box.height / 2), element }
}

test('a chain worked alone by keyboard, with one slip, is named and recorded', async () => {
  await bench('8 + 7 + 1', 'abacus', 'Alone')
  await noViolations(driver)
  await focus(await rod('Ones'))
  await press('3', Key.chord(Key.SHIFT, Key.ARROW_DOWN))
  await shows('Ones', 8)
  await text(driver, stones, '+ 7')
  await press(Key.ARROW_LEFT, Key.ARROW_UP)
  await shows('Tens', 1)
  // Ten has come and nothing was given back; the learner goes on to the next number.
  await click('Leave it and go on')
  await focus(await rod('Ones'))
  await press(Key.ARROW_UP)
  await read('19')
  await text(driver, totals, '18 + 1 = 19')
  await click('Save')
  await byRole(driver, 'textbox', 'Note')
  await (await driver.findElement(By.css('[role="dialog"] button[type="submit"]'))).click()
  await text(driver, '.p-toast', 'is in the Daybook')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, 'tbody tr', '8 + 7 + 1')
  await text(driver, 'tbody tr', SLIPS.tenNotReturned)
  await text(driver, 'tbody tr', 'not right')
})

test('shown move by move: rule, reason and finger, and the rule beside the running total', async () => {
  await bench('33 + 4 - 6 + 2', 'abacus', 'Show')
  for (const said of ['Lay thirty.', 'Lay thirty-three.', 'Add four.']) {
    await press(Key.ARROW_RIGHT)
    await text(driver, '[aria-label="What to say"]', said)
  }
  await press(Key.ARROW_RIGHT)
  await text(driver, '[aria-label="What to say"]', 'Still to come: Right index clears one lower bead on the ones.')
  await press(Key.ARROW_RIGHT)
  await text(driver, '[aria-label="What to say"]', 'Five complement: +4 = +5 −1.')
  await text(driver, '[aria-label="What to say"]', 'Not direct: that needs four lower beads; only one is free.')
  await text(driver, totals, /33 \+ 4 = 37\s+\+4 = \+5 −1/)
  await text(driver, '.chain', /33\s+\+\s+4\s+−\s+6\s+\+\s+2/)
  await noViolations(driver)
})

test('beads are tapped, drawn along, and pinched; a bead pushes those before it', async () => {
  await bench('4 + 6', 'abacus', 'Together')
  const fourth = await bead('Ones', 'lower', 3)
  await driver.actions().move({ x: fourth.x, y: fourth.y }).click().perform()
  await shows('Ones', 4)
  const tens = await bead('Tens', 'lower', 0)
  await driver
    .actions()
    .move({ x: tens.x, y: tens.y })
    .press()
    .move({ x: tens.x, y: tens.y - 20, duration: 60 })
    .move({ x: tens.x, y: tens.y - 50, duration: 60 })
    .release()
    .perform()
  await shows('Tens', 1)
  const top = await bead('Ones', 'lower', 0)
  await driver
    .actions()
    .move({ x: top.x, y: top.y })
    .press()
    .move({ x: top.x, y: top.y + 60, duration: 90 })
    .release()
    .perform()
  await shows('Ones', 0)
  await text(driver, totals, /4 \+ 6 = 10\s+\+6 = \+10 −4/)
  await click('Pinch')
  const again = await bead('Ones', 'lower', 3)
  await driver.actions().move({ x: again.x, y: again.y }).click().perform()
  await shows('Ones', 9)
})

test('two fingers on one rod pinch: one movement, one move', async () => {
  await bench('7 + 1', 'abacus', 'Alone')
  const [upper, lower] = [await bead('Ones', 'upper', 0), await bead('Ones', 'lower', 1)]
  const touch = (type: string, by: number): Promise<unknown> =>
    (driver as WebDriver & { sendDevToolsCommand(c: string, p: object): Promise<unknown> }).sendDevToolsCommand(
      'Input.dispatchTouchEvent',
      {
        type,
        touchPoints:
          type === 'touchEnd'
            ? []
            : [
                { x: upper.x, y: upper.y + by, id: 1 },
                { x: lower.x, y: lower.y - by, id: 2 },
              ],
      },
    )
  await touch('touchStart', 0)
  for (const by of [8, 20, 36, 50]) await touch('touchMove', by)
  await touch('touchEnd', 0)
  await shows('Ones', 7)
  await text(driver, stones, /^lay 7/)
})

test('the stay-put frame is worked by keyboard alone and tells each rod', async () => {
  await bench('46 + 27', 'stay-put frame', 'Alone')
  await focus(await rod('Ones'))
  await live('Ones: nought')
  await press(Key.ARROW_LEFT)
  await live('Tens: nought')
  await press('4')
  await live('Tens: four')
  await press(Key.ARROW_RIGHT, Key.ARROW_UP, Key.chord(Key.SHIFT, Key.ARROW_DOWN))
  await live('Ones: six')
  await text(driver, stones, '+ 27')
  await press(Key.ARROW_LEFT, Key.chord(Key.SHIFT, Key.ARROW_DOWN), Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ARROW_DOWN)
  await live('Tens: six')
  await press(Key.ARROW_UP, Key.ARROW_RIGHT, Key.ARROW_UP, Key.ARROW_UP, Key.chord(Key.SHIFT, Key.ARROW_UP))
  await live('Ones: three')
  await shows('Tens', 7)
  await read('73')
  await text(driver, totals, '46 + 27 = 73')
  await noViolations(driver)
  // A bead stays put until it is pushed a second time.
  await bench('2 + 1', 'stay-put frame', 'Together')
  const second = await bead('Ones', 'lower', 1)
  await driver.actions().move({ x: second.x, y: second.y }).click().perform()
  await live('Ones, lower bead 2, away. Push again to move it.')
  await shows('Ones', 0)
  await driver.actions().click().perform()
  await shows('Ones', 2)
})

test('below nought: a one is owed, and what is not set is read', async () => {
  await bench('312 - 745', 'abacus', 'Together')
  for (let i = 0; i < 12; i++) {
    const [offer] = await driver.findElements(By.xpath('//button[normalize-space()="Offer a move"]'))
    if (!(await offer!.isEnabled())) break
    await offer!.click()
    const [doIt] = await driver.findElements(By.xpath('//button[normalize-space()="Do it"]'))
    if (doIt) await doIt.click()
  }
  await text(driver, '[role="note"]', '1 owed')
  await text(
    driver,
    '[aria-label="What to say"]',
    'Not set: four, three, two; and one more: four hundred and thirty-three.',
  )
  await text(driver, totals, '312 − 745 = −433')
})

test('a bench may work its abacus otherwise than the room, and goes back to it', async () => {
  await bench('46 + 27', 'abacus', 'Show', { 'sett.by-move': 'false' })
  await click('Tools and practice')
  await (await byRole(driver, 'menuitem', 'How we work the abacus')).click()
  await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"] select'))).length === 7, 20_000)
  for (const value of ['ones', 'complement', 'both', 'partner'])
    await (await driver.findElement(By.css(`[role="dialog"] option[value="${value}"]`))).click()
  await noViolations(driver)
  await click('Go on')
  await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 20_000)
  await driver.executeScript('document.activeElement.blur()')
  for (let i = 0; i < 3; i++) await press(Key.ARROW_RIGHT)
  const said = '[aria-label="What to say"]'
  await text(driver, said, 'Add seven. Fifty-three now. Partners of ten and of five: +7 = +2 −5 +10.')
  await text(driver, said, 'Left index sets the upper bead on the tens.')
  await click('Tools and practice')
  await (await byRole(driver, 'menuitem', 'How we work the abacus')).click()
  await click('As the room has it')
  await click('Go on')
  await text(driver, said, 'Both complements: +7 =')
})

test('chains for a rule are set, counted, and worked one after another', async () => {
  await driver.get(`${app.url}/bench/chains`)
  await driver.executeScript('localStorage.clear()')
  await driver.get(`${app.url}/bench/chains`)
  await text(driver, '[role="status"]', '12 chains of 172 that there are.')
  await noViolations(driver)
  // Where a number may undo the one before it, there are more.
  await (await driver.findElement(By.xpath('//label[contains(., "may undo")]/input'))).click()
  await click('Set them')
  await text(driver, '[role="status"]', '12 chains of 210 that there are.')
  await click('Answers')
  const sheets = await driver.findElements(By.css('.sheets li'))
  const [first, second] = await Promise.all(sheets.slice(0, 2).map(async (s) => (await s.getText()).split('\n')))
  await click('Work them at the bench')
  const asked = async (): Promise<string> =>
    ((await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')) ?? '').replace(/\s/g, '')
  const chain = (lines: string[]): string => lines.slice(1, -1).join('').replace(/\s/g, '')
  await byRole(driver, 'slider', 'Ones rod')
  expect(await asked()).toBe(chain(first!))
  await click('Next problem')
  await driver.wait(async () => (await asked()) === chain(second!), 20_000)
  await driver.get(`${app.url}/bench/chains`)
  const greatest = await byRole(driver, 'spinbutton', 'to').catch(() =>
    driver.findElement(By.xpath('//label[normalize-space(text())="to"]/input')),
  )
  await (await driver.findElement(By.css('option[value="mixed-7"]'))).click()
  await greatest.sendKeys(Key.chord(Key.CONTROL, 'a'), '8')
  await click('Set them')
  await text(
    driver,
    '[role="status"]',
    '−7 with both complements needs a ten on the next rod, and totals go only to 8.',
  )
})

test('rehearsing: answers are kept over a restart, and what was missed shows in the grid', async () => {
  await driver.get(`${app.url}/practice`)
  await driver.executeScript('localStorage.clear()')
  await driver.get(`${app.url}/practice`)
  await noViolations(driver)
  await click(/^\+6 where 6 shows/)
  await choose('ten complement')
  await text(driver, '.verdict', 'Look again. Both complements: +6 =')
  await text(driver, '.verdict', 'Not direct: the upper bead is at the bar already.')
  await noViolations(driver)
  await click(/^\+4 where 1 shows/)
  await choose('five complement')
  await text(driver, '.verdict', 'Yes. Five complement: +4 = +5 −1.')
  await byRole(driver, 'button', /^\+6 where 6 shows, both complements: missed last time, 0 of 1 right/)
  await byRole(driver, 'button', /^\+4 where 1 shows, five complement: right, not due yet, 1 of 1 right/)
  const { data } = app
  await app.kill()
  app = here.app = await serve({ data })
  await driver.get(`${app.url}/practice`)
  await byRole(driver, 'button', /^\+6 where 6 shows, both complements: missed last time, 0 of 1 right/)
  // A file of the answers brings them back after they were deleted.
  const file = fileWith(await (await fetch(`${app.url}/api/rehearsals/file?of=teacher`)).text())
  await click('Delete these answers')
  await click('Delete')
  await byRole(driver, 'button', /^\+6 where 6 shows, both complements: not asked yet/)
  await (await driver.findElement(By.css('input[aria-label="File of rehearsals"]'))).sendKeys(file)
  await text(driver, '.files [role="status"]', /^\d+ imported\.$/)
  await byRole(driver, 'button', /^\+6 where 6 shows, both complements: missed last time, 0 of 1 right/)
  // Another person has a grid of their own.
  await pick(driver, 'Who rehearses', 'Wren')
  await byRole(driver, 'button', /^\+6 where 6 shows, both complements: not asked yet/)
})

test('rehearsing beads by keyboard: moved rightly it is taken as right at once', async () => {
  await driver.executeScript(
    'localStorage.clear(); localStorage.setItem("sett.rehearse", JSON.stringify({kinds:["beads"],rules:["five"],digits:2,limit:0,ruled:true,way:1}))',
  )
  await driver.get(`${app.url}/practice`)
  await click(/^\+2 where 4 shows/)
  await focus(await rod('Ones'))
  // A fifth lower bead is not there: it is said, and nothing is lost.
  await press(Key.ARROW_UP)
  await text(driver, '[role="alert"]', 'There are no lower beads away from the bar on the ones rod')
  await press(Key.chord(Key.SHIFT, Key.ARROW_DOWN), Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ARROW_DOWN)
  await text(driver, '.verdict', 'Yes. Five complement')
  await press(Key.ENTER)
  await text(driver, '.question', 'Move the beads for')
})
