import { after, type Act } from '../act/act'
import type { DivisionChoices } from '../choices'
import { exact, sign, sizeOf, type Exact } from '../number/exact'
import { printExact } from '../number/numeral'
import { numberText } from '../number/text'
import { pieceName, SIGNED, type Units } from '../number/units'
import { formOf } from '../number/words'
import type { Owed } from '../representation/representation'
import { moveInWords, saySlip } from './beads'
import { isOfDivision, sayTurnOwed } from './division'
import { piecesInFigures, piecesInWords } from './say'
import { capital, named, pretty, say, spokenList, type WordPack } from './words'

const signedFigures = (n: Exact): string => pretty(`${sign(n) < 0 ? '-' : '+'}${printExact(sizeOf(n))}`)

/** What an unfinished move still needs, said kindly and exactly. */
export function sayOwed(
  owed: Owed,
  soFar: readonly Act[],
  before: Exact,
  pack: WordPack,
  units?: Units,
  steps?: DivisionChoices['steps'],
): string {
  if (isOfDivision(owed)) return sayTurnOwed(owed, pack, steps)
  const now = numberText(soFar.reduce(after, before), units)
  switch (owed.kind) {
    case 'nothing':
      return ''
    case 'laid':
      return `${capital(say(owed.there, pack))} is there now; the problem starts with ${say(owed.asked, pack)}.`
    case 'half-pair': {
      const [n, gone, partner] =
        owed.plus > owed.minus
          ? [owed.plus - owed.minus, exact(1), exact(-1)]
          : [owed.minus - owed.plus, exact(-1), exact(1)]
      const it = formOf(n, ['it', 'them'])
      return `${n} ${pieceName(gone, n, SIGNED)} went without a partner: ${now} now. Clear ${n} ${pieceName(partner, n, SIGNED)} with ${it}, or put ${it} back.`
    }
    case 'loose-arrow':
      return `The arrow starts at ${printExact(owed.from)}, and one stands at ${printExact(owed.here)}. Slide it: each arrow starts where the one before it ends.`
    case 'beads': {
      const left = sign(owed.rest) === 0 ? '' : ` Still wanted: ${signedFigures(owed.rest)}.`
      return `${saySlip(owed.slip)}${left}`
    }
    case 'to-go':
      return `Still to come: ${owed.moves.map((m) => moveInWords(m, pack)).join(' ')}`
    case 'product-column': {
      const carried = owed.carried > 0 ? ` + ${owed.carried}` : ''
      return pretty(`Look again: ${owed.times} * ${owed.above}${carried} is not ${owed.wrote}.`)
    }
    case 'not-moved':
      return `This row is for ${owed.times} tens: it begins one place further to the left, with a 0 under the ones.`
    case 'false-line':
      return pretty(`Look again: ${owed.left} is not ${owed.wrote}.`)
    case 'align': {
      const [n, way] = [Math.abs(owed.by), owed.by > 0 ? 'right' : 'left']
      return `Ones under ones: this number stands too far to the ${way === 'right' ? 'left' : 'right'}. Pull it ${n} ${n === 1 ? 'square' : 'squares'} to the ${way}.`
    }
    case 'copy':
      return `Look again at the ${named(owed.place, 2, pack)}: the number is ${printExact(owed.amount)}, the square says ${owed.wrote}.`
    case 'put-back': {
      const gone = soFar[0]?.kind === 'take' ? soFar[0].amount : ''
      return `That takes ${gone} away: ${now} now. Put back ${piecesInFigures(owed.pieces, pack, units)} to finish the ${pack.exchange.noun}.`
    }
    case 'carry-off':
      return `That brings ${soFar[0]?.kind === 'join' ? soFar[0].amount : ''} more: ${now} now. Carry ${piecesInFigures(owed.pieces, pack, units)} to the store to finish the ${pack.exchange.noun}.`
    case 'uneven': {
      const names = spokenList(owed.plates.map(String))
      if (owed.fill !== undefined)
        return `${owed.plates.length === 1 ? `Plate ${names} is` : `Plates ${names} are`} not full yet: ${owed.fill} go on each.`
      const wait = owed.plates.length === 1 ? `plate ${names} waits` : `plates ${names} wait`
      if (!owed.short) return `Not the same on every plate yet: ${wait}.`
      const few =
        owed.short.count === 0
          ? `no ${pieceName(owed.short.unit, 2, units, pack.ones)}`
          : piecesInWords([owed.short], pack, units)
      return `That does not go round: ${wait}, and ${few} ${owed.short.count === 1 ? 'is' : 'are'} left. Take back what was dealt, and ${pack.exchange.breaks}.`
    }
    case 'mark':
      return sayMark(owed.mark, named(owed.place, 2, pack), pack)
    case 'lessen':
      return `Look again at the ${named(owed.place, 2, pack)}: one less than ${owed.was} is wanted, the square says ${owed.wrote}.`
    case 'carry': {
      const [what, places] = [named(owed.place, owed.count, pack), named(owed.place, 2, pack)]
      const missing = owed.count === 1 ? `The ${what} is` : `The ${owed.count} ${what} are`
      if (owed.stands !== null)
        return `${missing} not in the answer yet. Strike the ${owed.stands} in the ${places} and write ${owed.count === 1 ? 'one' : owed.count} more.`
      return `${missing} not written yet. Put a carry mark${owed.count === 1 ? '' : ` of ${owed.count}`} over the ${places}.`
    }
    case 'carried':
      return `A carry mark stands. Write the ${named(owed.place, 2, pack)} that stay.`
    case 'carry-unowed':
      return `Look again at the mark over the ${named(owed.place, 2, pack)}: the column before it says ${owed.column.join(' + ') || '0'}.`
    case 'look-again': {
      const adding = owed.operation === '+' ? owed.column.join(' + ') || '0' : `${owed.above} - ${owed.below}`
      const column = owed.below > 0 || owed.operation === '+' ? adding : String(owed.above)
      const few = owed.operation === '-' && owed.above < owed.below
      return pretty(
        `Look again at the ${named(owed.place, 2, pack)}: the column says ${column}, the square says ${owed.wrote}.` +
          (few ? ` There are too few to take ${owed.below} from: ${pack.exchange.breaks} first.` : ''),
      )
    }
  }
}

function sayMark(mark: 'lessened' | 'small-one' | 'strike', places: string, pack: WordPack): string {
  switch (mark) {
    case 'lessened':
      return `The ${places} digit is struck. Write above it what is left.`
    case 'small-one':
      return `One less is written. Put the small 1 before the ${places} to finish the ${pack.exchange.noun}.`
    case 'strike':
      return `Ten more are used here than the column had. Strike the ${places} digit and write one less, to finish the ${pack.exchange.noun}.`
  }
}
