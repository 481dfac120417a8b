import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { WebDriver } from 'selenium-webdriver'
import type { KeptLearner } from '../../shared/learners'
import { inChromium } from './here'
import { By, byRole, Key, noViolations, text, type Running } from './world'

/** Learners at a glance, what suits each, a class list, the timeline, and the Daybook narrowed; by keyboard. */

const here = inChromium()
const { size, fresh, click, prefers } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(async () => {
  await size(1280, 800)
  await prefers('forced-colors', 'none')
})
const learners = async (): Promise<KeptLearner[]> =>
  ((await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: KeptLearner[] }).learners
const idOf = async (name: string): Promise<string> => (await learners()).find((l) => l.codeName === name)!.id
/** Chooses an option, once it is there. */
async function narrow(label: string, option: string): Promise<void> {
  const list = await byRole(driver, 'combobox', label)
  const at = By.xpath(`./option[normalize-space(.)="${option}"]`)
  await driver.wait(async () => (await list.findElements(at)).length > 0, 20_000, `${label} has ${option}`)
  await list.findElement(at).click()
}
const enter = async (role: string, name: string | RegExp): Promise<void> =>
  (await byRole(driver, role, name)).sendKeys(Key.ENTER)

test('what suits a learner is set by keyboard; the bench goes by it and the shelf says why', async () => {
  await driver.get(`${app.url}/learners/${await idOf('Wren')}/suits`)
  await byRole(driver, 'heading', 'What suits Wren')
  await noViolations(driver)
  await (await byRole(driver, 'textbox', 'Groups, with commas between')).sendKeys('Red table, Wednesday')
  await (await byRole(driver, 'checkbox', 'Chips')).sendKeys(Key.SPACE)
  await (await byRole(driver, 'textbox', 'Why, in a word')).sendKeys('they click')
  const [, words] = await driver.findElements(By.xpath('//label[normalize-space(.)="Other than the room’s"]/input'))
  await words!.sendKeys(Key.SPACE)
  await narrow('Ten ones for one ten is to', 'trade')
  await noViolations(driver)
  await enter('button', 'Keep what suits Wren')
  await text(driver, '.kept-said', 'It is kept.')
  const kept = (await learners()).find((l) => l.codeName === 'Wren')!
  expect(kept.groups).toEqual(['Red table', 'Wednesday'])
  expect(kept.choices).toMatchObject({ avoid: ['chips'], avoidWhy: 'they click', words: { exchange: 'trade' } })
  // At the bench Wren’s words are said, and chips come last with the reason.
  await fresh({ 'sett.learner': kept.id, 'sett.mode': 'show' })
  const ask = await byRole(driver, 'textbox', 'Problem')
  await ask.sendKeys(Key.chord(Key.CONTROL, 'a'), '61 - 24', Key.ENTER)
  for (let i = 0; i < 3; i++) await click('Next step')
  await text(driver, '#main', /[Tt]rade/)
  await enter('button', /^Material/)
  await text(driver, '[role="dialog"]', 'Put aside for Wren: they click.')
  await driver.actions().sendKeys(Key.ESCAPE).perform()
})

test('a class list comes in from a zip’s files: bad lines are listed, code names given, who is who stays here', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'sett-list-'))
  const write = (name: string, said: string): string => {
    writeFileSync(join(folder, name), said)
    return join(folder, name)
  }
  const paths = [
    write(
      'users.csv',
      'sourcedId,status,dateLastModified,enabledUser,orgSourcedIds,role,username,givenName,familyName\n' +
        'u1,,,true,o1,student,a,Ann,Berg\nu2,,,true,o1,student,b,Bo,Chan\nu3,,,maybe,o1,student,c,Cy,Dale\n',
    ),
    write(
      'classes.csv',
      'sourcedId,title,courseSourcedId,classType,schoolSourcedId,termSourcedIds\nc1,Blue table,k,homeroom,o1,t\n',
    ),
    write(
      'enrollments.csv',
      'sourcedId,classSourcedId,schoolSourcedId,userSourcedId,role\ne1,c1,o1,u1,student\ne2,c1,o1,u2,student\n',
    ),
  ]
  const before = (await learners()).length
  await driver.get(`${app.url}/learners`)
  await byRole(driver, 'heading', 'Learners')
  await noViolations(driver)
  await (await driver.findElement(By.css('summary'))).sendKeys(Key.ENTER)
  const files = await driver.findElement(By.css('input[type="file"]'))
  await files.sendKeys(paths[0]!)
  await text(driver, '.roster', 'Choose classes.csv and enrollments.csv too, or the whole zip file.')
  await files.sendKeys(paths.join('\n'))
  await text(driver, '.bad', '1 line is not taken:')
  await text(driver, '.bad', 'Its enabledUser is maybe: true or false is wanted.')
  await noViolations(driver)
  // All or nothing: nothing, while there is a bad line.
  const whole = await byRole(driver, 'checkbox', /^Take all of it or nothing/)
  await whole.sendKeys(Key.SPACE)
  expect(await (await byRole(driver, 'button', 'Take in 2 learners')).isEnabled()).toBe(false)
  await whole.sendKeys(Key.SPACE)
  await enter('button', 'Take in 2 learners')
  await text(driver, '.roster', '2 new, 0 changed, 0 put away.')
  const all = await learners()
  expect(all).toHaveLength(before + 2)
  const blue = all.filter((l) => l.groups.includes('Blue table'))
  expect(blue).toHaveLength(2)
  // No name of the list has left this browser.
  expect(JSON.stringify(all)).not.toMatch(/Berg|Chan|Ann/)
  await driver.executeScript(`
    window.files = []
    const make = URL.createObjectURL
    URL.createObjectURL = (blob) => (window.files.push(blob), make(blob))`)
  await enter('button', 'Who is who, as a file')
  await driver.wait(async () => (await driver.executeScript<number>('return window.files.length')) === 1, 15_000)
  expect(await driver.executeAsyncScript('window.files[0].text().then(arguments[0])')).toContain(
    `Ann,Berg,u1,${blue[0]!.codeName}`,
  )
  // The group by itself.
  await narrow('Group', 'Blue table')
  await driver.wait(
    async () => (await driver.findElements(By.css('[aria-label="Learners at a glance"] tbody tr'))).length === 2,
    20_000,
  )
})

