/** Reads sentences aloud with the browser's own voice, each word lit as it is said; without a voice the words are lit at an easy pace. */
export function useReadAloud(text: () => string) {
  /** Where each word begins. */
  const words = computed(() => [...text().matchAll(/\S+/g)].map((m) => m.index))
  /** The word that is said now; -1 where none is. */
  const lit = ref(-1)
  const reading = ref(false)
  const { access } = useAccess()
  const PACE_MS = 420
  let turn = 0
  const pace = useIntervalFn(
    () => {
      lit.value += 1
      if (lit.value >= words.value.length) stop()
    },
    PACE_MS,
    { immediate: false },
  )
  function stop(): void {
    turn += 1
    pace.pause()
    if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel()
    reading.value = false
    lit.value = -1
  }
  function read(): void {
    stop()
    reading.value = true
    const voice =
      typeof speechSynthesis === 'undefined'
        ? undefined
        : (speechSynthesis.getVoices().find((v) => v.name === access.value.voice) ??
          speechSynthesis.getVoices().find((v) => v.localService && v.lang.startsWith('en')))
    if (!voice) {
      lit.value = 0
      pace.resume()
      return
    }
    const mine = turn
    const said = new SpeechSynthesisUtterance(text())
    said.voice = voice
    said.lang = voice.lang
    said.rate = access.value.rate
    said.onboundary = ({ charIndex }) => {
      if (turn === mine) lit.value = words.value.findLastIndex((at) => at <= charIndex)
    }
    said.onend = said.onerror = () => {
      if (turn === mine) stop()
    }
    speechSynthesis.speak(said)
  }
  watch(text, stop)
  onBeforeUnmount(stop)
  return { lit, reading, read, stop }
}
