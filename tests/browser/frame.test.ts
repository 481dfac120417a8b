import { By, byRole, Key, noViolations, serve, text, until, type Running } from './world'
import { inChromium } from './here'

/** The frame around every page: five places, Find, Today, and the first run; by keyboard alone and in every theme. */

const here = inChromium()
const { click, press, active, size } = here
const at = (path: string): Promise<unknown> =>
  here.driver.wait(async () => new URL(await here.driver.getCurrentUrl()).pathname === path, 20_000, `not at ${path}`)
const go = (path: string): Promise<void> => here.driver.get(here.app.url + path)
const find = async (typed: string): Promise<void> => {
  await here.driver.actions().keyDown(Key.CONTROL).sendKeys('k').keyUp(Key.CONTROL).perform()
  await (await byRole(here.driver, 'combobox', /^Learner, page/)).sendKeys(typed)
}
const over = (): Promise<number> =>
  here.driver.executeScript('return document.documentElement.scrollWidth - window.innerWidth')

test.each([
  ['/courses?step=add-5', '/plan/steps'],
  ['/lesson/new', '/plan/lessons/new'],
  ['/daybook', '/learners/records'],
  ['/room', '/settings'],
  ['/facts/', '/practice/facts'],
])('the old address %s leads to %s', async (old, now) => {
  await go(old)
  await at(now)
  const query = old.split('?')[1] ?? ''
  expect(new URL(await here.driver.getCurrentUrl()).search.slice(1)).toBe(query)
})

test('Find goes to a learner, a page and a material by keyboard alone, with a slip of the hand, and the focus is not lost', async () => {
  await go('/today')
  await text(here.driver, '.learners', 'Wren')
  await find('Wrem')
  await byRole(here.driver, 'option', /^Wren/)
  await noViolations(here.driver)
  await press(Key.ENTER)
  await at('/learners/progress')
  await find('back')
  await byRole(here.driver, 'option', /^Backups and data/)
  await press(Key.ENTER)
  await at('/settings/backups')
  await find('number line')
  await byRole(here.driver, 'option', /^(Open n|N)umber line/)
  await press(Key.ENTER)
  await at('/bench')
  await text(here.driver, '.ask', /number line/)
  // What is named while its page is open comes there too.
  await find('drawn tens')
  await byRole(here.driver, 'option', /^Drawn tens/)
  await press(Key.ENTER)
  await text(here.driver, '.ask', /drawn tens/)
  await find('Wren')
  await byRole(here.driver, 'option', /^Wren/)
  await press(Key.ENTER)
  await at('/learners/progress')
  await find('Pip')
  await byRole(here.driver, 'option', /^Pip/)
  await press(Key.ENTER)
  await here.driver.wait(
    async () =>
      (await here.driver.executeScript(
        "return document.querySelector('.place select').selectedOptions[0].textContent.trim()",
      )) === 'Pip',
    20_000,
    'Pip is not shown',
  )
  await find('nothing is called this')
  await text(here.driver, '[role="dialog"]', 'Nothing has that name.')
  await press(Key.ESCAPE, Key.ESCAPE)
  await here.driver.wait(async () => (await active('e.tagName')) !== 'BODY', 20_000, 'the focus is lost')
})

test('Today: its next lesson starts with one press; a day of the week shows its own; work left is gone on with or discarded', async () => {
  await go('/today')
  await text(here.driver, '.next', '09:30 · next')
  await noViolations(here.driver)
  await click('Start the lesson')
  await at('/bench')
  await (await byRole(here.driver, 'textbox', 'Type a move')).sendKeys('lay 5 tens', Key.ENTER)
  await byRole(here.driver, 'button', '5 tens on the mat')
  // What lies there now is gone on with as well.
  await go('/today')
  await click(/^Go on with /)
  await at('/bench')
  await byRole(here.driver, 'button', '5 tens on the mat')
  // Another learner’s problem pushes it aside, unsaved.
  await (await byRole(here.driver, 'button', /^Learner: /)).click()
  await (await byRole(here.driver, 'option', 'Teal')).click()
  await go('/today')
  await click(/^Start with Teal$/)
  await at('/bench')
  await go('/today')
  const left = /^Discard /
  await click(left)
  await text(here.driver, '.card [role="status"]', 'is discarded.')
  await click('Undo')
  await byRole(here.driver, 'button', left)
  await click(/^Go on with /)
  await at('/bench')
})

