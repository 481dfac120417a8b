import { mkdirSync, writeFileSync } from 'node:fs'
import {
  browser,
  By,
  byRole,
  choose as chooseCard,
  Key,
  pick,
  serve,
  take,
  text,
  type Running,
} from '../../tests/browser/world'
import { REPRESENTATION_IDS } from '../../core/representation/representation'
import type { WebDriver } from 'selenium-webdriver'

interface Shot {
  readonly name: string
  readonly path: string
  readonly empty?: boolean
  readonly size?: readonly [number, number]
  readonly act?: (driver: WebDriver) => Promise<void>
}

const press = (driver: WebDriver, ...keys: string[]): Promise<void> =>
  driver
    .actions()
    .sendKeys(...keys)
    .perform()
async function ask(driver: WebDriver, problem: string): Promise<void> {
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), problem, Key.ENTER)
}
const move = async (driver: WebDriver, ...moves: string[]): Promise<void> => {
  for (const m of moves) await (await byRole(driver, 'textbox', 'Type a move')).sendKeys(m, Key.ENTER)
}
/** Chooses a material and, if another than its first is wanted, a way. */
async function choose(driver: WebDriver, material: string, way?: string): Promise<void> {
  for (const [list, option] of [
    ['Material', material],
    ['Way of working', way],
  ] as const) {
    if (!option) continue
    await take(driver, list, option)
  }
}
const STEP = Key.ARROW_RIGHT
const EXCHANGED = 'Still fifty-two.'

/** Wren works with two switches. Runs in the page. */
const SWITCHES = `
  return (async () => {
    const { learners } = await (await fetch('/api/classroom')).json()
    const wren = learners[0]
    await fetch('/api/learners/' + wren.id, { method: 'PUT', headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...wren, choices: { ...wren.choices, access: { switches: 2 } } }) })
  })()`

