import type { Doing, Person, Scene, SceneKind } from './scene'
import type { Cell, Role, SituationId } from './situation'

/** The sentences of every situation, by what kind of amounts a scene has: short, plain, one thing in each, and one question. */

/** Words for one story: its people, and numbers with what they count. */
export interface Telling {
  readonly scene: Scene
  readonly who: Person
  readonly other: Person
  /** Things that are bought: one and several of each. */
  readonly goods: readonly [readonly [string, string], readonly [string, string]]
  /** Where it is, once it has been said: again, or left out where sentences are kept short. */
  readonly where: string
  /** A number alone, or “some” where it is left out. */
  n(role: Role): string
  /** So many of it: “8 lanterns”, “one lantern”, “£1.35”. */
  of(role: Role): string
  /** The noun that goes with a number. */
  noun(role: Role): string
  is(role: Role): string
}

/** A situation as it is told. `#` in the answer stands for the number that is asked. */
export interface Said {
  readonly tells: readonly string[]
  readonly asks: string
  readonly answers: string
}
type Saying = (cell: Cell, t: Telling) => Said

export const capitalized = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1)

/** Whoever was named before, as they are named again, with a verb that goes with it: “she has”, “they have”, “Wren has”. */
const again = ({ name, pronoun }: Person): string => pronoun ?? name
const plural = ({ pronoun }: Person): boolean => pronoun === 'they'
const verb = (p: Person, [one, many]: readonly [string, string]): string => `${again(p)} ${plural(p) ? many : one}`
const does = (p: Person): string => (plural(p) ? `do ${again(p)}` : `does ${again(p)}`)

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

