import { writeFileSync } from 'node:fs'
import { browser, serve } from '../tests/browser/world'
const [, , path, file, size, ...keys] = process.argv
const s = await serve({ demo: process.env.EMPTY ? false : true })
const [w, h] = (size || '1280x800').split('x').map(Number)
const d = await browser(w, h)
try {
  await d.get(s.url + path)
  await new Promise((r) => setTimeout(r, 1500))
  for (const k of keys) {
    if (k.startsWith('js:')) await d.executeScript(k.slice(3))
    else if (k.startsWith('type:')) await d.switchTo().activeElement().sendKeys(k.slice(5))
    else if (k === 'enter') await d.switchTo().activeElement().sendKeys('\uE007')
    else
      await d
        .actions()
        .sendKeys(k === 'right' ? '\uE014' : k)
        .perform()
    await new Promise((r) => setTimeout(r, 350))
  }
  writeFileSync(file, Buffer.from(await d.takeScreenshot(), 'base64'))
  const logs = await d.manage().logs().get('browser')
  for (const l of logs) console.log(l.level.name, l.message.slice(0, 300))
} finally {
  await d.quit()
  await s.stop()
}
