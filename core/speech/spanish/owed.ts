import { after, type Act } from '../../act/act'
import { add, negate, sizeOf, ZERO, type Exact } from '../../number/exact'
import { printExact } from '../../number/numeral'
import { numberText } from '../../number/text'
import { piecesFor, type Units } from '../../number/units'
import { placeOfUnit } from '../../number/places'
import type { SpanishMaterial } from '../../language'
import type { RepresentationId } from '../../materials'
import { REPRESENTATIONS } from '../../representation/index'
import type { Gap, Match } from '../../representation/match'
import type { Owed } from '../../representation/representation'
import { capital, pretty, say, type WordPack } from '../words'
import { labelOf } from './say'
import { figuresInSpanish, OPENINGS, piecesInSpanish, placeInSpanish, TITLES } from './words'

/** What is still to be done, how to begin, and whether two materials agree, in Spanish. */

/** What an unfinished move still needs, said kindly and exactly. */
export function sayOwed(owed: Owed, soFar: readonly Act[], before: Exact, pack: WordPack, units?: Units): string {
  const now = numberText(soFar.reduce(after, before), units)
  const places = 'place' in owed ? placeInSpanish(owed.place, 2) : ''
  switch (owed.kind) {
    case 'nothing':
      return ''
    case 'laid':
      return `Ahora hay ${say(owed.there, pack)}; el problema empieza con ${say(owed.asked, pack)}.`
    case 'put-back': {
      const gone = soFar[0]?.kind === 'take' ? soFar[0].amount : ''
      return `Así se quita ${gone}: ahora hay ${now}. Vuelve a poner ${figuresInSpanish(owed.pieces)} para terminar el ${pack.exchange.noun}.`
    }
    case 'carry-off':
      return `Así hay ${soFar[0]?.kind === 'join' ? soFar[0].amount : ''} más: ahora hay ${now}. Lleva ${figuresInSpanish(owed.pieces)} al almacén para terminar el ${pack.exchange.noun}.`
    case 'align': {
      const [n, right] = [Math.abs(owed.by), owed.by > 0]
      return `Unidades bajo unidades: este número está demasiado a la ${right ? 'izquierda' : 'derecha'}. Muévelo ${n} ${n === 1 ? 'casilla' : 'casillas'} a la ${right ? 'derecha' : 'izquierda'}.`
    }
    case 'copy':
      return `Mira otra vez las ${places}: el número es ${printExact(owed.amount)}, la casilla dice ${owed.wrote}.`
    case 'mark':
      return markOwed(owed.mark, places, pack)
    case 'lessen':
      return `Mira otra vez las ${places}: hace falta uno menos que ${owed.was}, la casilla dice ${owed.wrote}.`
    case 'carry': {
      const what = `${owed.count === 1 ? `La ${placeInSpanish(owed.place, 1)} no está` : `Las ${owed.count} ${places} no están`}`
      if (owed.stands !== null)
        return `${what} todavía en la respuesta. Tacha el ${owed.stands} en las ${places} y escribe ${owed.count === 1 ? 'uno' : owed.count} más.`
      return `${what} ${owed.count === 1 ? 'escrita' : 'escritas'} todavía. Pon ${owed.count === 1 ? 'una llevada' : `una llevada de ${owed.count}`} sobre las ${places}.`
    }
    case 'carried':
      return `Hay una llevada. Escribe las ${places} que se quedan.`
    case 'carry-unowed':
      return `Mira otra vez la llevada sobre las ${places}: la columna anterior dice ${owed.column.join(' + ') || '0'}.`
    case 'look-again': {
      const adding = owed.operation === '+' ? owed.column.join(' + ') || '0' : `${owed.above} - ${owed.below}`
      const column = owed.below > 0 || owed.operation === '+' ? adding : String(owed.above)
      const few = owed.operation === '-' && owed.above < owed.below
      return pretty(
        `Mira otra vez las ${places}: la columna dice ${column}, la casilla dice ${owed.wrote}.` +
          (few ? ` No hay bastantes para quitar ${owed.below}: primero ${pack.exchange.breaks}.` : ''),
      )
    }
    default:
      return 'A este paso todavía le falta algo.'
  }
}

