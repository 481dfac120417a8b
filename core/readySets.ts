import { DEFAULT_CHOICES, WORD_SETS, type Choices, type Words } from './choices'

/** Words and methods that go together in many schools, as a class takes them when it begins; each word can be changed afterwards. */
export interface ReadySet {
  readonly id: ReadySetId
  readonly words: Words
  /** What of the methods is otherwise than usual. */
  readonly methods: Partial<Omit<Choices, 'words'>>
}
export const READY_SET_IDS = ['british', 'formal', 'american', 'early', 'spanish'] as const
export type ReadySetId = (typeof READY_SET_IDS)[number]

/** The five ready sets (practice, section 1; common practice, no source). */
export const READY_SETS: readonly ReadySet[] = [
  { id: 'british', words: WORD_SETS.exchange, methods: { carryMarks: 'below' } },
  {
    id: 'formal',
    words: { ...WORD_SETS.exchange, ones: 'units', plus: 'plus', minus: 'subtract' },
    methods: { carryMarks: 'below' },
  },
  { id: 'american', words: WORD_SETS.regroup, methods: {} },
  {
    id: 'early',
    words: { ...WORD_SETS.exchange, exchange: 'swap', plus: 'and', equals: 'makes' },
    methods: { columnMethod: false, hops: 'single' },
  },
  { id: 'spanish', words: { ...WORD_SETS.exchange, language: 'es' }, methods: {} },
]

/** A class's hands and methods with those of a ready set. */
export const methodsOf = ({ methods }: ReadySet): Omit<Choices, 'words'> => {
  const { words: _, ...usual } = DEFAULT_CHOICES
  return { ...usual, ...methods }
}
