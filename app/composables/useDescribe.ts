import { askInWords, capital, numberText, packOf, REPRESENTATIONS } from '../../core/door'

/** What lies there now, said in one go: the problem, what it is worked with, the number, and the newest line. */
export function useDescribe(): () => string {
  const bench = useBench()
  return () => {
    const { setup, now, mode } = bench.bench
    const { title } = REPRESENTATIONS[setup.representation]
    const line = bench.stones.at(-1)?.lines.at(-1)?.text
    const lies = document.querySelector('#mat [aria-live]')?.textContent?.trim()
    const there = numberText(now.standing.value, setup.units, now.standing.held)
    return [
      `${capital(askInWords(setup.problem, packOf(setup.choices.words)))}, with ${title}.`,
      lies ? `${capital(lies)}.`.replace('..', '.') : '',
      // Alone it is the learner who says what is there.
      mode === 'alone' && !bench.replaying ? '' : `There is ${there} now.`,
      line ? `Written last: ${line}.` : 'Nothing is written yet.',
    ]
      .filter((t) => t !== '')
      .join(' ')
  }
}
