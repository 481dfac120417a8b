import type { WordPack } from '../../speech/words'

/** What is said and asked at a step, in the class's own words. Common practice, no source. */

const SAY = {
  each: 'Touch each one once, and say one number for each.',
  howMany: 'How many? Say the last number again.',
  tensOnes: 'So many tens, and so many {ones}.',
  eachPlace: 'One place at a time, from the {ones} on.',
  together: 'Put them together. How many now?',
  on: 'Keep the greater one in your head, and count on.',
  toTen: 'First up to ten, then the rest.',
  tenMates: 'What does it want to make ten?',
  friendly: 'One of them is near a ten: make it that ten first.',
  under: '{Ones} under {ones}, tens under tens.',
  onesOnly: 'Only the {ones} change.',
  onesThenTens: 'First the {ones}, then the tens.',
  tenForOne: 'Ten {ones}: {exchange} them {link} one ten. It is worth the same.',
  oneForTen: 'Not enough {ones}: {exchange} one ten {link} ten {ones}. It is worth the same.',
  across: 'Nothing there to {exchange}: go one place on, and come back place by place.',
  takeAway: 'Take them away. How many are left?',
  downToTen: 'First down to ten, then the rest.',
  groups: 'So many in each group, and so many groups.',
  parts: 'Tens and {ones} apart: each part is multiplied.',
  fourParts: 'Four parts: each of these times each of those.',
  carryThen: 'Multiply first, then add what was carried.',
  deal: 'One to each, round by round.',
  rest: 'What does not go round is left over; it is less than there are to share among.',
  shareTens: 'Share the tens first; {exchange} those that do not go round.',
  bringDown: 'Divide, multiply, take away, bring down. Every place of the answer gets a digit.',
  pair: 'One plus and one minus make nought.',
  bringPairs: 'Nothing there to take: bring in pairs, which are worth nought.',
  sameParts: 'The parts are the same: only count them.',
  cut: 'Cut both into the same parts first.',
  otherName: 'The same length, by another name.',
  points: 'Point under point.',
  tenthsWhole: 'Ten tenths are one whole.',
  larger: 'Lay them edge to edge: which goes farther?',
  coinsWorth: 'A coin counts as much as it says, not as one.',
  countUp: 'Count up from the price to what was paid.',
  beadsDirect: 'There are enough beads: move them.',
  beadsFive: 'Five down, and give back what is too much.',
  beadsTen: 'Give back what it wants to ten, then one on the next rod.',
} as const

const ASK = {
  more: 'Will it be more or less than before?',
  column: 'Which column will change?',
  enough: 'Are there enough {ones}?',
  tenNow: 'Will it make a ten?',
  tens: 'About how many tens will it be?',
  each: 'About how many will each get?',
  left: 'Will something be left over?',
  sign: 'Above nought or below?',
  half: 'More than a half? More than a whole?',
  which: 'Which is more? How can you tell before it is laid?',
  hand: 'How many will it be? Say it before you count.',
  coins: 'Which coin first?',
  beads: 'Are there enough beads on this rod?',
} as const

export type SayId = keyof typeof SAY
export type AskId = keyof typeof ASK

const filled = (text: string, { ones, exchange }: WordPack): string =>
  text
    .replaceAll('{ones}', ones[1])
    .replaceAll('{Ones}', ones[1].charAt(0).toUpperCase() + ones[1].slice(1))
    .replaceAll('{exchange}', exchange.verb)
    .replaceAll('{link}', exchange.link)

/** What to say, in the class's words: a phrase by its id, or a text of one's own. */
export const saidAs = (text: string, pack: WordPack): string =>
  filled(Object.hasOwn(SAY, text) ? SAY[text as SayId] : text, pack)
/** What to ask before a move, likewise. */
export const askedAs = (text: string, pack: WordPack): string =>
  filled(Object.hasOwn(ASK, text) ? ASK[text as AskId] : text, pack)

const idOf = (phrases: Readonly<Record<string, string>>, text: string, pack: WordPack): string =>
  Object.keys(phrases).find((id) => filled(phrases[id]!, pack) === text.trim()) ?? text.trim()

/** A line as a step keeps it: a phrase's id where it is one in the class's words, else the text itself. */
export const sayIdOf = (text: string, pack: WordPack): string => idOf(SAY, text, pack)
export const askIdOf = (text: string, pack: WordPack): string => idOf(ASK, text, pack)
