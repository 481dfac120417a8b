import PDFDocument from 'pdfkit'
import {
  FAMILIES,
  INKS,
  placedMarks,
  POINT,
  type Font,
  type Measure,
  type Page,
  type PathMark,
  type TextMark,
} from '../core/paper/index'

/** Pages as PDF, with pdfkit: fonts embedded and subset, text that can be read out, shapes marked as no part of it. */

/** The four fonts as files (TrueType, WOFF or WOFF2). */
export type Fonts = Readonly<Record<Font, Uint8Array>>

/** Signs that the fonts do not have, as others that say the same. */
const INSTEAD: Readonly<Record<string, string>> = {
  '→': '->',
  '≠': '=/=',
  '≤': '<=',
  '≥': '>=',
  '\u202f': '\u00a0',
  '\u2009': '\u00a0',
  '⁻': '−',
}
export const printable = (text: string): string => text.replace(/[→≠≤≥\u202f\u2009⁻]/gu, (c) => INSTEAD[c]!)

type Document = InstanceType<typeof PDFDocument>
const NAMES = Object.keys(FAMILIES) as readonly Font[]

function opened(fonts: Fonts, options: PDFKit.PDFDocumentOptions): Document {
  const doc = new PDFDocument({ autoFirstPage: false, margin: 0, font: '', ...options })
  for (const name of NAMES) doc.registerFont(name, fonts[name] as Buffer)
  return doc
}

/** Measures text in the fonts that it will be printed in. */
export function measureWith(fonts: Fonts): Measure {
  const doc = opened(fonts, {})
  const known = new Map<string, number>()
  return (text, font, size) => {
    const key = `${font} ${text}`
    let width = known.get(key)
    if (width === undefined) {
      if (known.size > 20_000) known.clear()
      width = doc.font(font).fontSize(100).widthOfString(printable(text))
      known.set(key, width)
    }
    return ((width * size) / 100) * POINT
  }
}

const pt = (mm: number): number => mm / POINT

function drawPath(doc: Document, { d, stroke = 'black', wide = 0.3, dash, fill }: PathMark): void {
  doc.path(d)
  if (stroke !== 'none') {
    doc.lineWidth(wide)
    if (dash) doc.dash(dash[0]!, { space: dash[1] ?? dash[0]! })
    else doc.undash()
  }
  const [inside, line] = [fill ? INKS[fill] : null, stroke === 'none' ? null : INKS[stroke]]
  if (inside && line) doc.fillAndStroke(inside, line)
  else if (inside) doc.fill(inside)
  else if (line) doc.stroke(line)
}

function drawText(doc: Document, mark: TextMark, x: number, y: number, scale: number): void {
  const words = printable(mark.text)
  doc.font(mark.font).fontSize(mark.size * scale)
  const width = mark.anchor === 'start' ? 0 : doc.widthOfString(words)
  const left = pt(x + mark.x * scale) - (mark.anchor === 'middle' ? width / 2 : width)
  doc.fillColor('#000').text(words, left, pt(y + mark.y * scale), { lineBreak: false, baseline: 'alphabetic' })
}

function drawPage(doc: Document, { w, h, title, marks }: Page): void {
  doc.addPage({ size: [pt(w), pt(h)], margin: 0 })
  const all = [...placedMarks(marks)]
  doc.markContent('Artifact', { type: 'Layout' })
  doc.lineCap('round').lineJoin('round')
  for (const { mark, x, y, scale } of all)
    if (mark.kind === 'path') {
      doc.save()
      doc.transform(scale / POINT, 0, 0, scale / POINT, pt(x), pt(y))
      drawPath(doc, mark)
      doc.restore()
    }
  doc.endMarkedContent()
  const words = doc.struct('P', {}, () => {
    for (const { mark, x, y, scale } of all) if (mark.kind === 'text') drawText(doc, mark, x, y, scale)
  })
  doc.addStructure(doc.struct('Sect', { title }, [words]))
}

/** Writes pages one after another, so that others may be answered between two, or it is stopped. Gives the whole file at the end. */
export async function* writingPdf(
  pages: readonly Page[],
  title: string,
  fonts: Fonts,
): AsyncGenerator<number, Uint8Array, void> {
  const doc = opened(fonts, {
    tagged: true,
    lang: 'en',
    displayTitle: true,
    pdfVersion: '1.7',
    info: { Title: title, Creator: 'Sett' },
  })
  const parts: Uint8Array[] = []
  const ended = new Promise<void>((resolve) => {
    doc.on('data', (part: Uint8Array) => parts.push(part))
    doc.on('end', resolve)
  })
  for (const [i, page] of pages.entries()) {
    drawPage(doc, page)
    yield i + 1
  }
  doc.end()
  await ended
  const file = new Uint8Array(parts.reduce((n, p) => n + p.length, 0))
  let at = 0
  for (const part of parts) {
    file.set(part, at)
    at += part.length
  }
  return file
}

/** The same in one go. */
export async function pdfOf(pages: readonly Page[], title: string, fonts: Fonts): Promise<Uint8Array> {
  const steps = writingPdf(pages, title, fonts)
  for (;;) {
    const { done, value } = await steps.next()
    if (done) return value
  }
}
