import Papa from 'papaparse'

/**
 * Rows as CSV (RFC 4180). A text that a spreadsheet would work out instead of showing it (one that begins with =, +, -, @, a tab or a
 * line's end) gets an apostrophe before it, so that it stays text; numbers stay numbers.
 */
export const csvText = (rows: readonly (readonly unknown[])[]): string =>
  Papa.unparse(rows as unknown[][], { newline: '\r\n', escapeFormulae: /^\s*[=+\-@\t\r\n]/ })
