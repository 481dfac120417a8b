import { placeNamed } from '../../number/places'
import type { SpanishMaterial } from '../../language'
import { REPRESENTATIONS } from '../../representation/index'
import { placeInSpanish, THINGS, TITLES } from './words'
import { capital } from '../../number/words'

/**
 * Why something cannot be, in Spanish. A material gives its reason once, in English, where its rule is; here the same is said by the
 * shape of the sentence. What has no shape here stays English (reasonInSpanish gives null), and is marked as that on the screen.
 */

type Shape = readonly [shape: RegExp, said: (...parts: readonly string[]) => string]

/** “tens” is “decenas”; after one, “ten” is “decena”. */
const piece = (word: string): string => {
  const place = placeNamed(word.toLowerCase())
  return place === undefined ? word : placeInSpanish(place, /s$/.test(word) ? 2 : 1)
}
/** “Hay solo 2 unidades”, “no hay decenas”: how many there are, as the English has it (`no`, `only 2`, `2`). */
const thereAre = (n: string, word: string): string => {
  if (n === 'no') return `No hay ${piece(word)}`
  return `Hay ${n.replace('only', 'solo')} ${piece(word)}`
}

const MATS: Readonly<Record<string, string>> = {
  'the chart': 'la tabla',
  'the chip mat': 'el tablero de fichas',
  'the drawing': 'el dibujo',
  'counting one by one': 'contar de uno en uno',
  'the column sheet': 'la hoja de columnas',
  'the line': 'la recta',
}
const mat = (name: string): string => MATS[name.toLowerCase()] ?? name
const WHERE: Readonly<Record<string, string>> = {
  'on the mat': 'en el tablero',
  'set beside': 'al lado',
  'beside the mat': 'al lado del tablero',
  'taken away': 'entre lo quitado',
  'in the store': 'en el almacén',
}
const thing = (name: string): string => {
  const one = name.toLowerCase().replace(/s$/, '')
  return THINGS[one]?.[one === name.toLowerCase() ? 0 : 1] ?? name
}
const MATERIALS: Readonly<Record<string, string>> = { blocks: 'los bloques', chips: 'las fichas' }
const material = (name: string): string => MATERIALS[name.toLowerCase()] ?? name
const BECAUSE: Readonly<Record<string, string>> = {
  'it has no place above the thousands': 'no tiene lugar por encima de los millares',
  'it has no sign above the thousands': 'no tiene signo por encima de los millares',
  'two hands and one ten in the head hold 20': 'dos manos y una decena en la cabeza dan para 20',
  'loose counters are for numbers up to 20': 'las fichas sueltas son para números hasta 20',
}

