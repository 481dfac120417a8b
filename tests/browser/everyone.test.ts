import type { WebDriver } from 'selenium-webdriver'
import { browser, By, byRole, choose, Key, noViolations, serve, take, text, until, type Running } from './world'

/** Asking in one gesture, the shelf, cards, focus, windows of every size: what everybody meets first. */

let app: Running
let driver: WebDriver
beforeAll(async () => {
  app = await serve({ demo: true })
  driver = await browser()
})
afterAll(async () => {
  await driver.quit()
  await app.stop()
})

const say = '[aria-label="What to say"]'
const click = async (name: string | RegExp): Promise<void> => (await byRole(driver, 'button', name)).click()
const press = (...keys: string[]): Promise<void> =>
  driver
    .actions()
    .sendKeys(...keys)
    .perform()
const active = (script: string): Promise<string> =>
  driver.executeScript(`const e = document.activeElement; return ${script}`)
/** A bench with nothing kept from before; the cards seen, unless they are what is looked at. */
async function fresh(settings: Record<string, string> = {}): Promise<void> {
  await driver.get(`${app.url}/room`)
  await driver.executeScript(
    'localStorage.clear(); for (const [k, v] of Object.entries(arguments[0])) localStorage.setItem(k, v)',
    settings,
  )
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'textbox', 'Problem')
  await driver.wait(until.elementLocated(By.css('#mat > .mats')), 5000)
}
type DevTools = { sendDevToolsCommand(command: string, parameters: object): Promise<void> }
const size = (width: number, height: number): Promise<void> =>
  (driver as unknown as DevTools).sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
    width,
    height,
    deviceScaleFactor: 1,
    mobile: false,
  })
const prefers = (name: string, value: string): Promise<void> =>
  (driver as unknown as DevTools).sendDevToolsCommand('Emulation.setEmulatedMedia', { features: [{ name, value }] })
afterEach(() => size(1280, 800))

describe('asking is one gesture', () => {
  test('materials are offered for what is typed while it is typed; choosing one works it', async () => {
    await fresh()
    const box = await byRole(driver, 'textbox', 'Problem')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '9 x 4')
    await text(driver, '.under', 'Work 9 × 4 with')
    await text(driver, '.under', 'The mat still has 52 − 37.')
    // Blocks cannot hold a product: they are not among what is offered.
    expect(await (await driver.findElement(By.css('.under'))).getText()).not.toContain('base-ten blocks')
    await click('nines hands')
    await byRole(driver, 'group', 'The mat')
    await text(driver, say, 'Nine times four.')
    expect(await box.getAttribute('value')).toBe('9 × 4')
    expect(await driver.getTitle()).toBe('9 × 4 with nines hands – Bench – Sett')
    expect(await driver.findElements(By.css('.under'))).toHaveLength(0)
  })

  test('a refused problem says why under the box, and the mat keeps its own heading', async () => {
    await fresh()
    const box = await byRole(driver, 'textbox', 'Problem')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '52 minus', Key.ENTER)
    await text(driver, '#problem-trouble', 'has no number after it')
    await text(driver, '#problem-trouble', 'The mat still has 52 − 37.')
    expect(await active('e.id')).toBe('problem')
    await noViolations(driver)
    // Escape leaves the box; it says again what is on the mat, and keys work.
    await press(Key.ESCAPE)
    expect(await box.getAttribute('value')).toBe('52 − 37')
    expect(await active('e.id')).toBe('mat')
    await press('@')
    await text(driver, say, 'Now lay fifty-two: drag five tens and two ones from the store.')
  })

  test('a way or a mode chosen while something else is typed works what is typed', async () => {
    await fresh()
    const box = await byRole(driver, 'textbox', 'Problem')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '46 plus 27 = ?')
    await click('Together')
    await text(driver, say, 'Forty-six add twenty-seven.')
    expect(await box.getAttribute('value')).toBe('46 + 27')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '29 + 46')
    await take(driver, 'Way of working', 'Make a friendly number')
    await text(driver, say, 'Twenty-nine add forty-six.')
  })
})

