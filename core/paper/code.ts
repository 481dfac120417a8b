import { checkSign, signsIn, spelt } from '../number/signs'
import { attempt, Refusal } from '../refusal'

/** The code of a printed list of problems: made from the problems themselves, so that the same list always has the same one. */

/** Where the check of a list's code begins: elsewhere than that of a set made in Marking, so neither is taken for the other. */
const CHECK = 20

/** The FNV-1a hash of a text, 64 bits wide (Fowler, Noll, Vo; from memory). */
function hashOf(text: string): bigint {
  let hash = 0xcbf29ce484222325n
  for (let i = 0; i < text.length; i++)
    hash = ((hash ^ BigInt(text.charCodeAt(i))) * 0x100000001b3n) & 0xffffffffffffffffn
  return hash
}

/** A list's code: `7KQ2-M0XD-4`. */
export function codeOfList(problems: readonly string[]): string {
  const hash = hashOf(problems.join('\n'))
  return spelt((hash ^ (hash >> 24n)) & 0xffffffffffn, CHECK)
}

/** A code as it is kept, from how it was typed or read by a camera. @throws Refusal where it is no code of a printed list. */
export function listCode(typed: string): string {
  const plain = signsIn(typed)
  if (plain === undefined)
    throw new Refusal('A code has nine letters and digits.', 'It stands at the foot of the printed sheet.')
  if (checkSign(plain.slice(0, 8), CHECK) !== plain[8])
    throw new Refusal('That is no code of a printed sheet: a sign of it is wrong.', 'Look at it once more.')
  return `${plain.slice(0, 4)}-${plain.slice(4, 8)}-${plain[8]}`
}

/** Whether a text is the code of a printed list. */
export const isListCode = (typed: string): boolean => 'ok' in attempt(() => listCode(typed))
