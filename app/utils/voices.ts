import type { Access } from '../../shared/learners'

type HowToSpeak = Pick<Access, 'voice' | 'rate'>

/** The browser's voice that was chosen, else its own English one; undefined where there is none. */
export function voiceFor({ voice }: HowToSpeak): SpeechSynthesisVoice | undefined {
  if (typeof speechSynthesis === 'undefined') return undefined
  const voices = speechSynthesis.getVoices()
  return voices.find((v) => v.name === voice) ?? voices.find((v) => v.localService && v.lang.startsWith('en'))
}

/** A sentence as it is to be spoken. */
export function utterance(text: string, how: HowToSpeak, voice: SpeechSynthesisVoice): SpeechSynthesisUtterance {
  const said = new SpeechSynthesisUtterance(text)
  said.voice = voice
  said.lang = voice.lang
  said.rate = how.rate
  return said
}
