import type { WayId } from '../../way/way'

/** What the ways of the materials told in Spanish are called, and what each does. */
export const SPANISH_WAYS: Readonly<Partial<Record<WayId, readonly [title: string, school: string]>>> = {
  'ones-first': [
    'primero las unidades',
    'Columna a columna desde las unidades; cada cambio cuando hace falta. El comienzo habitual.',
  ],
  'exchanges-first': [
    'todos los cambios juntos',
    'Todos los cambios de una vez: antes de quitar nada, o después de ponerlo todo.',
  ],
  apart: [
    'decenas y unidades por separado',
    'Se parten los dos números: decenas con decenas, unidades con unidades; luego se juntan.',
  ],
  hops: [
    'saltos desde el primer número',
    'Un número queda entero; el otro se salta: primero las decenas, luego las unidades.',
  ],
  'make-friendly': [
    'hacer un número redondo',
    'El primer número llega a una decena entera con lo que el segundo da o recibe; luego el resto.',
  ],
  'over-and-back': [
    'un número redondo, y corregir',
    'El segundo número se trabaja como la decena entera más cercana; luego se corrige lo que sobró o faltó.',
  ],
  'take-away': ['quitar', 'Se cuenta el primer número, se quita el segundo y se cuenta lo que queda.'],
  'count-back': [
    'contar hacia atrás',
    'El primer número se guarda en la cabeza y no se repite; cada palabra es uno menos.',
  ],
  'count-up': [
    'contar hacia delante',
    'Desde el número que se quita hasta el primero; cuántos pasos fueron es la respuesta.',
  ],
  'hop-up': [
    'saltar hasta el mayor',
    'Desde el número que se quita hasta el primero; lo que se ha saltado en total es la diferencia.',
  ],
  arrows: ['flechas una tras otra', 'Una flecha para cada número; cada una empieza donde acaba la anterior.'],
  'combine-opposites': [
    'los opuestos hacen cero',
    'El número más largo se parte en el opuesto del más corto y un resto; los opuestos hacen cero.',
  ],
  'count-all': ['contar todo', 'Se cuenta cada número; se junta todo y se cuenta desde uno.'],
  'count-on': [
    'seguir contando',
    'El primer número se guarda en la cabeza; solo se cuenta el segundo, a partir de él.',
  ],
  'count-on-from-greater': [
    'seguir contando desde el mayor',
    'El número mayor se guarda en la cabeza, venga donde venga.',
  ],
  'skip-count': [
    'contar a saltos',
    'De cuatro en cuatro, de cinco en cinco: un dedo para cada paso. La última palabra es el producto.',
  ],
  'by-places': [
    'primero los enteros, luego las décimas',
    'Primero el lugar mayor: enteros con enteros, décimas con décimas.',
  ],
  decompose: [
    'enteros, décimas, centésimas',
    'El segundo número se parte en sus enteros y en cada lugar tras la coma; una flecha para cada uno.',
  ],
  'by-column': [
    'todos los números a la vez',
    'Todos los sumandos se escriben uno bajo otro y se suman columna a columna, primero las unidades.',
  ],
}
