import type { Act } from '../act/act'
import { shareOf, stand, stepsOf, type Standing } from '../act/standing'
import { ZERO } from '../number/exact'
import { currencyOf } from '../number/money'
import { REPRESENTATIONS } from '../representation/index'
import type { HandWords } from '../representation/representation'
import { detailOf, sayNotSet, type BeadDetail } from '../speech/beads'
import type { Telling } from '../speech/say'
import { pretty, packOf } from '../speech/words'
import { packFor, type Setup } from './setup'

/** Plates that are filled one by one. */
const FILLING: HandWords = { lay: 'take', join: 'take', take: 'put back', thing: ['one', 'ones'], fills: true }

/** What hands do in the main material, as the way has it. */
export const handsOf = ({ representation, way }: Pick<Setup, 'representation' | 'way'>): HandWords | undefined =>
  way === 'fill-plates' ? FILLING : REPRESENTATIONS[representation].verbs

/** What words are chosen by, where a problem stands so. */
export const tellingOf = (setup: Setup, standing: Standing, act?: Act): Telling => ({
  problem: setup.problem,
  pack: packFor(setup),
  ...(act && setup.units.fractions ? { held: [standing.held, stand(setup.worked, standing, act).held] } : {}),
  units: setup.units,
  hands: handsOf(setup),
  steps: setup.choices.division.steps,
  money: currencyOf(setup.choices.money),
  from: stepsOf(standing)?.from ?? ZERO,
  ...(standing.aim.kind === 'share' ? { shared: shareOf(standing) } : {}),
})

/** An act as the main material works it, where that works digits by rules: its rule and parts, and how it goes. */
export function withRule(
  setup: Setup,
  state: unknown,
  act: Act,
): { readonly act: Act; readonly say: string; readonly detail: BeadDetail | null } {
  const main = REPRESENTATIONS[setup.representation]
  const pack = packOf(setup.choices.words)
  if (act.kind === 'read') {
    const not = main.notSet?.(state) ?? null
    return { act, say: not ? sayNotSet(not, pack) : '', detail: null }
  }
  const digits = main.byDigits?.(state, act) ?? []
  if (digits.length === 0) return { act, say: '', detail: null }
  const { names } = setup.choices.abacus
  const detail = detailOf(
    digits.map((d) => d.work),
    digits.flatMap((d) => d.moves),
    names,
    pack,
  )
  if (digits.length > 1 || (act.kind !== 'join' && act.kind !== 'take' && act.kind !== 'lay'))
    return { act, say: '', detail }
  const { rule, parts } = digits[0]!.act
  const ruled: Act = { ...act, ...(rule ? { rule } : {}), ...(parts ? { parts } : {}) }
  return { act: ruled, say: act.kind === 'lay' ? '' : sayRule(detail), detail }
}

/** The rule of a digit in one breath: “Ten complement: +7 = +10 −3.” Nothing where it simply went. */
function sayRule({ digits }: BeadDetail): string {
  const [first] = digits
  if (!first || first.rule === 'direct') return ''
  return `${first.name.charAt(0).toUpperCase()}${first.name.slice(1)}: ${pretty(first.formula)}.`
}
