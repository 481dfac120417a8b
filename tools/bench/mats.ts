import type { WebDriver } from 'selenium-webdriver'
import { browser, byRole, Key, serve, take } from '../../tests/browser/world'
import type { Figure } from './all'

interface Mat {
  readonly title: string
  readonly problem: string
  readonly option: RegExp
  readonly moves: readonly string[]
  /** What is tapped; the mat's main button where absent. */
  readonly press?: string
}

const MATS = [
  { title: 'fingers', problem: '9 + 9', option: /^fingers/, moves: ['raise 9'] },
  { title: 'counters', problem: '9 + 9', option: /^counters/, moves: ['put 9', 'set 8'] },
  { title: 'tallies', problem: '24 + 24', option: /^tallies/, moves: ['draw 24', 'row 23'] },
  { title: 'joint marks', problem: '9 + 9', option: /^joint marks/, moves: ['mark 17'] },
  {
    title: 'drawn tens',
    problem: '476 + 358',
    option: /^drawn tens/,
    moves: ['draw 476'],
    press: '[aria-label="Draw one one"]',
  },
  {
    title: 'open number line',
    problem: '476 + 358',
    option: /^open number line/,
    moves: ['start 476'],
    press: '[aria-label="Hop on 1"]',
  },
  {
    title: 'plus and minus counters',
    problem: '-9 - 9',
    option: /^plus and minus/,
    moves: ['lay 9 minuses', 'bring 9 pairs'],
    press: '[aria-label="Lay one minus"]',
  },
  { title: 'touch numerals', problem: '9 + 8', option: /^touch numerals$/, moves: ['hold 9'] },
] as const satisfies readonly Mat[]

/** From a tap on a mat to the frame in which it is seen, for each mat with buttons, in milliseconds. */
export async function tapsOnMats(): Promise<Figure[]> {
  const app = await serve({ demo: true })
  const driver = await browser()
  try {
    const figures: Figure[] = []
    for (const mat of MATS) figures.push(await tapped(driver, app.url, mat))
    return figures
  } finally {
    await driver.quit()
    await app.stop()
  }
}

async function tapped(driver: WebDriver, url: string, mat: Mat): Promise<Figure> {
  await driver.get(`${url}/bench`)
  await driver.executeScript('localStorage.clear()')
  await driver.get(`${url}/bench`)
  const box = await byRole(driver, 'textbox', 'Problem')
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), mat.problem, Key.ENTER)
  await take(driver, 'Material', mat.option)
  await (await byRole(driver, 'button', 'Together')).click()
  for (const move of mat.moves) await (await byRole(driver, 'textbox', 'Type a move')).sendKeys(move, Key.ENTER)
  const times = await driver.executeAsyncScript<number[]>(
    `
    const arguments0 = arguments[0], done = arguments[1], times = []
    const main = () => document.querySelector(arguments0)
    const undo = () => document.querySelector('[aria-label="Undo"]')
    const frame = () => new Promise((r) => requestAnimationFrame(() => { const c = new MessageChannel(); c.port1.onmessage = r; c.port2.postMessage(0) }))
    ;(async () => {
      for (let i = 0; i < 24; i++) {
        const button = i % 2 ? undo() : main()
        if (!button || button.disabled) break
        const start = performance.now()
        button.click()
        await frame()
        times.push(performance.now() - start)
        await frame()
      }
      done(times)
    })()`,
    mat.press ?? '.acts .stone-button.main',
  )
  const sorted = [...times].sort((a, b) => a - b)
  const at = (q: number): string => `${(sorted[Math.floor(sorted.length * q)] ?? NaN).toFixed(1)} ms`
  return {
    what: `${mat.title}: from a tap to its frame, middle of ${sorted.length}`,
    value: at(0.5),
    beside: `95 of 100 below ${at(0.95)}; a frame at 60 Hz is 16.7 ms`,
  }
}
