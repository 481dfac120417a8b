import type { Doing, Person } from '../scene'
import type { Cell, Role } from '../situation'
import { again, capitalized, type Said, type Sayings, type Telling } from './telling'

/** Some are there, some come or go, and so many are there now. */
function changed({ unknown, after }: Cell, t: Telling, [one, base]: Doing, comes: boolean): Said {
  const { who, n, of, is, scene, where } = t
  const { thing } = scene
  const { unit, stuff } = thing.measure ?? {}
  const some = stuff ? `There is some ${stuff} ${scene.where}.` : `There are some ${thing.many} ${scene.where}.`
  const rest = comes ? ' more' : unit ? '' : ' of them'
  const amount = unknown === 'change' ? `some${comes ? ' more' : unit ? ' of it' : ' of them'}` : ''
  const change = amount || `${n('change')}${unit && n('change') !== 'some' ? ` ${unit}` : ''}${rest}`
  const what = thing.many
  return {
    tells: [
      unknown === 'start' ? some : `There ${is('start')} ${of('start')} ${scene.where}.`,
      `${after ? 'Then ' : ''}${who.name} ${one} ${change}.`,
      ...(unknown === 'result' ? [] : [`Now there ${is('result')} ${of('result')}${where}.`]),
    ],
    asks:
      unknown === 'result'
        ? `How many ${what} are${where || ' there'} now?`
        : unknown === 'change'
          ? `How many ${what} did ${again(who)} ${base}?`
          : `How many ${what} were${where || ' there'} at first?`,
    answers:
      unknown === 'result'
        ? `Now there ${is('result')} # ${t.noun('result')}${where}.`
        : unknown === 'change'
          ? `${who.name} ${one} # ${t.noun('change')}.`
          : `At first there ${is('start')} # ${t.noun('start')}${where}.`.replace(/there (is|are)/, (_, v) =>
              v === 'is' ? 'there was' : 'there were',
            ),
  }
}

