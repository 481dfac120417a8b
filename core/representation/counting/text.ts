import { capital } from '../../number/words'
import type { BeginAct } from '../../act/act'
import { exact, type Exact } from '../../number/exact'
import { Refusal } from '../../refusal'
import { numberAt, spanOf, wordsOf, type Word } from '../text'
import type { CountingMove, Material } from './state'

const atText = ({ at }: { readonly at?: number }): string => (at === undefined ? '' : ` at ${at}`)

export function print(m: Material, move: CountingMove): string {
  switch (move.kind) {
    case 'read':
      return move.value === null ? 'unread' : `read ${move.value}`
    case 'hold':
      return move.number === null ? 'let go' : `hold ${move.number}`
    case 'begin':
      return printBegin(move.count)
    case 'on':
    case 'back':
      return `${move.kind} ${move.word}${atText(move)}`
    case 'store':
    case 'recall':
      return move.kind
    default:
      return `${m.verbs[move.kind]} ${move.count}${move.kind === 'out' ? atText(move) : ''}`
  }
}

/** `count from 8 to 14`, `count from 0 to 12 by 4`, `count from 0 by 4 times 3`. */
function printBegin({ from, step, to, times }: BeginAct): string {
  const by = step === '1' ? '' : ` by ${step}`
  return `count from ${from}${to === null ? '' : ` to ${to}`}${by}${times === null ? '' : ` times ${times}`}`
}

const BEGIN = /^count from (\d{1,3})(?: to (\d{1,3}))?(?: by (\d{1,3}))?(?: times (\d{1,3}))?$/

function parseBegin(text: string): CountingMove {
  const read = BEGIN.exec(text.trim().toLowerCase().replace(/\s+/g, ' '))
  const [, from, to = null, step = '1', times = null] = read ?? []
  if (from === undefined || (to === null) === (times === null) || Number(step) === 0)
    throw new Refusal('A count begins from a number, up to another or so many times.', 'Like: count from 8 to 14.', {
      at: 0,
      length: text.length,
    })
  const number = (t: string): Exact => exact(Number(t))
  const count: BeginAct = {
    kind: 'begin',
    from: number(from),
    step: number(step),
    to: to === null ? null : number(to),
    times: times === null ? null : number(times),
  }
  if (to !== null && (Number(to) < Number(from) || (Number(to) - Number(from)) % Number(step) !== 0))
    throw new Refusal(`From ${from}, steps of ${step} do not lead to ${to}.`, 'Count up, and in steps that come out.')
  return { kind: 'begin', count }
}

export function parse(m: Material, text: string): CountingMove {
  const words = wordsOf(text)
  if (words[0]?.text === 'count') return parseBegin(text)
  const [verb, number, ...more] = words
  const at = more[0]?.text === 'at' ? { at: thingAt(more[1], text) } : {}
  const extra = more['at' in at ? 2 : 0]
  if (!verb) throw new Refusal('There is no move yet.', `Type one, like: ${m.verbs.out} 5.`, { at: 0, length: 0 })
  if (extra) throw new Refusal(`“${extra.text}” is one word too many.`, '', spanOf(extra))
  if (verb.text === 'unread' && !number) return { kind: 'read', value: null }
  if (verb.text === 'let' && number?.text === 'go') return { kind: 'hold', number: null }
  if ((verb.text === 'store' || verb.text === 'recall') && !number) return { kind: verb.text }
  if (verb.text === 'read') return { kind: 'read', value: numberAt(number, text) as Exact }
  const n = (): number => Number(numberAt(number, text))
  if (verb.text === 'hold') return { kind: 'hold', number: n() }
  if (verb.text === 'on' || verb.text === 'back') return { kind: verb.text, word: n(), ...at }
  const kind = (['out', 'apart', 'join', 'take'] as const).find((k) => m.verbs[k] === verb.text)
  if (!kind)
    throw new Refusal(
      `${capital(m.title)} have no move “${verb.text}”.`,
      `They know ${[...new Set(Object.values(m.verbs))].join(', ')}, hold, count, on, back, store, recall and read.`,
      spanOf(verb),
    )
  const count = n()
  if (count < 1 || count > 99)
    throw new Refusal(`${count} is no number of things to move.`, 'From 1 to 99 at once.', number && spanOf(number))
  return kind === 'out' ? { kind, count, ...at } : { kind, count }
}

/** Which thing is meant, by its number. @throws Refusal where it is none. */
function thingAt(word: Word | undefined, whole: string): number {
  const n = Number(numberAt(word, whole))
  if (n < 1 || n > 99) throw new Refusal(`There is no thing number ${n} here.`, '', word && spanOf(word))
  return n
}
