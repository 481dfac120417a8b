import { placeOfUnit } from '../number/places'
import { capital } from '../number/words'
import { REPRESENTATIONS } from '../representation/index'
import type { Gap, Match } from '../representation/match'
import type { RepresentationId } from '../representation/representation'
import { labelOf } from './say'
import { named, type WordPack } from './words'

const title = (id: RepresentationId): string => REPRESENTATIONS[id].title

/** What one representation has and the other has not: “Chips: exchange 1 ten. Column sheet: no mark over the tens yet.” */
function sayGap({ done, missing, act, instead }: Gap, pack: WordPack): string {
  const here = `${capital(title(done))}: ${labelOf(act, pack, undefined, REPRESENTATIONS[done].units)}.`
  if (instead)
    return `${here} ${capital(title(missing))}: ${labelOf(instead, pack, undefined, REPRESENTATIONS[missing].units)}. They do not agree.`
  if (act.kind === 'exchange' && REPRESENTATIONS[missing].sums) {
    const places = [...act.from, ...act.to].map((p) => placeOfUnit(p.unit) ?? 0)
    return `${here} ${capital(title(missing))}: no mark over the ${named(Math.max(...places), 2, pack)} yet.`
  }
  return `${here} ${capital(title(missing))}: not yet.`
}

/** Everything that is to be said of two representations worked side by side; one sentence where they agree. */
export function sayMatch(match: Match, pack: WordPack): readonly string[] {
  const copied = match.copied
    ? [`The answer stands on the ${title(match.copied)}, but what leads to it is missing there.`]
    : []
  const gaps = match.gaps.map((gap) => sayGap(gap, pack))
  return match.agree ? ['Both show the same acts.'] : [...copied, ...gaps]
}
