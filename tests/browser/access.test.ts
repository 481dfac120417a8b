import type { WebDriver } from 'selenium-webdriver'
import { accessSchema, type KeptLearner } from '../../shared/learners'
import { inChromium } from './here'
import { By, byRole, giveFile, fileWith, Key, noViolations, text, type Running } from './world'

/** Every page for every learner: large enough to be hit, narrow enough to be read at 400 %, in the system’s colours, and quiet. */

const here = inChromium()
const { size, prefers, fresh, press } = here
let app: Running
let driver: WebDriver
let wren: KeptLearner
beforeAll(async () => {
  ;({ app, driver } = here)
  const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: KeptLearner[] }
  wren = learners.find((l) => l.codeName === 'Wren')!
})
afterEach(async () => {
  await size(1280, 800)
  await prefers('forced-colors', 'none')
  await prefers('prefers-reduced-motion', 'no-preference')
})
const PAGES = [
  '/today',
  '/plan/steps',
  '/plan/steps/find',
  '/plan/courses',
  '/plan/lessons',
  '/plan/materials',
  '/plan/print',
  '/bench',
  '/learners/records',
  '/learners',
  '/practice',
  '/practice/facts',
  '/learners/marking',
  '/learners/notes',
  '/learners/progress',
  '/learners/reports',
  '/learners/timeline',
  '/plan/stories',
  '/plan/problems',
  '/bench/compare',
  '/bench/missing',
  '/bench/spinner',
  '/bench/chains',
  '/bench/shop',
  '/settings/safety',
  '/settings/screen',
  '/settings/touch-points',
  '/settings',
  '/settings/people',
  '/settings/backups',
  '/bench/braille',
  '/plan/print/embosser',
  '/settings/switch-box',
  '/learners/WREN',
  '/learners/WREN/suits',
  '/learners/WREN/voice',
  '/plan/lessons/new',
  '/sign-in',
]
async function open(path: string): Promise<void> {
  await driver.get(app.url + path)
  await driver.wait(async () => (await driver.findElements(By.css('main h1'))).length > 0, 20_000, `${path} opens`)
}
/** What can be pressed and is smaller than so many pixels; words within a sentence are let be, as WCAG 2.5.8 does. */
const SMALL = `
  const least = arguments[0]
  return [...document.querySelectorAll('button, a[href], select, summary, input:not([type="hidden"], [type="file"]), [role="button"]')]
    .filter((e) => e.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && !e.closest('.sr-only, .skip, [aria-hidden="true"]') && !e.matches('.skip, :disabled'))
    .filter((e) => !(e.matches('a') && getComputedStyle(e).display === 'inline' && e.closest('p, li, td, dd')))
    .flatMap((e) => {
      // A tick is reached by its whole label.
      const at = e.matches('input[type="checkbox"], input[type="radio"]') ? (e.closest('label') ?? e) : e
      const b = at.getBoundingClientRect()
      return b.width > 0 && (b.height < least - 0.5 || b.width < Math.min(least, 44) - 0.5)
        ? [(e.getAttribute('aria-label') || e.textContent || e.name || e.tagName).trim().slice(0, 40) + ' ' + Math.round(b.width) + 'x' + Math.round(b.height)]
        : []
    })`

/** After the window has another size, the page has taken it up once two frames were drawn. */
const drawn = (): Promise<unknown> =>
  driver.executeAsyncScript('requestAnimationFrame(() => requestAnimationFrame(() => arguments[0]()))')

test('every page: targets of 44 pixels, no way sideways at 400 %, and axe finds nothing in the system’s own colours with nothing moving', async () => {
  await prefers('prefers-reduced-motion', 'reduce')
  await prefers('forced-colors', 'active')
  const [small, wide]: [string[], string[]] = [[], []]
  for (const page of PAGES) {
    const path = page.replace('WREN', wren.id)
    await open(path)
    for (const s of await driver.executeScript<string[]>(SMALL, 44)) small.push(`${page}: ${s}`)
    await size(320, 640)
    await drawn()
    const w = await driver.executeScript<number>(
      `return Math.max(document.documentElement.scrollWidth, document.querySelector('main').scrollWidth)`,
    )
    if (w > 320) wide.push(`${page}: ${w}`)
    await size(1280, 800)
    await drawn()
    await noViolations(driver)
  }
  expect({ small, wide }).toEqual({ small: [], wide: [] })
}, 300_000)

