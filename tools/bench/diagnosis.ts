import { between, seeded } from '../../core/course/random'
import {
  CATALOGUE,
  diagnose,
  FAMILIES,
  nextQuestion,
  parseItem,
  type Family,
  type Rival,
} from '../../core/diagnose/index'
import { allRivals, keyOf } from '../../core/diagnose/next'
import { printProblem } from '../../core/index'
import { LEARNERS } from '../../tests/outside/mistaken'
import {
  drawn,
  foundIn,
  ITEMS,
  noneIn,
  pageOf,
  pairsIn,
  poolOf,
  rightText,
  SLIPS,
  whereOf,
} from '../../tests/outside/pages'
import { printAnswer } from '../../core/diagnose/index'
import type { Figure } from './all'

const PAGES = 100

/** How many questions it takes until only what cannot be told from the truth still stands, and until each other rival is out. */
function questions(family: Family, ask: (standing: readonly Rival[], asked: readonly string[]) => string | null) {
  const rivals = allRivals((k) => k.family === family)
  const pool = poolOf(family, 999)
  const signature = (r: Rival): string => pool.map((p) => keyOf(r, p)).join(';')
  const signed = rivals.map((rival) => ({ rival, all: signature(rival) }))
  const byText = new Map(pool.map((p) => [printProblem(p), p]))
  let [untilAlone, untilOut, truths, others] = [0, 0, 0, 0]
  for (const truth of signed) {
    let standing = signed.filter((s) => s !== truth)
    const asked: string[] = []
    while (standing.some((s) => s.all !== truth.all)) {
      const text = ask(
        [truth, ...standing].map((s) => s.rival),
        asked,
      )
      if (text === null) break
      asked.push(text)
      const problem = byText.get(text)!
      const left = standing.filter((s) => keyOf(s.rival, problem) === keyOf(truth.rival, problem))
      untilOut += asked.length * (standing.length - left.length)
      others += standing.length - left.length
      standing = left
    }
    untilAlone += asked.length
    truths++
  }
  return { alone: untilAlone / truths, out: untilOut / others }
}

/** How surely answers are marked, how few questions tell rivals apart, and how long it takes. */
export function marking(): Figure[] {
  const figures: Figure[] = []
  const known = CATALOGUE.filter((k) => LEARNERS[k.id])
  const found = known.map((k, i) => ({ id: k.id, n: foundIn(k, PAGES, 100 + i) })).sort((a, b) => a.n - b.n)
  const mean = found.reduce((sum, f) => sum + f.n, 0) / found.length
  figures.push({
    what: `one of ${known.length} procedures, ${ITEMS} problems, ${SLIPS * 100} % slips`,
    value: `${mean.toFixed(1)} %`,
    beside: `first, on the mean; fewest ${found
      .slice(0, 3)
      .map((f) => `${f.n} (${f.id})`)
      .join(', ')}; 95 wanted`,
  })
  for (const [i, family] of FAMILIES.entries()) {
    const { careful, random } = noneIn(family, PAGES, 200 + i)
    figures.push({
      what: `no procedure named, ${family}`,
      value: `${careful}, ${random} %`,
      beside: 'right but for slips (99 wanted), at random (95 wanted)',
    })
  }
  const pairs = pairsIn(200, 300)
  figures.push({
    what: 'two at once',
    value: `${((100 * pairs.found) / pairs.of).toFixed(0)} %`,
    beside: `of ${pairs.of} pages; 85 wanted; missed ${pairs.missed.slice(0, 2).join(', ')}`,
  })
  for (const family of FAMILIES) {
    const random = seeded(9)
    const chosen = questions(family, (standing, asked) => {
      const best = nextQuestion(standing, { family, most: 999 }, asked, 4711)
      return best && printProblem(best.problem)
    })
    let [alone, out] = [0, 0]
    for (let turn = 0; turn < 5; turn++) {
      const order = drawn(poolOf(family, 999).map(printProblem), 600, random)
      const by = questions(family, (_, asked) => order[asked.length] ?? null)
      alone += by.alone / 5
      out += by.out / 5
    }
    figures.push({
      what: `questions until one stands alone, ${family}`,
      value: `${chosen.alone.toFixed(1)} to ${alone.toFixed(1)}`,
      beside: `chosen to random; until a rival is out ${chosen.out.toFixed(2)} to ${out.toFixed(2)}`,
    })
  }
  figures.push(sheets(true), sheets(false))
  return figures
}

/** A thousand pages of twenty problems, of a class with the same problems or each with its own. */
function sheets(same: boolean): Figure {
  const random = seeded(77)
  const habits = known()
  const pool = poolOf('taking away', 999)
  const class20 = drawn(pool, 20, random)
  const pages = Array.from({ length: 1000 }, () => {
    const learner = random() < 0.4 ? LEARNERS[habits[between(random, 0, habits.length - 1)]!]! : () => null
    const items = pageOf(same ? class20 : drawn(pool, 40, random), learner, random)
    const twenty = [
      ...items,
      ...(same ? class20 : drawn(pool, 20, random))
        .slice(0, 20 - items.length)
        .map((problem) => ({ problem, answer: null })),
    ]
    return twenty.map((i) => ({
      problem: printProblem(i.problem),
      answer: i.answer ? printAnswer(i.answer) : (learner(printProblem(i.problem)) ?? rightText(i.problem)),
    }))
  })
  const begun = performance.now()
  for (const page of pages) diagnose({ items: page.map(parseItem), with: whereOf('taking away') })
  return {
    what: `1,000 pages of 20 problems, ${same ? 'the same for a class' : 'each its own'}`,
    value: `${(performance.now() - begun).toFixed(0)} ms`,
    beside: '2,000 wanted',
  }
}
const known = (): string[] => CATALOGUE.filter((k) => k.taking).map((k) => k.id)