test('a half-marked page and a print that was never made are among what was left off, until they are discarded or done', async () => {
  await go('/learners/marking')
  await (await byRole(here.driver, 'textbox', 'Problem 1')).sendKeys('52 - 37')
  await (await byRole(here.driver, 'textbox', 'Answer 1')).sendKeys('25', Key.TAB)
  await go('/plan/problems')
  await text(here.driver, '.page-header', 'problems fit')
  await click('Print')
  await at('/plan/print')
  await go('/today')
  await text(here.driver, 'main', /Marking a page\s*1 answer typed, not saved yet/)
  await text(here.driver, 'main', /Sheets to print\s*2 sheets chosen, not printed yet/)
  await noViolations(here.driver)
  await click('Discard Marking a page')
  await text(here.driver, 'main', 'Marking a page is discarded.')
  await click('Undo')
  await text(here.driver, 'main', /1 answer typed/)
  await click('Discard Sheets to print')
  await (await byRole(here.driver, 'link', 'Go on with Marking a page')).click()
  expect(await (await byRole(here.driver, 'textbox', 'Answer 1')).getAttribute('value')).toBe('25')
})

test.each([
  [1024, 768],
  [390, 844],
  [640, 400],
  [1920, 1080],
])('Today at %d x %d: nothing goes over the edge, and Find and Settings are in reach', async (width, height) => {
  await size(width, height)
  await go('/today')
  await text(here.driver, '.learners', 'Wren')
  expect(await over()).toBeLessThanOrEqual(0)
  await noViolations(here.driver)
  await click('Find')
  await byRole(here.driver, 'combobox', /^Learner, page/)
  await press(Key.ESCAPE, Key.ESCAPE)
  await (await byRole(here.driver, 'link', 'Settings')).click()
  await at('/settings/screen')
  await size(1280, 800)
})

test('presenting hides the rail; leaving it brings it back', async () => {
  await go('/bench')
  await byRole(here.driver, 'group', 'The mat')
  const rails = (): Promise<number> => here.driver.findElements(By.css('.rail')).then((all) => all.length)
  await press('f')
  await here.driver.wait(async () => (await rails()) === 0, 20_000)
  await press('f')
  await here.driver.wait(async () => (await rails()) === 1, 20_000)
})

describe('the first run', () => {
  let empty: Running
  beforeAll(async () => {
    empty = await serve()
  })
  afterAll(() => empty.stop())

  test('a name that cannot be one is told at its field, and nothing is lost', async () => {
    await here.driver.get(empty.url)
    await (await byRole(here.driver, 'textbox', 'Learners’ code names')).sendKeys('Wren, <Pip>')
    await click('Skip to the Bench')
    await text(here.driver, '#names-trouble', '“<Pip>” cannot be a code name.')
    await noViolations(here.driver)
    const typed = await (await byRole(here.driver, 'textbox', 'Learners’ code names')).getAttribute('value')
    expect(typed).toBe('Wren, <Pip>')
    expect(await active('e.id')).toBe('names')
  })

  test('from an empty folder to the first move: eight presses at the most, the words heard before they are taken', async () => {
    await here.driver.get(empty.url)
    await (await byRole(here.driver, 'textbox', 'Name of the class')).sendKeys('the Loft')
    await (await byRole(here.driver, 'textbox', 'Learners’ code names')).sendKeys('Wren, Pip')
    let presses = 0
    const pressOn = async (role: string, name: string | RegExp): Promise<void> => {
      presses += 1
      await (await byRole(here.driver, role, name)).click()
    }
    await pressOn('button', 'Next')
    presses += 1
    // The box is drawn over the real one, which has the keys and the name.
    await here.driver.findElement(By.xpath("//label[contains(., 'US elementary')]")).click()
    await text(here.driver, '.preview', 'Regroup one ten as ten ones.')
    await noViolations(here.driver)
    await pressOn('button', 'Next')
    await byRole(here.driver, 'textbox', 'Problem')
    await noViolations(here.driver)
    // A problem that blocks cannot hold comes with a material that can.
    await (await byRole(here.driver, 'textbox', 'Problem')).sendKeys(Key.chord(Key.CONTROL, 'a'), '84 ÷ 6')
    await pressOn('button', 'Start at the Bench')
    await here.driver.wait(until.elementLocated(By.css('#mat > .mats')), 20_000)
    await pressOn('button', 'Next step')
    await text(here.driver, '.course', '84')
    expect(presses).toBeLessThanOrEqual(8)
    const room = (await (await fetch(`${empty.url}/api/classroom`)).json()) as {
      classroom: { name: string; words: { exchange: string } }
      learners: { codeName: string }[]
    }
    expect(room.classroom).toMatchObject({ name: 'the Loft', words: { exchange: 'regroup' } })
    expect(room.learners.map((l) => l.codeName)).toEqual(['Wren', 'Pip'])
  })
})