describe('the shelf', () => {
  test('by keyboard alone: opened, searched, walked, chosen; what does not fit says why', async () => {
    await fresh()
    await press('m')
    await driver.wait(until.elementLocated(By.css('[role="dialog"] .face')), 5000)
    await noViolations(driver)
    expect(await active('e.closest("label")?.innerText.trim()')).toBe('Find a material')
    const fingers = await driver.findElement(By.css('[role="dialog"] .face[aria-label="Fingers"]'))
    expect(await fingers.getAttribute('aria-disabled')).toBe('true')
    const about = await fingers.getAttribute('aria-describedby')
    await text(driver, `#${about}`, '52 is asked. It holds 20')
    // Of what holds the problem each stands before what does not, and every card has its picture.
    const order = await driver.executeScript<boolean[][]>(
      'return [...document.querySelectorAll("[role=dialog] section")].map((s) => [...s.querySelectorAll(".face")].map((f) => f.ariaDisabled !== "true"))',
    )
    for (const fits of order) expect([...fits].sort((a, b) => Number(b) - Number(a))).toEqual(fits)
    expect(await driver.findElements(By.css('[role="dialog"] .face svg.thumb'))).toHaveLength(20)
    await press(Key.ARROW_DOWN)
    expect(await active('e.getAttribute("aria-label")')).toBe('Base-ten blocks')
    await press(Key.ARROW_RIGHT)
    expect(await active('e.getAttribute("aria-label")')).toBe('Chips')
    await press(Key.ENTER)
    await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 5000)
    await byRole(driver, 'button', 'Material: chips')
    expect(await active('e.id')).toBe('mat')
    await press('m')
    await driver.wait(until.elementLocated(By.css('[role="dialog"] .face')), 5000)
    await press('abac', Key.ENTER)
    await byRole(driver, 'button', 'Material: abacus')
    await press('w')
    await driver.wait(until.elementLocated(By.css('[role="dialog"] .face')), 5000)
    await noViolations(driver)
    await press(Key.ESCAPE)
    await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 5000)
  })

  test('what is pinned and what was used lately stand first', async () => {
    await fresh({ 'sett.lately': '["chips","blocks"]' })
    await click(/^Material/)
    await driver.wait(until.elementLocated(By.css('[role="dialog"] .face')), 5000)
    const first = (): Promise<string[]> =>
      driver.executeScript(
        'const s = document.querySelector("[role=dialog] section"); return [s.getAttribute("aria-label"), ...[...s.querySelectorAll(".face")].map((f) => f.getAttribute("aria-label"))]',
      )
    expect(await first()).toEqual(['Pinned and used lately', 'Base-ten blocks', 'Chips'])
    const pin = await driver.findElement(By.css('[role="dialog"] .pin[aria-label="Keep Open number line first"]'))
    await pin.click()
    expect((await first())[1]).toBe('Open number line')
    await choose(driver, 'Drawn tens')
    await byRole(driver, 'group', 'The mat')
  })
})

test('a material’s card opens by itself the first time hands work with it, and is found again under ?', async () => {
  await fresh()
  expect(await driver.findElements(By.css('.first'))).toHaveLength(0)
  await click('Together')
  await text(driver, '.first', 'Drag a piece from the store into its column.')
  await noViolations(driver)
  await click('Got it')
  expect(await driver.findElements(By.css('.first'))).toHaveLength(0)
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'button', 'Store of ones')
  expect(await driver.findElements(By.css('.first'))).toHaveLength(0)
  await press('?')
  await text(driver, '[role="dialog"]', 'Drag a piece from the store into its column.')
  await noViolations(driver)
  await press(Key.ESCAPE)
  await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 5000)
  expect(await active('e !== document.body')).toBe(true)
})

