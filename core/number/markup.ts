/** A written line as mathematics: parted into numbers, fractions, signs and words, and in the markup of other programs. Pure text. */

export type MathToken =
  | { readonly kind: 'fraction'; readonly whole: string; readonly top: string; readonly bottom: string }
  | { readonly kind: 'number' | 'sign' | 'word'; readonly text: string }

const TOKEN =
  /(?:(\d+) )?(\d+)\/(\d+)|(\d[\d,\u2009\u202f]*(?:\.\d+)?)|([+−×÷=<>?()·⁻/-])|([^\s\d+−×÷=<>?()·⁻/-]+(?: [^\s\d+−×÷=<>?()·⁻/-]+)*)/gu

/** The parts of a line, in order; spaces between them are left out. */
export const mathTokens = (line: string): readonly MathToken[] =>
  [...line.matchAll(TOKEN)].map(([, whole = '', top, bottom, number, sign, word]): MathToken => {
    if (top !== undefined && bottom !== undefined) return { kind: 'fraction', whole, top, bottom }
    if (number !== undefined) return { kind: 'number', text: number }
    return sign !== undefined ? { kind: 'sign', text: sign } : { kind: 'word', text: word ?? '' }
  })

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

/** A line in MathML Core (W3C), complete with its namespace. */
export function toMathML(line: string): string {
  const inside = mathTokens(line).map((t) => {
    switch (t.kind) {
      case 'fraction': {
        const fraction = `<mfrac><mn>${t.top}</mn><mn>${t.bottom}</mn></mfrac>`
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

/** A line in LaTeX, as it stands between dollar signs. */
export const toLatex = (line: string): string =>
  mathTokens(line)
    .map((t) => {
      if (t.kind === 'fraction') return `${t.whole}\\frac{${t.top}}{${t.bottom}}`
      if (t.kind === 'number') return t.text.replace(/[,\u2009\u202f]/g, '{,}')
      if (t.kind === 'sign') return LATEX_SIGNS[t.text] ?? t.text
      return `\\text{${t.text.replace(/[\\{}$&#^_%~]/g, '')}}`
    })
    .join(' ')
