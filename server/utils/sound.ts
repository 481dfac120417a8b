import type { SoundType } from '../../shared/recordings'

/** What kind of sound it is, by its first bytes; undefined where it is none that browsers record or play. */
export function soundType(audio: Buffer): SoundType | undefined {
  const text = (from: number, to: number): string => audio.toString('latin1', from, to)
  if (audio.readUInt32BE(0) === 0x1a45dfa3) return 'audio/webm'
  if (text(0, 4) === 'OggS') return 'audio/ogg'
  if (text(4, 8) === 'ftyp') return 'audio/mp4'
  if (text(0, 4) === 'RIFF' && text(8, 12) === 'WAVE') return 'audio/wav'
  return undefined
}
