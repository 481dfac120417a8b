import { change, printSum, type Act } from '../../act/act'
import { sign, sizeOf, sum, type Exact } from '../../number/exact'
import { printExact } from '../../number/numeral'
import { owing } from '../../act/standing'
import { wholly } from '../../act/unfold'
import { hasBelow, isChain } from '../../problem/problem'
import { ruleSteps } from '../../act/signRule'
import { ruleOf, sumIn, sumWorth } from '../sums'
import { writing, type WritingState } from './writing'

/** The sizes of what is asked, with which the rule works aside. */
const sizes = ({ standing }: WritingState): readonly Exact[] => [sizeOf(standing.value), sizeOf(owing(standing))]

/** What a line of this page could be. */
function* reads(s: WritingState, text: string): Generator<Act> {
  const { standing } = s
  const [left, right] = text.split(' = ').map(sumIn)
  if (!left) return
  const [first, second, more] = left
  if (!right) {
    if (!standing.laid && !second) yield { kind: 'lay', amount: first!.number }
    if (second && !more) yield { kind: 'pose', operation: second.operation, amount: second.number }
    return
  }
  const isWork = second && !more && first!.number === standing.value && right.length === 1
  // A step of the rule comes before the same numbers worked: 2 - 1 = 1 helps with 2 + -1, and is not what is asked.
  if (standing.doing !== 'lay') yield* ruleSteps(standing.value, standing.doing, owing(standing))
  if (isWork) yield { kind: second.operation === '+' ? 'join' : 'take', amount: second.number }
  const known = [standing.value, owing(standing), ...sizes(s)]
  if (left.every((t) => known.includes(t.number)) && sumWorth(left) === sumWorth(right))
    yield { kind: 'rewrite', left, right, rule: ruleOf(left, right) }
}

function lineFor(s: WritingState, act: Act): string {
  const { value } = s.standing
  const number = printExact
  switch (act.kind) {
    case 'lay':
      return number(act.amount)
    case 'pose':
      return `${number(value)} ${act.operation} ${number(act.amount)}`
    case 'rewrite':
      return `${printSum(act.left)} = ${printSum(act.right)}`
    case 'join':
    case 'take':
      return `${number(value)} ${act.kind === 'join' ? '+' : '-'} ${number(act.amount)} = ${number(sum([value, change(act)]))}`
    case 'count':
    case 'group':
    case 'share':
      return sign(change(act)) === 0 ? '' : lineFor(s, wholly(act))
    case 'read':
      return act.value === value ? `${s.asked} = ${number(value)}` : `read ${number(act.value)}`
    default:
      return ''
  }
}

/** The rule of signs in writing: each step a line, with its reason. */
export const signs = writing({
  id: 'signs',
  title: 'rule of signs',
  called: 'the rule of signs',
  example: 'write -3 - 5 = -3 + -5',
  name: 'the page',
  sorts: ['signs'],
  signed: true,
  refuses: (problem) =>
    isChain(problem) && !problem.pairs && !hasBelow(problem)
      ? {
          fits: false,
          why: 'Nothing here is below nought, so there is no rule of signs to work by.',
          instead: ['columns', 'partials'],
        }
      : undefined,
  allows: (way) => way === 'sign-rule',
  line: lineFor,
  reads,
  cannotShow: (act) =>
    act.kind === 'exchange' || act.kind === 'split' || act.kind === 'gather'
      ? 'Numbers stay whole on this page: their parts are not written.'
      : '',
})