function markOwed(mark: 'lessened' | 'small-one' | 'strike', places: string, pack: WordPack): string {
  switch (mark) {
    case 'lessened':
      return `La cifra de las ${places} está tachada. Escribe encima lo que queda.`
    case 'small-one':
      return `Ya está escrito uno menos. Pon el 1 pequeño delante de las ${places} para terminar el ${pack.exchange.noun}.`
    case 'strike':
      return `Aquí se usan diez más de los que tenía la columna. Tacha la cifra de las ${places} y escribe una menos para terminar el ${pack.exchange.noun}.`
  }
}

/** The first thing for a hand to do: “Ahora pon cincuenta y dos: arrastra cinco decenas y dos unidades desde el almacén.” */
export function sayOpening(act: Act | null, opening: string | undefined, pack: WordPack, units: Units): string {
  if (!act) return ''
  const how = OPENINGS[opening ?? ''] ?? 'prepara {number}'
  switch (act.kind) {
    case 'lay':
      if (act.inHead) return `Ahora guarda ${say(act.amount, pack)} en la cabeza.`
      return `Ahora ${how
        .replace('{number}', say(act.amount, pack))
        .replace('{pieces}', piecesInSpanish(act.pieces ?? piecesFor(act.amount, units) ?? []))}.`
    case 'begin':
      return act.to === null
        ? `Ahora cuenta de ${say(act.step, pack)} en ${say(act.step, pack)}.`
        : `Ahora cuenta desde ${say(act.from, pack)} hasta ${say(act.to, pack)}.`
    default:
      return `Ahora ${how.replace('{number}', 'el primer número').replace('{pieces}', 'sus piezas')}.`
  }
}

const title = (id: RepresentationId): string => TITLES[id as SpanishMaterial] ?? REPRESENTATIONS[id].title
function sayGap({ done, missing, act, instead }: Gap, pack: WordPack): string {
  const here = `${capital(title(done))}: ${labelOf(act, pack)}.`
  if (instead) return `${here} ${capital(title(missing))}: ${labelOf(instead, pack)}. No coinciden.`
  if (act.kind === 'exchange' && REPRESENTATIONS[missing].sums) {
    const places = [...act.from, ...act.to].map((p) => placeOfUnit(p.unit) ?? 0)
    return `${here} ${capital(title(missing))}: todavía no hay marca sobre las ${placeInSpanish(Math.max(...places), 2)}.`
  }
  return `${here} ${capital(title(missing))}: todavía no.`
}
/** Everything that is to be said of two materials worked side by side; one sentence where they agree. */
export function sayMatch(match: Match, pack: WordPack): readonly string[] {
  if (match.agree) return ['Los dos muestran los mismos pasos.']
  const copied = match.copied
    ? [`La respuesta está en: ${title(match.copied)}. Allí falta lo que lleva hasta ella.`]
    : []
  return [...copied, ...match.gaps.map((gap) => sayGap(gap, pack))]
}

/** A guess held against what stands there in the end. */
export function sayGuess(guess: Exact, there: Exact, pack: WordPack): string {
  const off = sizeOf(add(guess, negate(there)))
  return off === ZERO
    ? `Justo lo que estimaste: ${say(guess, pack)}.`
    : `La estimación era ${say(guess, pack)}: a ${say(off, pack)} de distancia.`
}
const LINE_WORDS: Readonly<Record<string, string>> = {
  read: 'leído',
  'in the head': 'en la cabeza',
  from: 'desde',
  to: 'hasta',
  by: 'de',
  times: 'veces',
}
export const lineInWords = (text: string): string =>
  text.replace(/\b(read|in the head|from|to|by|times)\b/g, (word) => LINE_WORDS[word]!)
export const UNDER_WAY = { sheet: 'en la hoja', arrow: 'flecha suelta' } as const
export const sayStart = (asked: Exact, pack: WordPack): string => `El problema empieza con ${say(asked, pack)}.`
export const carryNote = (stays: number, carried: number): string => `escribe ${stays}, lleva ${carried}`
