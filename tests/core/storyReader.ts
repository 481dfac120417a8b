import type { Cell, Role, SituationId } from '../../core/story/index'

/** Reads one of our own stories back, from its words alone, knowing nothing of how it was told. */

export interface ReadStory {
  readonly situation: SituationId
  readonly unknown: Cell['unknown']
  readonly wording?: Cell['wording']
  readonly after?: SituationId
  readonly known: Readonly<Partial<Record<Role, string>>>
  readonly before?: Readonly<Partial<Record<Role, string>>>
}

// A decimal's point is read as `_`, so that every point ends a sentence.
const N = '([£$€]?\\d+(?:_\\d+)?(?:/\\d+)?)'
const W = '[A-Za-z-]+'
/** The rest of a sentence. */
const R = '[^.?]+?'
const ARE = '(?:is|are)'
const FIRST_KINDS = ['red', 'round', 'warm', 'large', 'green', 'blue', 'small']
const PLACE = `(?:${N} ${W} (above|below) (?:the ground|zero)|(?:on the ground|zero degrees))`

function must(holds: boolean): void {
  if (!holds) throw new Error('It asks about somebody else than it tells of.')
}
const signed = (number: string | undefined, side: string | undefined): string =>
  number === undefined ? '0' : side === 'below' ? `-${number}` : number
const told = (known: Record<string, string | undefined>): Partial<Record<Role, string>> =>
  Object.fromEntries(Object.entries(known).filter(([, v]) => v !== undefined)) as Partial<Record<Role, string>>

type Make = (m: RegExpExecArray) => ReadStory
type Rule = readonly [pattern: string, make: Make]

const change = (more: string): SituationId => (more === ' more' ? 'add-to' : 'take-from')

/** Something happens: what comes is “more”, what goes is not. */
const HAPPENS: readonly Rule[] = [
  [
    `There ${ARE} (?:${N}|some) ${R}\\. (?!On |In |Of |That |Then )${W} (?!needs)${R} (?:${N}(?: cm)?( more| of them)?|some( more)?(?: of them| of it)?)\\.(?: Now there ${ARE} ${N}[^.?]*\\.)? How (?:many|much) ${R}\\?`,
    ([, start, change, more, some, result]) => ({
      situation: (more ?? some) === ' more' ? 'add-to' : 'take-from',
      unknown: start === undefined ? 'start' : change === undefined ? 'change' : 'result',
      known: told({ start, change, result }),
    }),
  ],
  [
    `(${W}) has (?:${N}|some money)\\. (${W}) spends (?:${N}|some of it)\\.(?: Now (${W}) has ${N}\\.)? How much (?:does|did) ${R}\\?`,
    ([, a, start, b, change, c, result]) => {
      must(a === b && (c === undefined || c === a))
      return {
        situation: 'take-from',
        unknown: start === undefined ? 'start' : change === undefined ? 'change' : 'result',
        known: told({ start, change, result }),
      }
    },
  ],
]

/** Two kinds of one thing. */
const KINDS: readonly Rule[] = [
  [
    `(?:There ${ARE} ${N} ${R} and ${N} ${R}|A ${W} costs ${N} and a ${W} costs ${N})\\. How (?:many|much) ${R} (?:al)?together\\?`,
    ([, a, b, c, d]) => ({
      situation: 'together',
      unknown: 'whole',
      known: told({ first: a ?? c, second: b ?? d }),
    }),
  ],
  [
    `(?:There ${ARE} ${N} ${R}\\. Some (?:are|of it is) ${R}|A ${W} and a ${W} cost ${N} together)\\. How (?:many|much) (?:cm )?could ${R}\\?`,
    ([, a, b]) => ({ situation: 'together', unknown: 'both', known: told({ whole: a ?? b }) }),
  ],
  [
    `There ${ARE} ${N} ${R}\\. Of (?:them|it) ${N} (?:cm )?${ARE} (${W}) and the (?:others are|rest is) (${W})\\. How many (?:cm )?are (${W})\\?`,
    ([, whole, part, known, other, asked]) => {
      must(asked === other)
      const first = FIRST_KINDS.includes(known!)
      // Tokens are large and small; of these the large come first.
      const isFirst = known === 'small' ? false : first
      return {
        situation: 'together',
        unknown: isFirst ? 'second' : 'first',
        known: told({ whole, [isFirst ? 'first' : 'second']: part }),
      }
    },
  ],
  [
    `A (${W}) and a (${W}) cost ${N} together\\. The (${W}) costs ${N}\\. How much does the (${W}) cost\\?`,
    ([, a, b, whole, known, part, asked]) => {
      must(String([known, asked].sort()) === String([a, b].sort()))
      return {
        situation: 'together',
        unknown: known === a ? 'second' : 'first',
        known: told({ whole, [known === a ? 'first' : 'second']: part }),
      }
    },
  ],
]

