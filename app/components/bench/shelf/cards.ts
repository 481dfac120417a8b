import type { ShelfId } from './thumbs'

/** One thing a hand does with a material: a picture of before and after, and a sentence. */
export interface HandStep {
  readonly title: string
  readonly text: string
  /** What is on the left and on the right of the arrow, each 44 wide and 44 high: filled shapes and lines. */
  readonly from: Side
  readonly to: Side
}
interface Side {
  readonly fill?: string
  readonly line?: string
  readonly text?: string
}

const cross = (x: number, y: number): string => `M${x - 3} ${y - 9}h6v6h6v6h-6v6h-6v-6h-6v-6h6Z`
const box = (x: number, y: number, w: number, h: number): string => `M${x} ${y}h${w}v${h}h${-w}Z`
const dot = (x: number, y: number, r = 4): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`
const ten = (draw: (x: number, y: number) => string): string =>
  Array.from({ length: 10 }, (_, i) => draw(6 + (i % 5) * 8, 12 + Math.floor(i / 5) * 14)).join('')
const shelf = 'M0 12H44'
const tray = 'M0 30H44'

/** Pieces in columns: blocks and chips move alike. */
const placed = (one: string, high: string, ones: string): readonly HandStep[] => [
  {
    title: 'Take',
    text: 'Drag a piece from the store into its column. Or tap the store, then the column.',
    from: { fill: one, line: shelf },
    to: { fill: high, line: shelf },
  },
  {
    title: 'Exchange',
    text: 'Let a ten go among the ones: it becomes ten ones. Ten ones let go among the tens become one ten.',
    from: { fill: high },
    to: { fill: ones },
  },
  {
    title: 'Take away',
    text: 'Drag pieces to the tray at the foot.',
    from: { fill: high },
    to: { fill: box(6, 33, 30, 6), line: tray },
  },
  {
    title: 'Put back',
    text: 'Drag a piece back to the store. Undo takes any move back.',
    from: { fill: high, line: shelf },
    to: { fill: one, line: shelf },
  },
]
const counted = (more: string, less: string, one: string, several: string, taken: string): readonly HandStep[] => [
  { title: 'One more', text: more, from: {}, to: { fill: one, line: one === '' ? several : '' } },
  {
    title: 'One fewer',
    text: less,
    from: { fill: one && several, line: one === '' ? several : '' },
    to: { line: taken, fill: one },
  },
]
const lines = (kind: string): readonly HandStep[] => [
  { title: 'Write', text: `${kind} Then press Write.`, from: { text: '30 + 40' }, to: { text: '= 70' } },
  {
    title: 'Begin',
    text: 'The button with dots begins the next line for you; you finish it.',
    from: { text: '7 + …' },
    to: { text: '7 + 5' },
  },
  {
    title: 'Put right',
    text: 'A line that does not hold is struck and stays. Write it again below.',
    from: { text: '7 + 5', line: 'M4 22H40' },
    to: { text: '= 12' },
  },
]
const sheet: readonly HandStep[] = [
  {
    title: 'Write',
    text: 'Tap a square, then a digit on the pad or the keyboard.',
    from: { line: box(10, 10, 24, 24) },
    to: { line: box(10, 10, 24, 24), text: '5' },
  },
  {
    title: 'Carry',
    text: 'Tap the small square over the next column for a carry mark.',
    from: { text: '12' },
    to: { line: box(12, 10, 20, 24), text: '1' },
  },
  {
    title: 'Lessen',
    text: 'Tap a digit, strike it (X) and write one less. S puts the small 1 before a digit.',
    from: { text: '52' },
    to: { text: '52', line: 'M8 30L20 14' },
  },
  {
    title: 'Put right',
    text: 'Write another digit in the square: the old one is struck. Undo takes any mark back.',
    from: { text: '6', line: 'M14 30L30 14' },
    to: { text: '5' },
  },
]
const bead = (y: number): string => `M8 ${y}l14 -6l14 6l-14 6Z`
const beads = (upper: boolean): readonly HandStep[] => [
  {
    title: 'Set',
    text: 'Push a bead to the bar: it counts. Those between it and the bar go with it.',
    from: { fill: bead(36), line: 'M0 12H44' },
    to: { fill: bead(20), line: 'M0 12H44' },
  },
  {
    title: 'Clear',
    text: 'Push it away from the bar again.',
    from: { fill: bead(20), line: 'M0 12H44' },
    to: { fill: bead(36), line: 'M0 12H44' },
  },
  ...(upper
    ? [
        {
          title: 'Pinch',
          text: 'With Pinch on, or with two fingers, the upper bead and lower ones move together.',
          from: { fill: bead(6) + bead(38), line: 'M0 22H44' },
          to: { fill: bead(14) + bead(30), line: 'M0 22H44' },
        },
      ]
    : []),
  {
    title: 'By keyboard',
    text: 'Arrows go from rod to rod and move a bead; a digit sets so many.',
    from: { text: '← →' },
    to: { text: '7' },
  },
]

/** What hands do with each material, in twenty seconds of reading. Drawn for Sett. */
export const CARDS: Readonly<Record<ShelfId, readonly HandStep[]>> = {
  blocks: placed(
    box(18, 1, 5, 10),
    box(18, 14, 6, 28),
    ten((x, y) => box(x - 3, y - 3, 6, 6)),
  ),
  chips: placed(
    dot(22, 6, 5),
    dot(22, 26, 6),
    ten((x, y) => dot(x, y, 3.4)),
  ),
  drawn: [
    { title: 'Draw', text: 'Tap a column: one line for a ten, one dot for a one.', from: {}, to: { line: 'M22 8V36' } },
    {
      title: 'Exchange',
      text: 'Break crosses out a ten and draws ten ones below. Ring makes ten ones one ten.',
      from: { line: 'M22 8V36M12 30L32 14' },
      to: { fill: ten((x, y) => dot(x, y, 3)) },
    },
    {
      title: 'Take away',
      text: 'Tap what you drew: it is crossed out. Nothing is rubbed out.',
      from: { fill: dot(22, 22, 5) },
      to: { fill: dot(22, 22, 5), line: 'M12 12L32 32M32 12L12 32' },
    },
  ],
  fingers: counted(
    'Tap a finger that is down: it goes up and counts one.',
    'Tap a raised finger, or press Fold: it goes down.',
    box(18, 6, 8, 34),
    box(18, 6, 8, 34),
    'M10 36H34',
  ),
  joints: counted(
    'Tap a mark: it counts one.',
    'Press Unmark for one fewer.',
    dot(22, 22, 7),
    dot(22, 22, 7),
    'M12 32L32 12',
  ),
  tallies: counted(
    'Tap the paper, or press Draw: one stroke, the fifth across.',
    'Press Cross: the last stroke is crossed out and stays to be seen.',
    '',
    'M12 8V36M20 8V36',
    'M8 34L36 10M22 8V36',
  ),
  counters: [
    ...counted(
      'Tap the mat, or press Put: a counter comes out of the bowl.',
      'Tap a counter, or press Return: it goes back to the bowl, so that it is not muddled with what is left.',
      dot(22, 22, 8),
      dot(22, 22, 8),
      'M8 38H36',
    ),
    {
      title: 'Set apart',
      text: 'For the second number: set counters apart, then push them together.',
      from: { fill: dot(8, 22) + dot(36, 22) },
      to: { fill: dot(17, 22) + dot(27, 22) },
    },
  ],
  signed: [
    {
      title: 'Lay',
      text: 'Tap plus or minus in the store, or drag it: pluses lie above the line, minuses below.',
      from: { line: 'M4 24H40' },
      to: { fill: cross(22, 10) + box(14, 30, 16, 6), line: 'M4 24H40' },
    },
    {
      title: 'Zero pair',
      text: 'Drag a plus onto a minus, or press Line up: together they are worth nothing. Clear takes them off.',
      from: { fill: cross(10, 12) + box(26, 30, 16, 6), line: 'M4 24H40' },
      to: { line: 'M4 24H40M22 12a12 12 0 1 0 0.1 0Z' },
    },
    {
      title: 'Take away',
      text: 'Drag counters to the tray. Too few there? Bring in pairs first: they change nothing.',
      from: { fill: cross(12, 14) },
      to: { fill: cross(32, 14), line: 'M22 4V40' },
    },
  ],
  strips: [
    {
      title: 'Lay',
      text: 'Drag parts from the store into the row, end to end. Or tap them.',
      from: { line: 'M4 18h36v10h-36Z' },
      to: { fill: box(4, 18, 18, 10), line: 'M22 18h18v10h-18' },
    },
    {
      title: 'Recut',
      text: 'Choose what to cut and into which parts. The length stays.',
      from: { fill: box(4, 18, 18, 10) },
      to: { fill: box(4, 18, 8, 10) + box(13, 18, 9, 10) },
    },
    {
      title: 'Push together',
      text: 'The next number lies beside; pushed together, its parts are counted on.',
      from: { fill: box(4, 12, 18, 9) + box(4, 28, 9, 9) },
      to: { fill: box(4, 20, 18, 9) + box(23, 20, 9, 9) },
    },
    {
      title: 'Compare',
      text: 'Rows begin at one edge: what reaches farther is more.',
      from: { fill: box(4, 12, 30, 9) },
      to: { fill: box(4, 12, 30, 9) + box(4, 28, 22, 9) },
    },
  ],
  vessel: [
    {
      title: 'Pour in',
      text: 'Tap a part in the store: the level rises by just so much.',
      from: { line: 'M8 6V40H36V6' },
      to: { fill: box(10, 24, 24, 14), line: 'M8 6V40H36V6' },
    },
    {
      title: 'New level lines',
      text: 'Cut what is there into other parts: the lines change, the level stays.',
      from: { fill: box(10, 24, 24, 14), line: 'M8 6V40H36V6' },
      to: { fill: box(10, 24, 24, 14), line: 'M8 6V40H36V6M8 31h8M8 24h8' },
    },
    {
      title: 'Pour out',
      text: 'Taking away pours out; the level falls.',
      from: { fill: box(10, 14, 24, 24), line: 'M8 6V40H36V6' },
      to: { fill: box(10, 28, 24, 10), line: 'M8 6V40H36V6' },
    },
  ],
  coins: [
    {
      title: 'Count',
      text: 'Tap a coin of the heap: it moves over and stays seen. The greatest kind first.',
      from: { line: dot(22, 22, 14) },
      to: { line: dot(22, 22, 14), text: '25' },
    },
    {
      title: 'Stop',
      text: 'Where the kind changes, stop and say so: seventy-five, now tens, eighty-five.',
      from: { text: '75' },
      to: { text: '85' },
    },
    {
      title: 'Exchange',
      text: 'Coins counted are exchanged for others of the same worth: one 25 for 10, 10 and 5.',
      from: { line: dot(22, 22, 14) },
      to: { line: dot(10, 18, 8) + dot(30, 16, 8) + dot(22, 34, 7) },
    },
    {
      title: 'Take back',
      text: 'Tap a coin that was counted: it goes back.',
      from: { line: dot(22, 22, 14) },
      to: {},
    },
  ],
  groups: [
    {
      title: 'One group more',
      text: 'Press the button, or tap the next outline: one more group lies there, and the total runs along.',
      from: { line: dot(22, 22, 15) },
      to: { line: dot(22, 22, 15), fill: dot(17, 18) + dot(27, 18) + dot(17, 28) + dot(27, 28) },
    },
    {
      title: 'Split',
      text: 'Say after how many: seven eights are five eights and two eights. Then fill each part at once.',
      from: { fill: ten(dot) },
      to: { fill: ten(dot), line: 'M0 19H44' },
    },
    {
      title: 'Turn it round',
      text: 'Rows become columns: it is as much. Rings, array and bars show the same groups.',
      from: { fill: box(4, 14, 36, 16) },
      to: { fill: box(14, 4, 16, 36) },
    },
  ],
  area: [
    {
      title: 'Part it',
      text: 'Press “Part it at the tens”: both sides fall into tens and ones.',
      from: { line: box(4, 8, 36, 28) },
      to: { line: `${box(4, 8, 36, 28)}M28 8v28M4 26h36` },
    },
    {
      title: 'Fill the parts',
      text: 'Tap a part, write how much it is, and press Enter. Then read them all together.',
      from: { line: `${box(4, 8, 36, 28)}M28 8v28M4 26h36` },
      to: { line: `${box(4, 8, 36, 28)}M28 8v28M4 26h36`, fill: box(4, 8, 24, 18) },
    },
  ],
  product: [
    {
      title: 'Write',
      text: 'The square that comes next is framed: press a digit. Another square is chosen by tapping it.',
      from: { line: box(10, 10, 24, 24) },
      to: { line: box(10, 10, 24, 24), text: '8' },
    },
    {
      title: 'Carry',
      text: 'What is too much for the square goes over the next digit above, and is added after multiplying.',
      from: { text: '28' },
      to: { line: box(12, 10, 20, 24), text: '2' },
    },
    {
      title: 'The second row',
      text: 'It is for tens: it begins with a 0 under the ones. Then both rows are added.',
      from: { text: '148' },
      to: { text: '740' },
    },
    {
      title: 'Put right',
      text: 'Write another digit in a square: the old one is struck and stays.',
      from: { text: '6', line: 'M14 30L30 14' },
      to: { text: '5' },
    },
  ],
  division: [
    {
      title: 'Divide',
      text: 'Count the divisor on fingers until it is over, and take the last finger back. Write how many over the digit.',
      from: { text: '61' },
      to: { text: '8' },
    },
    {
      title: 'Multiply, subtract',
      text: 'Write the product under what is divided, then what is left. The cursor goes from square to square.',
      from: { text: '61', line: 'M8 40H36' },
      to: { text: '5' },
    },
    {
      title: 'Bring down',
      text: 'The card moves on, and the next digit stands beside what is left. Then the same turn again.',
      from: { text: '5', fill: box(28, 10, 14, 22) },
      to: { text: '52' },
    },
    {
      title: 'Put right',
      text: 'Press a step again to write it anew: what stood there is struck and stays.',
      from: { text: '7', line: 'M14 30L30 14' },
      to: { text: '8' },
    },
  ],
  plates: [
    {
      title: 'Take in hand',
      text: 'Tap the store of a kind, or drag from it: one comes into the hand.',
      from: { fill: box(8, 2, 6, 28), line: shelf },
      to: { fill: box(8, 14, 6, 28) + box(18, 14, 6, 28) },
    },
    {
      title: 'Deal',
      text: 'Tap a piece: it goes to the plate whose turn it is. “One on each” gives one to every plate.',
      from: { fill: dot(22, 8), line: dot(10, 32, 9) + dot(34, 32, 9) },
      to: { fill: dot(10, 32) + dot(34, 32), line: dot(10, 32, 9) + dot(34, 32, 9) },
    },
    {
      title: 'Exchange',
      text: 'What does not go round is broken: one ten is ten ones. Drag it into the next column, or press Break.',
      from: { fill: box(18, 6, 6, 30) },
      to: { fill: ten((x, y) => box(x - 3, y - 3, 6, 6)) },
    },
    {
      title: 'Left over',
      text: 'What stays in hand is left over. Read it with the answer: 87 r 3.',
      from: { fill: dot(14, 10) + dot(24, 10) + dot(34, 10) },
      to: { text: 'r 3' },
    },
  ],
  touch: [
    {
      title: 'Touch',
      text: 'Tap each notch once, along the pen’s way: each counts one. A comb is five.',
      from: { line: 'M22 6V38', fill: '' },
      to: { line: 'M22 6V38M12 14H32M12 30H32' },
    },
    {
      title: 'Say',
      text: 'Say the number at each touch. Counting on, the first word is one more than the number you keep.',
      from: { text: '8 ·' },
      to: { text: '9 10' },
    },
  ],
  'touch-columns': [
    {
      title: 'Touch',
      text: 'Each column on its own, from the ones: keep the greater digit, touch the notches of the other.',
      from: { text: '7' },
      to: { line: 'M22 6V38M12 14H32M12 30H32' },
    },
    ...sheet.slice(0, 2),
  ],
  nines: [
    {
      title: 'Fold',
      text: 'Tap a finger: it folds. Count it from the left.',
      from: { fill: box(6, 8, 6, 30) + box(18, 8, 6, 30) + box(30, 8, 6, 30) },
      to: { fill: box(6, 8, 6, 30) + box(18, 30, 6, 8) + box(30, 8, 6, 30) },
    },
    {
      title: 'Read',
      text: 'Fingers before it are tens, fingers after it are ones.',
      from: { fill: box(6, 8, 6, 30) + box(18, 30, 6, 8) + box(30, 8, 6, 30) },
      to: { text: '1 | 1' },
    },
  ],
  line: [
    {
      title: 'Stand',
      text: 'Tap the line where the first number is.',
      from: { line: 'M2 30H42M22 24V36' },
      to: { line: 'M2 30H42M22 24V36', fill: dot(32, 30, 4) },
    },
    {
      title: 'Arrow',
      text: 'Drag from where you stand: right is up, left is down. Each arrow starts where the last one ends.',
      from: { line: 'M2 30H42', fill: dot(32, 30, 4) },
      to: { line: 'M2 30H42M32 16H14', fill: 'M8 16l8 -5v10Z' + dot(8, 30, 4) },
    },
    {
      title: 'By keyboard',
      text: 'Arrow keys move the pointer to where the arrow is to end; Enter draws it.',
      from: { text: '← →' },
      to: { text: '↵' },
    },
  ],
  'nine-tricks': lines('Write one less and what it lacks to nine; or ten times the number, and take the number away.'),
  'fraction-rule': lines('Multiply top and bottom alike until the bottoms are the same, then add the tops.'),
  signs: lines('Write what is asked with plus instead of minus, work with the sizes, then give the sign.'),
  openline: [
    { title: 'Start', text: 'Press the number to start from.', from: {}, to: { line: 'M2 30H42M10 24V36' } },
    {
      title: 'Hop',
      text: 'Press +10, +1 or type a hop of your own. Each landing is written.',
      from: { line: 'M2 30H42M10 24V36' },
      to: { line: 'M2 30H42M10 24V36M10 28C14 8 28 8 32 28M32 24V36' },
    },
    {
      title: 'Back',
      text: 'Hops with − go back. Undo takes any hop back.',
      from: { line: 'M2 30H42M32 24V36' },
      to: { line: 'M2 30H42M32 28C28 8 14 8 10 28M10 24V36' },
    },
  ],
  columns: sheet,
  partials: lines('Write tens with tens, ones with ones, then both together.'),
  friendly: lines('Write the question anew so that it is easier and worth the same.'),
  splits: lines('Tap a number of the diagram to put it into the line.'),
  abacus: beads(true),
  'two-five': beads(true),
  frame: beads(false),
  'stay-put': [
    {
      title: 'Feel',
      text: 'Stroke along a rod: its beads are told. Nothing moves by that.',
      from: { fill: bead(22) },
      to: { fill: bead(22), line: 'M22 4V40' },
    },
    ...beads(true).slice(0, 2),
    ...beads(true).slice(3),
  ],
}