const SHOTS: readonly Shot[] = [
  {
    name: 'bench',
    path: '/bench',
    act: async (d) => {
      await press(d, STEP, STEP, STEP)
      await text(d, '[aria-label="What to say"]', EXCHANGED)
    },
  },
  {
    name: 'bench-narrow',
    path: '/bench',
    size: [390, 844],
    act: async (d) => press(d, STEP, STEP, STEP),
  },
  {
    name: 'by-hand',
    path: '/bench',
    act: async (d) => {
      await choose(d, 'chips')
      await (await byRole(d, 'button', 'Together')).click()
      await (await byRole(d, 'button', 'Beside')).click()
      await chooseCard(d, 'Column sheet')
      await (await byRole(d, 'button', 'By hand')).click()
      await move(d, 'lay 52', 'break ten', 'take 7 ones', 'write 52', 'under - 37', 'answer 5 ones')
      await text(d, '[aria-label="In step"]', 'no mark over the tens yet')
      await d.executeScript('document.activeElement.blur()')
    },
  },
  {
    name: 'abacus',
    path: '/bench',
    act: async (d) => {
      await choose(d, 'abacus')
      await ask(d, '33 + 4 - 6 + 28')
      await press(d, ...Array.from({ length: 10 }, () => STEP))
      await text(d, '[aria-label="What to say"]', 'Five complement: +2 = +5 −3.')
    },
  },
  {
    name: 'division',
    path: '/bench',
    act: async (d) => {
      await (await byRole(d, 'button', 'Together')).click()
      await ask(d, '6105 / 12')
      await (await byRole(d, 'button', 'Work it with the division sheet')).click()
      await move(d, 'set 6105', 'quotient 0', 'bring', 'say 12', 'say 24', 'say 36', 'say 48', 'say 60')
      await move(d, 'quotient 4', 'product 48', 'difference 13', 'quotient 5', 'product 60', 'difference 1')
      await move(d, 'bring', 'say 12')
      await d.executeScript('document.activeElement.blur()')
    },
  },
  { name: 'today', path: '/today', act: async (d) => text(d, '.learners', /Ash[\s\S]*stuck/) },
  {
    name: 'lesson',
    path: '/today',
    act: async (d) => {
      await (await byRole(d, 'link', 'Open the lesson of Fen and Moth')).click()
      await text(d, '.turns', 'On their own')
      await d.executeScript('document.activeElement.blur()')
    },
  },
  {
    name: 'materials',
    path: '/today',
    act: async (d) => {
      await (await byRole(d, 'link', 'Open the lesson of Fen and Moth')).click()
      await (await byRole(d, 'link', 'Count the pieces')).click()
      await text(d, '.kit', 'Tens')
      await d.executeScript('document.activeElement.blur()')
    },
  },
  {
    name: 'print',
    path: '/today',
    act: async (d) => {
      await (await byRole(d, 'link', 'Open the lesson of Fen and Moth')).click()
      await (await byRole(d, 'link', 'Print')).click()
      await text(d, '.page-header', /[5-9] pages/)
      await d.wait(async () => (await d.findElements(By.css('.strip svg'))).length >= 5, 8000)
      await d.executeScript('document.activeElement.blur()')
    },
  },
  {
    name: 'steps',
    path: '/plan/steps',
    act: async (d) => {
      await text(d, '.page-header', 'one exchange')
      await (await byRole(d, 'button', /^Take away three-digit numbers, two exchanges/)).click()
      await text(d, '[aria-label="The step"]', 'Watch for')
      await d.executeScript('document.activeElement.blur()')
    },
  },
  {
    name: 'marking',
    path: '/learners/marking',
    act: async (d) => {
      await (await byRole(d, 'textbox', 'Problem 1')).click()
      for (const [problem, answer] of [
        ['304 - 178', '136'],
        ['502 - 137', '375'],
        ['64 - 21', '43'],
        ['703 - 446', '267'],
        ['95 - 48', '47'],
        ['81 - 38', '53'],
      ] as const)
        await press(d, problem, Key.ENTER, answer, Key.ENTER)
      await (await byRole(d, 'button', 'Mark the page')).click()
      await (await byRole(d, 'button', 'Show where it parts')).click()
      await (await byRole(d, 'button', 'To where they part')).click()
      await text(d, '.parting', 'Here they part')
      await d.executeScript('document.activeElement.blur()')
    },
  },
  {
    name: 'stories',
    path: '/plan/stories?problem=15%20-%208',
    act: async (d) => {
      await (await byRole(d, 'button', 'Work it in stages')).click()
      await (await byRole(d, 'button', 'Comparing')).click()
      await (await byRole(d, 'button', 'Show it')).click()
      for (const [number, place] of [
        ['8', 'The difference'],
        ['15', 'The larger'],
        ['?', 'The smaller'],
      ] as const) {
        await (await byRole(d, 'button', number)).click()
        await (await byRole(d, 'button', `${place}: empty`)).click()
      }
      await byRole(d, 'img', /^Bars/)
      await d.executeScript('document.activeElement.blur(); scrollTo(0, 0)')
    },
  },
  {
    name: 'progress',
    path: '/learners/progress',
    act: async (d) => {
      await (await byRole(d, 'combobox', 'Learner')).sendKeys('Pip')
      await (await byRole(d, 'combobox', 'Of')).sendKeys('Take away two-digit numbers, one exchange')
      await text(d, '.told', /on \d\d days/)
      await d.executeScript('document.activeElement.blur()')
    },
  },
  {
    name: 'take-notes',
    path: '/learners/notes',
    act: async (d) => {
      for (const name of ['Pip', 'Fen', 'Ash']) await (await byRole(d, 'checkbox', name)).sendKeys(Key.SPACE)
      await (await byRole(d, 'textbox', 'What is asked')).sendKeys('52 − 37')
      await (await byRole(d, 'textbox', /^Count besides/)).sendKeys('asked for a break')
      await (await byRole(d, 'button', 'Begin')).sendKeys(Key.ENTER)
      await text(d, '.table', 'Ash')
      await press(d, '1', 'r', '2', 'r', '3', 'h', 'h', 'r', '4', 'n', '1', 'r', '2', 'n', '3', 'r', '4', 'r', '1', 't')
      await text(d, '.said', 'Ash: right')
    },
  },
  {
    name: 'learners',
    path: '/learners',
    act: async (d) => {
      await text(d, 'table', 'Moth')
    },
  },
  {
    name: 'timeline',
    path: '/learners/timeline',
    act: async (d) => {
      await (await byRole(d, 'button', 'Show 52 − 37 step by step here and in reports')).sendKeys(Key.ENTER)
      await text(d, '.strip', 'Take away')
      await (await byRole(d, 'textbox', 'A word to it')).sendKeys('The first exchange on her own.', Key.TAB)
      await d.executeScript('document.activeElement.blur()')
    },
  },
  {
    name: 'switches',
    path: '/bench',
    act: async (d) => {
      await d.executeScript(SWITCHES)
      await d.navigate().refresh()
      await (await byRole(d, 'button', 'Together')).click()
      await d.wait(async () => (await d.findElements(By.css('.scan-frame'))).length > 0, 15_000)
      for (let i = 0; i < 12; i++) {
        const lit = await d.findElement(By.css('.scan-frame')).getAttribute('data-lit')
        if (lit === 'The mat') break
        await press(d, Key.ENTER)
      }
      await press(d, ' ')
      await press(d, Key.ENTER)
    },
  },
  { name: 'records', path: '/learners/records', act: async (d) => text(d, 'table', 'lantern') },
  {
    name: 'first-run',
    path: '/',
    empty: true,
    act: async (d) => void (await byRole(d, 'button', 'Skip to the Bench')),
  },
]

mkdirSync('docs/screenshots', { recursive: true })
const only = process.argv[2]
for (const shot of SHOTS) {
  if (only && shot.name !== only) continue
  const app: Running = await serve(shot.empty ? {} : { env: { SETT_DEMO: 'term' } })
  const driver = await browser(...(shot.size ?? [1280, 800]))
  try {
    await driver.get(`${app.url}/settings`)
    // A material's own card would lie over the page that the picture is of.
    await driver.executeScript(
      'localStorage.setItem("sett.cards-seen", arguments[0])',
      JSON.stringify(REPRESENTATION_IDS),
    )
    await driver.get(app.url + shot.path)
    if (shot.path === '/bench') await byRole(driver, 'group', 'The mat')
    if (shot.path === '/learners/records') await pick(driver, 'Whose records', 'Everybody')
    await shot.act?.(driver)
    // Pieces travel for a quarter of a second.
    await new Promise((next) => setTimeout(next, 600))
    writeFileSync(`docs/screenshots/${shot.name}.png`, Buffer.from(await driver.takeScreenshot(), 'base64'))
    console.log(`docs/screenshots/${shot.name}.png`)
  } finally {
    await driver.quit()
    await app.stop()
  }
}
