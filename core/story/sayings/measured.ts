import type { Person } from '../scene'
import type { Role } from '../situation'
import type { Sayings } from './telling'

/** What is said otherwise of something that is measured: it is long, and not many. */
export const measured: Sayings = {
  together: ({ unknown }, { scene: { thing, where }, where: later, n, is }) => {
    const [a, b] = thing.kinds
    const { unit, stuff } = thing.measure!
    const all = `There ${is('whole')} ${n('whole')} ${unit} of ${stuff} ${where}.`
    if (unknown === 'whole')
      return {
        tells: [
          `There ${is('first')} ${n('first')} ${unit} of ${a} ${stuff} and ${n('second')} ${unit} of ${b} ${stuff} ${where}.`,
        ],
        asks: `How many ${unit} of ${stuff} are${later || ' there'} altogether?`,
        answers: `There are # ${unit} of ${stuff}${later} altogether.`,
      }
    if (unknown === 'both')
      return {
        tells: [all, `Some of it is ${a} and the rest is ${b}.`],
        asks: `How many ${unit} could be ${a}, and how many ${b}?`,
        answers: `# ${unit} could be ${a}, and the rest ${b}.`,
      }
    const [role, known, asked] = unknown === 'second' ? (['first', a, b] as const) : (['second', b, a] as const)
    return {
      tells: [all, `Of it ${n(role)} ${unit} ${is(role)} ${known} and the rest is ${asked}.`],
      asks: `How many ${unit} are ${asked}?`,
      answers: `# ${unit} ${is(unknown as Role)} ${asked}.`,
    }
  },
  compare: ({ unknown, wording = 'more' }, { scene: { thing }, who, other, n }) => {
    const { unit, stuff } = thing.measure!
    const is = (p: Person, what: string): string => `The ${stuff} of ${p.name} is ${what} ${unit} long.`
    const longer = `The ${stuff} of ${other.name} is ${n('difference')} ${unit} longer than that of ${who.name}.`
    const shorter = `The ${stuff} of ${who.name} is ${n('difference')} ${unit} shorter than that of ${other.name}.`
    if (unknown === 'difference')
      return {
        tells: [is(who, n('lesser')), is(other, n('greater'))],
        asks:
          wording === 'more'
            ? `How many ${unit} longer is the ${stuff} of ${other.name}?`
            : `How many ${unit} shorter is the ${stuff} of ${who.name}?`,
        answers: (wording === 'more' ? longer : shorter).replace(n('difference'), '#'),
      }
    const [known, asked] =
      unknown === 'greater' ? ([is(who, n('lesser')), other] as const) : ([is(other, n('greater')), who] as const)
    return {
      tells: [known, wording === 'more' ? longer : shorter],
      asks: `How many ${unit} long is the ${stuff} of ${asked.name}?`,
      answers: is(asked, '#'),
    }
  },
  times: ({ unknown }, { scene: { thing }, who, other, n }) => {
    const { unit, stuff } = thing.measure!
    const is = (p: Person, what: string): string => `The ${stuff} of ${p.name} is ${what} ${unit} long.`
    if (unknown === 'greater')
      return {
        tells: [is(who, n('lesser')), `The ${stuff} of ${other.name} is ${n('number')} times as long.`],
        asks: `How many ${unit} long is the ${stuff} of ${other.name}?`,
        answers: is(other, '#'),
      }
    if (unknown === 'lesser')
      return {
        tells: [is(other, n('greater')), `That is ${n('number')} times as long as the ${stuff} of ${who.name}.`],
        asks: `How many ${unit} long is the ${stuff} of ${who.name}?`,
        answers: is(who, '#'),
      }
    return {
      tells: [is(who, n('lesser')), is(other, n('greater'))],
      asks: `How many times as long is the ${stuff} of ${other.name}?`,
      answers: `The ${stuff} of ${other.name} is # times as long.`,
    }
  },
  part: ({ unknown }, { scene: { thing, where }, where: later, n, of, is }) => {
    const [kind] = thing.kinds
    const { unit, stuff } = thing.measure!
    const all = `There ${is('whole')} ${of('whole')} ${where}.`
    if (unknown === 'part')
      return {
        tells: [all, `Of it ${n('share')} is ${kind}.`],
        asks: `How many ${unit} are ${kind}?`,
        answers: `# ${unit} ${is('part')} ${kind}.`,
      }
    if (unknown === 'whole')
      return {
        tells: [
          `There ${is('part')} ${n('part')} ${unit} of ${kind} ${stuff} ${where}.`,
          `That is ${n('share')} of all the ${stuff}.`,
        ],
        asks: `How many ${unit} of ${stuff} are${later || ' there'} in all?`,
        answers: `There are # ${unit} of ${stuff}${later} in all.`,
      }
    return {
      tells: [all, `Of it ${n('part')} ${unit} ${is('part')} ${kind}.`],
      asks: `Which part of it is ${kind}?`,
      answers: `# of it is ${kind}.`,
    }
  },
  enough: ({ after }, { scene: { thing, where }, who, n, of, is }) => {
    const { unit } = thing.measure!
    return {
      tells: [
        `There ${is('there')} ${of('there')} ${where}.`,
        after
          ? `${who.name} needs ${n('number')} pieces of ${n('size')} ${unit} each.`
          : `${who.name} needs ${n('wanted')} ${unit}.`,
      ],
      asks: `Is it enough, and how many ${unit} are left over or missing?`,
      answers: `# ${unit} ${is('over')} left over or missing.`,
    }
  },
}