describe('the focus is never lost', () => {
  test('after asking, answering, the next problem, saving and every dialog', async () => {
    await fresh({ 'sett.mode': 'together', 'sett.cards-seen': '["blocks"]' })
    const here = (): Promise<string> => active('e.id || e.getAttribute("aria-label") || e.tagName')
    await press('a')
    await press('43 - 18', Key.ENTER)
    await text(driver, say, 'Forty-three')
    expect(await here()).toBe('mat')
    await press('r')
    await press('25', Key.ENTER)
    await text(driver, say, 'Twenty-five is right. The mat still shows nought.')
    expect(await here()).toBe('mat')
    await press('s')
    await driver.wait(until.elementLocated(By.css('[role="dialog"]')), 5000)
    await press(Key.ESCAPE)
    await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 5000)
    await driver.wait(async () => (await here()) !== 'BODY', 2000, 'the focus is lost after a dialog')
    await press('n')
    await driver.wait(async () => (await here()) === 'mat', 2000)
    for (const item of ['Which way suits it?', 'Read the numbers aloud', 'How we work the abacus']) {
      await click('Tools and practice')
      await (await byRole(driver, 'menuitem', item)).click()
      await driver.wait(until.elementLocated(By.css('[role="dialog"]')), 5000)
      await noViolations(driver)
      await press(Key.ESCAPE)
      await driver.wait(async () => (await driver.findElements(By.css('[role="dialog"]'))).length === 0, 5000)
      await driver.wait(async () => (await here()) !== 'BODY', 2000, `the focus is lost after ${item}`)
    }
  })

  test('where what had the focus goes away: starting, writing down, keeping in the head, laying cards, deleting', async () => {
    const lost = (): Promise<boolean> =>
      driver.executeScript<boolean>(`const e = document.activeElement; return ` + 'e === document.body')
    const settle = (): Promise<void> =>
      driver.executeAsyncScript('requestAnimationFrame(() => requestAnimationFrame(() => arguments[0]()))')
    for (const [problem, material, way, button] of [
      ['45 + 37', 'Open number line', 'Hops from the first number', 'Start at 45'],
      ['45 + 37', 'Column sheet', 'Ones first', 'Write 45 down'],
      ['8 + 5', 'Fingers', 'Count on', 'Keep 8 in the head'],
      ['8 + 5', 'Counters', 'Count all', 'Make four cards'],
    ] as const) {
      await fresh({
        'sett.mode': 'together',
        'sett.cards-seen': '["openline","columns","fingers","counters","blocks"]',
      })
      const box = await byRole(driver, 'textbox', 'Problem')
      await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem)
      await take(driver, 'Material', material)
      await take(driver, 'Way of working', way)
      await (await byRole(driver, 'button', button)).sendKeys(Key.ENTER)
      await settle()
      await driver.wait(async () => !(await lost()), 2000, `the focus is lost after ${button}`)
    }
    // Undoing the last move takes the button's use away; the focus goes on to the next one.
    await fresh({ 'sett.mode': 'together', 'sett.cards-seen': '["blocks"]' })
    await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('lay 5 tens', Key.ENTER)
    await byRole(driver, 'button', '5 tens on the mat')
    await press(Key.ESCAPE)
    expect(await active('e.id')).toBe('mat')
    await (await byRole(driver, 'button', 'Undo')).sendKeys(Key.ENTER)
    await byRole(driver, 'button', '0 tens on the mat')
    await driver.wait(async () => !(await lost()), 2000, 'the focus is lost after undoing')
    await driver.get(`${app.url}/daybook`)
    await (await byRole(driver, 'button', /^Delete /)).sendKeys(Key.ENTER)
    await settle()
    await driver.wait(async () => !(await lost()), 2000, 'the focus is lost after deleting')
  })

  test('rehearsing: the question has the focus, and the grid keeps its rules to itself until it is answered', async () => {
    await driver.get(`${app.url}/rehearse`)
    await click('Begin')
    expect(await active('e.id')).toMatch(/question|typed/)
    expect(await driver.findElements(By.css('.grid td b'))).toHaveLength(0)
    const names = await driver.executeScript<string>(
      'return [...document.querySelectorAll(".grid button")].map((b) => b.ariaLabel).join()',
    )
    expect(names).not.toMatch(/direct|complement/)
    await press('1')
    await driver.wait(until.elementLocated(By.css('#go-on')), 5000).catch(() => click('Done'))
    await driver.wait(async () => (await driver.findElements(By.css('.grid td b'))).length > 0, 5000)
  })
})