test('somebody who does not come any more is put away, is not offered, and is brought back', async () => {
  const id = await idOf('Moth')
  await driver.get(`${app.url}/learners/${id}/suits`)
  await enter('button', 'Put Moth away')
  await text(driver, '.kept-said', 'Moth is put away; nothing is lost.')
  await driver.get(`${app.url}/learners/notes`)
  await byRole(driver, 'checkbox', 'Wren')
  expect(await driver.findElements(By.xpath('//label[normalize-space(.)="Moth"]'))).toHaveLength(0)
  await driver.get(`${app.url}/learners`)
  await byRole(driver, 'link', 'Ash')
  await (await driver.findElement(By.css('summary'))).sendKeys(Key.ENTER)
  await enter('link', 'Bring back Moth')
  await enter('button', 'Bring Moth back')
  await text(driver, '.kept-said', 'Moth is back.')
})

test('a moment is chosen in the timeline, shown step by step, told with a word, and printed in the report', async () => {
  const id = await idOf('Wren')
  await driver.get(`${app.url}/learners/timeline?learner=${id}`)
  await text(driver, '.days', '52 − 37')
  await enter('button', 'Show 52 − 37 step by step here and in reports')
  await text(driver, '.strip', 'Take away thirty-seven.')
  expect((await driver.findElements(By.css('.strip svg'))).length).toBeGreaterThan(3)
  await (await byRole(driver, 'textbox', 'A word to it')).sendKeys('On her own.', Key.TAB)
  await text(driver, '.place > [role="status"]', 'The word is kept.')
  await noViolations(driver)
  await driver.get(`${app.url}/learners/reports?learner=${id}`)
  await enter('button', 'Make the report')
  await text(driver, '.strips', /52 − 37: On her own\./)
  await text(driver, '.strips', 'Take away thirty-seven.')
  await noViolations(driver)
  // Let go again, and the record stays.
  await driver.get(`${app.url}/learners/timeline?learner=${id}`)
  await enter('button', 'Show 52 − 37 step by step here and in reports')
  await driver.wait(async () => (await driver.findElements(By.css('.strip'))).length === 0, 20_000)
  await text(driver, '.days', '52 − 37')
})

test('the Daybook is narrowed by step and help; the search is kept and found again', async () => {
  await driver.get(`${app.url}/learners/records`)
  await enter('button', 'Find')
  // Steps are called in the words of whoever is at the bench: Wren’s are chosen above.
  await narrow('Step', 'Take away two-digit numbers, one trade')
  await narrow('Most help', 'spoken hint')
  const rows = (): Promise<string[]> =>
    driver.executeScript<string[]>("return [...document.querySelectorAll('tbody tr')].map((r) => r.innerText)")
  await driver.wait(
    async () => (await rows()).length > 0 && (await rows()).every((r) => /spoken hint/.test(r)),
    20_000,
    'only what took a spoken hint is listed',
  )
  await noViolations(driver)
  await (await byRole(driver, 'textbox', 'Keep this search as')).sendKeys('With a hint')
  await enter('button', 'Keep')
  await text(driver, '.find .said', 'The search “With a hint” is kept.')
  const found = (await rows()).length
  await enter('button', 'Show all again')
  await driver.wait(async () => (await rows()).length > found, 20_000, 'all are listed again')
  await driver.navigate().refresh()
  await enter('button', 'Find')
  await narrow('Kept searches', 'With a hint')
  await enter('button', 'Find it again')
  await driver.wait(async () => (await rows()).length === found, 20_000, 'the kept search finds the same')
})

test('with the system’s own colours and on paper the figures stay to be read', async () => {
  const id = await idOf('Wren')
  await prefers('forced-colors', 'active')
  for (const path of ['/learners', `/learners/progress?learner=${id}`, `/learners/timeline?learner=${id}`]) {
    await driver.get(app.url + path)
    await driver.wait(async () => (await driver.findElements(By.css('.place h1'))).length === 1, 20_000)
    await noViolations(driver)
  }
  await driver.get(`${app.url}/learners/progress?learner=${id}`)
  await text(driver, '.told', /tries on/)
  const pdf = await (
    driver as unknown as { sendAndGetDevToolsCommand: (c: string, p: object) => Promise<{ data: string }> }
  ).sendAndGetDevToolsCommand('Page.printToPDF', {})
  expect(Buffer.from(pdf.data, 'base64').subarray(0, 5).toString()).toBe('%PDF-')
})

test('at 390 × 844 nothing is out of reach', async () => {
  await size(390, 844)
  const id = await idOf('Wren')
  for (const path of [
    '/learners',
    `/learners/timeline?learner=${id}`,
    `/learners/${id}/suits`,
    `/learners/progress?learner=${id}`,
  ]) {
    await driver.get(app.url + path)
    await driver.wait(async () => (await driver.findElements(By.css('.place h1'))).length === 1, 20_000)
    expect([path, await driver.executeScript('return document.documentElement.scrollWidth')]).toEqual([path, 390])
    await noViolations(driver)
  }
})
