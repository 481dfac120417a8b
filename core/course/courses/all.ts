import type { RepresentationId } from '../../materials'
import type { WayId } from '../../way/way'
import { STEPS } from '../steps/all'
import type { Step } from '../steps/step'
import { withSteps, type Course } from './course'

/**
 * The orders in which schools take the same steps (practice, sections 5 to 8; common practice, no source). A school copies the nearest
 * one and makes it its own.
 */

const inStrand = (step: Step, ...strands: readonly Step['strand'][]): boolean => strands.includes(step.strand)

/** Adding and taking away of tens and ones in whole numbers, where schools differ most. */
const tensAndOnes = (s: Step): boolean =>
  inStrand(s, 'adding', 'taking away') && s.limits.digits?.[0] === 2 && (s.limits.addends ?? 2) === 2

/** Ways first, then those that it had. */
const first = <T>(these: readonly T[], had: readonly T[]): readonly T[] => [
  ...these,
  ...had.filter((x) => !these.includes(x)),
]

const ofTensAndOnes = (change: (step: Step) => Partial<Step>): Readonly<Record<string, Partial<Step>>> =>
  Object.fromEntries(STEPS.filter(tensAndOnes).map((s) => [s.id, change(s)]))

/** Tens and ones apart or in hops, which begin with the highest place. */
const HIGHEST: readonly WayId[] = ['hops', 'apart']
const HIGHEST_WITH: readonly RepresentationId[] = ['blocks', 'openline', 'partials']
/** Nearness to a ten has ways of its own. */
const isNear = (s: Step): boolean => s.limits.nearTen !== undefined

const withoutColumns = ofTensAndOnes((s) =>
  isNear(s)
    ? {}
    : {
        materials: inStrand(s, 'adding')
          ? ['blocks', 'drawn', 'openline', 'partials']
          : ['blocks', 'drawn', 'openline'],
        ways: first(HIGHEST, s.ways),
      },
)

/** The column sheet comes once tens and ones stand both ways. */
const columnsLate = withSteps(STEPS, {
  ...withoutColumns,
  'add-3-2': { restsOn: ['add-2-2-two', 'take-2-2-ten', 'count-999'] },
  'take-3-3': { restsOn: ['take-2-2-ten', 'add-3-2', 'count-999'] },
})

const highestFirst = withSteps(
  STEPS,
  ofTensAndOnes((s) => (isNear(s) ? {} : { materials: HIGHEST_WITH, ways: first(HIGHEST, s.ways) })),
)

/** One counts over ten before one knows what makes ten. */
const tenLate = withSteps(STEPS, {
  'add-over-10': { restsOn: ['add-10'], ways: ['count-on-from-greater', 'count-on'] },
  'make-10': { restsOn: ['add-over-10'] },
  'add-2-1-ten': { restsOn: ['add-2-1', 'make-10'] },
})
const at = (id: string): number => tenLate.findIndex((s) => s.id === id)
const tenLateOrder = tenLate.map((s, i) =>
  i === at('make-10') ? tenLate[at('add-over-10')]! : i === at('add-over-10') ? tenLate[at('make-10')]! : s,
)

/** Courses that come with Sett, the usual one first. */
export const COURSES: readonly Course[] = [
  {
    id: 'ones-first',
    name: 'Ones first',
    about: 'Columns from the first tens on, worked from the ones up; what makes ten comes before adding over ten.',
    steps: STEPS,
  },
  {
    id: 'highest-first',
    name: 'Highest place first',
    about: 'Tens and ones are worked from the tens down, in hops and in parts; columns come with three digits.',
    steps: highestFirst,
  },
  {
    id: 'columns-late',
    name: 'Columns late',
    about: 'The column sheet waits until tens and ones can be added and taken away with pieces, drawn and in hops.',
    steps: columnsLate,
  },
  {
    id: 'ten-late',
    name: 'Over ten by counting on',
    about: 'One counts over ten first; what makes ten comes after it.',
    steps: tenLateOrder,
  },
]

export const courseById = (id: string): Course | undefined => COURSES.find((c) => c.id === id)
