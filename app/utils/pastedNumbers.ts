/** The most pieces of a kind that are written down. */
const MOST_PIECES = 100_000

/** A number of pieces as it is typed; null where it is none. */
export function whole(text: string): number | null {
  const n = Number(text.trim())
  return text.trim() !== '' && Number.isInteger(n) && n >= 0 && n <= MOST_PIECES ? n : null
}

/** Whole numbers of a column that was copied from a spreadsheet, an empty cell as null; nothing where it is no column of numbers. */
export function pastedNumbers(text: string): readonly (number | null)[] {
  const cells = text
    .replace(/\r?\n$/, '')
    .split(/\r?\n/)
    .map((line) => line.split('\t')[0]!.trim())
  const read = cells.map((cell) => (cell === '' ? null : whole(cell)))
  return cells.every((cell, i) => cell === '' || read[i] !== null) ? read : []
}