export const counted: Sayings = {
  'add-to': (cell, t) => changed(cell, t, t.scene.comes, true),
  'take-from': (cell, t) => changed(cell, t, t.scene.goes, false),
  together: ({ unknown }, { scene: { thing, where }, where: later, n, of, noun, is }) => {
    const [a, b] = thing.kinds
    const all = `There ${is('whole')} ${of('whole')} ${where}.`
    if (unknown === 'whole')
      return {
        tells: [
          `There ${is('first')} ${n('first')} ${a} ${noun('first')} and ${n('second')} ${b} ${noun('second')} ${where}.`,
        ],
        asks: `How many ${thing.many} are${later || ' there'} altogether?`,
        answers: `There are # ${noun('whole')}${later} altogether.`,
      }
    if (unknown === 'both')
      return {
        tells: [all, `Some are ${a} and the others are ${b}.`],
        asks: `How many could be ${a}, and how many ${b}?`,
        answers: `# could be ${a}, and the others ${b}.`,
      }
    const [role, known, asked] = unknown === 'second' ? (['first', a, b] as const) : (['second', b, a] as const)
    return {
      tells: [all, `Of them ${n(role)} ${is(role)} ${known} and the others are ${asked}.`],
      asks: `How many are ${asked}?`,
      answers: `# ${is(unknown as Role)} ${asked}.`,
    }
  },
  compare: ({ unknown, wording = 'more' }, { scene: { thing }, who, other, of, n, noun }) => {
    // Whoever is named first has the fewer, the other one the more.
    const has = (p: Person, role: Role): string => `${p.name} has ${of(role)}.`
    const longer = `${other.name} has ${n('difference')} more ${noun('difference')} than ${who.name}.`
    const shorter = `${who.name} has ${n('difference')} fewer ${noun('difference')} than ${other.name}.`
    if (unknown === 'difference')
      return {
        tells: [has(who, 'lesser'), has(other, 'greater')],
        asks:
          wording === 'more'
            ? `How many more ${thing.many} does ${other.name} have than ${who.name}?`
            : `How many fewer ${thing.many} does ${who.name} have than ${other.name}?`,
        answers: (wording === 'more' ? longer : shorter).replace(n('difference'), '#'),
      }
    const [known, asked] =
      unknown === 'greater' ? ([has(who, 'lesser'), other] as const) : ([has(other, 'greater'), who] as const)
    return {
      tells: [known, wording === 'more' ? longer : shorter],
      asks: `How many ${thing.many} does ${asked.name} have?`,
      answers: `${asked.name} has # ${noun(unknown as Role)}.`,
    }
  },
  groups: ({ unknown }, { scene: { thing, holder }, n, of, is, noun }) => {
    const [one, many, within] = holder
    if (unknown === 'product')
      return {
        tells: [
          `There are ${n('number')} ${many}.`,
          `${capitalized(within)} each ${one} there ${is('size')} ${of('size')}.`,
        ],
        asks: `How many ${thing.many} are there altogether?`,
        answers: `There are # ${noun('product')} altogether.`,
      }
    if (unknown === 'size')
      return {
        tells: [
          `There ${is('product')} ${of('product')} ${within} ${n('number')} ${many}.`,
          `There are as many ${within} each.`,
        ],
        asks: `How many ${thing.many} are ${within} each ${one}?`,
        answers: `${capitalized(within)} each ${one} there ${is('size')} # ${noun('size')}.`,
      }
    return {
      tells: [
        `There ${is('product')} ${of('product')}.`,
        `${capitalized(within)} each ${one} there ${is('size')} ${n('size')}${thing.measure ? ` ${thing.measure.unit}` : ''}.`,
      ],
      asks: `How many ${many} are there?`,
      answers: `There are # ${many}.`,
    }
  },
  array: ({ unknown }, { scene: { thing }, n, of, is, noun }) => {
    if (unknown === 'product')
      return {
        tells: [`The ${thing.many} are in ${n('number')} rows.`, `In each row there ${is('size')} ${of('size')}.`],
        asks: `How many ${thing.many} are there altogether?`,
        answers: `There are # ${noun('product')} altogether.`,
      }
    if (unknown === 'size')
      return {
        tells: [`There ${is('product')} ${of('product')} in ${n('number')} rows.`, 'There are as many in each row.'],
        asks: `How many ${thing.many} are in each row?`,
        answers: `In each row there ${is('size')} # ${noun('size')}.`,
      }
    return {
      tells: [`There ${is('product')} ${of('product')} in rows of ${n('size')}.`],
      asks: 'How many rows are there?',
      answers: 'There are # rows.',
    }
  },
  times: ({ unknown }, { scene: { thing }, who, other, n, of, noun }) => {
    const has = (p: Person, role: Role): string => `${p.name} has ${of(role)}.`
    const as = `times as many ${thing.many} as ${who.name}`
    if (unknown === 'greater')
      return {
        tells: [has(who, 'lesser'), `${other.name} has ${n('number')} ${as}.`],
        asks: `How many ${thing.many} does ${other.name} have?`,
        answers: `${other.name} has # ${noun('greater')}.`,
      }
    if (unknown === 'lesser')
      return {
        tells: [has(other, 'greater'), `That is ${n('number')} times as many as ${who.name} has.`],
        asks: `How many ${thing.many} does ${who.name} have?`,
        answers: `${who.name} has # ${noun('lesser')}.`,
      }
    return {
      tells: [has(who, 'lesser'), has(other, 'greater')],
      asks: `How many ${as} does ${other.name} have?`,
      answers: `${other.name} has # ${as}.`,
    }
  },
  part: ({ unknown }, { scene: { thing, where }, where: later, n, of, is, noun }) => {
    const [kind] = thing.kinds
    const all = `There ${is('whole')} ${of('whole')} ${where}.`
    if (unknown === 'part')
      return {
        tells: [all, `Of them ${n('share')} are ${kind}.`],
        asks: `How many are ${kind}?`,
        answers: `# ${noun('part')} ${is('part')} ${kind}.`,
      }
    if (unknown === 'whole')
      return {
        tells: [
          `There ${is('part')} ${n('part')} ${kind} ${noun('part')} ${where}.`,
          `That is ${n('share')} of all the ${thing.many}.`,
        ],
        asks: `How many ${thing.many} are${later || ' there'} in all?`,
        answers: `There are # ${noun('whole')}${later} in all.`,
      }
    return {
      tells: [all, `Of them ${n('part')} ${is('part')} ${kind}.`],
      asks: `Which part of them is ${kind}?`,
      answers: `# of them is ${kind}.`,
    }
  },
  enough: ({ after }, { scene: { where, holder }, who, n, of, is, noun }) => {
    const asks = 'Are there enough, and how many are left over or missing?'
    const answers = `# ${noun('over')} ${is('over')} left over or missing.`
    if (after)
      return {
        tells: [
          `There ${is('there')} ${of('there')}.`,
          `${who.name} needs ${n('number')} ${holder[1]} with ${of('size')} ${holder[2]} each.`,
        ],
        asks,
        answers,
      }
    return {
      tells: [`There ${is('there')} ${of('there')} ${where}.`, `${who.name} needs ${n('wanted')}.`],
      asks,
      answers,
    }
  },
}
