import { fitParts } from '../../problem/fitParts'
import { hasParts, type Problem } from '../../problem/problem'
import { MOST_PARTS } from '../../number/units'
import { partsMaterial } from '../parts/parts'

/** As many wholes as lie under one another on a mat. */
const MOST_WHOLES = 40

/** One whole as a long strip, and equal parts cut from it at true proportion. */
export const strips = partsMaterial({
  id: 'strips',
  title: 'strips',
  called: 'the strips',
  kind: 'concrete',
  opening: 'lay {number}: drag {pieces} from the store',
  example: 'lay 1 half · recut 1 half as 4 eighths · set 3 eighths · push · read 7/8',
  fits: (problem: Problem) =>
    hasParts(problem)
      ? fitParts(problem, {
          name: 'the strips',
          wholes: MOST_WHOLES,
          because: 'more do not lie on one mat',
          parts: MOST_PARTS,
          decimals: 2,
          amounts: 5,
          instead: ['line'],
        })
      : {
          fits: false,
          why: 'There are no parts of a whole in this problem, and strips are for parts.',
          instead: ['blocks', 'chips'],
        },
})
