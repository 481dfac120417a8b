import type { RepresentationId } from '../materials'
import * as adding from './adding'
import * as beads from './beads'
import * as coins from './coins'
import type { AddingHabit, TakingHabit } from './columnWork'
import * as dividing from './dividing'
import * as fractions from './fractions'
import * as groups from './groups'
import * as multiplying from './multiplying'
import type { Procedure } from './procedure'
import * as signed from './signed'
import * as taking from './takingAway'

/** The kinds of problems that answers are marked by. */
export const FAMILIES = [
  'adding',
  'taking away',
  'plus and minus',
  'fractions',
  'decimals',
  'coins',
  'multiplying',
  'dividing',
  'bead frames',
] as const
export type Family = (typeof FAMILIES)[number]

/** What a learner worked with, where that decides which mistakes can be made. */
export const WORKED_WITH = ['paper', 'counting', 'beads'] as const
export type WorkedWith = (typeof WORKED_WITH)[number]

/** What is shown again, and with what: something to hold, something drawn, something written, in this order. */
export interface Showing {
  readonly reteach: string
  readonly materials: readonly RepresentationId[]
}

/** A procedure with all that a teacher is told of it. */
export interface Known extends Procedure {
  readonly family: Family
  readonly source: string
  /** An example of how it looks on a sheet. */
  readonly looks: string
  readonly show: Showing
  /** With what it can happen; everything but beads where it does not say. */
  readonly with?: WorkedWith
  readonly adding?: AddingHabit
  readonly taking?: TakingHabit
}

/** Both named from memory. */
const COMMON = 'common practice'
const BROWN = 'Brown & Burton, 1978'
const VANLEHN = 'VanLehn, 1990'

/** Where each kind is shown again unless a procedure has something better. */
const ADD: readonly RepresentationId[] = ['blocks', 'drawn', 'columns']
const ACROSS: readonly RepresentationId[] = ['blocks', 'chips', 'columns']
const COUNT: readonly RepresentationId[] = ['counters', 'tallies', 'touch']

const known = (
  family: Family,
  list: readonly (readonly [
    Procedure,
    looks: string,
    reteach: string,
    materials: readonly RepresentationId[],
    source?: string,
  ])[],
  where?: WorkedWith,
): readonly Known[] =>
  list.map(([procedure, looks, reteach, materials, source = COMMON]) => ({
    ...procedure,
    family,
    looks,
    source,
    show: { reteach, materials },
    ...(where ? { with: where } : {}),
  }))

