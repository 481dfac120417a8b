import { inUnits, type Act } from '../../core/act/act'
import { owing, stand, termDone, type Standing } from '../../core/act/standing'
import { DEFAULT_CHOICES, WORD_SETS } from '../../core/choices'
import { exact, type Exact } from '../../core/number/exact'
import { parseNumeral, printExact, valueOf } from '../../core/number/numeral'
import { decimal, worthOf } from '../../core/number/units'
import { representationsFor } from '../../core/index'
import { plan, standingFor } from '../../core/plan/plan'
import { askInWords } from '../../core/speech/say'
import { packOf, say } from '../../core/speech/words'
import { setUp } from '../../core/plan/setup'
import { parseProblem } from '../../core/problem/parse'
import { enter, openBench } from '../../core/record/bench'
import { outcome } from '../../core/record/outcome'
import type { Bench } from '../../core/record/moment'
import { attempt } from '../../core/refusal'
import { blocks } from '../../core/representation/blocks/blocks'
import { columns } from '../../core/representation/columns/columns'
import { drawn } from '../../core/representation/drawn/drawn'
import { openline } from '../../core/representation/openline/openline'
import type { RepresentationId } from '../../core/representation/representation'

/** Places where a change of one sign or one line went unnoticed once. */

const refused = (work: () => unknown): string => {
  const done = attempt(work)
  return 'refused' in done ? done.refused.message : 'was done'
}
const work = (b: Bench, on: RepresentationId, ...moves: string[]): Bench =>
  moves.reduce((now, move) => enter(now, { at: 0, on, move }), b)

describe('how far a problem has come', () => {
  const open = (problem: string): { at: Standing; go: (s: Standing, ...acts: Act[]) => Standing } => {
    const setup = setUp({ problem, representation: 'blocks' })
    return { at: standingFor(setup), go: (s, ...acts) => acts.reduce((now, act) => stand(setup.worked, now, act), s) }
  }
  const lay = (n: number): Act => ({ kind: 'lay', amount: exact(n) })
  const join = (n: number): Act => ({ kind: 'join', amount: exact(n) })
  const ask = (operation: '+' | '-', n: number, leaves?: boolean): Act => ({
    kind: 'pose',
    operation,
    amount: exact(n),
    ...(leaves ? { leaves } : {}),
  })

  test('a number set beside in two goes is asked once both lie there', () => {
    const { at, go } = open('46 + 27')
    const half = go(at, lay(46), ask('+', 20))
    expect([half.begun, half.unposed, owing(half)]).toEqual([2, '7', '27'])
    expect(go(half, ask('-', 7)).unposed).toBe('7')
    const all = go(half, ask('+', 7))
    expect([all.begun, all.unposed, all.read]).toEqual([2, '0', null])
  })

  test('what is set beside against the sign, or before its turn, changes nothing that is owed', () => {
    const { at, go } = open('46 - 27')
    const laid = go(at, lay(46))
    expect(go(laid, ask('+', 27))).toEqual(laid)
    expect(go(at, ask('-', 27))).toEqual(at)
    expect(go(laid, ask('-', 27)).begun).toBe(2)
  })

  test('two addends beneath one another are owed together; one to be taken away waits for its turn', () => {
    const { at, go } = open('10 + 20 + 30')
    const two = go(at, lay(10), ask('+', 20), ask('+', 30))
    expect([two.begun, owing(two)]).toEqual([3, '50'])
    const mixed = open('10 + 20 - 5')
    const one = mixed.go(mixed.at, lay(10), ask('+', 20))
    expect(mixed.go(one, ask('-', 5)).begun).toBe(2)
    expect(mixed.go(one, join(20), ask('-', 5)).begun).toBe(3)
  })

  test('left as it is, a number owes nothing more, and the next one is begun from what stands', () => {
    const { at, go } = open('46 + 27 - 3')
    const wrong = go(at, lay(46), ask('+', 27), join(20))
    expect([owing(wrong), termDone(wrong)]).toEqual(['7', false])
    const left = go(wrong, ask('-', 3, true))
    expect([left.begun, left.doing, left.value, owing(left), worthOf(left.held)]).toEqual([3, '-', '66', '3', '66'])
  })

  test('pieces that a material has not are the number worked whole; such an exchange is nothing', () => {
    const dozen = { count: 1, unit: exact(12) }
    expect(inUnits({ kind: 'join', amount: exact(12), pieces: [dozen] }, decimal(2))).toEqual({
      kind: 'join',
      amount: '12',
    })
    expect(
      inUnits({ kind: 'exchange', from: [dozen], to: [{ count: 12, unit: exact(1) }] }, decimal(2)),
    ).toBeUndefined()
    const { at, go } = open('40 + 12')
    const joined = go(at, lay(40), ask('+', 12), { kind: 'join', amount: exact(12), pieces: [dozen] })
    expect([joined.value, owing(joined), joined.held]).toEqual([
      '52',
      '0',
      [
        { count: 5, unit: '10' },
        { count: 2, unit: '1' },
      ],
    ])
  })
})

