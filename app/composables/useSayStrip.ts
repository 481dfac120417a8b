import {
  askInWords,
  type BeadMove,
  capital,
  moveInWords,
  numberText,
  packFor,
  printComparison,
  REPRESENTATIONS,
  sayAct,
  sayOpening,
  tellingOf,
} from '../../core/door'

/** What stands in the say strip, in which tone, and what is spoken of it. */
export function useSayStrip() {
  const bench = useBench()
  const setup = computed(() => bench.bench.setup)
  const pack = computed(() => packFor(setup.value))
  const { t } = useI18n()
  const { reason, spanish } = useNames()
  /** Something to be said once, until the bench changes. */
  const notice = ref('')

  /** A number out of line or copied wrongly is a slip in setting out, and is put right at once; others wait to be found. */
  const settingOut = computed(() => ['align', 'copy', 'laid'].includes(bench.stones.at(-1)?.owedKind ?? ''))
  const quiet = computed(() => bench.bench.mode === 'alone' && !settingOut.value)
  function readShown(): string {
    const { read, remainder } = bench.result
    const { as, compared } = bench.bench.now.standing
    if (compared) return printComparison(compared)
    return `${as ?? numberText(read!, setup.value.units)}${remainder === undefined ? '' : ` r ${remainder}`}`
  }
  /** In Alone Sett keeps quiet unless a move cannot be made. */
  const said = computed(() => {
    if (bench.refusal) return reason(bench.refusal.message).text
    if (notice.value) return reason(notice.value).text
    if (bench.hint && bench.next) {
      const [first] = bench.nextMoves
      const beads = first as BeadMove | undefined
      if (REPRESENTATIONS[setup.value.representation].judge && beads?.kind === 'beads')
        return t('say.couldBe', { move: moveInWords(beads, pack.value) })
      const { standing } = bench.bench.now
      const next = sayAct(bench.next, standing.value, tellingOf(setup.value, standing, bench.next))
      return t('say.couldBe', { move: next })
    }
    // What there is to do first is said in every mode.
    if (bench.stones.length === 0 && bench.bench.mode !== 'show' && !bench.replaying) {
      const { opening } = REPRESENTATIONS[setup.value.representation]
      const ask = `${capital(askInWords(setup.value.problem, pack.value))}.`
      return `${ask} ${sayOpening(bench.next, opening, pack.value, setup.value.units)}`.trim()
    }
    if (quiet.value && !bench.replaying) return bench.result.finished ? t('say.read', { number: readShown() }) : ''
    const stone = bench.stones[bench.lit]
    return stone ? stone.say : `${capital(askInWords(setup.value.problem, pack.value))}.`
  })
  /** Whether what stands there is English on a page of another language. */
  const inEnglish = computed(
    () =>
      spanish.value &&
      (pack.value.language === 'en' ||
        [bench.refusal?.message, notice.value].some((m) => m && reason(m).lang !== undefined)),
  )
  const tone = computed(() => {
    if (bench.refusal) return 'again'
    if (quiet.value) return ''
    if (bench.stones.at(-1)?.owed) return 'again'
    return bench.result.right ? 'agrees' : ''
  })

  /** How a digit went on beads; nothing in Alone. */
  const detail = computed(() =>
    bench.refusal || notice.value || bench.hint || (quiet.value && !bench.replaying)
      ? null
      : (bench.stones[bench.lit]?.detail ?? null),
  )
  const spoken = ref('')
  /** What is told by ear: the words, then why and with which fingers. */
  const told = computed(() =>
    [said.value, ...(detail.value?.digits.flatMap((d) => d.why) ?? []), ...(detail.value?.hands ?? [])].join(' '),
  )
  /** How long words stay for a screen reader to find, in milliseconds; then they are cleared, so that nobody comes upon old ones. */
  const STAY = 10_000
  const clear = useTimeoutFn(() => (spoken.value = ''), STAY, { immediate: false })
  /** Cleared first, so that the same words said twice are heard twice. */
  async function announce(text: string): Promise<void> {
    spoken.value = ''
    await nextTick()
    spoken.value = text
    clear.start()
  }
  watch([told, () => bench.stones.length, () => bench.bench.log.length], () => void announce(told.value))
  /** Said by the machine's own voice, where it has one and it is wanted. */
  const aloud = useLocalStorage('sett.aloud', false)
  const heard = ref('')
  const voice = useVoice()
  function speak(text: string): void {
    heard.value = text
    voice.stop()
    if (aloud.value) void voice.speak(text)
  }
  watch(spoken, speak)
  watch(aloud, () => speak(told.value))
  /** Words of the strip, of which the one is lit that is said. */
  const words = computed(() => said.value.split(/\s+/).filter((w) => w !== ''))
  const lit = computed(() => (heard.value.startsWith(said.value) ? voice.lit.value : -1))
  watch(
    () => bench.bench,
    () => (notice.value = ''),
  )
  const sayAgain = (): Promise<void> => announce(told.value)
  return {
    said,
    words,
    lit,
    detail,
    tone,
    inEnglish,
    notice,
    spoken,
    aloud,
    canSpeak: voice.isSupported,
    speak,
    sayAgain,
  }
}
