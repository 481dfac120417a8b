import {
  WAY_IDS,
  wayById,
  REPRESENTATION_IDS,
  REPRESENTATIONS,
  DEFAULT_CHOICES,
  parseProblem,
  CURRENCIES,
  plan,
  sayOpening,
} from '../../../core/index'
import { COURSES, STEPS } from '../../../core/course/index'
import { MAT_NAMES, PIECE_NAMES } from '../../../core/paper/index'
import { pieceKind } from '../../../core/kit/index'
import { SCENES, SITUATIONS } from '../../../core/story/index'
import { CATALOGUE, FAMILIES } from '../../../core/diagnose/index'
import { besideOf, packFor, setUp } from '../../../core/plan/setup'
import { SLIPS } from '../../../core/record/slips'
import { notShown, performIn } from '../../../core/representation/representation'
import type { Act } from '../../../core/act/act'
import { exact } from '../../../core/number/exact'
import { approved, saidOf } from './approve'

/** What materials, ways, steps, scenes and mistakes say of themselves. */

const AMOUNT = exact(7)
const ACTS: readonly Act[] = [
  { kind: 'lay', amount: AMOUNT },
  { kind: 'join', amount: AMOUNT },
  { kind: 'take', amount: AMOUNT, pieces: [{ count: 7, unit: exact(1) }] },
  { kind: 'pose', operation: '-', amount: AMOUNT },
  { kind: 'exchange', from: [{ count: 1, unit: exact(10) }], to: [{ count: 10, unit: exact(1) }] },
  { kind: 'split', whole: AMOUNT, parts: [exact(3), exact(4)] },
  { kind: 'gather', whole: AMOUNT, parts: [exact(3), exact(4)] },
  { kind: 'read', value: AMOUNT },
  { kind: 'group', count: exact(2), size: exact(3) },
  { kind: 'beside', amount: AMOUNT, row: 1 },
  { kind: 'share', each: [{ count: 1, unit: exact(1) }], among: exact(2) },
]
const PROBLEMS = [
  '52 - 37',
  '8 + 7',
  '37 * 24',
  '612 / 7',
  '9 * 4',
  '3/8 + 2/8',
  '-3 - -5',
  '3 * 25 + 2 * 10',
  '1.25 - 0.5',
  '87',
  '3/8 ? 4/8',
]

test('what materials say of themselves, and what a fresh one does with any act', () => {
  approved(
    'materials/materials',
    REPRESENTATION_IDS.flatMap((id) => {
      const r = REPRESENTATIONS[id]
      const { opening, example, units } = r
      const problem = PROBLEMS.find((p) => r.fits(parseProblem(p)).fits) ?? '1 + 1'
      return [
        `## ${id}`,
        // All that is plain data of it; functions stay out.
        JSON.stringify({ ...r, units: undefined }),
        JSON.stringify({ ...units, worths: units.worths.slice(0, 12) }),
        ...PROBLEMS.map((p) => {
          const read = parseProblem(p)
          const units = saidOf(() => JSON.stringify(r.standsIn?.(read)?.worths.slice(0, 8)))
          return `${p}: ${JSON.stringify(r.fits(read, DEFAULT_CHOICES))} ${r.follows?.(read) ?? ''} ${units}`
        }),
        ...saidOf(() => {
          const setup = setUp({ problem, representation: id })
          const [first] = plan({ problem, representation: id }).steps
          const empty = r.start(setup.worked, setup.choices, besideOf(setup))
          const laid = (first?.moves[id] ?? []).reduce((s: unknown, move) => r.apply(s, move), empty)
          const pack = packFor(setup)
          return [
            ...[...plan({ problem, representation: id }).steps.map((s) => s.act), ...ACTS].map(
              (act) => `opening ${act.kind}: ${saidOf(() => sayOpening(act, opening, pack, setup.units))}`,
            ),
            ...[empty, laid].flatMap((state) =>
              ACTS.map((act) => {
                const moves = saidOf(() =>
                  performIn(r, state, act)
                    .map((m) => r.print(m))
                    .join(' · '),
                )
                return `${act.kind}: ${moves} | ${notShown(r, act)}`
              }),
            ),
            ...example_(example).map((move) => `${move}: ${saidOf(() => r.shows(r.apply(laid, r.parse(move))))}`),
            ...['', 'rubbish', 'lay', 'lay x', 'take 7 horses', 'read', 'write', `lay ${'9'.repeat(30)}`].map(
              (move) => `${move.slice(0, 20)}: ${saidOf(() => r.print(r.parse(move)))}`,
            ),
          ].join('\n')
        }).split('\n'),
      ]
    }),
  )
})
const example_ = (example: string): readonly string[] => [...example.split(' · '), 'read 3', 'unread']

test('what ways, steps, courses, scenes, mistakes, sheets and coins say of themselves', () => {
  approved('materials/others', [
    ...WAY_IDS.map((id) => {
      const { title, school, at, sort } = wayById(id)
      const { aim, fillsPlaces } = wayById(id)
      return `${id}: ${JSON.stringify({ title, school, at, sort, aim, fillsPlaces })} suits ${PROBLEMS.filter((p) => wayById(id).suits(parseProblem(p))).join('; ')}`
    }),
    ...STEPS.map((s) => JSON.stringify(s)),
    ...COURSES.map(({ steps, ...course }) => `${JSON.stringify(course)} ${steps.length}`),
    JSON.stringify(SITUATIONS),
    ...SCENES.map((s) => JSON.stringify(s)),
    ...FAMILIES,
    ...CATALOGUE.map(({ id, name, source, looks, show, with: where }) =>
      JSON.stringify({ id, name, source, looks, show, where }),
    ),
    JSON.stringify(SLIPS),
    JSON.stringify(MAT_NAMES),
    JSON.stringify(PIECE_NAMES),
    JSON.stringify(CURRENCIES),
    ...REPRESENTATION_IDS.flatMap((id) =>
      [
        'one',
        'ten',
        'hundred',
        'thousand',
        'tenth',
        'plus',
        'minus',
        'plate',
        'frame',
        'counter',
        '25',
        '1',
        'whole',
        'half',
        'eighth',
        'clay',
      ].map((kind) => `${id} ${kind}: ${JSON.stringify(pieceKind(id, kind))}`),
    ),
  ])
})
