/** What a check says where no sentence of its own was written for it: plain words, with the field's name, and nothing of what was sent. */

interface Issue {
  readonly code?: string | undefined
  readonly path?: readonly PropertyKey[] | undefined
  readonly keys?: readonly string[]
  readonly input?: unknown
}

const short = (name: string): string => (name.length > 30 ? `${name.slice(0, 30)}…` : name)

/** The field as a person would call it: its last name, or which one of a list. */
function fieldOf(path: readonly PropertyKey[]): string {
  const last = path.at(-1)
  if (last === undefined) return 'This'
  if (typeof last === 'number') return `Number ${last + 1} of “${short(String(path.at(-2) ?? 'the list'))}”`
  return `“${short(String(last))}”`
}

export function inPlainWords({ code, path = [], keys = [], input }: Issue): string {
  if (code === 'unrecognized_keys') return `There is a field here that Sett does not know: “${short(keys[0] ?? '')}”.`
  if (input === undefined) return `${fieldOf(path)} is missing.`
  if (code === 'too_big') return `${fieldOf(path)} is too long or too much.`
  if (code === 'too_small') return `${fieldOf(path)} is too short or too little.`
  return `${fieldOf(path)} is not what is wanted here.`
}
