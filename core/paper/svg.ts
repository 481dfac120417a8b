import { POINT, type Font, type Ink, type Look, type Mark, type Picture } from './drawing'
import type { Page } from './page'

/** Sheets as SVG, in millimetres. */

export const INKS: Readonly<Record<Ink, string>> = {
  black: '#000',
  grey: '#767676',
  pale: '#ddd',
  wood: '#f6e7c4',
  white: '#fff',
}
export const FAMILIES: Readonly<Record<Font, { readonly family: string; readonly weight: 400 | 700 }>> = {
  regular: { family: 'Andika', weight: 400 },
  bold: { family: 'Andika', weight: 700 },
}

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
export const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => ESCAPES[c]!)
const n = (value: number): string => String(Math.round(value * 1000) / 1000)

function lookOf({ stroke = 'black', wide = 0.3, dash, fill }: Look): string {
  const drawn =
    stroke === 'none'
      ? ''
      : ` stroke="${INKS[stroke]}" stroke-width="${n(wide)}"${dash ? ` stroke-dasharray="${dash.join(' ')}"` : ''}`
  return `${drawn} fill="${fill ? INKS[fill] : 'none'}"`
}

function svgOf(mark: Mark): string {
  switch (mark.kind) {
    case 'path':
      return `<path d="${mark.d}"${lookOf(mark)}/>`
    case 'text': {
      const { family, weight } = FAMILIES[mark.font]
      const anchor = mark.anchor === 'start' ? '' : ` text-anchor="${mark.anchor}"`
      const bold = weight === 700 ? ' font-weight="700"' : ''
      return `<text x="${n(mark.x)}" y="${n(mark.y)}" font-family="${family}" font-size="${n(mark.size * POINT)}"${bold}${anchor}>${escaped(mark.text)}</text>`
    }
    case 'group': {
      const scale = mark.scale === 1 ? '' : ` scale(${n(mark.scale)})`
      return `<g transform="translate(${n(mark.x)} ${n(mark.y)})${scale}">${mark.marks.map(svgOf).join('')}</g>`
    }
  }
}

/** A picture by itself, in millimetres, for a page that has the fonts already. */
export const svgPicture = ({ w, h, marks }: Picture): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-1 -1 ${n(w + 2)} ${n(h + 2)}" aria-hidden="true" ` +
  `stroke-linecap="round" stroke-linejoin="round">${marks.map(svgOf).join('')}</svg>`

/** A page as a complete SVG document at its true size; `style` brings fonts along where the reader may not have them. */
export const svgPage = ({ w, h, title, marks }: Page, style = ''): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${n(w)}mm" height="${n(h)}mm" viewBox="0 0 ${n(w)} ${n(h)}" role="img" ` +
  `stroke-linecap="round" stroke-linejoin="round"><title>${escaped(title)}</title>${style ? `<style>${style}</style>` : ''}` +
  `<path d="M0 0L${n(w)} 0L${n(w)} ${n(h)}L0 ${n(h)}Z" fill="#fff"/>${marks.map(svgOf).join('')}</svg>`
