import type { WebDriver } from 'selenium-webdriver'
import { schoolWeekOf } from '../../app/utils/week'
import { inChromium } from './here'
import { By, byRole, Key, lessonsAround, noViolations, pick, text, type Running } from './world'
import type { Lesson } from '../../shared/lessons'

/** A day of a teacher: Today, a lesson planned, taken to the Bench, and looked at afterwards. */

const here = inChromium({ demo: false })
const { click, size, press } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
const follow = async (name: string | RegExp): Promise<void> => (await byRole(driver, 'link', name)).click()
const at = (path: RegExp): Promise<unknown> =>
  driver.wait(async () => path.test(new URL(await driver.getCurrentUrl()).pathname), 10_000)
const problem = async (): Promise<string> =>
  ((await (await byRole(driver, 'textbox', 'Problem')).getAttribute('value')) ?? '').replaceAll('−', '-')
const whose = (): Promise<string> =>
  driver.executeScript<string>("return document.querySelector('.learner-picker strong').innerText")
const choose = (label: string, option: string): Promise<void> => pick(driver, label, option)
/** Takes something from the menu of the lesson, or of one of its problems. */
async function menu(item: string, of = 'More for this lesson'): Promise<void> {
  await click(of)
  await (await byRole(driver, 'menuitem', item)).click()
}
const turnMenu = (problem: string, item: string): Promise<void> => menu(item, `More for ${problem}`)
const lessons = (): Promise<Lesson[]> => lessonsAround<Lesson>(app.url)
test('a new teacher goes from an empty room to a placement, a lesson for two, the Bench and back', async () => {
  await driver.get(app.url)
  // The room and who learns in it.
  await (await byRole(driver, 'textbox', 'Name of the class')).sendKeys('the Loft')
  await (await byRole(driver, 'textbox', 'Learners’ code names')).sendKeys('Wren, Pip')
  await click('Skip to the Bench')
  await at(/^\/bench/)
  await follow('Today')
  await text(driver, '.learners', /Wren[\s\S]*No step yet/)
  await noViolations(driver)
  // Where Wren stands, with few questions.
  await follow('Plan')
  await follow('Find Wren’s step')
  await choose('Strand', 'Adding')
  const ask = () => driver.executeScript<string>("return document.querySelector('.ask .question')?.innerText ?? ''")
  for (let now = await ask(); now !== ''; now = await ask()) {
    const [a, b] = now.replace(' = ?', '').split(' + ').map(Number) as [number, number]
    // Whatever stays below twenty is known.
    const answer = a + b < 20 ? String(a + b) : ''
    if (answer) await (await byRole(driver, 'textbox', 'What Wren answered')).sendKeys(answer, Key.ENTER)
    else await click('Not yet')
    await driver.wait(async () => (await ask()) !== now, 20_000)
  }
  await text(driver, '.known', 'Result')
  const found = await driver.executeScript<string>("return document.querySelector('.known li a').innerText")
  await click('Use this result')
  await text(driver, '.page-header', `Next for Wren: ${found}`)
  await click('Undo')
  await text(driver, '.page-header', 'Wren has no step yet')
  await follow('Find Wren’s step')
  await click('Use this result')
  await text(driver, '.page-header', 'Next for Wren')
  // A lesson for both.
  await follow('Plan a lesson')
  for (const name of ['Wren', 'Pip']) await (await byRole(driver, 'checkbox', name)).click()
  // Not for a time that has passed.
  const day = await byRole(driver, 'textbox', 'Day')
  const proposed = (await day.getAttribute('value'))!
  const setDay = async (to: string): Promise<void> => {
    await day.sendKeys(Key.chord(Key.CONTROL, 'a'), to, Key.TAB)
    await press(Key.ESCAPE)
  }
  await setDay('7 January 2020')
  await noViolations(driver)
  await click('Steps')
  await text(driver, '.trouble', 'That time has passed.')
  await setDay(proposed)
  await click('Steps')
  await choose('Step of Wren', 'Add across 10')
  await noViolations(driver)
  await click('Plan lesson')
  await text(driver, '.trouble', 'Choose a step for Pip.')
  await choose('Step of Pip', 'Add within 10')
  await click('Plan lesson')
  await at(/^\/plan\/lessons\/[0-9a-f-]{36}$/)
  await text(driver, '.turns', /Whole group[\s\S]*Together[\s\S]*On their own/)
  await noViolations(driver)
  const [lesson] = await lessons()
  expect(lesson!.learners).toHaveLength(2)
  // To the Bench: the first is for all, then each in turn.
  await click('Start')
  await at(/^\/bench/)
  expect(await problem()).toBe(lesson!.turns[0]!.problem)
  for (const turn of lesson!.turns.slice(1, 4)) {
    await click('Next problem')
    await driver.wait(async () => (await problem()) === turn.problem, 20_000)
    const name = turn.learner === null ? 'No learner chosen' : turn.learner === lesson!.learners[0] ? 'Wren' : 'Pip'
    expect(await whose()).toBe(name)
  }
  await follow('Back to the lesson')
  await at(/^\/plan\/lessons\//)
  await text(driver, 'h1', 'Wren and Pip')
})

test('what was worked in a lesson is seen in it, and it goes on after that', async () => {
  const [lesson] = await lessons()
  const first = lesson!.turns.findIndex((t) => t.learner !== null)
  const turn = lesson!.turns[first]
  const today = new Date().toLocaleDateString('sv-SE')
  await fetch(`${app.url}/api/lessons/${lesson!.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...lesson, day: today }),
  })
  await driver.get(`${app.url}/plan/lessons/${lesson!.id}`)
  await menu('Start from the beginning')
  await at(/^\/bench/)
  for (const next of lesson!.turns.slice(1, first + 1)) {
    await click('Next problem')
    await driver.wait(async () => (await problem()) === next.problem, 20_000)
  }
  expect(await problem()).toBe(turn!.problem)
  await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('read 1', Key.ENTER)
  // It is saved by itself under whoever’s turn it is, and can be changed.
  await text(driver, '.notices', /^Saved for (Wren|Pip): /)
  await noViolations(driver)
  await click('Change')
  await (await byRole(driver, 'radio', 'Right')).click()
  await (await byRole(driver, 'radio', 'Spoken hint')).click()
  await driver.findElement(By.css('.p-dialog button[type=submit]')).click()
  await driver.wait(async () => {
    const page = (await (await fetch(`${app.url}/api/records`)).json()) as { records: unknown[] }
    return page.records.length === 1
  }, 20_000)
  // Leaving is a choice of its own, and is undone.
  await click('Leave lesson')
  await text(driver, '.notices', 'You have left the lesson.')
  await click('Undo')
  await byRole(driver, 'button', 'Leave lesson')
  await follow('Today')
  await text(driver, '.next', /under way, \d of \d/)
  // Loaded anew, the bench still knows its lesson.
  await driver.get(`${app.url}/bench`)
  await follow('Back to the lesson')
  await text(driver, '.turns', 'right, spoken hint')
  await click('Go on')
  await at(/^\/bench/)
  expect(await problem()).toBe(lesson!.turns[first + 1]!.problem)
})

test('a lesson is changed in every part, and what is changed is kept by itself; a problem that nothing holds is told', async () => {
  const [lesson] = await lessons()
  await driver.get(`${app.url}/plan/lessons/${lesson!.id}`)
  await text(driver, '.turns', 'On their own')
  const boxes = await driver.findElements(By.css('[aria-label^="Problem for"]'))
  const box = boxes[1]!
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '8 + 6', Key.TAB)
  await click('Change')
  await (await byRole(driver, 'textbox', 'Say and ask')).sendKeys('Reeds are counted in tens.')
  await (await byRole(driver, 'textbox', 'Pip')).sendKeys('liked the counters')
  await driver.wait(async () => {
    const [now] = await lessons()
    return now!.turns[1]!.problem === '8 + 6' && Object.values(now!.notes)[0] === 'liked the counters'
  }, 20_000)
  const [now] = await lessons()
  expect(now!.words).toContain('Reeds are counted in tens.')
  await boxes[2]!.sendKeys(Key.chord(Key.CONTROL, 'a'), 'reeds and reeds', Key.TAB)
  await text(driver, '.turns .trouble', /\S/)
  await turnMenu('8 + 6', 'Take out')
  await click('Bring back 8 + 6')
  await turnMenu('8 + 6', 'Take out')
  await click('Add a problem: Whole group')
  await driver.wait(async () => (await lessons())[0]!.turns.length === lesson!.turns.length, 20_000)
  // The order goes both ways.
  const alone = async (): Promise<string[]> =>
    (await lessons())[0]!.turns.filter((t) => t.mode === 'alone').map((t) => t.problem)
  const [first, second] = await alone()
  const shown = first!.replace(' - ', ' − ')
  await turnMenu(shown, 'Move down')
  await driver.wait(async () => (await alone())[0] === second, 20_000, 'the first has gone down')
  await turnMenu(shown, 'Move up')
  await driver.wait(async () => (await alone())[0] === first, 20_000, 'and up again')
  await noViolations(driver)
})

test('what somebody else has changed meanwhile is not written over, and what was changed here is not lost', async () => {
  const [lesson] = await lessons()
  await driver.get(`${app.url}/plan/lessons/${lesson!.id}`)
  await text(driver, '.turns', 'On their own')
  const answer = await fetch(`${app.url}/api/lessons/${lesson!.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...lesson, words: 'Said by somebody else.' }),
  })
  expect(answer.status).toBe(200)
  await (await byRole(driver, 'textbox', 'Wren')).sendKeys('asked for the drawn tens')
  await text(driver, '.trouble', 'Somebody has changed this lesson since')
  expect((await lessons())[0]!.words).toBe('Said by somebody else.')
  await driver.navigate().refresh()
  await text(driver, '.words', 'Said by somebody else.')
  await click('Take mine instead')
  await driver.wait(async () => Object.values((await lessons())[0]!.notes).includes('asked for the drawn tens'), 20_000)
})

