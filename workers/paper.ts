import '../core/index'
import regular from '@fontsource/andika/files/andika-latin-400-normal.woff?url'
import bold from '@fontsource/andika/files/andika-latin-700-normal.woff?url'
import encodeQR from 'qr'
import {
  layingOut,
  FAMILIES,
  svgPage,
  type Font,
  type Print,
  type PrintItem,
  type PrintSetting,
} from '../core/paper/index'
import { measureWith, writingPdf, type Fonts } from './pdf'

/** Sheets are to be laid out, or the pages that were laid out last are to be seen or made into a file. */
export type PaperWish =
  | { readonly job: 'lay'; readonly turn: number; readonly setting: PrintSetting; readonly items: readonly PrintItem[] }
  | { readonly job: 'see'; readonly turn: number; readonly from: number; readonly to: number }
  | { readonly job: 'pdf'; readonly turn: number; readonly title: string }
  /** One page as a drawing that brings its fonts along. */
  | { readonly job: 'svg'; readonly turn: number; readonly page: number }
export type PaperAnswer =
  | {
      readonly job: 'laid'
      readonly turn: number
      readonly pages: readonly { readonly w: number; readonly h: number; readonly title: string }[]
      readonly refused: Print['refused']
      readonly notes: Print['notes']
      readonly firsts: Print['firsts']
    }
  | { readonly job: 'seen'; readonly turn: number; readonly from: number; readonly pages: readonly string[] }
  | { readonly job: 'progress'; readonly turn: number; readonly done: number; readonly of: number }
  | { readonly job: 'file'; readonly turn: number; readonly file: Uint8Array }
  | { readonly job: 'drawing'; readonly turn: number; readonly svg: string }
  | { readonly job: 'failed'; readonly turn: number; readonly why: string }

const URLS: Readonly<Record<Font, string>> = { regular, bold }
const fetched = (async (): Promise<Fonts> => {
  const files = await Promise.all(
    Object.entries(URLS).map(
      async ([font, url]) => [font, new Uint8Array(await (await fetch(url)).arrayBuffer())] as const,
    ),
  )
  return Object.fromEntries(files) as unknown as Fonts
})()

let print: Print = { pages: [], refused: [], notes: [], firsts: [] }
/** The newest layout that is wanted; an older one is left where it stands. */
let newest = 0
const say = (answer: PaperAnswer): void => self.postMessage(answer)
/** Lets messages in between two pieces of work. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve))

async function lay({ turn, setting, items }: Extract<PaperWish, { job: 'lay' }>): Promise<void> {
  newest = turn
  const tools = { measure: measureWith(await fetched), squares: (letters: string) => encodeQR(letters, 'raw') }
  const steps = layingOut(setting, items, tools)
  for (;;) {
    const { done, value } = steps.next()
    if (done) {
      print = value
      const pages = value.pages.map(({ w, h, title }) => ({ w, h, title }))
      const { refused, notes, firsts } = value
      return say({ job: 'laid', turn, pages, refused, notes, firsts })
    }
    say({ job: 'progress', turn, done: value, of: items.length })
    await breathe()
    if (newest !== turn) return
  }
}

async function write({ turn, title }: Extract<PaperWish, { job: 'pdf' }>): Promise<void> {
  const steps = writingPdf(print.pages, title, await fetched)
  for (;;) {
    const { done, value } = await steps.next()
    if (done) return say({ job: 'file', turn, file: value })
    say({ job: 'progress', turn, done: value, of: print.pages.length })
    await breathe()
  }
}

async function draw({ turn, page }: Extract<PaperWish, { job: 'svg' }>): Promise<void> {
  const fonts = await fetched
  const faces = (Object.keys(FAMILIES) as Font[]).map((font) => {
    const { family, weight } = FAMILIES[font]
    const data = btoa(Array.from(fonts[font], (b) => String.fromCharCode(b)).join(''))
    return `@font-face{font-family:'${family}';font-weight:${weight};src:url(data:font/woff;base64,${data})}`
  })
  say({ job: 'drawing', turn, svg: svgPage(print.pages[page]!, faces.join('')) })
}

self.onmessage = ({ data }: MessageEvent<PaperWish>): void => {
  const failed = (error: unknown): void =>
    say({ job: 'failed', turn: data.turn, why: error instanceof Error ? error.message : String(error) })
  if (data.job === 'lay') lay(data).catch(failed)
  else if (data.job === 'pdf') write(data).catch(failed)
  else if (data.job === 'svg') draw(data).catch(failed)
  else
    say({
      job: 'seen',
      turn: data.turn,
      from: data.from,
      pages: print.pages.slice(data.from, data.to).map((page) => svgPage(page)),
    })
}