describe('in every window', () => {
  test.each([
    [640, 400],
    [390, 844],
    [1024, 768],
  ])(
    '%i × %i: the mat has half of what is seen, nothing lies over anything, every control can be reached',
    async (w, h) => {
      await size(w, h)
      await fresh({ 'sett.mode': 'together', 'sett.cards-seen': '["blocks"]' })
      const seen = await driver.executeScript<{ share: number; wide: number; hidden: string[]; covered: string[] }>(`
      document.querySelector('#mat').scrollIntoView({ block: 'start' })
      const mat = document.querySelector('#mat').getBoundingClientRect()
      const share = (Math.min(mat.right, innerWidth) - Math.max(0, mat.left)) * (Math.min(mat.bottom, innerHeight) - Math.max(0, mat.top)) / (innerWidth * innerHeight)
      const hidden = [], covered = []
      for (const e of document.querySelectorAll('.bench button, .bench input, header a, header button')) {
        const name = e.ariaLabel || e.innerText || e.id
        e.scrollIntoView({ block: 'center' })
        const r = e.getBoundingClientRect()
        if (r.width === 0) continue
        if (r.left < -1 || r.right > innerWidth + 1 || r.top < -1 || r.bottom > innerHeight + 1) hidden.push(name)
        const top = document.elementFromPoint(r.left + r.width / 2, r.top + r.height / 2)
        if (top && !e.contains(top) && !top.contains(e)) covered.push(name + ' by ' + top.className)
      }
      return { share, wide: document.documentElement.scrollWidth, hidden, covered }
    `)
      expect(seen).toMatchObject({ hidden: [], covered: [] })
      expect(seen.share).toBeGreaterThanOrEqual(0.5)
      expect(seen.wide).toBeLessThanOrEqual(w)
      await noViolations(driver)
    },
  )

  test('presenting at 1920 × 1080: step, back, play, the next problem and the words stay, and numerals are 64 px at the least', async () => {
    await size(1920, 1080)
    await fresh()
    await press('f')
    for (const name of ['Next step', 'Back one step', 'Play all steps', 'Next problem', 'Leave presenting'])
      expect((await (await byRole(driver, 'button', name)).getRect()).height).toBeGreaterThanOrEqual(56)
    for (let i = 0; i < 6; i++) await press(Key.ARROW_RIGHT)
    await text(driver, say, 'Fifty-two take away thirty-seven equals fifteen.')
    const px = (css: string): Promise<number> =>
      driver.executeScript(
        `return parseFloat(getComputedStyle(document.querySelector(${JSON.stringify(css)})).fontSize)`,
      )
    for (const css of ['#problem', '.lines', '.page-side .sheet', '.worth'])
      expect([css, (await px(css)) >= 64]).toEqual([css, true])
    await noViolations(driver)
    await press(Key.ESCAPE)
    await press('@')
    await byRole(driver, 'textbox', 'Answer')
    await press('f')
    await byRole(driver, 'button', 'Undo')
    await press(Key.ESCAPE)
  })

  test.each([
    [1280, 800],
    [390, 844],
  ])(
    '%i × %i: every control of every page is 44 px, axe finds nothing, titles name the place, no button overflows',
    async (w, h) => {
      const titles = new Set<string>()
      await size(w, h)
      for (const path of [
        '/bench',
        '/daybook',
        '/rehearse',
        '/room',
        '/board',
        '/missing',
        '/chains',
        '/spinner',
        '/notches',
        '/no-such-page',
      ]) {
        await driver.get(`${app.url}${path}`)
        await driver.wait(until.elementLocated(By.css('main h1')), 8000)
        await driver.executeAsyncScript('document.fonts.ready.then(() => arguments[0]())')
        const wrong = await driver.executeScript<string[]>(`
          const out = []
          for (const e of document.querySelectorAll('button, a[href], input, select, textarea, [role=button], summary')) {
            // What a label wraps is reached by all of the label.
            const target = e.matches('input[type=checkbox], input[type=radio]') ? e.closest('label') ?? e : e
            const r = target.getBoundingClientRect()
            if (r.width < 2 || r.height < 2 || !e.checkVisibility() || e.closest('.sr-only, .skip')) continue
            const name = (e.ariaLabel || e.innerText || e.id).slice(0, 40)
            if (r.width < 43.5 || r.height < 43.5) out.push('small: ' + name + ' ' + Math.round(r.width) + 'x' + Math.round(r.height))
            if (e.matches('.stone-button') && (e.scrollWidth > e.clientWidth + 1)) out.push('overflows: ' + name)
          }
          return out`)
        expect([path, w, wrong]).toEqual([path, w, []])
        await noViolations(driver)
        titles.add(await driver.getTitle())
      }
      expect(titles.size).toBe(10)
      await text(driver, 'main', 'There is no such page.')
      await click('Go to the bench')
      await byRole(driver, 'textbox', 'Problem')
    },
  )

  test('menus that are open have nothing for axe, and each of their lines is 44 px', async () => {
    // Menus and lists that are open are looked at too.
    await driver.get(`${app.url}/bench`)
    for (const name of ['Tools and practice', /^the Loft/]) {
      await click(name)
      const [item] = await driver.wait(until.elementsLocated(By.css('[role="menu"] [role="menuitem"]')), 5000)
      await noViolations(driver)
      expect((await item!.getRect()).height).toBeGreaterThanOrEqual(44)
      await press(Key.ESCAPE)
      await driver.wait(async () => (await driver.findElements(By.css('[role="menu"]'))).length === 0, 5000)
    }
  })

  test('the system’s wish for dark or for contrast is followed, until something else is chosen here', async () => {
    await fresh()
    const theme = (): Promise<string> => driver.executeScript('return document.documentElement.dataset.theme')
    expect(await theme()).toBe('light')
    await prefers('prefers-color-scheme', 'dark')
    await driver.wait(async () => (await theme()) === 'dark', 3000)
    await noViolations(driver)
    await prefers('prefers-contrast', 'more')
    await driver.wait(async () => (await theme()) === 'contrast', 3000)
    await prefers('forced-colors', 'active')
    const marked = await driver.executeScript<boolean>(
      'const [a, b] = document.querySelectorAll(".modes .stone-button"); return getComputedStyle(a).backgroundColor !== getComputedStyle(b).backgroundColor',
    )
    expect(marked).toBe(true)
    await prefers('prefers-color-scheme', 'light')
    await prefers('prefers-contrast', 'no-preference')
    await click(/^the Loft/)
    await (await byRole(driver, 'menuitem', 'Evening')).click()
    await driver.wait(async () => (await theme()) === 'dark', 3000)
    await driver.executeScript('localStorage.removeItem("sett.looks")')
  })
})