test.each([
  ['100 - 99', 3],
  ['5 + 345', 3],
  ['999 + 1', 4],
  ['7.45 + 2', 3],
  ['0.5 - 0.25', 3],
])('the sheet for %s is %i squares wide', (problem, width) =>
  expect(columns.start(parseProblem(problem), DEFAULT_CHOICES).width).toBe(width),
)

describe('drawn tens', () => {
  const start = drawn.start(parseProblem('52 - 37'), DEFAULT_CHOICES)
  const drawing = (...moves: string[]) => moves.map((m) => drawn.parse(m)).reduce((s, m) => drawn.apply(s, m), start)

  test('too few are refused with what to break, which is the nearest kind above', () => {
    expect(refused(() => drawn.apply(drawing('draw 52'), drawn.parse('cross 7 ones')))).toBe(
      'There are only 2 ones drawn; 7 are wanted. Break one ten first.',
    )
    expect(refused(() => drawn.apply(drawing('draw 302'), drawn.parse('cross 7 ones')))).toContain(
      'Break one hundred first.',
    )
    expect(refused(() => drawn.apply(drawing('draw 2'), drawn.parse('cross 7 ones')))).toBe(
      'There are only 2 ones drawn; 7 are wanted.',
    )
  })

  test('an exchange that has come out even ends there: what follows is another thing done', () => {
    const moves = ['break ten', 'break ten'].map((m) => drawn.parse(m))
    expect(drawn.recognise(drawing('draw 52'), [moves[0]!])).toHaveLength(1)
    expect(drawn.recognise(drawing('draw 52'), moves)).toBeUndefined()
  })

  test('a word too many is refused at its place', () => {
    for (const text of ['cross 7 ones now', 'ring ten now', 'read 15 now', 'unread now'])
      expect([text, refused(() => drawn.parse(text))]).toEqual([text, expect.stringMatching(/now/)])
  })
})

test('the line shows where steps lead, and how many steps of one; not how many of another size lead to a number', () => {
  const start = openline.start(parseProblem('12 + 3'), DEFAULT_CHOICES)
  const begin = (step: number, to: string | null): Act => ({
    kind: 'begin',
    from: exact(0),
    step: exact(step),
    to: to as Exact | null,
    times: to === null ? exact(3) : null,
  })
  expect(openline.perform(start, begin(1, '12'))).toEqual([{ kind: 'way', from: '0', to: '12' }])
  expect(refused(() => openline.perform(start, begin(4, '12')))).toContain('not how many lead to a number')
  expect(openline.perform(start, begin(4, null))).toEqual([{ kind: 'start', at: '0' }])
})

test('what comes upon blocks that lie beside is joined, not laid; breaking takes one off and puts ten down', () => {
  const start = blocks.start(parseProblem('46 + 27'), DEFAULT_CHOICES)
  const beside = blocks.apply(start, blocks.parse('set 27'))
  expect(blocks.recognise(start, [blocks.parse('lay 46')])).toMatchObject([{ kind: 'lay' }])
  expect(blocks.recognise(beside, [blocks.parse('lay 46')])).toMatchObject([{ kind: 'join' }])
  const lying = blocks.apply(start, blocks.parse('lay 46'))
  expect(blocks.apply(lying, blocks.parse('break 2 tens')).mat.slice(0, 2)).toEqual([26, 2])
  expect(refused(() => blocks.apply(lying, blocks.parse('break 5 tens')))).toContain(
    'only 4 tens on the mat; 5 are wanted',
  )
})