test('learners, steps and minutes are changed after planning, and what was worked stays', async () => {
  const [before] = await lessons()
  const worked = before!.turns.filter((t) => t.done)
  expect(worked.length).toBeGreaterThan(0)
  await driver.get(`${app.url}/plan/lessons/${before!.id}`)
  await menu('Change learners, steps or minutes')
  const minutes = await byRole(driver, 'spinbutton', 'Minutes')
  await minutes.sendKeys(Key.chord(Key.CONTROL, 'a'), '25', Key.TAB)
  await noViolations(driver)
  await click('Steps')
  await click('Plan again')
  await driver.wait(async () => (await lessons())[0]!.minutes === 25, 20_000)
  const [after] = await lessons()
  expect(after!.turns.filter((t) => t.done)).toEqual(worked)
  expect(after!.turns.length).toBeGreaterThan(before!.turns.length)
  expect(after!.words).toBe(before!.words)
})

/** Goes with the Tab key to what is called so. */
async function tabTo(name: RegExp): Promise<void> {
  for (let i = 0; i < 80; i++) {
    await driver.actions().sendKeys(Key.TAB).perform()
    const now = await driver.switchTo().activeElement()
    if (name.test(await now.getAccessibleName())) return
  }
  throw new Error(`the Tab key does not come to ${name}`)
}

