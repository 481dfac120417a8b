import type { Person } from '../scene'
import type { Cell } from '../situation'
import { again, plural, verb, type Said, type Sayings, type Telling } from './telling'

/** Up and down through nought: on which side of it one is, is said in words. */
function moves({ unknown }: Cell, { scene, who, of }: Telling, up: boolean): Said {
  const level = scene.level!
  const { does: doing, asks } = up ? level.up : level.down
  const change = doing.replace('#', of('change'))
  const stands = level.person ? `${who.name} is` : 'In the yard it is'
  const now = level.person ? `Now ${verb(who, ['is', 'are'])}` : 'Now it is'
  const is = (p: Person): string => (plural(p) ? 'are' : 'is')
  const asked = (text: string): string =>
    level.person && plural(who)
      ? text
          .replace('is @', `${is(who)} they`)
          .replace('was @', 'were they')
          .replace('@', 'they')
      : text.replace('@', level.person ? again(who) : 'it')
  return {
    tells: [
      unknown === 'start' ? '' : `${stands} ${of('start')}.`,
      unknown === 'change'
        ? ''
        : `${level.person ? who.name : unknown === 'start' ? 'In the yard it' : 'It'} ${change}.`,
      unknown === 'result' ? '' : `${now} ${of('result')}.`,
    ].filter((s) => s !== ''),
    asks: asked(unknown === 'result' ? level.now : unknown === 'change' ? asks : level.first),
    answers:
      unknown === 'change'
        ? `${level.person ? who.name : 'It'} ${doing}.`
        : `${unknown === 'start' ? (level.person ? `At first ${who.name} was` : 'At first it was') : level.person ? `Now ${who.name} is` : 'Now it is'} #.`,
  }
}
export const level: Sayings = {
  rise: (cell, t) => moves(cell, t, true),
  fall: (cell, t) => moves(cell, t, false),
}
