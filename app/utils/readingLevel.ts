import { fleschKincaid } from 'flesch-kincaid'
import { syllable } from 'syllable'

/**
 * How hard a text is to read: its school grade by Flesch and Kincaid's formula (Kincaid et al. 1975), below nought for the easiest. Numbers
 * in figures count as they are written, so it is a measure of the words around them.
 */
export function readingGrade(sentences: readonly string[]): number {
  const words = sentences.flatMap((s) => s.match(/[\p{L}\p{N}’'-]+/gu) ?? [])
  const syllables = words.reduce((n, word) => n + Math.max(1, syllable(word)), 0)
  return fleschKincaid({ sentence: sentences.length, word: words.length, syllable: syllables })
}

/** A school grade in a word: very easy below grade 1, easy below 3, medium below 6 (common practice, no source). */
export const readingLevel = (grade: number): 'very easy' | 'easy' | 'medium' | 'hard' =>
  grade < 1 ? 'very easy' : grade < 3 ? 'easy' : grade < 6 ? 'medium' : 'hard'
