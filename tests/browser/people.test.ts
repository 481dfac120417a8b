import type { WebDriver, WebElement } from 'selenium-webdriver'
import { inChromium } from './here'
import { By, until, byRole, Key, noViolations, text, type Running } from './world'

const here = inChromium()
const { click, size } = here
let app: Running
let driver: WebDriver
beforeAll(() => {
  ;({ app, driver } = here)
})
afterEach(() => size(1280, 800))

const PASS = 'seven lanterns in a row'
const put = async (name: string, words: string): Promise<void> => {
  const box = await field(name)
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), words)
}
/** A field by its name; those for passphrases have no role. */
const field = async (name: string): Promise<WebElement> =>
  (await driver.wait(async () => {
    for (const input of await driver.findElements(By.css('input')))
      if ((await input.getAccessibleName()).trim() === name && (await input.isDisplayed())) return input
    return null
  }, 10_000))!
const at = (path: string): Promise<void> =>
  driver.wait(async () => new URL(await driver.getCurrentUrl()).pathname === path, 10_000).then(() => undefined)

/** Everything happens in one browser, in this order, as on the first days at a school. */
test('the Daybook is read a page at a time, and found in by learner, problem, material, slip and day', async () => {
  const records = async () =>
    ((await (await fetch(`${app.url}/api/records?limit=200`)).json()) as { records: { id: string; kind: string }[] })
      .records
  const worked = (await records()).filter((r) => r.kind === 'bench')
  const sample = (await (await fetch(`${app.url}/api/records/${worked.at(-1)!.id}`)).json()) as Record<string, unknown>
  const before = (await records()).length
  for (let i = 0; i < 60; i++)
    await fetch(`${app.url}/api/records`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        ...sample,
        id: crypto.randomUUID(),
        startedAt: `2025-03-01T09:${String(i).padStart(2, '0')}:00Z`,
      }),
    })
  await driver.get(`${app.url}/learners/records`)
  await (await byRole(driver, 'combobox', 'Whose records')).click()
  await (await byRole(driver, 'option', 'Everybody')).click()
  await text(driver, '.top', 'The latest 50')
  await click('Show earlier ones')
  await text(driver, '.top', `${before + 60} worked`)
  expect(await driver.findElements(By.xpath('//button[normalize-space()="Show earlier ones"]'))).toHaveLength(0)
  await click('Find')
  await noViolations(driver)
  await put('Problem', '46+27')
  await text(driver, '.top', '1 worked')
  await text(driver, 'tbody', '46 + 27')
  await put('Problem', '999 + 1')
  await text(driver, '.daybook', 'Nothing of that kind is recorded.')
  await click('Show all again')
  // Each material and slip that is offered finds something, and only that.
  const narrowed = async (label: string, option: string): Promise<void> => {
    await (await byRole(driver, 'combobox', label)).findElement(By.xpath(`./option[@value="${option}"]`)).click()
  }
  await narrowed('Slip', 'moved ten without giving back')
  await driver.wait(async () => (await driver.findElements(By.css('tbody tr'))).length < 10, 20_000)
  for (const row of await driver.findElements(By.css('tbody tr')))
    expect(await row.getText()).toContain('moved ten without giving back')
  await click('Show all again')
  await text(driver, '.top', 'The latest 50')
  await narrowed('Material', 'abacus')
  await driver.wait(async () => (await driver.findElements(By.css('tbody tr'))).length < 10, 20_000)
  expect(await (await driver.findElement(By.css('tbody'))).getText()).not.toContain('46 + 27')
  await click('Show all again')
  const day = await field('To')
  await day.sendKeys('03012025')
  await text(driver, '.top', 'The latest 50')
  await text(driver, 'tbody', '1 Mar 2025')
  await click('Show all again')
})

test('by keyboard alone: becoming the keeper, and inviting a helper for one learner', async () => {
  await driver.get(`${app.url}/settings/people`)
  await (await field('Your name')).sendKeys('Rowan', Key.TAB, 'too short', Key.TAB, 'too short', Key.TAB, Key.ENTER)
  await text(driver, '.page', 'at least 12 characters')
  await noViolations(driver)
  await put('A passphrase', PASS)
  await (await field('The same once more')).sendKeys(Key.chord(Key.CONTROL, 'a'), `${PASS}!`, Key.ENTER)
  await text(driver, '.page', 'The two passphrases are not the same.')
  await (await field('The same once more')).sendKeys(Key.chord(Key.CONTROL, 'a'), PASS, Key.ENTER)
  await text(driver, '.list', 'Rowan')
  await put('Name', 'Alder')
  await (await byRole(driver, 'combobox', 'May')).sendKeys('helper')
  // The box itself is drawn by PrimeVue over the real one, which has the keys and the name.
  const pip = By.xpath("//form//label[normalize-space() = 'Pip']//input[@type='checkbox']")
  await (await driver.wait(until.elementLocated(pip), 20_000)).sendKeys(Key.SPACE)
  await (await byRole(driver, 'button', 'Make an invitation')).sendKeys(Key.ENTER)
  await text(driver, '.told', /[2-9A-Z]{5}(-[2-9A-Z]{5}){3}/)
  await text(driver, '.list', 'has not come in yet')
  await noViolations(driver)
})

