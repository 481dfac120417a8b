import type { Session } from './sessions'
import type { Trend } from './trend'

const outOf = ({ alone, tried }: Pick<Session, 'alone' | 'tried'>): string => `${alone} of ${tried}`

/**
 * What a chart shows, as sentences made from its figures and nothing else. `trend` is in shares a week. Days with fewer than `least` tries
 * are counted, and not compared, unless there are no others.
 */
export function toldOfProgress(sessions: readonly Session[], trend: Trend | undefined, least = 1): string {
  const enough = sessions.filter((s) => s.tried >= least)
  const compared = enough.length > 0 ? enough : sessions
  const [first, last] = [compared[0], compared.at(-1)]
  if (!first || !last) return 'Nothing has been tried yet.'
  const tried = sessions.reduce((n, s) => n + s.tried, 0)
  const days = sessions.length === 1 ? 'one day' : `${sessions.length} days`
  const said = [`${tried} ${tried === 1 ? 'try' : 'tries'} on ${days}.`]
  if (compared.length === 1) said.push(`Right without help: ${outOf(first)}.`)
  else said.push(`Right without help: ${outOf(first)} on the first day, ${outOf(last)} on the last.`)
  if (trend && compared.length >= 4) {
    const points = Math.round(100 * Math.abs(trend.slope))
    const sure = trend.between && (trend.between[0] > 0 || trend.between[1] < 0)
    said.push(
      !sure || points === 0
        ? 'Whether it rises or falls cannot be told from these days yet.'
        : `It ${trend.slope > 0 ? 'rises' : 'falls'} by about ${points} in 100 a week.`,
    )
  }
  return said.join(' ')
}