test('by keyboard alone a lesson is planned and begun', async () => {
  const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as {
    learners: { id: string; codeName: string }[]
  }
  await fetch(`${app.url}/api/learners/${learners.find((l) => l.codeName === 'Pip')!.id}/told`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ told: [{ step: 'add-5', knows: true }], placed: false }),
  })
  const before = (await lessons()).length
  await driver.get(`${app.url}/today`)
  await text(driver, '.learners', 'Pip')
  await tabTo(/^Plan a lesson$/)
  await press(Key.ENTER)
  await at(/^\/plan\/lessons\/new$/)
  await tabTo(/^Pip$/)
  await press(Key.SPACE)
  await at(/^\/plan\/lessons\/new$/)
  await tabTo(/^Steps$/)
  await press(Key.ENTER)
  await byRole(driver, 'combobox', 'Step of Pip')
  await tabTo(/^Plan lesson$/)
  await press(Key.ENTER)
  await at(/^\/plan\/lessons\/[0-9a-f-]{36}$/)
  expect(await lessons()).toHaveLength(before + 1)
  await text(driver, 'h1', 'Pip')
  await tabTo(/^Start$/)
  await press(Key.ENTER)
  await at(/^\/bench/)
  const planned = (await lessons()).find((l) => l.learners.length === 1)!
  expect(await problem()).toBe(planned.turns[0]!.problem)
  await fetch(`${app.url}/api/lessons/${planned.id}`, { method: 'DELETE' })
})