test('60 pixels, larger letters, other looks, one thing at a time: as suits a learner, and by one key', async () => {
  const access = accessSchema.parse({ targets: 60, looks: 'contrast', still: true })
  const kept = await fetch(`${app.url}/api/learners/${wren.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...wren, choices: { ...wren.choices, letters: 2, access } }),
  })
  expect(kept.status).toBe(200)
  await fresh({ 'sett.learner': wren.id, 'sett.cards-seen': '["blocks"]' })
  const html = async (name: string): Promise<string | null> =>
    (await driver.findElement(By.css('html'))).getAttribute(name)
  await driver.wait(async () => (await html('data-theme')) === 'contrast', 20_000)
  expect([await html('data-letters'), await html('data-targets')]).toEqual(['2', '60'])
  const high = await driver.executeScript<number[]>(
    `return [...document.querySelectorAll('.stone-button')].filter((e) => e.checkVisibility()).map((e) => e.getBoundingClientRect().height)`,
  )
  expect(Math.min(...high)).toBeGreaterThanOrEqual(60)
  await noViolations(driver)
  // One key: only what is asked, the mat and the newest line.
  await (await byRole(driver, 'button', 'Next step')).click()
  await press('e')
  await byRole(driver, 'button', 'Show everything again')
  const shown = async (css: string): Promise<boolean> =>
    driver.executeScript(`return [...document.querySelectorAll(arguments[0])].some((e) => e.checkVisibility())`, css)
  expect([await shown('.rail nav'), await shown('.ask .modes'), await shown('.course'), await shown('#mat')]).toEqual([
    false,
    false,
    false,
    true,
  ])
  await noViolations(driver)
  await (await byRole(driver, 'button', 'Show everything again')).sendKeys(Key.ENTER)
  await driver.wait(() => shown('.rail nav'), 20_000)
})

test('a key says what lies there now: the problem, the material, the number, the newest line', async () => {
  await fresh({ 'sett.learner': '' })
  await (await byRole(driver, 'button', 'Next step')).click()
  await (await driver.findElement(By.css('#mat'))).click()
  await press('d')
  await driver.wait(
    async () =>
      /Fifty-two take away thirty-seven, with base-ten blocks\..* There is 52 now\. Written last: 52 = 50 \+ 2\./.test(
        await driver.executeScript<string>(
          `return [...document.querySelectorAll('.bench > [aria-live]')].map((e) => e.textContent).join(' ')`,
        ),
      ),
    20_000,
    'it is described',
  )
})

test('braille: a problem as dots in two codes and in columns, embossed in another window, refused where it cannot be', async () => {
  await open('/bench/braille')
  const typed = await byRole(driver, 'textbox', 'Lines and problems, one a line')
  await typed.sendKeys(Key.chord(Key.CONTROL, 'a'), '47 + 38', Key.TAB)
  await text(driver, '.lines', '47 + 38')
  const dots = (): Promise<string[]> =>
    driver.executeScript(
      `return [...document.querySelectorAll('.columns svg')].map((s) => s.getAttribute('aria-label'))`,
    )
  expect(await dots()).toHaveLength(6)
  await noViolations(driver)
  await (await byRole(driver, 'combobox', 'Code')).sendKeys('Unified')
  await driver.wait(
    async () => (await driver.findElement(By.css('.lines svg')).getAttribute('aria-label')) === '47 + 38: 10 cells',
    20_000,
  )
  const braille = await driver.getWindowHandle()
  await driver.switchTo().newWindow('tab')
  await open('/plan/print/embosser')
  const machine = await driver.getWindowHandle()
  await driver.switchTo().window(braille)
  await (await byRole(driver, 'button', 'To the embosser')).sendKeys(Key.ENTER)
  await driver.switchTo().window(machine)
  await text(driver, 'main', 'Embossed: 1 page.')
  await noViolations(driver)
  await giveFile(driver, 'Open a BRF file', fileWith('A'.repeat(41)))
  await text(driver, 'main', 'Not embossed. Page 1, line 1 has 41 cells; the machine has 40.')
  await driver.close()
  await driver.switchTo().window(braille)
})
