import { browser, By, byRole, Key, serve } from '../../tests/browser/world'
import type { Figure } from './all'

/** Times of frames while a block is dragged over a full mat. */
export async function framesWhileDragging(): Promise<Figure[]> {
  const app = await serve({ demo: true })
  const driver = await browser()
  try {
    await driver.get(`${app.url}/bench`)
    await (await byRole(driver, 'button', 'Together')).click()
    const box = await byRole(driver, 'textbox', 'Problem')
    await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '9999 - 4567', Key.ENTER)
    for (const move of ['lay 9999', 'lay 120 hundreds', 'lay 150 tens', 'lay 180 ones'])
      await (await byRole(driver, 'textbox', 'Type a move')).sendKeys(move, Key.ENTER)
    const pieces = await driver.findElements(By.css('.piece'))
    await driver.executeScript(`
      window.frames_ = []; let last = performance.now();
      (function tick(now) { window.frames_.push(now - last); last = now; window.raf = requestAnimationFrame(tick) })(last)`)
    const piece = (await driver.findElements(By.css('.piece .place-0'))).at(-1)!
    const actions = driver.actions().move({ origin: piece }).press()
    for (let i = 0; i < 60; i++)
      actions.move({ origin: 'pointer' as never, x: i % 2 ? 7 : -11, y: i % 3 ? 4 : -5, duration: 16 })
    await actions.perform()
    const times = (await driver.executeScript<number[]>('cancelAnimationFrame(window.raf); return window.frames_'))
      .slice(5)
      .sort((a, b) => a - b)
    await driver.actions().release().perform()
    const at = (q: number): string => `${times[Math.floor(times.length * q)]!.toFixed(1)} ms`
    return [
      {
        what: `frame time, middle (${pieces.length} pieces, ${times.length} frames)`,
        value: at(0.5),
        beside: 'a frame at 60 Hz is 16.7 ms',
      },
      {
        what: 'frame time, 95 of 100 below',
        value: at(0.95),
        beside: `longest ${times.at(-1)!.toFixed(1)} ms (software rendering, no graphics card)`,
      },
    ]
  } finally {
    await driver.quit()
    await app.stop()
  }
}
