import type { Act } from '../act/act'
import { piecesFor, type Units } from '../number/units'
import { piecesInWords } from './say'
import { capital, say, type WordPack } from './words'

/**
 * The first thing for a hand to do, said before anything lies there: “Now lay fifty-two: drag five tens and two ones from the
 * store.” `opening` is the material's own way of setting a number out.
 */
export function sayOpening(act: Act | null, opening: string | undefined, pack: WordPack, units: Units): string {
  if (!act) return ''
  switch (act.kind) {
    case 'lay': {
      if (act.inHead) return `Now keep ${say(act.amount, pack)} in your head.`
      const pieces = act.pieces ?? piecesFor(act.amount, units) ?? []
      const how = (opening ?? 'set out {number}')
        .replace('{number}', say(act.amount, pack))
        .replace('{pieces}', piecesInWords(pieces, pack, units))
      return `Now ${how}.`
    }
    case 'begin':
      return act.to === null
        ? `Now count in steps of ${say(act.step, pack)}.`
        : `Now count from ${say(act.from, pack)} up to ${say(act.to, pack)}${act.step === '1' ? '' : `, in steps of ${say(act.step, pack)}`}.`
    case 'group':
      return opening ? `Now ${opening}.` : 'Now fold one finger: the one that says how many nines.'
    default:
      return capital(
        `now ${opening?.replace('{number}', 'the first number').replace('{pieces}', 'its pieces') ?? 'begin'}.`,
      )
  }
}
