/**
 * Reads a PDF with PDF.js, another program's reader, and tells as JSON what is on each page: its size, its texts in their order, the boxes
 * of all paths, in points from the top left; with a second argument each page is also drawn as `<argument>-<n>.png` at 150 dots an inch.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { createCanvas } from '@napi-rs/canvas'
import { getDocument, OPS, Util } from 'pdfjs-dist/legacy/build/pdf.mjs'

const [file, pictures] = process.argv.slice(2)
const doc = await getDocument({ data: new Uint8Array(readFileSync(file)), verbosity: 0, disableFontFace: true }).promise
const pages = []
for (let n = 1; n <= doc.numPages; n++) {
  const page = await doc.getPage(n)
  const { width, height } = page.getViewport({ scale: 1 })
  const { items } = await page.getTextContent()
  const list = await page.getOperatorList()
  const boxes = []
  const states = []
  let now = [1, 0, 0, 1, 0, 0]
  list.fnArray.forEach((op, i) => {
    const args = list.argsArray[i]
    if (op === OPS.save) states.push(now)
    else if (op === OPS.restore) now = states.pop()
    else if (op === OPS.transform) now = Util.transform(now, args)
    else if (op === OPS.constructPath && args[2]) {
      const [x1, y1, x2, y2] = args[2]
      const at = (x, y) => [now[0] * x + now[2] * y + now[4], height - (now[1] * x + now[3] * y + now[5])]
      const [a, b] = [at(x1, y1), at(x2, y2)]
      boxes.push([Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1])])
    }
  })
  pages.push({ width, height, texts: items.map((t) => t.str).filter((t) => t.trim() !== ''), boxes })
  if (pictures) {
    const viewport = page.getViewport({ scale: 150 / 72 })
    const canvas = createCanvas(viewport.width, viewport.height)
    await page.render({ canvasContext: canvas.getContext('2d'), viewport, canvas }).promise
    writeFileSync(`${pictures}-${n}.png`, canvas.toBuffer('image/png'))
  }
}
const { info } = await doc.getMetadata()
const tagged = (await doc.getMarkInfo())?.Marked === true
process.stdout.write(JSON.stringify({ title: info.Title, language: info.Language ?? null, tagged, pages }))