/** Two amounts held against each other. */
const HELD: readonly Rule[] = [
  [
    `(${W}) has ${N} ${R}\\. (${W}) has ${N} ${R}\\. How many (more|fewer) ${R} does (${W}) have than (${W})\\?`,
    ([, who, lesser, other, greater, wording, asked, than]) => {
      must(String([asked, than]) === String(wording === 'more' ? [other, who] : [who, other]))
      return {
        situation: 'compare',
        unknown: 'difference',
        wording: wording as 'more',
        known: told({ lesser, greater }),
      }
    },
  ],
  [
    `(${W}) has ${N} ${R}\\. (${W}) has ${N} (more|fewer) ${R} than (${W})\\. How many ${R} does (${W}) have\\?`,
    ([, owner, amount, subject, difference, wording, than, asked]) => {
      must(owner !== asked)
      return compared(amount, subject, difference, wording === 'more', than, asked)
    },
  ],
  [
    `The ribbon of (${W}) is ${N} cm long\\. The ribbon of (${W}) is ${N} cm long\\. How many cm (longer|shorter) is the ribbon of (${W})\\?`,
    ([, who, lesser, other, greater, which, asked]) => {
      must(asked === (which === 'longer' ? other : who))
      return {
        situation: 'compare',
        unknown: 'difference',
        wording: which === 'longer' ? 'more' : 'fewer',
        known: told({ lesser, greater }),
      }
    },
  ],
  [
    `The ribbon of ${W} is ${N} cm long\\. The ribbon of (${W}) is ${N} cm (longer|shorter) than that of (${W})\\. How many cm long is the ribbon of (${W})\\?`,
    ([, amount, subject, difference, which, than, asked]) =>
      compared(amount, subject, difference, which === 'longer', than, asked),
  ],
  [
    `A (${W}) costs ${N}\\. A (${W}) costs ${N}\\. How much (more|less) does a (${W}) cost than a (${W})\\?`,
    ([, a, lesser, b, greater, which, asked, than]) => {
      must(String([asked, than]) === String(which === 'more' ? [b, a] : [a, b]))
      return {
        situation: 'compare',
        unknown: 'difference',
        wording: which === 'more' ? 'more' : 'fewer',
        known: told({ lesser, greater }),
      }
    },
  ],
  [
    `A ${W} costs ${N}\\. A (${W}) costs ${N} (more|less) than a (${W})\\. How much does a (${W}) cost\\?`,
    ([, amount, subject, difference, which, than, asked]) =>
      compared(amount, subject, difference, which === 'more', than, asked),
  ],
]
function compared(
  amount: string | undefined,
  subject: string | undefined,
  difference: string | undefined,
  more: boolean,
  than: string | undefined,
  asked: string | undefined,
): ReadStory {
  const unknown = asked === (more ? subject : than) ? 'greater' : 'lesser'
  return {
    situation: 'compare',
    unknown,
    wording: more ? 'more' : 'fewer',
    known: told({ difference, [unknown === 'greater' ? 'lesser' : 'greater']: amount }),
  }
}

