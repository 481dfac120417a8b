import type { RepresentationId } from '../materials'

/**
 * What to be careful about with pieces (practice, section 16). Local rules come first; this is what published rules and common practice
 * ask at the least.
 */

/** A piece's size in millimetres: a block by its three edges, a disc by how far across and how thick it is. */
export type Size = readonly [number, number, number] | { readonly across: number; readonly thick: number }

/**
 * The cylinder for small parts: 31.7 mm across, its slanted bottom 25.4 to 57.1 mm deep (US 16 CFR 1501.4; ISO 8124-1 has the same;
 * from memory).
 */
export const CYLINDER = { across: 31.7, depth: [25.4, 57.1] } as const

/**
 * Whether a piece can go whole into the cylinder in some position, held to the deepest side of its bottom: a piece that is doubtful
 * counts as small.
 */
export function fitsCylinder(size: Size): boolean {
  const deepest = CYLINDER.depth[1]
  if ('across' in size) return size.across <= CYLINDER.across && size.thick <= deepest
  return [0, 1, 2].some((up) => {
    const [a, b] = size.filter((_, i) => i !== up) as [number, number]
    return Math.hypot(a, b) <= CYLINDER.across && size[up]! <= deepest
  })
}

/** What things are made of or made as, where that asks for care. */
export const MADE_OF = [
  'plain',
  'magnets',
  'water beads',
  'dried food',
  'dried kidney beans',
  'cords or bands',
  'batteries',
  'real coins',
  'cut by hand',
] as const
export type MadeOf = (typeof MADE_OF)[number]

/** Who uses it. */
export interface Users {
  /** The youngest one's age in years. */
  readonly youngest: number
  /** Whether somebody puts things into the mouth. */
  readonly mouths: boolean
  /** Whether somebody must not touch wheat, soy or nuts. */
  readonly allergies: boolean
}

export interface Caution {
  /** Not to be used; used only while somebody watches; to be seen to beforehand. */
  readonly level: 'never' | 'watch' | 'before'
  readonly says: string
  readonly source: string
}

const PRACTICE = 'common practice'
const never = (says: string, source = PRACTICE): Caution => ({ level: 'never', says, source })
const watch = (says: string, source = PRACTICE): Caution => ({ level: 'watch', says, source })
const before = (says: string, source = PRACTICE): Caution => ({ level: 'before', says, source })

/** What to be careful about with one kind of piece, the gravest first. */
export function cautionsFor(size: Size | null, madeOf: MadeOf, users: Users): readonly Caution[] {
  const all: Caution[] = []
  if (size && fitsCylinder(size)) {
    if (users.youngest < 3) all.push(never('Small enough to choke on: not for children under three.', '16 CFR 1501'))
    if (users.mouths) all.push(never('Small enough to choke on: not for anyone who puts things into the mouth.'))
    if (users.youngest >= 3 && users.youngest < 6)
      all.push(watch('A small part: count the pieces out and back, and stay with it.', '16 CFR 1500.19'))
  }
  if (madeOf === 'magnets') all.push(never('Loose strong magnets are never used: swallowed, they tear.'))
  if (madeOf === 'water beads') all.push(never('Water beads are never used: they swell inside the body.'))
  if (madeOf === 'dried kidney beans') all.push(never('Raw kidney beans are poisonous.'))
  if (madeOf === 'dried food')
    all.push(
      users.allergies
        ? never('Dried food may carry wheat, soy or nuts.')
        : before('Dried food may carry wheat, soy or nuts: ask about allergies first.'),
    )
  if (madeOf === 'cords or bands') all.push(watch('Cords and elastic bands: by the rules of your school.'))
  if (madeOf === 'batteries') all.push(before('Battery compartments are screwed shut; button cells are kept away.'))
  if (madeOf === 'real coins') all.push(before('Real coins are washed, counted out and counted back.'))
  if (madeOf === 'cut by hand') all.push(before('An adult cuts them before the lesson.'))
  if (users.mouths) all.push(before('What is shared and mouthed is cleaned after each of them.'))
  const order = ['never', 'watch', 'before']
  return all.sort((a, b) => order.indexOf(a.level) - order.indexOf(b.level))
}

/** What a learner's hands or eyes may not do, or not yet. */
export const HAND_NEEDS = ['small pieces', 'fingers one by one', 'pencil', 'sight'] as const
export type HandNeed = (typeof HAND_NEEDS)[number]

const HARD: Readonly<Record<HandNeed, readonly RepresentationId[]>> = {
  'small pieces': [
    'blocks',
    'chips',
    'counters',
    'signed',
    'coins',
    'plates',
    'groups',
    'abacus',
    'two-five',
    'frame',
    'stay-put',
  ],
  'fingers one by one': ['fingers', 'nines', 'joints', 'touch'],
  pencil: ['drawn', 'tallies', 'columns', 'touch-columns', 'product', 'division', 'partials', 'friendly', 'splits'],
  sight: ['drawn', 'tallies', 'openline', 'columns', 'partials', 'splits'],
}
const INSTEAD: Readonly<Record<HandNeed, readonly RepresentationId[]>> = {
  'small pieces': ['strips', 'fingers', 'line', 'drawn', 'openline'],
  'fingers one by one': ['counters', 'blocks', 'tallies', 'line'],
  pencil: ['blocks', 'counters', 'line', 'strips'],
  sight: ['blocks', 'counters', 'abacus', 'strips', 'fingers'],
}

/** Why a material is hard for somebody, and what else would do; null where nothing speaks against it. Common practice, no source. */
export function handsSay(
  material: RepresentationId,
  needs: readonly HandNeed[],
): { readonly because: readonly HandNeed[]; readonly instead: readonly RepresentationId[] } | null {
  const because = needs.filter((n) => HARD[n].includes(material))
  if (because.length === 0) return null
  const fine = (id: RepresentationId): boolean => needs.every((n) => !HARD[n].includes(id))
  return { because, instead: [...new Set(because.flatMap((n) => INSTEAD[n]))].filter(fine) }
}