test('two windows keep their own work, and neither calls the other’s left unsaved', async () => {
  await fresh({ 'sett.mode': 'together', 'sett.cards-seen': '["blocks"]' })
  const move = async (typed: string): Promise<void> => {
    const box = await byRole(driver, 'textbox', 'Type a move')
    await box.sendKeys(typed, Key.ENTER)
    await driver.wait(async () => (await box.getAttribute('value')) === '', 5000)
  }
  await move('lay 52')
  const first = await driver.getWindowHandle()
  await driver.switchTo().newWindow('tab')
  await driver.get(`${app.url}/bench`)
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '46 + 27', Key.ENTER)
  await move('lay 46')
  expect(await driver.findElements(By.css('.aside'))).toHaveLength(0)
  const second = await driver.getWindowHandle()
  await driver.switchTo().window(first)
  await move('break ten')
  await driver.navigate().refresh()
  await byRole(driver, 'button', '12 ones on the mat')
  expect(await driver.findElements(By.css('.aside'))).toHaveLength(0)
  // The second window goes; what lay there comes to the first when that opens anew.
  await driver.switchTo().window(second)
  await driver.close()
  await driver.switchTo().window(first)
  await driver.navigate().refresh()
  await text(driver, '.aside', '46 + 27 was left unsaved')
  await byRole(driver, 'button', '12 ones on the mat')
})