/** Every mistaken procedure that marking knows. */
export const CATALOGUE: readonly Known[] = [
  ...known('adding', [
    [
      adding.forgetsCarry,
      '37 + 45 = 72',
      'Ten ones are exchanged for one ten, and the ten is counted with the tens.',
      ADD,
    ],
    [adding.wholeColumnSum, '37 + 45 = 712', 'A place holds nine at most: ten of them go on as one of the next.', ADD],
    [adding.carriesTooFar, '37 + 45 = 172', 'Ten of one place make one of the very next place, no other.', ADD],
    [adding.carriesAlways, '32 + 45 = 87', 'Only where ten or more stand together is one carried.', ADD],
    [
      adding.carriesIntoSame,
      '37 + 45 = 73',
      'The ten that was made belongs with the tens, not with the ones it came from.',
      ADD,
    ],
    [adding.carriesOnes, '37 + 45 = 91', 'Of twelve ones, ten go on as one ten and two stay.', ADD],
    [
      adding.flushLeft,
      '342 + 56 = 902',
      'Ones stand under ones: the columns are lined up from the right.',
      ['chips', 'columns'],
    ],
  ]),
  ...known(
    'adding',
    [
      [
        adding.countsStart,
        '8 + 5 = 12',
        'The first number is there already: the first word counted is the next one.',
        COUNT,
      ],
      [adding.touchMissed, '8 + 5 = 12', 'Each is touched once, and each touch has one word.', COUNT],
      [adding.touchTwice, '8 + 5 = 14', 'Each is touched once, and each touch has one word.', COUNT],
    ],
    'counting',
  ),
  ...known('taking away', [
    [
      taking.smallerFromLarger,
      '52 − 37 = 25',
      'The upper number is what is there; where there are too few ones, a ten is broken first.',
      ADD,
      BROWN,
    ],
    [
      taking.notLessened,
      '52 − 37 = 25 with 12 ones and 5 tens',
      'The ten that was broken is gone from the tens: count what is on the mat.',
      ADD,
      BROWN,
    ],
    [taking.notEnlarged, '52 − 37 = 15', 'A ten that is broken comes back as ten ones.', ADD],
    [
      taking.stopsAtZero,
      '604 − 387 = 227',
      'Where there are no tens, a hundred is broken into tens first.',
      ACROSS,
      BROWN,
    ],
    [
      taking.fromZero,
      '602 − 437 = 265',
      'Nine tens can only come from a hundred, and that hundred is gone.',
      ACROSS,
      BROWN,
    ],
    [
      taking.acrossZero,
      '904 − 237 = 577',
      'A hundred gives ten tens; only one of those tens goes on as ones.',
      ACROSS,
      BROWN,
    ],
    [taking.zeroLeftTen, '304 − 178 = 136', 'Of the ten tens one goes on as ten ones: nine are left.', ACROSS],
    [
      taking.zeroLessIsItself,
      '140 − 21 = 121',
      'From nothing nothing can be taken: a ten is broken first.',
      ADD,
      BROWN,
    ],
    [taking.zeroLessIsZero, '140 − 21 = 120', 'From nothing nothing can be taken: a ten is broken first.', ADD, BROWN],
    [taking.lessZeroIsZero, '76 − 40 = 30', 'Taking none away leaves all that is there.', ADD, BROWN],
    [taking.alwaysExchanges, '58 − 23 = 25', 'A ten is broken only where there are too few.', ADD],
    [taking.fromLeftmost, '733 − 216 = 427', 'What is broken is one of the very next place.', ACROSS, BROWN],
    [
      taking.addsInstead,
      '52 − 37 = 89',
      'The sign says what is done: less is left than there was.',
      ['counters', 'blocks', 'columns'],
      VANLEHN,
    ],
  ]),
  ...known(
    'taking away',
    [
      [
        taking.backFromStart,
        '14 − 6 = 9',
        'The first word counted back is one less: the first number is still whole.',
        COUNT,
      ],
      [taking.touchMissedBack, '14 − 6 = 9', 'Each is touched once, and each touch has one word.', COUNT],
      [taking.touchTwiceBack, '14 − 6 = 7', 'Each is touched once, and each touch has one word.', COUNT],
    ],
    'counting',
  ),
  ...known('plus and minus', [
    [
      signed.dropsSign,
      '−3 + 5 = 8',
      'Each counter is above or below the line: minus three is three below.',
      ['signed', 'line'],
    ],
    [
      signed.operationAsOwn,
      '5 − 3 = 8 as 5 − (−3)',
      'The sign between the numbers says what is done, the sign before one says which it is.',
      ['signed', 'line', 'signs'],
    ],
    [
      signed.ownAsOperation,
      '5 − (−3) = 2',
      'Taking minus three away is taking three from below the line.',
      ['signed', 'line', 'signs'],
    ],
    [
      signed.addsSizes,
      '−7 + 3 = −10',
      'One above and one below make nothing: unlike ones are cleared.',
      ['signed', 'line', 'signs'],
    ],
    [
      signed.signOfFirst,
      '−3 + 8 = −5',
      'The longer arrow decides on which side of nought it ends.',
      ['line', 'signed', 'signs'],
    ],
  ]),
  ...known('fractions', [
    [
      fractions.topsAndBottoms,
      '2/5 + 1/5 = 3/10',
      'The parts do not change their size when they are counted together.',
      ['strips', 'vessel', 'fraction-rule'],
    ],
    [
      fractions.oneDenominator,
      '1/2 + 1/3 = 2/3',
      'Parts of different size cannot be counted together before they are cut alike.',
      ['strips', 'vessel', 'fraction-rule'],
    ],
    [
      fractions.bottomOnly,
      '1/2 + 1/3 = 2/6',
      'When each part is cut in three there are three times as many of them.',
      ['strips', 'fraction-rule'],
    ],
    [
      fractions.wholesAsOne,
      '3/4 + 3/4 = 6/8',
      'One whole stays the whole: what is more goes on into the next one.',
      ['strips', 'vessel', 'line'],
    ],
    [
      fractions.bottomTimes,
      '3 * 2/5 = 6/15',
      'Three times as many parts, each as large as before.',
      ['strips', 'line'],
    ],
  ]),
  ...known('decimals', [
    [
      fractions.flushRight,
      '3.5 + 1.25 = 1.6',
      'Points stand under points, tenths under tenths.',
      ['blocks', 'columns'],
    ],
    [
      fractions.afterPointAsWhole,
      '1.8 + 2.7 = 3.15',
      'Ten tenths are one whole, and go on into the ones.',
      ['blocks', 'columns'],
    ],
  ]),
  ...known('coins', [
    [
      coins.keepsLast,
      '25, 50, 75, 100 for three 25s and a ten',
      'Stop where the kind changes, say so, and go on by the new value.',
      ['coins'],
    ],
    [coins.largerForMore, 'a 5 counted as a 10', 'The number says what a coin is worth, not its size.', ['coins']],
    [coins.countsCoins, 'three 25s and two tens = 5', 'Each coin is worth what its number says.', ['coins']],
    [coins.coinTwice, 'one coin counted twice', 'Each coin is moved over as it is counted.', ['coins']],
    [coins.coinLeftOut, 'one coin left out', 'Each coin is moved over as it is counted.', ['coins']],
  ]),
  ...known('multiplying', [
    [multiplying.leftAsOnes, '4 * 9 = 9', 'The fingers to the left of the folded one are tens.', ['nines', 'groups']],
    [
      multiplying.notMovedOver,
      '23 * 14 = 115',
      'The second row is tens: it begins one place further left.',
      ['area', 'product'],
    ],
    [multiplying.oneColumnOnly, '23 * 3 = 29', 'Each part of the number is multiplied.', ['area', 'product']],
    [
      multiplying.carryBefore,
      '27 * 3 = 121',
      'First the digit is multiplied, then what was carried is added.',
      ['area', 'product'],
    ],
    [multiplying.carryDropped, '27 * 3 = 61', 'What was carried is added to the next column.', ['area', 'product']],
    [multiplying.addsFactors, '7 * 8 = 15', 'Seven groups with eight in each.', ['groups', 'area']],
    [
      groups.groupTooFew,
      '7 * 8 = 48',
      'Each group raises one finger: stop when all fingers of the number are up.',
      ['groups', 'fingers'],
    ],
    [
      groups.groupTooMany,
      '7 * 8 = 64',
      'Each group raises one finger: stop when all fingers of the number are up.',
      ['groups', 'fingers'],
    ],
  ]),
  ...known('dividing', [
    [dividing.zeroLeftOut, '612 / 6 = 12', 'A place where no group fits has a nought.', ['plates', 'division']],
    [
      dividing.notBroughtDown,
      '612 / 3 = 20',
      'Every digit is brought down, one after another.',
      ['plates', 'division'],
    ],
    [
      dividing.subtractedUpwards,
      '612 / 7, each column from the greater',
      'What is left is found by taking away, exchanging where it must be.',
      ['plates', 'division'],
    ],
    [
      dividing.remainderTooLarge,
      '17 / 5 = 2 r 7',
      'While as many are left as there are plates, each gets one more.',
      ['plates', 'division'],
    ],
  ]),
  ...known(
    'bead frames',
    [
      [beads.tenNotGivenBack, '8 + 7 = 18', 'Ten is more than seven: what was too much is given back.', ['abacus']],
      [beads.gaveDigitBack, '8 + 7 = 11', 'Seven and three make ten: three are given back.', ['abacus']],
      [beads.nextRodForgotten, '8 + 7 = 5', 'What this rod gives back, the next rod has as one ten.', ['abacus']],
      [beads.lowerCleared, '4 + 2 = 5', 'Only what five is more than is cleared below.', ['abacus']],
      [beads.wrongRod, '34 + 5 = 84', 'Ones are worked on the rod of the ones.', ['abacus']],
    ],
    'beads',
  ),
]

/** The procedure of an id. */
export const procedureById = (id: string): Known | undefined => CATALOGUE.find((p) => p.id === id)