const SHAPES: readonly Shape[] = [
  // What a problem needs and a material has not.
  [
    /^(\S+) is asked\. It holds (\d+): ([^.]+)\.$/,
    (n, most, why) => `Se pide ${n}. Da para ${most}: ${BECAUSE[why!] ?? why}.`,
  ],
  [
    /^(.+) holds (\d+) at most: (.+); (\S+) is more\.$/,
    (m, most, why, n) => `${capital(mat(m!))} da como mucho para ${most}: ${BECAUSE[why!] ?? why}; ${n} es más.`,
  ],
  [
    /^(\S+) is below nought, and (.+) shows nothing below nought\.$/,
    (n, m) => `${n} está por debajo de cero, y ${mat(m!)} no muestra nada por debajo de cero.`,
  ],
  [
    /^(\S+) is not a whole number, and (.+) shows whole numbers only\.$/,
    (n, m) => `${n} no es un número entero, y ${mat(m!)} solo muestra números enteros.`,
  ],
  [
    /^(\S+(?: \S+)?) is a fraction, and (.+) is made of tens\.$/,
    (n, m) => `${n} es una fracción, y ${mat(m!)} va de diez en diez.`,
  ],
  [
    /^(.+) adds and takes away; it does not multiply or divide\.$/,
    (m) => `${capital(mat(m!))} sirve para sumar y restar; no para multiplicar ni dividir.`,
  ],
  [
    /^(.+) shows one amount; nothing lies beside it to be compared\.$/,
    (m) => `${capital(mat(m!))} muestra una sola cantidad; no hay nada al lado para comparar.`,
  ],
  [
    /^(.+) works numbers one after another; it does not add equal groups together\.$/,
    (m) => `${capital(mat(m!))} trabaja un número tras otro; no junta grupos iguales.`,
  ],
  // Pieces in columns, and drawn ones.
  [
    /^There (?:is|are) (no|only \d+|\d+) (\S+) (on the mat|set beside|beside the mat|taken away|in the store); (\d+) (?:is|are) wanted\.(?: Break one (.+) first\.)?$/,
    (n, word, where, wanted, above) =>
      `${thereAre(n!, word!)} ${WHERE[where!]}; hacen falta ${wanted}.${above ? ` Primero parte una ${piece(above)}.` : ''}`,
  ],
  [
    /^There (?:is|are) (no|only \d+) (\S+) drawn; (\d+) (?:is|are) wanted\.(?: Break one (.+) first\.)?$/,
    (n, word, wanted, above) =>
      `${thereAre(n!, word!)} en el dibujo; hacen falta ${wanted}.${above ? ` Primero parte una ${piece(above)}.` : ''}`,
  ],
  [
    /^There are no (\S+) (on the mat|set beside|beside the mat|taken away)\.$/,
    (word, where) => `No hay ${piece(word!)} ${WHERE[where!]}.`,
  ],
  [
    /^It takes (\d+) (\S+) to make (?:one|\d+) (.+); the mat has (\d+)\.$/,
    (need, low, high, have) =>
      `Hacen falta ${need} ${piece(low!)} para formar una ${piece(high!.replace(/s$/, ''))}; en el tablero hay ${have}.`,
  ],
  [
    /^(\S+) do not go from (.+) straight to (.+)\.(?: Bring them to the mat first\.)?$/,
    (m) => `${capital(material(m!))} no van hasta ahí directamente. Llévalos primero al tablero.`,
  ],
  [
    /^(\S+) and (\S+) are not next to each other\.(?: .+)?$/,
    (a, b) => `${capital(piece(a!))} y ${piece(b!)} no están una junto a otra.`,
  ],
  [/^A (\S+) cannot be broken here\.(?: .+)?$/, (word) => `Aquí no se puede partir una ${piece(word!)}.`],
  [
    /^(.+) has no place above the (\S+)\.$/,
    (m, word) => `${capital(mat(m!))} no tiene lugar por encima de las ${piece(word!)}.`,
  ],
  [
    /^The (\S+) column has room for (\d+); that would make (\d+)\.$/,
    (word, room, n) => `En la columna de las ${piece(word!)} caben ${room}; así serían ${n}.`,
  ],
  [/^There is room for (\d+) (\S+) on the drawing\.$/, (room, word) => `En el dibujo caben ${room} ${piece(word!)}.`],
  [/^A dot cannot be broken\.$/, () => 'Un punto no se puede partir.'],
  // What is counted one by one.
  [
    /^There (?:is|are) (no|\d+) (\S+) left; (\d+) (?:is|are) wanted\.(?: .+)?$/,
    (n, what, wanted) =>
      `${n === 'no' ? `No queda ${thing(what!)}` : `Quedan ${n} ${thing(what!)}`}; hacen falta ${wanted}.`,
  ],
  [
    /^There (?:is|are) (no|only \d+) (\S+) out; (\d+) (?:is|are) wanted\.(?: .+)?$/,
    (n, what, wanted) =>
      `${n === 'no' ? 'No hay' : `Hay ${n!.replace('only', 'solo')}`} ${thing(what!)} fuera; hacen falta ${wanted}.`,
  ],
  [
    /^Only (\d+) (\S+) are set apart; (\d+) are wanted\.$/,
    (n, what, wanted) => `Solo hay ${n} ${thing(what!)} aparte; hacen falta ${wanted}.`,
  ],
  [/^There is a number already\.(?: .+)?$/, () => 'Ya hay un número. Sigue contando desde él, o deshaz.'],
  [
    /^There is no number in the head to count from\.(?: .+)?$/,
    () => 'No hay ningún número en la cabeza desde el que contar.',
  ],
  [/^Counting goes one way at a time\.(?: .+)?$/, () => 'Se cuenta en un solo sentido. Deshaz para dar la vuelta.'],
  [/^Counting back stops at nought\.$/, () => 'Al contar hacia atrás se para en cero.'],
  [/^Nothing is kept in the head\.$/, () => 'No hay nada guardado en la cabeza.'],
  // The column sheet.
  [
    /^(?:A carry mark|An answer digit|Touching) needs a number written underneath first\.(?: .+)?$/,
    () => 'Primero hace falta un número escrito debajo.',
  ],
  [
    /^No number is being written just now\.(?: .+)?$/,
    () => 'Ahora no se está escribiendo ningún número. Escribe primero sus cifras.',
  ],
  [
    /^The sheet cannot show this yet: the number written under is not worked\.(?: .+)?$/,
    () => 'La hoja no puede mostrarlo todavía: el número de debajo no está trabajado. Responde primero sus columnas.',
  ],
  [
    /^The (\S+) digit still stands\.(?: .+)?$/,
    (word) => `La cifra de las ${piece(word!)} sigue sin tachar. Táchala primero.`,
  ],
  [/^The (\S+) digit has its small 1 already\.$/, (word) => `La cifra de las ${piece(word!)} ya tiene su 1 pequeño.`],
  [/^There is no (\S+) digit standing\.$/, (word) => `No hay ninguna cifra en las ${piece(word!)}.`],
  [/^This sheet has no (\S+) column\.$/, (word) => `Esta hoja no tiene columna de ${piece(word!)}.`],
  [
    /^(\d+) does not go into one square\.(?: .+)?$/,
    (n) => `${n} no cabe en una casilla. En una casilla va una sola cifra.`,
  ],
  [
    /^The first number is written already\.(?: .+)?$/,
    () => 'El primer número ya está escrito. Escribe el siguiente debajo.',
  ],
  [/^There is no number to write under yet\.(?: .+)?$/, () => 'Todavía no hay ningún número debajo del cual escribir.'],
  [/^There is no number on the sheet yet\.$/, () => 'Todavía no hay ningún número en la hoja.'],
  [/^A digit would leave the sheet\.(?: .+)?$/, () => 'Una cifra se saldría de la hoja. Muévelo hacia el otro lado.'],
  [
    /^The paper is full: nothing is rubbed out here\.(?: .+)?$/,
    () => 'El papel está lleno: aquí no se borra nada. Empieza de nuevo o vuelve atrás.',
  ],
  // The open line.
  [
    /^The line has its starting point already\.(?: .+)?$/,
    () => 'La recta ya tiene su punto de partida. Salta desde él, o deshaz.',
  ],
  [/^There is no starting point yet\.(?: .+)?$/, () => 'Todavía no hay punto de partida.'],
  [/^There is no room for more than (\d+) hops\.$/, (n) => `No caben más de ${n} saltos.`],
  [/^A hop of nought goes nowhere\.$/, () => 'Un salto de cero no va a ninguna parte.'],
  // What is typed.
  [/^There is no (?:move|mark) yet\.(?: .+)?$/, () => 'Todavía no hay ningún movimiento.'],
  [/^“(.+)” is one word too many\.$/, (word) => `La palabra «${word}» sobra.`],
]

/** What a refusal adds: what would hold the problem. */
const HINT = /^(.+\.) (?:It would fit on: ([^.]+)|No material here holds it yet)\.$/
const hinted = (titles: string | undefined): string =>
  titles === undefined
    ? 'Todavía no hay aquí ningún material en el que quepa.'
    : `Cabe en: ${titles.split(', ').map(titled).join(', ')}.`
const titled = (title: string): string => {
  const id = (Object.keys(TITLES) as SpanishMaterial[]).find((m) => REPRESENTATIONS[m].title === title)
  return id ? TITLES[id] : title
}
/** A reason in Spanish; null where it is not told in it. */
export function reasonInSpanish(why: string): string | null {
  const [, before, titles] = HINT.exec(why) ?? []
  if (before !== undefined) {
    const said = reasonInSpanish(before)
    return said === null ? null : `${said} ${hinted(titles)}`
  }
  for (const [shape, said] of SHAPES) {
    const found = shape.exec(why)
    if (found) return said(...found.slice(1).map((part) => part ?? ''))
  }
  return null
}
