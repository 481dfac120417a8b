import type { Access } from '../../shared/learners'

type HowToSpeak = Pick<Access, 'voice' | 'rate'>

/**
 * The browser's voice that was chosen, else its own one of the language; undefined where there is none. Another language than
 * English is not left to a voice that cannot speak it.
 */
export function voiceFor({ voice }: HowToSpeak, language = 'en'): SpeechSynthesisVoice | undefined {
  if (typeof speechSynthesis === 'undefined') return undefined
  const voices = speechSynthesis.getVoices()
  const suits = voices.filter((v) => language === 'en' || v.lang.startsWith(language))
  return suits.find((v) => v.name === voice) ?? suits.find((v) => v.localService && v.lang.startsWith(language))
}

/** A sentence as it is to be spoken. */
export function utterance(text: string, how: HowToSpeak, voice: SpeechSynthesisVoice): SpeechSynthesisUtterance {
  const said = new SpeechSynthesisUtterance(text)
  said.voice = voice
  said.lang = voice.lang
  said.rate = how.rate
  return said
}