/** Rows, and so many in each. */
const EACH: readonly Rule[] = [
  [
    `The ${R} are in ${N} rows\\. In each row there ${ARE} ${N} ${R}\\. How many ${R} altogether\\?`,
    ([, number, size]) => ({ situation: 'array', unknown: 'product', known: told({ number, size }) }),
  ],
  [
    `There ${ARE} ${N} ${R} in ${N} rows\\. There are as many in each row\\. How many ${R}\\?`,
    ([, product, number]) => ({ situation: 'array', unknown: 'size', known: told({ product, number }) }),
  ],
  [
    `There ${ARE} ${N} ${R} in rows of ${N}\\. How many rows are there\\?`,
    ([, product, size]) => ({ situation: 'array', unknown: 'number', known: told({ product, size }) }),
  ],
  [
    `There are ${N} ${W}\\. (?:In|On) each ${W} there ${ARE} ${N} ${R}\\. How many ${R} altogether\\?`,
    ([, number, size]) => ({ situation: 'groups', unknown: 'product', known: told({ number, size }) }),
  ],
  [
    `There ${ARE} ${N} ${R} (?:in|on) ${N} ${W}\\. There are as many (?:in|on) each\\. How many ${R}\\?`,
    ([, product, number]) => ({ situation: 'groups', unknown: 'size', known: told({ product, number }) }),
  ],
  [
    `There ${ARE} ${N} ${R}\\. (?:In|On) each ${W} there ${ARE} ${N}(?: cm)?\\. How many ${W} are there\\?`,
    ([, product, size]) => ({ situation: 'groups', unknown: 'number', known: told({ product, size }) }),
  ],
  [
    `${W} buys ${N} ${W}\\. Each ${W} costs ${N}\\. How much is that altogether\\?`,
    ([, number, size]) => ({ situation: 'groups', unknown: 'product', known: told({ number, size }) }),
  ],
  [
    `${W} buys ${N} ${W} for ${N}\\. Each costs the same\\. How much does each ${W} cost\\?`,
    ([, number, product]) => ({ situation: 'groups', unknown: 'size', known: told({ product, number }) }),
  ],
  [
    `(${W}) pays ${N} for (${W})\\. Each ${W} costs ${N}\\. How many (${W}) does (${W}) buy\\?`,
    ([, who, product, what, size, asked, by]) => {
      must(who === by && what === asked)
      return { situation: 'groups', unknown: 'number', known: told({ product, size }) }
    },
  ],
]

/** So many times as many, as long, or as much. */
const OWNS = `(?:The ribbon of ${W} is|${W} has|A ${W} costs)`
const TIMES: readonly Rule[] = [
  [
    `${OWNS} ${N}[^.?]*?\\. ${OWNS} ${N} times as (?:many|long|much)[^.?]*\\. How (?:many|much) ${R}\\?`,
    ([, lesser, number]) => ({ situation: 'times', unknown: 'greater', known: told({ lesser, number }) }),
  ],
  [
    `${OWNS} ${N}[^.?]*?\\. That is ${N} times as ${R}\\. How (?:many|much) ${R}\\?`,
    ([, greater, number]) => ({ situation: 'times', unknown: 'lesser', known: told({ greater, number }) }),
  ],
  [
    `${OWNS} ${N}[^.?]*?\\. ${OWNS} ${N}[^.?]*?\\. How many times as ${R}\\?`,
    ([, lesser, greater]) => ({ situation: 'times', unknown: 'number', known: told({ lesser, greater }) }),
  ],
]

/** A part of a whole. */
const PARTS: readonly Rule[] = [
  [
    `(?:There ${ARE} ${N} ${R}\\. Of (?:them|it) ${N} (?:cm )?${ARE} (?:${W})|${W} has ${N}\\. ${W} spends ${N} of it)\\. (How many|How much|Which part) ${R}\\?`,
    ([, a, b, c, d, asks]) => {
      const [whole, other] = [a ?? c, b ?? d]
      return asks === 'Which part'
        ? { situation: 'part', unknown: 'share', known: told({ whole, part: other }) }
        : { situation: 'part', unknown: 'part', known: told({ whole, share: other }) }
    },
  ],
  [
    `(?:There ${ARE} ${N} ${R}|${W} spends ${N})\\. That is ${N} of (?:all the|what) ${R}\\. How (?:many|much) ${R}\\?`,
    ([, a, b, share]) => ({ situation: 'part', unknown: 'whole', known: told({ part: a ?? b, share }) }),
  ],
]

/** Up and down through nought. */
const MOVES = `(climbs|goes down|gets) ${N} (?:steps?|degrees?)(?: (warmer|colder))?`
const way = (verb: string | undefined, which: string | undefined): SituationId =>
  verb === 'climbs' || which === 'warmer' ? 'rise' : 'fall'
const LEVELS: readonly Rule[] = [
  [
    `(?:${W} is|In the yard it is) ${PLACE}\\. ${W} ${MOVES}\\. How many ${R} is ${W} now\\?`,
    ([, start, side, verb, change, which]) => ({
      situation: way(verb, which),
      unknown: 'result',
      known: told({ start: signed(start, side), change }),
    }),
  ],
  [
    `(?:${W}|In the yard it) ${MOVES}\\. Now ${W} is ${PLACE}\\. How many ${R} was ${W} at first\\?`,
    ([, verb, change, which, result, side]) => ({
      situation: way(verb, which),
      unknown: 'start',
      known: told({ change, result: signed(result, side) }),
    }),
  ],
  [
    `(?:${W} is|In the yard it is) ${PLACE}\\. Now ${W} is ${PLACE}\\. How many (?:steps|degrees)(?: (warmer|colder))? did ${W} (climb|go down|get)\\?`,
    ([, start, side, result, other, which, verb]) => ({
      situation: which === 'warmer' || verb === 'climb' ? 'rise' : 'fall',
      unknown: 'change',
      known: told({ start: signed(start, side), result: signed(result, other) }),
    }),
  ],
]

