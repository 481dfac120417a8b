import type { Cell, Role } from '../../core/story/index'

/** Reads one of our own stories back, from its words alone, knowing nothing of how it was told. */

export interface ReadStory {
  readonly situation: Cell['situation']
  readonly unknown: Cell['unknown']
  readonly wording?: Cell['wording']
  readonly known: Readonly<Partial<Record<Role, string>>>
}

const N = '(\\d+(?:\\.\\d+)?)'
const WORD = '[A-Za-z-]+'

function must(holds: boolean): void {
  if (!holds) throw new Error('It asks about somebody else than it tells of.')
}

type Make = (m: RegExpExecArray) => ReadStory
const rules: readonly (readonly [RegExp, Make])[] = [
  // Something happens: what comes is “more”, what goes is not.
  [
    new RegExp(
      `^There (?:is|are) (?:${N}|some) .+?\\. (?!On |In |Of )${WORD} .+? (?:${N}|some)(?: cm)?( more| of them| of it|)\\.(?: Now there (?:is|are) ${N} .+?\\.)? How many .+\\?$`,
    ),
    ([text, start, change, more, result]) => ({
      situation: more === ' more' ? 'add-to' : 'take-from',
      unknown: start === undefined ? 'start' : change === undefined ? 'change' : 'result',
      known: {
        ...(start === undefined ? {} : { start }),
        ...(change === undefined ? {} : { change }),
        ...(result === undefined || !text.includes('Now there') ? {} : { result }),
      },
    }),
  ],
  // Two kinds of one thing.
  [
    new RegExp(`^There (?:is|are) ${N} .+? and ${N} .+?\\. How many .+ altogether\\?$`),
    ([, first, second]) => ({ situation: 'together', unknown: 'whole', known: { first: first!, second: second! } }),
  ],
  [
    new RegExp(`^There are ${N} .+?\\. Some (?:are|of it is) .+?\\. How many (?:cm )?could be .+\\?$`),
    ([, whole]) => ({ situation: 'together', unknown: 'both', known: { whole: whole! } }),
  ],
  [
    new RegExp(
      `^There (?:is|are) ${N} .+?\\. Of (?:them|it) ${N} (?:cm )?(?:is|are) (${WORD}) and the (?:others are|rest is) (${WORD})\\. How many (?:cm )?are (${WORD})\\?$`,
    ),
    ([, whole, part, known, other, asked]) => {
      must(asked === other)
      const first = ['red', 'round', 'warm', 'large', 'green', 'blue'].includes(known!)
      return {
        situation: 'together',
        unknown: first ? 'second' : 'first',
        known: { whole: whole!, [first ? 'first' : 'second']: part! },
      }
    },
  ],
  // Two amounts held against each other.
  [
    new RegExp(
      `^(${WORD}) has ${N} .+?\\. (${WORD}) has ${N} .+?\\. How many (more|fewer) .+? does (${WORD}) have than (${WORD})\\?$`,
    ),
    ([, who, lesser, other, greater, wording, asked, than]) => {
      must(String([asked, than]) === String(wording === 'more' ? [other, who] : [who, other]))
      return {
        situation: 'compare',
        unknown: 'difference',
        wording: wording as 'more',
        known: { lesser: lesser!, greater: greater! },
      }
    },
  ],
  [
    new RegExp(
      `^(${WORD}) has ${N} [^.]+?\\. (${WORD}) has ${N} (more|fewer) [^.]+? than (${WORD})\\. How many [^.]+? does (${WORD}) have\\?$`,
    ),
    ([, owner, amount, subject, difference, wording, than, asked]) => {
      const greaterOne = wording === 'more' ? subject : than
      const unknown = asked === greaterOne ? 'greater' : 'lesser'
      must(owner !== asked)
      return {
        situation: 'compare',
        unknown,
        wording: wording as 'more',
        known: { difference: difference!, [unknown === 'greater' ? 'lesser' : 'greater']: amount! },
      }
    },
  ],
  [
    new RegExp(
      `^The ribbon of (${WORD}) is ${N} cm long\\. The ribbon of (${WORD}) is ${N} cm long\\. How many cm (longer|shorter) is the ribbon of (${WORD})\\?$`,
    ),
    ([, who, lesser, other, greater, which, asked]) => {
      must(asked === (which === 'longer' ? other : who))
      return {
        situation: 'compare',
        unknown: 'difference',
        wording: which === 'longer' ? 'more' : 'fewer',
        known: { lesser: lesser!, greater: greater! },
      }
    },
  ],
  [
    new RegExp(
      `^The ribbon of ${WORD} is ${N} cm long\\. The ribbon of (${WORD}) is ${N} cm (longer|shorter) than that of (${WORD})\\. How many cm long is the ribbon of (${WORD})\\?$`,
    ),
    ([, amount, subject, difference, which, than, asked]) => {
      const unknown = asked === (which === 'longer' ? subject : than) ? 'greater' : 'lesser'
      return {
        situation: 'compare',
        unknown,
        wording: which === 'longer' ? 'more' : 'fewer',
        known: { difference: difference!, [unknown === 'greater' ? 'lesser' : 'greater']: amount! },
      }
    },
  ],
  // Rows, before groups: both have so many in each.
  [
    new RegExp(`^The .+? are in ${N} rows\\. In each row there (?:is|are) ${N} .+?\\. How many .+ altogether\\?$`),
    ([, number, size]) => ({ situation: 'array', unknown: 'product', known: { number: number!, size: size! } }),
  ],
  [
    new RegExp(`^There (?:is|are) ${N} .+? in ${N} rows\\. There are as many in each row\\. How many .+\\?$`),
    ([, product, number]) => ({ situation: 'array', unknown: 'size', known: { product: product!, number: number! } }),
  ],
  [
    new RegExp(`^There (?:is|are) ${N} .+? in rows of ${N}\\. How many rows are there\\?$`),
    ([, product, size]) => ({ situation: 'array', unknown: 'number', known: { product: product!, size: size! } }),
  ],
  [
    new RegExp(`^There are ${N} ${WORD}\\. (?:In|On) each .+? there (?:is|are) ${N} .+?\\. How many .+ altogether\\?$`),
    ([, number, size]) => ({ situation: 'groups', unknown: 'product', known: { number: number!, size: size! } }),
  ],
  [
    new RegExp(
      `^There (?:is|are) ${N} .+? (?:in|on) ${N} ${WORD}\\. There are as many (?:in|on) each\\. How many .+\\?$`,
    ),
    ([, product, number]) => ({ situation: 'groups', unknown: 'size', known: { product: product!, number: number! } }),
  ],
  [
    new RegExp(
      `^There (?:is|are) ${N} .+?\\. (?:In|On) each .+? there (?:is|are) ${N}(?: cm)?\\. How many ${WORD} are there\\?$`,
    ),
    ([, product, size]) => ({ situation: 'groups', unknown: 'number', known: { product: product!, size: size! } }),
  ],
  // So many times as many, or as long.
  [
    new RegExp(
      `^(?:The ribbon of )?${WORD} (?:has|is) ${N} [^.]+?\\. (?!That )(?:The ribbon of )?${WORD} (?:has|is) ${N} times as (?:many|long)[^.]*\\. How many .+\\?$`,
    ),
    ([, lesser, number]) => ({ situation: 'times', unknown: 'greater', known: { lesser: lesser!, number: number! } }),
  ],
  [
    new RegExp(`^(?:The ribbon of )?${WORD} (?:has|is) ${N} [^.]+?\\. That is ${N} times as .+?\\. How many .+\\?$`),
    ([, greater, number]) => ({ situation: 'times', unknown: 'lesser', known: { greater: greater!, number: number! } }),
  ],
  [
    new RegExp(
      `^(?:The ribbon of )?${WORD} (?:has|is) ${N} [^.]+?\\. (?:The ribbon of )?${WORD} (?:has|is) ${N} [^.]+?\\. How many times as .+\\?$`,
    ),
    ([, lesser, greater]) => ({ situation: 'times', unknown: 'number', known: { lesser: lesser!, greater: greater! } }),
  ],
]

/** Decimals have a point, which ends no sentence. */
const plain = (text: string): string => text.replace(/(\d)\.(\d)/g, '$1_$2')
const back = (value: string): string => value.replace('_', '.')

/** What a story tells. @throws Error where it is none of our sentence forms, or several. */
export function readStory(text: string): ReadStory {
  const found = rules.flatMap(([pattern, make]) => {
    const source = pattern.source.replaceAll('\\d+(?:\\.\\d+)?', '\\d+(?:_\\d+)?')
    const m = new RegExp(source).exec(plain(text))
    return m ? [make(m)] : []
  })
  if (found.length !== 1) throw new Error(`${found.length} readings of “${text}”: ${JSON.stringify(found)}`)
  const [read] = found
  return {
    ...read!,
    known: Object.fromEntries(Object.entries(read!.known).map(([role, value]) => [role, back(value as string)])),
  }
}