test.each([
  ['48 - 19', 'join 2, take 21'],
  ['52 - 37', 'take 2, take 35'],
  ['29 + 46', 'join 1, join 45'],
])('%s is made friendly by what the first number needs: %s', (problem, steps) => {
  const worked = plan({ problem, representation: 'friendly', way: 'make-friendly' }).steps.flatMap(({ act }) =>
    act.kind === 'join' || act.kind === 'take' ? [`${act.kind} ${act.amount}`] : [],
  )
  expect(worked.join(', ')).toBe(steps)
})

test.each([
  ['1/3', '1/3'],
  ['-1/20', '-0.05'],
  ['5/8', '0.625'],
  ['-7', '-7'],
  ['1/1000000000', '0.000000001'],
  ['1/10000000000', '1/10000000000'],
])('%s is written %s', (value, text) => expect(printExact(value as Exact)).toBe(text))

test('noughts before a number and after its point are read as they are', () => {
  expect([valueOf(parseNumeral('007')), valueOf(parseNumeral('7.40')), valueOf(parseNumeral('0'))]).toEqual([
    '7',
    '37/5',
    '0',
  ])
})

test('beads: why not directly, and what the hand does, in words', () => {
  const { steps } = plan({ problem: '38 + 27', representation: 'abacus' })
  const [, , tens, ones] = steps.map((s) => s.detail)
  expect(tens!.digits[0]!.why.join(' ')).toContain('Not direct')
  expect(ones!.digits[0]!.why.join(' ')).toBe('Not direct: the upper bead is at the bar already.')
  expect(ones!.hands.join(' ')).toMatch(/clear|Clear/)
  expect(tens!.hands.join(' ')).toMatch(/set|Set/)
})

test('a finger folded is said with its tens and ones; a stone that is whole is closed, one that is not stays open', () => {
  const said = plan({ problem: '4 * 9', representation: 'nines' }).steps[0]!.say
  expect(said).toBe('Fold finger four: three tens before it, six ones after it. Thirty-six.')
  const b = openBench({ problem: '52 - 37', representation: 'blocks' }, 'together')
  expect(work(b, 'blocks', 'lay 52').now.open).toBeNull()
  expect(work(b, 'blocks', 'lay 5 tens').now.open).not.toBeNull()
  expect(outcome(work(b, 'blocks', 'lay 52', 'read 15'))).toMatchObject({ finished: true, right: true })
})

test('a number below nought is negative or minus, as the class says; a fraction is said as it is written', () => {
  const words = (negative: 'negative' | 'minus') => packOf({ ...WORD_SETS.exchange, negative })
  expect([say(exact(-3), words('negative')), say(exact(-3), words('minus'))]).toEqual(['negative three', 'minus three'])
  const said = (problem: string): string => askInWords(parseProblem(problem), words('minus'))
  expect(said('4/8 + 1/2')).toBe('four eighths add one half')
  expect(said('2 2/5 + 1 3/4')).toBe('two and two fifths add one and three quarters')
  expect(said('-3 + (-5)')).toBe('minus three add minus five')
  expect(said('-2/3 - 1/3')).toBe('minus two thirds take away one third')
})

test('numbers of every sort that no material holds yet are refused by all of them, in a whole sentence', () => {
  for (const text of ['3 * 7 + 2 * 13', '3/8 / 2/8', '2/3 = ?/7', '1/3 as a decimal']) {
    for (const { fits, why, representation } of representationsFor(text))
      expect([text, representation, fits, why.length > 20 && /[.?!]$/.test(why)]).toEqual([
        text,
        representation,
        false,
        true,
      ])
    expect(refused(() => plan({ problem: text, representation: 'blocks' }))).toMatch(/No material here holds it yet\.$/)
  }
})
