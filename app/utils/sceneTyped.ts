/** A scene of stories as a teacher types it, field by field. */
export interface SceneTyped {
  title: string
  one: string
  many: string
  unit: string
  kindOne: string
  kindTwo: string
  where: string
  comes: string
  goes: string
  holderOne: string
  holderMany: string
  within: 'in' | 'on'
  rows: boolean
  most: number
}

/** “puts in” is said of somebody, “put in” is asked; the first word loses its s. */
export function plainVerb(doing: string): string {
  const [first = '', ...rest] = doing.trim().split(/\s+/)
  const plain = /(?:sh|ch|ss|x|o)es$/.test(first)
    ? first.slice(0, -2)
    : /ies$/.test(first)
      ? `${first.slice(0, -3)}y`
      : first.replace(/s$/, '')
  return [plain, ...rest].join(' ')
}

const idOf = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 50) || 'scene'

/** What was typed in the shape of a scene, still to be checked by its schema. */
export function sceneOf(form: SceneTyped) {
  const unit = form.unit.trim()
  const stuff = form.one.trim()
  const noun = unit ? `${unit} of ${stuff}` : stuff
  return {
    id: `own-${idOf(form.title)}`,
    title: form.title,
    thing: {
      one: noun,
      many: unit ? noun : form.many,
      kinds: [form.kindOne, form.kindTwo],
      ...(unit ? { measure: { unit, stuff } } : {}),
      most: Number(form.most),
    },
    where: form.where,
    comes: [form.comes, plainVerb(form.comes)],
    goes: [form.goes, plainVerb(form.goes)],
    holder: [form.holderOne, form.holderMany, form.within],
    rows: form.rows && !unit,
  }
}