test('the helper comes in with the code, sees one learner, and is kept out of the keeper’s pages', async () => {
  const code = /[2-9A-Z]{5}(?:-[2-9A-Z]{5}){3}/.exec(await (await driver.findElement(By.css('.told'))).getText())![0]
  await driver.get(`${app.url}/settings/screen`)
  await click('Sign out')
  await at('/sign-in')
  await noViolations(driver)
  await size(390, 844)
  await click('I have a code')
  await put('The code you were given', code.toLowerCase())
  await put('A new passphrase', PASS)
  await put('The same once more', PASS)
  await noViolations(driver)
  await click('Go in')
  await at('/bench')
  await size(1280, 800)
  await driver.get(`${app.url}/settings/people`)
  await at('/bench')
  await driver.get(`${app.url}/learners/records`)
  await text(driver, 'tbody', 'Pip')
  const rows = await (await driver.findElement(By.css('tbody'))).getText()
  expect(rows).not.toContain('Wren')
  expect(await driver.findElements(By.css('[aria-label^="Delete "]'))).toHaveLength(0)
})

test('a session that has ended leads to the sign-in, with what lies on the bench kept', async () => {
  await driver.get(`${app.url}/bench`)
  await (await byRole(driver, 'textbox', 'Type a move')).sendKeys('lay 5 tens', Key.ENTER)
  await driver.manage().deleteAllCookies()
  await driver.executeScript("localStorage.setItem('sett.learner', 'null')")
  await driver.get(`${app.url}/learners/records`)
  await at('/sign-in')
  await put('Name', 'rowan')
  await put('Passphrase', 'no such words at all')
  await click('Sign in')
  await text(driver, '.page', 'do not go together')
  await put('Passphrase', PASS)
  await (await field('Passphrase')).sendKeys(Key.ENTER)
  await at('/learners/records')
})

test('a backup is made and put back, and it is written down who did it', async () => {
  await driver.get(`${app.url}/settings/backups`)
  await byRole(driver, 'heading', 'Who did what')
  await noViolations(driver)
  await click('Make a backup now')
  await text(driver, '.told', 'is made, and it is whole')
  await text(driver, '[aria-label="Backups there are"]', 'Restore')
  const count = async () =>
    driver.executeAsyncScript<number>(
      "const done = arguments[0]; fetch('/api/records?limit=200').then((r) => r.json()).then((p) => done(p.records.length))",
    )
  const before = await count()
  await driver.executeAsyncScript(
    "const done = arguments[0]; fetch('/api/records?limit=1').then((r) => r.json()).then((p) => fetch('/api/records/' + p.records[0].id, { method: 'DELETE' })).then(() => done())",
  )
  expect(await count()).toBe(before - 1)
  await click(/^Restore the backup of/)
  await click('Restore it')
  // Everybody signs in anew after that, and people are as they were.
  await at('/sign-in')
  await text(driver, '.told', 'The backup is back in place.')
  await put('Name', 'Rowan')
  await put('Passphrase', PASS)
  await click('Sign in')
  await at('/settings/backups')
  expect(await count()).toBe(before)
  await text(driver, '.log', 'restored a backup')
  await put('Months that records are kept (0 for good)', '12')
  await click('Keep to this')
  await text(driver, '.page', /By this rule 60 records from before .* will be removed/)
  await noViolations(driver)
})

test('everything kept of a learner is one page and one file, and is erased for good only by its name', async () => {
  await driver.get(`${app.url}/settings`)
  await (await byRole(driver, 'link', 'What is kept of Moth')).click()
  await text(driver, 'h1', 'Kept of Moth')
  await noViolations(driver)
  const href = await (await byRole(driver, 'link', 'Everything as one file')).getAttribute('href')
  const kept = await driver.executeAsyncScript<object>(
    'const done = arguments[1]; fetch(arguments[0]).then((r) => r.json()).then(done)',
    href,
  )
  expect(kept).toMatchObject({ format: 'sett-learner', learner: 'Moth' })
  await click('Erase Moth')
  await put('Type the name to be sure', 'Wren')
  await click('Erase it for good')
  await text(driver, '.page', 'Type the name, Moth')
  await put('Type the name to be sure', 'moth')
  await click('Erase it for good')
  await text(driver, 'h1', 'Moth is erased')
  await noViolations(driver)
  await driver.get(`${app.url}/settings`)
  await byRole(driver, 'link', 'What is kept of Teal')
  expect(await (await driver.findElement(By.css('.learners'))).getText()).not.toContain('Moth')
})

test('where the answer to erasing is lost on the way, the page says what became of it, and this browser forgets all the same', async () => {
  await (await byRole(driver, 'link', 'What is kept of Teal')).click()
  await text(driver, 'h1', 'Kept of Teal')
  await driver.executeScript(`
    localStorage.setItem('sett.own-story', '"a story of theirs"')
    const ask = window.fetch
    window.fetch = async (url, options) => {
      const answer = await ask(url, options)
      if (options?.method !== 'DELETE') return answer
      await answer.text()
      throw new TypeError('network error')
    }`)
  await click('Erase Teal')
  await put('Type the name to be sure', 'Teal')
  await click('Erase it for good')
  await text(driver, '[role="alert"]', /does not answer.*Teal is erased, from earlier copies too\. There is no receipt/)
  expect(await driver.executeScript("return localStorage.getItem('sett.own-story')")).toBeNull()
})
