import { readingGrade } from '../../app/utils/readingLevel'
import { CELLS, LENGTHS, SCENES, scenesFor, storiesFrom, tellStory, toldIn, type Length } from '../../core/story/index'

/**
 * How hard stories are to read, by Flesch and Kincaid's formula (Kincaid, Fishburne, Rogers and Chissom 1975; from memory):
 * 0.39 words a sentence + 11.8 syllables a word - 15.59.
 */

test('the formula on sentences counted by hand', () => {
  // 6 words, 6 syllables, 1 sentence; 10 words, 12 syllables, 2 sentences.
  expect(readingGrade(['The cat sat on the mat.'])).toBeCloseTo(0.39 * 6 + 11.8 * 1 - 15.59, 5)
  expect(readingGrade(['Seven lanterns hang on the line.', 'Pip takes one down.'])).toBeCloseTo(
    0.39 * 5 + 11.8 * (12 / 10) - 15.59,
    5,
  )
})

/** All grades of stories of one length. */
function grades(length: Length): readonly number[] {
  const problems = ['15 - 8', '12 + 7', '6 * 4', '24 / 6', '-3 + 5', '20 * 3/4', '12 + 8 - 5', '3 * 12 ? 40', '40 ? 36']
  return storiesFrom(
    problems.flatMap((p) => [p, p, p]),
    2,
  ).flatMap((one) => {
    const { roles, before } = toldIn(one)
    return scenesFor(one.cell, { roles, ...(before ? { before } : {}) }).map((scene) =>
      readingGrade(tellStory({ problem: one.problem, cell: one.cell, scene, seed: one.seed, length }).sentences),
    )
  })
}
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length

test('short stories read more easily than plain ones, and plain ones than joined ones', () => {
  const [short, plain, joined] = LENGTHS.map((l) => mean(grades(l))) as [number, number, number]
  expect(short).toBeLessThan(plain)
  expect(plain).toBeLessThan(joined - 0.5)
  // An early reader's level: the end of the first school years.
  expect(short).toBeLessThan(2.5)
  expect(plain).toBeLessThan(3)
  expect(joined).toBeLessThan(6)
})

test('no story of any kind or scene is hard to read', () => {
  const hard: string[] = []
  for (const cell of CELLS)
    for (const scene of SCENES) {
      const told = [
        '15 - 8',
        '12 + 7',
        '6 * 4',
        '24 / 6',
        '2 - 5',
        '20 * 3/4',
        '12 + 8 - 5',
        '4 * 6 - 5',
        '3 * 12 ? 40',
      ].flatMap((problem) => {
        try {
          return [tellStory({ problem, cell, scene, seed: 5 })]
        } catch {
          return []
        }
      })
      hard.push(...told.filter((s) => readingGrade(s.sentences) > 6).map((s) => s.text))
    }
  expect(hard).toEqual([])
})
