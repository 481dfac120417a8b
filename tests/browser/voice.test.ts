import { randomUUID } from 'node:crypto'
import type { WebDriver } from 'selenium-webdriver'
import type { KeptLearner } from '../../shared/learners'
import type { Recording } from '../../shared/recordings'
import { spokenWords } from '../../shared/spokenWords'
import { waveOf } from '../server/sounds'
import { inChromium } from './here'
import { By, byRole, noViolations, text, type Running } from './world'

/** A teacher's own voice: recorded with the (stand-in) microphone, and played at the Bench word by word. */

const here = inChromium()
const { fresh, click } = here
let app: Running
let driver: WebDriver
let wren: string
beforeAll(async () => {
  ;({ app, driver } = here)
  const { learners } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { learners: KeptLearner[] }
  wren = learners.find((l) => l.codeName === 'Wren')!.id
})
const recordings = async (): Promise<readonly Recording[]> =>
  (await (await fetch(`${app.url}/api/learners/${wren}/recordings`)).json()) as readonly Recording[]
/** Recordings that the page has fetched to play. */
const played = (): Promise<number> =>
  driver.executeScript(
    `return performance.getEntriesByType('resource').filter((r) => r.name.includes('/api/recordings/')).length`,
  )

test('a word and a sentence are recorded, heard, recorded again and deleted', async () => {
  await driver.get(`${app.url}/learners/${wren}/voice`)
  await text(driver, '.covered', /^0 of \d+ sentences of Wren’s last problems/)
  const first = await byRole(driver, 'button', /^Record .+, said \d+ times$/)
  const name = (await first.getAttribute('aria-label'))!
  const word = /^Record (.+), said/.exec(name)![1]!
  await first.click()
  await text(driver, '[role="status"]', `Recording “${word}”. Say it, then stop.`)
  await click(`Stop recording ${word}`)
  await text(driver, '[role="status"]', `“${word}” is kept.`)
  await noViolations(driver)
  expect(await recordings()).toMatchObject([{ said: word }])
  await click(`Play ${word}`)
  await driver.wait(async () => (await played()) === 1, 20_000, 'it is played')
  const field = await byRole(driver, 'textbox', 'Words or a sentence')
  await field.sendKeys('Break a Ten!')
  await click('Record it')
  await text(driver, '[role="status"]', 'Recording “break a ten”. Say it, then stop.')
  await click('Stop')
  await text(driver, '[role="status"]', '“break a ten” is kept.')
  expect(await field.getAttribute('value')).toBe('')
  const before = (await recordings()).find((r) => r.said === word)!
  await click(`Record ${word} again`)
  await text(driver, '[role="status"]', `Recording “${word}”. Say it, then stop.`)
  await click(`Stop recording ${word}`)
  await driver.wait(
    async () => (await recordings()).some((r) => r.said === word && r.id !== before.id),
    20_000,
    'the new one is kept',
  )
  // What was deleted, or recorded over, comes back as it was.
  await click('Delete break a ten')
  await text(driver, '[role="status"]', '“break a ten” is deleted.')
  await click('Bring back “break a ten” as it was before')
  await text(driver, '[role="status"]', '“break a ten” is kept.')
  expect((await recordings()).map((r) => r.said).sort()).toEqual([word, 'break a ten'].sort())
  for (const said of [word, 'break a ten']) {
    await click(`Delete ${said}`)
    await text(driver, '[role="status"]', `“${said}” is deleted.`)
  }
  expect(await recordings()).toEqual([])
  // Stopped before the microphone is ready, nothing is recorded, and the next one is recorded as ever.
  await driver.executeScript(`
    const real = navigator.mediaDevices.getUserMedia.bind(navigator.mediaDevices)
    navigator.mediaDevices.getUserMedia = (asked) =>
      new Promise((given) => (window.ready = () => { navigator.mediaDevices.getUserMedia = real; given(real(asked)) }))`)
  await (await byRole(driver, 'button', name)).click()
  await text(driver, '[role="status"]', 'The microphone is getting ready …')
  await click(`Stop recording ${word}`)
  await driver.executeScript('window.ready()')
  await (await byRole(driver, 'button', name)).click()
  await text(driver, '[role="status"]', `Recording “${word}”. Say it, then stop.`)
  expect(await recordings()).toEqual([])
  await click(`Stop recording ${word}`)
  await text(driver, '[role="status"]', `“${word}” is kept.`)
  await click(`Delete ${word}`)
  await text(driver, '[role="status"]', `“${word}” is deleted.`)
}, 120_000)

test('at the Bench what is recorded is played, the word lit that is said; a word too few, and the browser’s voice says it', async () => {
  await fresh({ 'sett.learner': wren, 'sett.material': 'blocks', 'sett.cards-seen': '["blocks"]' })
  await text(driver, '.say .words', /./)
  const words = spokenWords(await (await driver.findElement(By.css('.say .words > span'))).getText())
  for (const said of new Set(words))
    await fetch(`${app.url}/api/learners/${wren}/recordings`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: randomUUID(), said, audio: waveOf(0.25).toString('base64') }),
    })
  await driver.navigate().refresh()
  await click('Say it aloud')
  await driver.wait(async () => (await driver.findElements(By.css('.say .lit'))).length === 1, 20_000, 'a word is lit')
  await driver.wait(async () => (await played()) >= new Set(words).size, 60_000, 'all words are played')
  await driver.wait(async () => (await driver.findElements(By.css('.say .lit'))).length === 0, 20_000, 'and it ends')
  // Silence is respected.
  await click('Say it aloud')
  const count = await played()
  await click('Next step')
  await text(driver, '.lines', '52')
  expect(await played()).toBe(count)
  // Without its first word nothing of it is played.
  const [one] = await recordings()
  await fetch(`${app.url}/api/recordings/${one!.id}`, { method: 'DELETE' })
  await driver.navigate().refresh()
  await click('Say it aloud')
  // Once it is known what is recorded, it is decided at once who says it.
  await driver.wait(
    () =>
      driver.executeScript<boolean>(
        `return performance.getEntriesByType('resource').some((r) => r.name.endsWith('/recordings'))`,
      ),
    20_000,
    'the recordings are asked for',
  )
  await driver.wait(async () => (await driver.findElements(By.css('.say .lit'))).length === 0, 20_000)
  expect(await played()).toBe(0)
}, 120_000)
