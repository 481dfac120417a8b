import { after, type Act } from '../act/act'
import type { SignedChoices } from '../choices'
import { sign, sizeOf, type Exact } from '../number/exact'
import { capital, say, type WordPack } from './words'

/** Plus and minus told as something that happens (practice, section 10; common practice, no source). */
interface Story {
  /** Where a number stands: “three steps below the ground”. */
  stands(n: Exact, count: string): string
  /** What comes, or is taken back; `plus` says of which sign. */
  comes(plus: boolean, count: string): string
  goes(plus: boolean, count: string): string
  /** What a zero pair is. */
  readonly pair: string
}

const TOWER: Story = {
  stands: (n, count) => (sign(n) === 0 ? 'at the ground' : `${count} ${sign(n) > 0 ? 'above' : 'below'} the ground`),
  comes: (plus, count) => `${plus ? 'up' : 'down'} the tower by ${count}`,
  goes: (plus, count) => `${count} steps ${plus ? 'up' : 'down'} are taken back`,
  pair: 'a step up and a step down end where they began',
}
const TOKENS: Story = {
  stands: (n, count) => (sign(n) === 0 ? 'nothing owned or owed' : `${count} ${sign(n) > 0 ? 'owned' : 'owed'}`),
  comes: (plus, count) => `${count} tokens more are ${plus ? 'owned' : 'owed'}`,
  goes: (plus, count) => (plus ? `${count} owned tokens are given away` : `a debt of ${count} is let off`),
  pair: 'a token owned pays a token owed',
}
const LAMP: Story = {
  stands: (n, count) => (sign(n) === 0 ? 'neither charged nor short' : `${count} ${sign(n) > 0 ? 'charged' : 'short'}`),
  comes: (plus, count) => `the lamp is ${plus ? 'charged' : 'drained'} by ${count}`,
  goes: (plus, count) => `a ${plus ? 'charge' : 'drain'} of ${count} is undone`,
  pair: 'a charge and a drain undo each other',
}
const STORIES: Readonly<Record<Exclude<SignedChoices['story'], 'none'>, Story>> = {
  tower: TOWER,
  tokens: TOKENS,
  lamp: LAMP,
}

/** An act as the class’s story tells it, in one sentence; empty where it tells none. */
export function storyOf(act: Act, before: Exact, story: SignedChoices['story'], pack: WordPack): string {
  if (story === 'none') return ''
  const told = STORIES[story]
  const now = told.stands(after(before, act), say(sizeOf(after(before, act)), pack))
  switch (act.kind) {
    case 'lay':
      return `${capital(now)}.`
    case 'join':
    case 'take': {
      const [plus, count] = [sign(act.amount) > 0, say(sizeOf(act.amount), pack)]
      if (sign(act.amount) === 0) return ''
      return `${capital(act.kind === 'join' ? told.comes(plus, count) : told.goes(plus, count))}: ${now}.`
    }
    case 'exchange':
      return act.from.length === 0 || act.to.length === 0 ? `${capital(told.pair)}.` : ''
    default:
      return ''
  }
}
