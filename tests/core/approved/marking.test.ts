import {
  CATALOGUE,
  codeOf,
  diagnose,
  FAMILIES,
  familyOf,
  itemsOf,
  nextQuestion,
  parseItem,
  piecesAt,
  predicted,
  printAnswer,
  problemsIn,
  problemsOf,
  readTable,
  rightOf,
  rivalsIn,
  setOf,
  sideBySide,
  suspectOf,
  tellingApart,
  WORKED_WITH,
} from '../../../core/diagnose/index'
import { PROCEDURES } from '../../../core/mistakes/index'
import { attempt, parseProblem, printProblem } from '../../../core/index'
import { approved, saidOf } from './approve'

/** Every mistake that is known: what it comes to on a sheet, what is said of it, and whether it is found again. */

const OTHERS = [
  ...[
    '52 - 37',
    '304 - 178',
    '38 + 47',
    '476 + 358',
    '199 + 46',
    '7.4 - 2.6',
    '1.25 + 0.5',
    '37 * 24',
    '24 * 3',
    '6 * 7',
  ],
  ...[
    '612 / 7',
    '95 / 4',
    '420 / 6',
    '1/2 + 1/3',
    '3/8 + 2/8',
    '2 2/5 - 1 3/4',
    '-3 - -5',
    '-3 + 7',
    '4 - 9',
    '9 - 4',
    '8 + 7',
  ],
  ...['3 * 25 + 2 * 10 + 4 * 1', '1000 - 1', '90 + 17', '3 * 25 ? 60', '2/3 = ?/12', '87 without 50'],
]

test('what every procedure comes to', () => {
  approved('marking/procedures', [
    ...CATALOGUE.flatMap((known) => [
      `## ${known.id} · ${known.name} · ${known.family} · ${known.with ?? 'anything'} · ${known.source}`,
      `looks ${known.looks}; ${known.show.reteach} (${known.show.materials.join(', ')})`,
      ...OTHERS.flatMap((text) => {
        const problem = parseProblem(text)
        const ways = saidOf(() =>
          predicted(suspectOf([known.id]), problem)
            .map((w) => `${printAnswer(w)}${w.marks ? ` ^${w.marks.join(',')}` : ''}`)
            .join(' or '),
        )
        const right = saidOf(() => printAnswer(rightOf(problem)))
        if (ways === right || ways === '') return []
        const beside = attempt(() => sideBySide(problem, suspectOf([known.id])))
        const said = 'ok' in beside ? ` · ${beside.ok.says}` : ''
        return [`${text}: ${ways}${said}`]
      }),
    ]),
    ...PROCEDURES.flatMap((p) =>
      OTHERS.map(
        (text) =>
          `${p.name} · ${text}: ${saidOf(() => JSON.stringify(p.computes(parseProblem(text)).map((w) => w && printAnswer(w))))}`,
      ),
    ).filter((line) => !/: (?:\[\]|\[(?:null,?)+\])$/.test(line)),
  ])
})

test('column work, step by step', () => {
  approved('marking/columns', [
    ...CATALOGUE.filter((k) => k.taking ?? k.adding).flatMap((known) =>
      ['304 - 178', '5003 - 1247', '476 + 358', '99 + 8', '7.40 - 2.65'].flatMap((text) => {
        const found = attempt(() => sideBySide(parseProblem(text), suspectOf([known.id])))
        if (!('ok' in found) || !found.ok.columns) return []
        const { sheet, theirs, partsAt } = found.ok.columns
        return [
          `## ${known.id} · ${text} · part at ${partsAt}`,
          ...theirs.steps.map(
            (s, i) =>
              `${s.at} ${s.does}: ${s.says} | ${s.wrote.join('')} | ${s.stands.join(' ')} | ${piecesAt(sheet, theirs, i + 1).join(' ')}`,
          ),
        ]
      }),
    ),
  ])
})

