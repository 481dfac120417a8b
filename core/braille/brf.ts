/** Cells as characters: Unicode’s braille patterns, and the 64 characters that embossers read (North American Braille ASCII; from memory). */

/** In the order of Unicode: a cell’s number is the sum of 1, 2, 4, 8, 16, 32 for its dots 1 to 6. */
const ASCII = ` A1B'K2L@CIF/MSP"E3H9O6R^DJG>NTQ,*5<-U8V.%[$+X!&;:4\\0Z7(_?W]#Y)=`

const numberOf = (dots: string): number => Array.from(dots).reduce((n, d) => n + 2 ** (Number(d) - 1), 0)
const dotsOf = (n: number): string => [1, 2, 3, 4, 5, 6].filter((d) => n & (2 ** (d - 1))).join('')

export const toUnicode = (cells: readonly string[]): string =>
  cells.map((dots) => String.fromCodePoint(0x2800 + numberOf(dots))).join('')
export const fromUnicode = (text: string): readonly string[] =>
  Array.from(text, (c) => dotsOf((c.codePointAt(0) ?? 0x2800) - 0x2800))
export const toAscii = (cells: readonly string[]): string => cells.map((dots) => ASCII[numberOf(dots)]!).join('')

/** Cells across and lines down of a page, as most embossers take it. */
export const PAGE = { across: 40, down: 25 } as const

/** A line that is too long goes on in the next, broken at a space where there is one, set in by two cells. */
export function folded(cells: readonly string[], across: number = PAGE.across): readonly (readonly string[])[] {
  const lines: (readonly string[])[] = []
  let rest = cells
  for (let indent: readonly string[] = []; indent.length + rest.length > across; indent = ['', '']) {
    const room = across - indent.length
    const space = rest.slice(0, room + 1).lastIndexOf('')
    const at = space > 0 ? space : room
    lines.push([...indent, ...rest.slice(0, at)])
    rest = rest.slice(space > 0 ? at + 1 : at)
  }
  return [...lines, lines.length > 0 ? ['', '', ...rest] : rest]
}

/** A file for an embosser: lines of at most forty cells, twenty-five on a page, a form feed between pages. Blocks stay on one page where they can. */
export function toBrf(blocks: readonly (readonly (readonly string[])[])[]): string {
  const pages: string[][] = [[]]
  for (const block of blocks) {
    const lines = block.flatMap((line) => folded(line)).map((line) => toAscii(line).trimEnd())
    const now = pages.at(-1)!
    const gap = now.length > 0 ? [''] : []
    const fits = now.length + gap.length + lines.length <= PAGE.down
    if (fits) now.push(...gap, ...lines)
    else for (let i = 0; i < lines.length; i += PAGE.down) pages.push(lines.slice(i, i + PAGE.down))
  }
  return pages
    .filter((page, i) => i === 0 || page.length > 0)
    .map((page) => `${page.join('\r\n')}\r\n`)
    .join('\f')
}

/** What stands in such a file, or why an embosser would not take it, with its page and line. */
export function readBrf(
  text: string,
): { readonly pages: readonly (readonly (readonly string[])[])[] } | { readonly refused: string } {
  const pages: (readonly string[])[][] = []
  for (const [p, page] of text.split('\f').entries()) {
    const lines = page.replace(/\r?\n$/, '').split(/\r?\n/)
    if (lines.length > PAGE.down)
      return { refused: `Page ${p + 1} has ${lines.length} lines; the machine has ${PAGE.down}.` }
    const read: (readonly string[])[] = []
    for (const [l, line] of lines.entries()) {
      if (line.length > PAGE.across)
        return { refused: `Page ${p + 1}, line ${l + 1} has ${line.length} cells; the machine has ${PAGE.across}.` }
      const at = Array.from(line.toUpperCase(), (c) => ASCII.indexOf(c))
      const odd = at.findIndex((n) => n < 0)
      if (odd >= 0) return { refused: `Page ${p + 1}, line ${l + 1}: “${line[odd]}” stands for no cell.` }
      read.push(at.map(dotsOf))
    }
    pages.push(read)
  }
  return { pages }
}
