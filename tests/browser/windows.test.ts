import type { WebDriver } from 'selenium-webdriver'
import { By, byRole, Key, noViolations, text, until, type Running } from './world'
import { inChromium } from './here'

/** Windows of every size, two at once, and what the system wishes. */

const here = inChromium()
const { click, press, fresh, size, prefers } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
const say = '[aria-label="What to say"]'

afterEach(() => size(1280, 800))

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
      for (const e of document.querySelectorAll('.bench button, .bench input, .rail a, .rail button')) {
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
      // Pieces are no smaller than on a desk, so that at 200 % zoom they have grown.
      await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('lay 2', Key.ENTER)
      await byRole(driver, 'button', '2 ones on the mat')
      const across = await driver.executeScript<number>(
        "return Math.min(...[...document.querySelectorAll('#mat .piece')].map((e) => e.getBoundingClientRect().width))",
      )
      expect(across).toBeGreaterThanOrEqual(20)
      await noViolations(driver)
    },
  )

  test.each([
    ['/learners/progress', 'Learners'],
    ['/plan/problems', 'Plan'],
    ['/bench/spinner', 'Bench'],
    ['/plan/lessons/new', 'Plan'],
  ])('on %s the place that one is in is shown', async (path, place) => {
    await driver.get(app.url + path)
    await driver.wait(until.elementLocated(By.css('.rail nav [aria-current]')), 20_000)
    const here = await driver.findElements(By.css('.rail nav [aria-current]'))
    expect(await Promise.all(here.map((e) => e.getText()))).toEqual([place])
  })

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

  // As wide as a desk they are looked through by each page's own test, and by access.test.ts.
  test(
    '390 × 844: every control of every page is 44 px, axe finds nothing, titles name the place, no button overflows',
    async () => {
      const titles = new Set<string>()
      await size(390, 844)
      for (const path of [
        '/bench',
        '/today',
        '/plan/courses',
        '/plan/steps',
        '/plan/steps/find',
        '/plan/problems',
        '/plan/lessons',
        '/plan/materials',
        '/plan/print',
        '/plan/stories',
        '/plan/lessons/new',
        '/learners/records',
        '/practice',
        '/settings',
        '/bench/compare',
        '/bench/missing',
        '/bench/chains',
        '/bench/spinner',
        '/settings/safety',
        '/settings/touch-points',
        '/no-such-page',
      ]) {
        await driver.get(`${app.url}${path}`)
        await driver.wait(until.elementLocated(By.css('main h1')), 20_000)
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
        expect([path, wrong]).toEqual([path, []])
        await noViolations(driver)
        titles.add(await driver.getTitle())
      }
      expect(titles.size).toBe(21)
      await text(driver, 'main', 'There is no such page.')
      await click('Go to the bench')
      await byRole(driver, 'textbox', 'Problem')
    },
    // Twenty-one pages, each looked through by axe.
    260_000,
  )

  test('menus that are open have nothing for axe, and each of their lines is 44 px', async () => {
    // Menus and lists that are open are looked at too.
    await driver.get(`${app.url}/bench`)
    const lines = async (css: string): Promise<void> => {
      const [item] = await driver.wait(until.elementsLocated(By.css(css)), 20_000)
      await noViolations(driver)
      expect((await item!.getRect()).height).toBeGreaterThanOrEqual(44)
      await press(Key.ESCAPE)
      await driver.wait(async () => (await driver.findElements(By.css(css))).length === 0, 20_000)
    }
    await click('Tools and practice')
    await lines('[role="menu"] [role="menuitem"]')
    await (await byRole(driver, 'button', /^Learner: /)).click()
    await lines('[role="listbox"] [role="option"]')
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
    await driver.actions().keyDown(Key.CONTROL).sendKeys('k').keyUp(Key.CONTROL).perform()
    await (await byRole(driver, 'combobox', /^Learner, page/)).sendKeys('darl')
    await byRole(driver, 'option', /^Dark/)
    await press(Key.ENTER)
    await driver.wait(async () => (await theme()) === 'dark', 3000)
    await driver.executeScript('localStorage.removeItem("sett.looks")')
  })
})

test('two windows keep their own work, and neither calls the other’s left unsaved', async () => {
  await fresh({ 'sett.mode': 'together', 'sett.cards-seen': '["blocks"]' })
  const move = async (typed: string): Promise<void> => {
    const box = await byRole(driver, 'textbox', 'Type a move')
    await box.sendKeys(typed, Key.ENTER)
    await driver.wait(async () => (await box.getAttribute('value')) === '', 20_000)
  }
  await move('lay 52')
  const first = await driver.getWindowHandle()
  await driver.switchTo().newWindow('tab')
  await driver.get(`${app.url}/bench`)
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '46 + 27', Key.ENTER)
  await move('lay 46')
  expect(await driver.findElements(By.css('.notices p'))).toHaveLength(0)
  const second = await driver.getWindowHandle()
  await driver.switchTo().window(first)
  await move('break ten')
  await driver.navigate().refresh()
  await byRole(driver, 'button', '12 ones on the mat')
  expect(await driver.findElements(By.css('.notices p'))).toHaveLength(0)
  // The second window goes; what lay there comes to the first when that opens anew.
  await driver.switchTo().window(second)
  await driver.close()
  await driver.switchTo().window(first)
  await driver.navigate().refresh()
  await text(driver, '.notices', '1 piece of unsaved work')
  await byRole(driver, 'button', '12 ones on the mat')
})

test('the room warns before unsaved changes are left; words are chosen one by one and heard at the bench', async () => {
  await driver.get(`${app.url}/settings`)
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
  await (await byRole(driver, 'link', 'Learners')).click()
  await (await byRole(driver, 'button', 'Save changes')).getText()
  await driver.wait(until.elementLocated(By.css('[role="dialog"]')), 20_000)
  await (await driver.findElement(By.css('[role="dialog"] .main'))).click()
  await byRole(driver, 'heading', 'Learners')
  await fresh()
  await press(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT)
  await text(driver, say, 'Trade one ten for ten units. Still fifty-two.')
  await text(driver, '#mat', 'units')
})
