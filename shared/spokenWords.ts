/** Words as they are compared: small letters, without marks around them, and the parts of a number apart (`fifty-two`). */
export const spokenWords = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .split(/[\s\u2010-\u2015-]+/u)
    .map((w) => w.replace(/^[^\p{L}\p{N}]+|[^\p{L}\p{N}]+$/gu, ''))
    .filter((w) => w !== '')
