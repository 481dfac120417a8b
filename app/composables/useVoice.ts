/**
 * Says sentences: by what a teacher recorded for the learner where that has every word, else by the browser's voice. The word that is
 * said is lit. Where there is neither, words may be lit at an easy pace without a sound.
 */
export function useVoice() {
  const { access } = useAccess()
  const recorded = useRecorded()
  const { locale } = useI18n({ useScope: 'global' })
  /** The word that is said now, as the text is cut at spaces; -1 where none is. */
  const lit = ref(-1)
  const speaking = ref(false)
  const PACE_MS = 420
  let turn = 0
  let words = 0
  let sound: HTMLAudioElement | null = null
  const pace = useIntervalFn(
    () => {
      lit.value += 1
      if (lit.value >= words) stop()
    },
    PACE_MS,
    { immediate: false },
  )
  function stop(): void {
    turn += 1
    pace.pause()
    sound?.pause()
    sound = null
    if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel()
    speaking.value = false
    lit.value = -1
  }
  /** Plays one recording after another. */
  async function play(phrases: readonly Phrase[], mine: number): Promise<void> {
    for (const { id, word, words } of phrases) {
      const audio = new Audio(`/api/recordings/${id}`)
      sound = audio
      lit.value = word
      audio.ontimeupdate = () => {
        if (turn === mine && audio.duration > 0 && Number.isFinite(audio.duration))
          lit.value = word + Math.min(words - 1, Math.floor((audio.currentTime / audio.duration) * words))
      }
      await new Promise<void>((resolve) => {
        audio.onended = audio.onerror = audio.onpause = () => resolve()
        audio.play().catch(() => resolve())
      })
      if (turn !== mine) return
    }
    stop()
  }
  async function speak(text: string, { silently = false } = {}): Promise<void> {
    stop()
    if (text.trim() === '') return
    const mine = turn
    speaking.value = true
    if (access.value.recorded) {
      await recorded.here()
      if (turn !== mine) return
      const phrases = phrasesOf(text, recorded.known.value)
      if (phrases) return play(phrases, mine)
    }
    const starts = [...text.matchAll(/\S+/g)].map((m) => m.index)
    const voice = voiceFor(access.value, locale.value)
    if (!voice) {
      if (!silently) return stop()
      words = starts.length
      lit.value = 0
      pace.resume()
      return
    }
    const said = utterance(text, access.value, voice)
    said.onboundary = ({ charIndex }) => {
      if (turn === mine) lit.value = starts.findLastIndex((at) => at <= charIndex)
    }
    said.onend = said.onerror = () => {
      if (turn === mine) stop()
    }
    speechSynthesis.speak(said)
  }
  onScopeDispose(stop)
  const isSupported = useSupported(() => typeof speechSynthesis !== 'undefined' || typeof Audio !== 'undefined')
  return { lit, speaking, speak, stop, isSupported }
}
