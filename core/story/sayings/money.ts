import { again, capitalized, does, verb, type Sayings } from './telling'

/** Money is paid, put in, and held against prices. */
export const money: Sayings = {
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