const counted: Partial<Record<SituationId, Saying>> = {
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

/** What is said otherwise of something that is measured: it is long, and not many. */
const measured: Partial<Record<SituationId, Saying>> = {
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

/** Money is paid, put in, and held against prices. */
const money: Partial<Record<SituationId, Saying>> = {
  'add-to': ({ unknown, after }, { scene: { where }, where: later, who, of }) => ({
    tells: [
      unknown === 'start' ? `There is some money ${where}.` : `There is ${of('start')} ${where}.`,
      `${after ? 'Then ' : ''}${who.name} puts in ${unknown === 'change' ? 'some' : of('change')} more.`,
      ...(unknown === 'result' ? [] : [`Now there is ${of('result')}${later}.`]),
    ],
    asks:
      unknown === 'result'
        ? `How much money is${later || ' there'} now?`
        : unknown === 'change'
          ? `How much did ${again(who)} put in?`
          : `How much money was${later || ' there'} at first?`,
    answers:
      unknown === 'result'
        ? `Now there is #${later}.`
        : unknown === 'change'
          ? `${who.name} puts in #.`
          : `At first there was #${later}.`,
  }),
  'take-from': ({ unknown, after }, { who, of }) => ({
    tells: [
      unknown === 'start' ? `${who.name} has some money.` : `${who.name} has ${of('start')}.`,
      `${after ? `Then ${verb(who, ['spends', 'spend'])}` : capitalized(verb(who, ['spends', 'spend']))} ${unknown === 'change' ? 'some of it' : of('change')}.`,
      ...(unknown === 'result' ? [] : [`Now ${verb(who, ['has', 'have'])} ${of('result')}.`]),
    ],
    asks:
      unknown === 'result'
        ? `How much ${does(who)} have now?`
        : `How much did ${again(who)} ${unknown === 'change' ? 'spend' : 'have at first'}?`,
    answers:
      unknown === 'result'
        ? `Now ${who.name} has #.`
        : unknown === 'change'
          ? `${who.name} spends #.`
          : `At first ${who.name} had #.`,
  }),
  together: ({ unknown }, { goods: [[a], [b]], of }) => {
    const both = `A ${a} and a ${b} cost ${of('whole')} together.`
    if (unknown === 'whole')
      return {
        tells: [`A ${a} costs ${of('first')} and a ${b} costs ${of('second')}.`],
        asks: 'How much do they cost together?',
        answers: 'Together they cost #.',
      }
    if (unknown === 'both')
      return {
        tells: [both],
        asks: `How much could each of them cost?`,
        answers: `The ${a} could cost #, and the ${b} the rest.`,
      }
    const [role, known, asked] = unknown === 'second' ? (['first', a, b] as const) : (['second', b, a] as const)
    return {
      tells: [both, `The ${known} costs ${of(role)}.`],
      asks: `How much does the ${asked} cost?`,
      answers: `The ${asked} costs #.`,
    }
  },
  compare: ({ unknown, wording = 'more' }, { goods: [[a], [b]], of }) => {
    const costs = (what: string, amount: string): string => `A ${what} costs ${amount}.`
    const dearer = (d: string): string => `A ${b} costs ${d} more than a ${a}.`
    const cheaper = (d: string): string => `A ${a} costs ${d} less than a ${b}.`
    const held = wording === 'more' ? dearer : cheaper
    if (unknown === 'difference')
      return {
        tells: [costs(a, of('lesser')), costs(b, of('greater'))],
        asks:
          wording === 'more'
            ? `How much more does a ${b} cost than a ${a}?`
            : `How much less does a ${a} cost than a ${b}?`,
        answers: held('#'),
      }
    const asked = unknown === 'greater' ? b : a
    return {
      tells: [unknown === 'greater' ? costs(a, of('lesser')) : costs(b, of('greater')), held(of('difference'))],
      asks: `How much does a ${asked} cost?`,
      answers: costs(asked, '#'),
    }
  },
  groups: ({ unknown }, { goods: [[one, many]], who, n, of }) => {
    if (unknown === 'product')
      return {
        tells: [`${who.name} buys ${n('number')} ${many}.`, `Each ${one} costs ${of('size')}.`],
        asks: 'How much is that altogether?',
        answers: 'Altogether that is #.',
      }
    if (unknown === 'size')
      return {
        tells: [`${who.name} buys ${n('number')} ${many} for ${of('product')}.`, 'Each costs the same.'],
        asks: `How much does each ${one} cost?`,
        answers: `Each ${one} costs #.`,
      }
    return {
      tells: [`${who.name} pays ${of('product')} for ${many}.`, `Each ${one} costs ${of('size')}.`],
      asks: `How many ${many} ${does(who)} buy?`,
      answers: `${who.name} buys # ${many}.`,
    }
  },
  times: ({ unknown }, { goods: [[a], [b]], n, of }) => {
    const costs = (what: string, amount: string): string => `A ${what} costs ${amount}.`
    if (unknown === 'greater')
      return {
        tells: [costs(a, of('lesser')), `A ${b} costs ${n('number')} times as much.`],
        asks: `How much does a ${b} cost?`,
        answers: costs(b, '#'),
      }
    if (unknown === 'lesser')
      return {
        tells: [costs(b, of('greater')), `That is ${n('number')} times as much as a ${a} costs.`],
        asks: `How much does a ${a} cost?`,
        answers: costs(a, '#'),
      }
    return {
      tells: [costs(a, of('lesser')), costs(b, of('greater'))],
      asks: `How many times as much does a ${b} cost as a ${a}?`,
      answers: `A ${b} costs # times as much as a ${a}.`,
    }
  },
  part: ({ unknown }, { who, n, of }) => {
    const has = `${who.name} has ${of('whole')}.`
    const spends = capitalized(verb(who, ['spends', 'spend']))
    if (unknown === 'part')
      return { tells: [has, `${spends} ${n('share')} of it.`], asks: 'How much is that?', answers: 'That is #.' }
    if (unknown === 'whole')
      return {
        tells: [`${who.name} spends ${of('part')}.`, `That is ${n('share')} of what ${again(who)} had.`],
        asks: `How much did ${again(who)} have?`,
        answers: `${who.name} had #.`,
      }
    return {
      tells: [has, `${spends} ${of('part')} of it.`],
      asks: 'Which part of it is that?',
      answers: 'That is # of it.',
    }
  },
  enough: ({ after }, { goods: [[one, many]], who, n, of }) => ({
    tells: [
      `${who.name} has ${of('there')}.`,
      ...(after
        ? [`A ${one} costs ${of('size')}.`, `${capitalized(verb(who, ['wants', 'want']))} ${n('number')} ${many}.`]
        : [`A ${one} costs ${of('wanted')}.`]),
    ],
    asks: 'Is it enough, and how much is left over or missing?',
    answers: '# is left over or missing.',
  }),
}

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
const level: Partial<Record<SituationId, Saying>> = {
  rise: (cell, t) => moves(cell, t, true),
  fall: (cell, t) => moves(cell, t, false),
}

/** Which situations a kind of scene has, and how each is told. */
const SAYINGS: Readonly<Record<SceneKind, Partial<Record<SituationId, Saying>>>> = {
  counted,
  measured: { ...counted, ...measured },
  money,
  level,
}
export const sayingFor = (kind: SceneKind, situation: SituationId): Saying | undefined => SAYINGS[kind][situation]