test('by touch at 1024 x 768 a lesson is planned and begun', async () => {
  await size(1024, 768)
  const tools = driver as unknown as { sendDevToolsCommand(c: string, p: object): Promise<void> }
  await tools.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', { enabled: true })
  const tap = async (role: string, name: string | RegExp): Promise<void> => {
    const element = await byRole(driver, role, name)
    await driver.executeScript("arguments[0].scrollIntoView({ block: 'center' })", element)
    const box = await driver.executeScript<{ x: number; y: number }>(
      'const r = arguments[0].getBoundingClientRect(); return { x: r.x + r.width / 2, y: r.y + r.height / 2 }',
      element,
    )
    await tools.sendDevToolsCommand('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [box] })
    await tools.sendDevToolsCommand('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  }
  await driver.get(`${app.url}/plan/lessons/new`)
  await tap('checkbox', 'Wren')
  await tap('button', 'Steps')
  await byRole(driver, 'combobox', 'Step of Wren')
  await tap('button', 'Plan lesson')
  await at(/^\/plan\/lessons\/[0-9a-f-]{36}$/)
  await tap('button', 'Start')
  await at(/^\/bench/)
  await tools.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', { enabled: false })
  await size(1280, 800)
  const planned = (await lessons()).find((l) => l.learners.length === 1)!
  await fetch(`${app.url}/api/lessons/${planned.id}`, { method: 'DELETE' })
})

test('by keyboard alone: one key begins what is first today', async () => {
  await driver.get(`${app.url}/`)
  await at(/^\/today$/)
  await text(driver, '.next', 'Wren and Pip')
  await driver.findElement(By.css('body')).sendKeys('b')
  await at(/^\/bench/)
  await byRole(driver, 'button', /^Next problem/)
})

test.each([
  ['/today', 1024, 768],
  ['lesson', 390, 844],
  ['lesson', 1024, 768],
])('%s at %d x %d: nothing is out of reach', async (path, width, height) => {
  await size(width, height)
  const [lesson] = await lessons()
  await driver.get(app.url + (path === 'lesson' ? `/plan/lessons/${lesson!.id}` : path))
  await byRole(driver, 'heading', /./)
  await driver.wait(async () => (await driver.findElements(By.css('main .place'))).length > 0, 20_000)
  const over = await driver.executeScript('return document.documentElement.scrollWidth - window.innerWidth')
  expect(over).toBeLessThanOrEqual(0)
  await noViolations(driver)
  await size(1280, 800)
})

test('the week shows its lessons, and one is planned on a day of it', async () => {
  const [lesson] = await lessons()
  const [, , wednesday] = schoolWeekOf(new Date().toLocaleDateString('sv-SE'))
  await fetch(`${app.url}/api/lessons/${lesson!.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...lesson, day: wednesday }),
  })
  await driver.get(`${app.url}/plan/lessons`)
  await byRole(driver, 'link', /^Wednesday .*, Wren and Pip$/)
  await noViolations(driver)
  await click('Next week')
  await follow(/^Plan a lesson on Monday /)
  await at(/^\/plan\/lessons\/new$/)
  const day = await (await byRole(driver, 'textbox', 'Day')).getAttribute('value')
  expect(new Date(day!).getDay()).toBe(1)
})

test('a lesson that is removed is gone from Today', async () => {
  const [lesson] = await lessons()
  await driver.get(`${app.url}/plan/lessons/${lesson!.id}`)
  await menu('Delete')
  await click('Delete this lesson')
  await at(/^\/plan\/lessons$/)
  expect(await lessons()).toEqual([])
})
