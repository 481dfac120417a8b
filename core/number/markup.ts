/** A written line as mathematics: parted into numbers, fractions, signs and words, and in the markup of other programs. Pure text. */

/** Top and bottom of a fraction are numbers, or worked numbers with spaces between: `1 × 3`. */
export type MathToken =
  | { readonly kind: 'fraction'; readonly whole: string; readonly top: string; readonly bottom: string }
  | { readonly kind: 'number' | 'sign' | 'word'; readonly text: string }

const TOKEN =
  /\(([\d +−×*-]+)\)\/(?:\(([\d +−×*-]+)\)|(\d+))|(?:(\d+) )?(\d+)\/(\d+)|(\d[\d,\u2009\u202f]*(?:\.\d+)?)|([+−×÷=<>?()·⁻/-])|([^\s\d+−×÷=<>?()·⁻/-]+(?: [^\s\d+−×÷=<>?()·⁻/-]+)*)/gu

/** The parts of a line, in order; spaces between them are left out. */
export const mathTokens = (line: string): readonly MathToken[] =>
  [...line.matchAll(TOKEN)].map(([, over, under, under1, whole = '', top, bottom, number, sign, word]): MathToken => {
    if (over !== undefined) return { kind: 'fraction', whole: '', top: over, bottom: under ?? under1 ?? '' }
    if (top !== undefined && bottom !== undefined) return { kind: 'fraction', whole, top, bottom }
    if (number !== undefined) return { kind: 'number', text: number }
    return sign !== undefined ? { kind: 'sign', text: sign } : { kind: 'word', text: word ?? '' }
  })

/** What stands over or under the line of a fraction, part by part. */
export const levelParts = (text: string): readonly { readonly text: string; readonly sign: boolean }[] =>
  text.split(' ').map((part) => ({ text: part, sign: !/^\d/.test(part) }))

const level = (text: string): string => {
  const inside = levelParts(text).map((p) => (p.sign ? `<mo>${p.text}</mo>` : `<mn>${p.text}</mn>`))
  return inside.length === 1 ? inside[0]! : `<mrow>${inside.join('')}</mrow>`
}

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

/** A line in MathML Core (W3C), complete with its namespace. */
export function toMathML(line: string): string {
  const inside = mathTokens(line).map((t) => {
    switch (t.kind) {
      case 'fraction': {
        const fraction = `<mfrac>${level(t.top)}${level(t.bottom)}</mfrac>`
        return t.whole ? `<mrow><mn>${t.whole}</mn>${fraction}</mrow>` : fraction
      }
      case 'number':
        return `<mn>${escaped(t.text)}</mn>`
      case 'sign':
        return `<mo>${escaped(t.text)}</mo>`
      case 'word':
        return `<mtext>${escaped(t.text)}</mtext>`
    }
  })
  return `<math xmlns="http://www.w3.org/1998/Math/MathML"><mrow>${inside.join('')}</mrow></math>`
}

const LATEX_SIGNS: Readonly<Record<string, string>> = {
  '−': '-',
  '⁻': '{}^{-}',
  '×': '\\times',
  '÷': '\\div',
  '·': '\\cdot',
}

const signs = (text: string): string => text.replace(/[−⁻×÷·]/gu, (sign) => LATEX_SIGNS[sign]!)

/** A line in LaTeX, as it stands between dollar signs. */
export const toLatex = (line: string): string =>
  mathTokens(line)
    .map((t) => {
      if (t.kind === 'fraction') return `${t.whole}\\frac{${signs(t.top)}}{${signs(t.bottom)}}`
      if (t.kind === 'number') return t.text.replace(/[,\u2009\u202f]/g, '{,}')
      if (t.kind === 'sign') return LATEX_SIGNS[t.text] ?? t.text
      return `\\text{${t.text.replace(/[\\{}$&#^_%~]/g, '')}}`
    })
    .join(' ')