test('sheets of answers diagnosed, and what is asked next', () => {
  const lines: string[] = []
  for (const family of FAMILIES) {
    const limits = { family, most: 999 }
    const problems = problemsOf(limits, 8, 3)
    lines.push(`## ${family}: ${problems.map(printProblem).join('; ')}`)
    lines.push(
      `families ${WORKED_WITH.map((w) => problems.map((p) => saidOf(() => familyOf(p, w))).join(' ')).join(' | ')}`,
    )
    for (const known of CATALOGUE.filter((k) => k.family === family).slice(0, 6)) {
      const items = problems.map((problem, i) => ({
        problem: printProblem(problem),
        answer:
          i === 5 ? '' : saidOf(() => printAnswer(predicted(suspectOf([known.id]), problem)[0] ?? rightOf(problem))),
      }))
      lines.push(
        `${known.id}: ${saidOf(() => {
          const found = diagnose({ items: items.map((item) => parseItem(item)), with: known.with ?? 'paper' })
          const rivals = rivalsIn(found)
          const next = nextQuestion(
            rivals,
            limits,
            items.map((item) => item.problem),
          )
          const apart = tellingApart(rivals.slice(0, 4), limits)
          return [
            found.ranked
              .slice(0, 3)
              .map(
                (r) =>
                  `${r.bug.join('+')} ${r.form} ${r.probability.toFixed(3)} same ${r.same.length} explains ${r.explains.join(',')} against ${r.contradicts.join(',')}`,
              )
              .join('; '),
            `none ${found.none.probability.toFixed(3)} ${found.none.careful.toFixed(3)} ${found.none.other.toFixed(3)}; wrong ${found.wrong.join(',')}; blank ${found.blank.join(',')}; slips ${found.slips.join(',')}`,
            `next ${next ? `${printProblem(next.problem)} ${next.bits.toFixed(3)}` : 'nothing'}; apart ${apart.problems.map(printProblem).join(', ')} / ${apart.together.length}`,
          ].join(' | ')
        })}`,
      )
    }
    const set = { family, most: 99, count: 6, seed: 77 }
    const code = codeOf(set)
    lines.push(
      `set ${code} ${JSON.stringify(setOf(code.toLowerCase()))}: ${problemsIn(set).map(printProblem).join('; ')}`,
    )
  }
  for (const code of ['', 'ABC', '0FK7-S0A3-M', 'OOOO-OOOO-O', '1111-1111-1'])
    lines.push(`${code}: ${saidOf(() => JSON.stringify(setOf(code)))}`)
  for (const odd of [
    { family: 'adding', most: 9 },
    { family: 'adding', most: 10_000 },
    { family: 'nothing', most: 99 },
  ])
    lines.push(
      saidOf(() =>
        problemsOf(odd as never, 3, 1)
          .map(printProblem)
          .join('; '),
      ),
    )
  approved('marking/diagnosed', lines)
})

const TABLES: readonly (readonly (readonly string[])[])[] = [
  [
    ['', 'Wren', 'Pip', 'Fen'],
    ['52 - 37', '15', '25', ''],
    ['38 + 47', '85', '', '715'],
    ['612 / 7', '87 r 3', '87', 'many'],
    ['rubbish', '1', '2', '3'],
    ['', '1'],
    ['9 + 1', '10', '10', '10', '10'],
  ],
  [
    ['', 'Wren', 'wren', '', 'x'.repeat(41)],
    ['52 - 37', '15'],
  ],
  [['problem'], ['52 - 37', '15']],
  [],
  [
    ['', ...Array.from({ length: 402 }, (_, i) => `learner ${i}`)],
    ['1 + 1', '2'],
  ],
  [['', 'Wren'], ...Array.from({ length: 62 }, (_, i) => [`${i} + 1`, '1'])],
]

test('answers and tables as they are typed', () => {
  const items: readonly (readonly [string, string, string?])[] = [
    ['52 - 37', '15'],
    ['52 - 37', ''],
    ['52 - 37', '25', '4'],
    ['612 / 7', '87 r 3'],
    ['612 / 7', '87'],
    ['1/2 + 1/3', '2/5'],
    ['1/2 + 1/3', '5/6'],
    ['-3 - -5', '−2'],
    ['7.4 - 2.6', '4,8'],
    ['x', '1'],
    ['52 - 37', 'many'],
    ['52 - 37', '9'.repeat(41)],
    ['38 + 47', '85', '1'],
    ['38 + 47', '715', '1 0'],
    ['2/3 = ?/12', '8/12'],
  ]
  approved('marking/typed', [
    ...items.map(
      ([problem, answer, above]) =>
        `${problem} | ${answer} | ${above ?? ''}: ${saidOf(() => {
          const item = parseItem({ problem, answer, ...(above === undefined ? {} : { above }) })
          return JSON.stringify({ ...item, problem: printProblem(item.problem) })
        })}`,
    ),
    ...TABLES.flatMap((cells) => {
      const { table, troubles } = readTable(cells.map((row, i) => ({ line: i + 1, cells: row })))
      return [
        JSON.stringify(table),
        ...troubles.map((t) => `line ${t.line}: ${t.reason}`),
        ...table.learners.map(
          ({ name, answers }) =>
            `${name}: ${itemsOf(table, answers)
              .map((i) => printAnswer(i.answer))
              .join(', ')}`,
        ),
      ]
    }),
  ])
})
