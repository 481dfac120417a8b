import { askInWords, capital, numberText, packOf } from '../../core/door'

/** What lies there now, said in one go: the problem, what it is worked with, the number, and the newest line. */
export function useDescribe(): () => string {
  const bench = useBench()
  const { t } = useI18n()
  const { title } = useNames()
  return () => {
    const { setup, now, mode } = bench.bench
    const line = bench.stones.at(-1)?.lines.at(-1)?.text
    const lies = document.querySelector('#mat [aria-live]')?.textContent?.trim()
    const there = numberText(now.standing.value, setup.units, now.standing.held)
    return [
      t('mat.describe', {
        problem: capital(askInWords(setup.problem, packOf(setup.choices.words))),
        material: title(setup.representation),
      }),
      lies ? `${capital(lies)}.`.replace('..', '.') : '',
      // Alone it is the learner who says what is there.
      mode === 'alone' && !bench.replaying ? '' : t('mat.thereNow', { number: there }),
      line ? t('mat.writtenLast', { line }) : t('mat.notWritten'),
    ]
      .filter((t) => t !== '')
      .join(' ')
  }
}