test('the room warns before unsaved changes are left; words are chosen one by one and heard at the bench', async () => {
  await driver.get(`${app.url}/room`)
  await byRole(driver, 'heading', 'Room, words and learners')
  const pick = async (label: string, option: string): Promise<void> => {
    const list = await driver.findElement(By.xpath(`//label[contains(., "${label}")]//select`))
    await (await list.findElement(By.xpath(`.//option[contains(., "${option}")]`))).click()
  }
  await pick('Ten ones for one ten is to', 'trade')
  await pick('− is read as', 'less')
  await pick('The lowest place is called', 'units')
  await text(driver, '.preview', 'Three hundred and four less one hundred and seventy-eight equals')
  await (await byRole(driver, 'link', 'Bench')).click()
  await text(driver, '[role="dialog"]', 'not saved yet')
  await noViolations(driver)
  await click('Stay here')
  await (await byRole(driver, 'link', 'Daybook')).click()
  await (await byRole(driver, 'button', 'Save changes')).getText()
  await driver.wait(until.elementLocated(By.css('[role="dialog"]')), 5000)
  await (await driver.findElement(By.css('[role="dialog"] .main'))).click()
  await byRole(driver, 'heading', 'Daybook')
  await fresh()
  await press(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT)
  await text(driver, say, 'Trade one ten for ten units. Still fifty-two.')
  await text(driver, '#mat', 'units')
})

test('counters and drawn tens are dragged as blocks are', async () => {
  const drag = async (from: string, dx: number, dy: number): Promise<void> => {
    const origin = await driver.wait(until.elementLocated(By.css(from)), 5000)
    await driver.actions().move({ origin }).press().move({ origin, x: dx, y: dy, duration: 150 }).release().perform()
  }
  await fresh({ 'sett.mode': 'together', 'sett.cards-seen': '["counters","drawn","blocks"]' })
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '3 - 1')
  await take(driver, 'Material', 'Counters')
  for (const n of [1, 2, 3]) {
    await drag('.bowl ellipse', -400, -60)
    await text(driver, '.stone.now, .stone[aria-current]', n === 3 ? '− 1' : `put ${n}`)
  }
  const counter = await driver.findElement(By.css('.counter .body'))
  const bowl = await driver.findElement(By.css('.bowl .front'))
  await driver.actions().move({ origin: counter }).press().move({ origin: bowl, duration: 150 }).release().perform()
  await text(driver, '[aria-label="Running equations"]', '3 − 1 = 2')

  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '31 - 4')
  await take(driver, 'Material', 'Drawn tens')
  const move = await byRole(driver, 'textbox', 'Type a move')
  await move.sendKeys('draw 31', Key.ENTER)
  await text(driver, '[aria-label="The course of stones"]', '− 4')
  const stroke = await driver.findElement(By.css('.thing .stroke'))
  const dot = await driver.findElement(By.css('.thing circle'))
  await driver.actions().move({ origin: stroke }).press().move({ origin: dot, duration: 150 }).release().perform()
  await text(driver, '[aria-label="Running equations"]', '31 = 20 + 11')
})