/** Is it enough? */
const ENOUGH = '(?:Are there|Is it) enough, and how (?:many|much) [^.?]+\\?'
const WANTED: readonly Rule[] = [
  [
    `(?:There ${ARE} ${N} ${R}\\. ${W} needs ${N}(?: cm)?|${W} has ${N}\\. A ${W} costs ${N})\\. ${ENOUGH}`,
    ([, a, b, c, d]) => ({ situation: 'enough', unknown: 'over', known: told({ there: a ?? c, wanted: b ?? d }) }),
  ],
  [
    `There ${ARE} ${N} ${R}\\. ${W} needs ${N} ${W} (?:with|of) ${N} ${R} each\\. ${ENOUGH}`,
    ([, there, number, size]) => wanted(there, number, size),
  ],
  [
    `${W} has ${N}\\. A ${W} costs ${N}\\. ${W} wants ${N} ${W}\\. ${ENOUGH}`,
    ([, there, size, number]) => wanted(there, number, size),
  ],
]
const wanted = (there: string | undefined, number: string | undefined, size: string | undefined): ReadStory => ({
  situation: 'enough',
  unknown: 'over',
  after: 'groups',
  known: told({ there }),
  before: told({ number, size }),
})

/** Two things happen, one after the other. */
const THEN = `Then ${W} ${R} ${N}(?: cm)?( more| of them)?\\. How (?:many|much) ${R} now\\?`
const TWICE: readonly Rule[] = [
  [
    `(?:There ${ARE} ${N} ${R}\\. (?!On |In )${W} ${R} ${N}(?: cm)?( more| of them)?|${W} has ${N}\\. ${W} spends ${N})\\. ${THEN}`,
    ([, a, b, more, c, d, second, again]) => ({
      situation: change(again ?? ''),
      unknown: 'result',
      after: change(more ?? ''),
      known: told({ change: second }),
      before: told({ start: a ?? c, change: b ?? d }),
    }),
  ],
  [
    `There ${ARE} ${N} ${R} and ${N} ${R}\\. ${THEN}`,
    ([, first, second, then, more]) => ({
      situation: change(more ?? ''),
      unknown: 'result',
      after: 'together',
      known: told({ change: then }),
      before: told({ first, second }),
    }),
  ],
  [
    `There are ${N} ${W}\\. (?:In|On) each ${W} there ${ARE} ${N} ${R}\\. ${THEN}`,
    ([, number, size, then, more]) => ({
      situation: change(more ?? ''),
      unknown: 'result',
      after: 'groups',
      known: told({ change: then }),
      before: told({ number, size }),
    }),
  ],
]

const RULES = [HAPPENS, KINDS, HELD, EACH, TIMES, PARTS, LEVELS, WANTED, TWICE]
  .flat()
  .map(([pattern, make]) => [new RegExp(`^${pattern}$`), make] as const)

/** Two sentences that were made one are two again; a number that is not needed is left out. */
const plain = (text: string): string =>
  text
    .replace(/(\d)\.(\d)/g, '$1_$2')
    .replace(
      /^([^.?]*), and (\w)([^.?]*\.)/,
      (_, one, letter: string, rest) => `${one}. ${letter.toUpperCase()}${rest}`,
    )
    .replace(/ (?:There are \d+ (?:people|chairs) in the hall|The walk is \d+ days away)\./, '')
const back = (value: string): string =>
  value
    .replace('_', '.')
    .replace(/[£$€]/, '')
    .replace(/\.?0+$/, (end) => (value.includes('_') ? '' : end))

/** What a story tells. @throws Error where it is none of our sentence forms, or several. */
export function readStory(text: string): ReadStory {
  const found = RULES.flatMap(([pattern, make]) => {
    const m = pattern.exec(plain(text))
    return m ? [make(m)] : []
  })
  if (found.length !== 1) throw new Error(`${found.length} readings of “${text}”: ${JSON.stringify(found)}`)
  const [read] = found
  const numbers = (of: Readonly<Partial<Record<Role, string>>>) =>
    Object.fromEntries(Object.entries(of).map(([role, value]) => [role, back(value)]))
  return {
    ...read!,
    known: numbers(read!.known),
    ...(read!.before ? { before: numbers(read!.before) } : {}),
  }
}
