import type { WebDriver } from 'selenium-webdriver'
import { inChromium } from './here'
import { byRole, Key, noViolations, text, type Running } from './world'

/** A class that speaks Spanish: the Bench from asking to the Daybook, told in it; every other place stays English. */

const here = inChromium()
const { click, press, active } = here
let app: Running
let driver: WebDriver
const language = (): Promise<string> => driver.executeScript<string>('return document.documentElement.lang')
const speak = async (language: 'en' | 'es'): Promise<void> => {
  const { classroom } = (await (await fetch(`${app.url}/api/classroom`)).json()) as { classroom: { words: object } }
  const answer = await fetch(`${app.url}/api/classroom`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...classroom, words: { ...classroom.words, language } }),
  })
  expect(answer.status).toBe(200)
}
beforeAll(() => {
  ;({ app, driver } = here)
})

test('the room chooses the language, and hears how it will sound', async () => {
  await driver.get(`${app.url}/settings`)
  const choice = await byRole(driver, 'combobox', 'The Bench speaks')
  await choice.sendKeys('Español')
  await text(driver, '.preview', 'Cambia una decena por diez unidades.')
  await text(driver, '.words', /are told in Spanish/)
  await noViolations(driver)
})

test('52 − 37 is worked in Spanish with a wrong answer and a half-done move, and saved', async () => {
  await speak('es')
  await driver.get(`${app.url}/settings`)
  await driver.executeScript(
    `localStorage.clear(); localStorage.setItem('sett.material', 'blocks'); localStorage.setItem('sett.cards-seen', '["blocks"]'); localStorage.setItem('sett.mode', 'together')`,
  )
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'textbox', 'Problema')
  await click('Juntos')
  await text(
    driver,
    '.say .words',
    'Cincuenta y dos menos treinta y siete. Ahora pon cincuenta y dos: arrastra cinco decenas',
  )
  expect(await language()).toBe('es')
  await noViolations(driver)
  const move = async (typed: string): Promise<void> =>
    (await byRole(driver, 'textbox', 'Escribe un movimiento')).sendKeys(Key.chord(Key.CONTROL, 'a'), typed, Key.ENTER)
  await move('lay 5 tens 2 ones')
  await text(driver, '.say .words', 'Quita treinta y siete.')
  await text(driver, '.course', 'pon 52')
  // What cannot be is said in Spanish too, with the way out.
  await move('take 7 ones')
  await text(driver, '.say .words', 'Primero parte una decena.')
  await (await byRole(driver, 'textbox', 'Respuesta')).sendKeys('53', Key.ENTER)
  await text(driver, '.say .words', 'Cincuenta y tres no es la respuesta. El tablero muestra cincuenta y dos.')
  await click('Deshacer')
  for (const typed of ['break 1 ten', 'take 7 ones', 'take 3 tens']) await move(typed)
  await text(driver, '.say .words', 'Quita tres decenas. Quedan quince.')
  await (await byRole(driver, 'textbox', 'Respuesta')).sendKeys('15', Key.ENTER)
  await text(driver, '.say .words', 'Cincuenta y dos menos treinta y siete es igual a quince.')
  await click('Guardar')
  await text(driver, '[role="dialog"]', '¿De quién es el trabajo?')
  await noViolations(driver)
  await (await driver.findElement({ css: '[role="dialog"] button[type="submit"]' })).click()
  await text(driver, 'body', 'está en el Diario')
})

test('a material that is not told in it yet says so, and is told in English, marked as that', async () => {
  await click(/^Material: /)
  await byRole(driver, 'textbox', 'Buscar un material')
  await text(driver, '[role="dialog"]', 'Todavía no se cuenta en este idioma.')
  await noViolations(driver)
  await driver.actions().sendKeys(Key.ESCAPE).perform()
  // What was left is told in Spanish when the page is loaded again.
  await driver.navigate().refresh()
  await text(driver, '.say .words', 'Cincuenta y dos menos treinta y siete')
  await click(/^Material: /)
  await click('Abacus')
  await text(driver, '.say .words', /fifty-two|fifteen|thirty-seven/i)
  expect(await driver.executeScript('return document.querySelector(".say .words").lang')).toBe('en')
  expect(await driver.executeScript('return document.querySelector("#mat .mats > div").lang')).toBe('en')
  await (await byRole(driver, 'link', 'Hoy')).click()
  await byRole(driver, 'heading', 'Learners')
  expect(await language()).toBe('en-GB')
})

test('help, and what lies there, by keyboard in Spanish', async () => {
  await driver.executeScript(
    `localStorage.clear(); localStorage.setItem('sett.material', 'openline'); localStorage.setItem('sett.cards-seen', '["openline"]')`,
  )
  await driver.get(`${app.url}/bench`)
  await byRole(driver, 'textbox', 'Problema')
  await driver.executeScript('document.activeElement?.blur()')
  await press('?')
  await text(driver, '[role="dialog"]', /Recta abierta, a mano[\s\S]*Empezar\. Pulsa el número desde el que empiezas\./)
  await noViolations(driver)
  await press(Key.ESCAPE)
  await driver.wait(async () => (await driver.findElements({ css: '[role="dialog"]' })).length === 0, 20_000)
  await driver.executeScript('document.activeElement?.blur()')
  await press('d')
  await driver.wait(
    async () =>
      (
        await driver.executeScript<string>(
          `return [...document.querySelectorAll('[aria-live]')].map((e) => e.textContent).join(' ')`,
        )
      ).includes('con recta abierta.'),
    20_000,
  )
  expect(await active('e.tagName')).toBe('BODY')
})
