import { codeName, folded } from '../../shared/schemas'

/** Code names as they are typed or pasted: one on each line, or with commas, semicolons or tabs between; each once. */
export function namesIn(text: string): readonly string[] {
  const names = text
    .split(/[\n,;\t]/)
    .map((name) => name.trim().replace(/^["']|["']$/g, ''))
    .filter((name) => name !== '')
  const seen = new Set<string>()
  return names.filter((name) => !seen.has(folded(name)) && seen.add(folded(name)))
}

/** The first name that cannot be a code name, with the reason; undefined where all can. */
export function badNameIn(text: string): { readonly name: string; readonly why: string } | undefined {
  for (const name of namesIn(text)) {
    const checked = codeName.safeParse(name)
    if (!checked.success) return { name, why: checked.error.issues[0]!.message }
  }
  return undefined
}

/** What a column of names is called in a file's first line; such a line is no name. */
const HEADINGS = ['name', 'names', 'code name', 'learner', 'learners', 'pupil', 'pupils', 'student', 'students']

/** The names in a file of text or CSV: the first value of each line. */
export function namesInFile(text: string): string {
  const first = text.split(/\r?\n/).map((line) =>
    line
      .split(/[,;\t]/)[0]!
      .trim()
      .replace(/^"|"$/g, ''),
  )
  const heading = HEADINGS.includes((first[0] ?? '').toLowerCase())
  return first
    .slice(heading ? 1 : 0)
    .filter((name) => name !== '')
    .join('\n')
}
