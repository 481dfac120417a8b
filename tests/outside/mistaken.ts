/**
 * Learners who work by a mistaken procedure, written anew from its description and from nothing in the core: numbers as plain text,
 * columns as strings read from the right. Sources as in the catalogue (Brown & Burton 1978 and VanLehn 1990, from memory; else common
 * practice). Each takes a problem as text and gives the answer that such a learner writes, or null where the procedure says nothing.
 */
export type Learner = (problem: string) => string | null

const two = (problem: string): { a: number; b: number; op: string } | null => {
  const found = /^(-?\d+) ([+\-*/]) \(?(-?\d+)\)?$/.exec(problem)
  return found ? { a: Number(found[1]), op: found[2]!, b: Number(found[3]) } : null
}
const on =
  (op: string, work: (a: number, b: number) => number | null): Learner =>
  (problem) => {
    const of = two(problem)
    if (!of || of.op !== op || of.a < 0 || of.b < 0) return null
    const made = work(of.a, of.b)
    return made === null ? null : String(made)
  }

/** Taking away from the right with a list of the upper digits in hand; each mistake is one change of this. */
function columnsDown(a: number, b: number, how: (t: number[], i: number, low: number) => number | 'rule'): number {
  const upper = Array.from(String(a), Number)
  const lower = Array.from(String(b).padStart(upper.length, '0'), Number)
  let text = ''
  for (let i = upper.length - 1; i >= 0; i--) {
    let written = how(upper, i, lower[i]!)
    if (written === 'rule') {
      if (upper[i]! < lower[i]!) {
        // The usual way: walk left over noughts, take one, come back leaving nines.
        let k = i - 1
        while (k >= 0 && upper[k] === 0) k--
        if (k >= 0) {
          upper[k] = upper[k]! - 1
          for (k++; k < i; k++) upper[k] = 9
          upper[i] = upper[i]! + 10
        }
      }
      written = Math.abs(upper[i]! - lower[i]!)
    }
    text = (i === 0 ? String(written) : String(written % 10)) + text
  }
  return Number(text)
}
type Down = (t: number[], i: number, low: number, blanks: number) => number | 'rule'
const down = (how: Down): Learner =>
  on('-', (a, b) => {
    const blanks = String(a).length - String(b).length
    return a < b ? null : columnsDown(a, b, (t, i, low) => how(t, i, low, blanks))
  })

/** The nearest place to the left that holds something; −1 where none does. */
const holder = (t: number[], i: number): number => {
  for (let k = i - 1; k >= 0; k--) if (t[k]! > 0) return k
  return -1
}

/** Adding from the right over strings; `go` gets the sum of a column and its distance from the left end, and says what is written and carried. */
function columnsUp(
  texts: string[],
  go: (sum: number, isLast: boolean, carryTo: (far: number, n: number) => void) => string,
): number {
  const wide = Math.max(...texts.map((t) => t.length))
  const rows = texts.map((t) => t.padStart(wide, '0'))
  const extra: Record<number, number> = {}
  let answer = ''
  let far = 0
  while (far < wide || (extra[far] ?? 0) > 0) {
    let sum = extra[far] ?? 0
    for (const row of rows) sum += Number(row[wide - 1 - far] ?? '0')
    const isLast = far >= wide - 1 && !((extra[far + 1] ?? 0) > 0)
    answer = go(sum, isLast, (by, n) => (extra[far + by] = (extra[far + by] ?? 0) + n)) + answer
    far++
  }
  return Number(answer)
}
const usual = (sum: number, isLast: boolean, carry: (far: number, n: number) => void): string => {
  if (isLast) return String(sum)
  if (sum > 9) carry(1, Math.trunc(sum / 10))
  return String(sum % 10)
}
const up = (go: Up): Learner =>
  on('+', (a, b) => {
    const wide = Math.max(String(a).length, String(b).length)
    let far = -1
    return columnsUp([String(a), String(b)], (sum, isLast, carry) => {
      far++
      return (far < wide - 1 ? go(sum, isLast, carry) : null) ?? usual(sum, isLast, carry)
    })
  })
const when = (made: number, text: () => string): string | null => (made > 9 ? text() : null)

const signedTwo =
  (work: (a: number, op: string, b: number) => number | null): Learner =>
  (problem) => {
    const of = two(problem)
    if (!of || !'+-'.includes(of.op)) return null
    const right = of.op === '+' ? of.a + of.b : of.a - of.b
    if (of.a >= 0 && of.b >= 0 && right >= 0) return null
    const made = work(of.a, of.op, of.b)
    return made === null ? null : String(made)
  }

const fractionsOf = (problem: string): { p: number; q: number; r: number; s: number } | null => {
  const found = /^(\d+)\/(\d+) \+ (\d+)\/(\d+)$/.exec(problem)
  if (!found) return null
  const [p, q, r, s] = found.slice(1).map(Number) as [number, number, number, number]
  return { p, q, r, s }
}
const decimalsOf = (problem: string) => {
  const found = /^(\d+)(?:\.(\d+))? ([+-]) (\d+)(?:\.(\d+))?$/.exec(problem)
  if (!found || (found[2] === undefined && found[5] === undefined)) return null
  return { a: found[1]!, x: found[2] ?? '', op: found[3]!, b: found[4]!, y: found[5] ?? '' }
}
const heapIn = (problem: string): { n: number; v: number }[] | null => {
  const parts = problem.split(' + ').map((p) => /^(\d+) \* (\d+)$/.exec(p))
  return parts.length > 1 && parts.every(Boolean) ? parts.map((p) => ({ n: Number(p![1]), v: Number(p![2]) })) : null
}
const times = (work: (a: number, b: number) => number | null): Learner => on('*', work)
const byOne = (work: (digit: number, by: number, carry: number) => number): Learner =>
  times((a, b) => {
    if (b > 9 || a < 10) return null
    let [carry, text] = [0, '']
    const digits = [...String(a)].reverse()
    digits.forEach((d, i) => {
      const made = work(Number(d), b, carry)
      carry = Math.trunc(made / 10)
      text = (i === digits.length - 1 ? String(made) : String(made % 10)) + text
    })
    return Number(text)
  })
const shared =
  (work: (a: number, b: number) => string | null): Learner =>
  (problem) => {
    const of = two(problem)
    return of && of.op === '/' ? work(of.a, of.b) : null
  }

/** Beads: each rod is two lists of beads at the bar; a digit is worked with them, one rule after another. */
function onBeads(problem: string, wrong: 'no-back' | 'digit-back' | 'no-next' | 'clear-all' | 'rod'): string | null {
  const of = two(problem)
  if (!of || of.a < 0 || of.b < 0 || (of.op !== '+' && of.op !== '-')) return null
  const adds = of.op === '+'
  const rods = Array.from(String(of.a).padStart(9, '0'), Number)
  const at = (fromRight: number): number => rods.length - 1 - fromRight
  const step = (right: number, d: number, wrongly: boolean): boolean => {
    if (d === 0) return true
    if (right > 6) return false
    const has = rods[at(right)]!
    const to = adds ? has + d : has - d
    if (to >= 0 && to <= 9) {
      const [lower, needs] = [has % 5, d % 5]
      const simple = adds ? lower + needs < 5 && (d < 5 || has < 5) : lower >= needs && (d < 5 || has >= 5)
      rods[at(right)] = wrongly && wrong === 'clear-all' && adds && d < 5 && !simple ? 5 : to
      return true
    }
    if (wrongly && wrong === 'no-back') return step(right + 1, 1, false)
    if (wrongly && wrong === 'digit-back') {
      const left = adds ? has - d : has + d
      if (left >= 0 && left <= 9) {
        if (!step(right + 1, 1, false)) return false
        rods[at(right)] = left
        return true
      }
    }
    if (!(wrongly && wrong === 'no-next') && !step(right + 1, 1, wrongly)) return false
    rods[at(right)] = adds ? has - (10 - d) : has + (10 - d)
    return true
  }
  const digits = String(of.b)
  for (let i = 0; i < digits.length; i++)
    if (!step(digits.length - 1 - i + (wrong === 'rod' ? 1 : 0), Number(digits[i]), true)) return null
  return String(Number(rods.join('')))
}

/** Habits of taking away in columns, those that write without exchanging first. */
const DOWN: Readonly<Record<string, Down>> = {
  'smaller-from-larger': (t, i, low) => (low > t[i]! ? low - t[i]! : 'rule'),
  'zero-minus-n-is-n': (t, i, low) => (t[i] === 0 && low > 0 ? low : 'rule'),
  'zero-minus-n-is-zero': (t, i, low) => (t[i] === 0 && low > 0 ? 0 : 'rule'),
  'n-minus-zero-is-zero': (t, i, low, blanks) => (i >= blanks && low === 0 && t[i]! > 0 ? 0 : 'rule'),
  'borrow-no-decrement': (t, i, low) => (low > t[i]! ? t[i]! + 10 - low : 'rule'),
  'lessens-without-enlarging': (t, i, low) => {
    if (low <= t[i]! || i === 0 || t[i - 1] === 0) return 'rule'
    t[i - 1] = t[i - 1]! - 1
    return low - t[i]!
  },
  'stops-borrow-at-zero': (t, i, low) => (low > t[i]! && t[i - 1] === 0 ? t[i]! + 10 - low : 'rule'),
  'borrow-from-zero': (t, i, low) => {
    if (low <= t[i]! || t[i - 1] !== 0) return 'rule'
    for (let k = i - 1; k >= 0 && t[k] === 0; k--) t[k] = 9
    return t[i]! + 10 - low
  },
  'borrow-across-zero': (t, i, low) => {
    const from = holder(t, i)
    if (low <= t[i]! || t[i - 1] !== 0 || from < 0) return 'rule'
    t[from] = t[from]! - 1
    return t[i]! + 10 - low
  },
  'zero-left-as-ten': (t, i, low) => {
    const from = holder(t, i)
    if (low <= t[i]! || t[i - 1] !== 0 || from < 0) return 'rule'
    t[from] = t[from]! - 1
    for (let k = from + 1; k < i; k++) t[k] = 10
    return t[i]! + 10 - low
  },
  'always-borrow-left': (t, i, low) => {
    if (low <= t[i]! || i < 2 || t[0]! <= 0) return 'rule'
    t[0] = t[0]! - 1
    return t[i]! + 10 - low
  },
  'always-exchanges': (t, i, low) => {
    if (i === 0) return 'rule'
    let k = i - 1
    while (k >= 0 && t[k] === 0) k--
    if (k < 0) return 'rule'
    t[k] = t[k]! - 1
    for (let m = k + 1; m < i; m++) t[m] = 9
    t[i] = t[i]! + 10
    return t[i]! - low
  },
}
type Up = (sum: number, isFirst: boolean, carry: (far: number, n: number) => void) => string | null
/** Habits of adding in columns. */
const UP: Readonly<Record<string, Up>> = {
  'forgets-carry': (sum) => when(sum, () => String(sum % 10)),
  'whole-column-sum': (sum) => when(sum, () => String(sum)),
  'carries-too-far': (sum, _, carry) => when(sum, () => (carry(2, Math.trunc(sum / 10)), String(sum % 10))),
  'carries-always': (sum, _, carry) => (sum > 9 ? null : (carry(1, 1), String(sum))),
  'carries-into-same': (sum) => when(sum, () => String(((sum % 10) + Math.trunc(sum / 10)) % 10)),
  'carries-ones': (sum, _, carry) => when(sum, () => (carry(1, sum % 10), String(Math.trunc(sum / 10)))),
}

export const LEARNERS: Readonly<Record<string, Learner>> = {
  ...Object.fromEntries(Object.entries(DOWN).map(([id, how]) => [id, down(how)])),
  ...Object.fromEntries(Object.entries(UP).map(([id, go]) => [id, up(go)])),
  'flush-left': on('+', (a, b) => {
    const wide = Math.max(String(a).length, String(b).length)
    return Number(String(a).padEnd(wide, '0')) + Number(String(b).padEnd(wide, '0'))
  }),
  'counts-start': on('+', (a, b) => a + b - 1),
  'touch-missed': on('+', (a, b) => a + b - 1),
  'touch-twice': on('+', (a, b) => a + b + 1),
  'adds-instead': on('-', (a, b) => a + b),
  'counts-start-back': on('-', (a, b) => a - b + 1),
  'touch-missed-back': on('-', (a, b) => a - b + 1),
  'touch-twice-back': on('-', (a, b) => Math.max(0, a - b - 1)),
  'drops-sign': signedTwo((a, op, b) => (op === '+' ? Math.abs(a) + Math.abs(b) : Math.abs(a) - Math.abs(b))),
  'operation-as-own': signedTwo((a, op, b) => (op === '-' && b > 0 ? a + b : null)),
  'own-as-operation': signedTwo((a, op, b) => (op === '-' && b < 0 ? a + b : null)),
  'adds-sizes': signedTwo((a, op, b) => (a * (op === '+' ? b : -b) < 0 ? Math.abs(a) + Math.abs(b) : null)),
  'sign-of-first': signedTwo((a, op, b) => {
    const right = op === '+' ? a + b : a - b
    return a !== 0 && Math.sign(right) !== Math.sign(a) ? 0 - right : null
  }),
  'tops-and-bottoms': (problem) => {
    const f = fractionsOf(problem)
    return f && `${f.p + f.r}/${f.q + f.s}`
  },
  'one-denominator': (problem) => {
    const f = fractionsOf(problem)
    return f && f.q !== f.s ? `${f.p + f.r}/${f.q}` : null
  },
  'bottom-only': (problem) => {
    const f = fractionsOf(problem)
    if (!f || f.q === f.s) return null
    let least = f.q
    while (least % f.s !== 0) least += f.q
    return `${f.p + f.r}/${least}`
  },
  'wholes-as-one': (problem) => {
    const f = fractionsOf(problem)
    const [p, q] = f ? [f.p * f.s + f.r * f.q, f.q * f.s] : [0, 1]
    const byWhole = /^(\d+) \* (\d+)\/(\d+)$/.exec(problem)?.slice(1).map(Number)
    const [top, bottom] = byWhole ? [byWhole[0]! * byWhole[1]!, byWhole[2]!] : [p, q]
    return top > bottom && top % bottom !== 0 ? `${top}/${bottom * Math.ceil(top / bottom)}` : null
  },
  'bottom-times': (problem) => {
    const found = /^(\d+) \* (\d+)\/(\d+)$/.exec(problem)
    return found && `${Number(found[1]) * Number(found[2])}/${Number(found[1]) * Number(found[3])}`
  },
  'flush-right': (problem) => {
    const d = decimalsOf(problem)
    if (!d || d.x.length === d.y.length) return null
    const [m, n] = [Number(d.a + d.x), Number(d.b + d.y)]
    const all = Math.abs(d.op === '+' ? m + n : m - n)
    return String(all / 10 ** Math.max(d.x.length, d.y.length))
  },
  'after-point-as-whole': (problem) => {
    const d = decimalsOf(problem)
    if (!d) return null
    const sum = (m: number, n: number): number => (d.op === '+' ? m + n : m - n)
    const rest = String(Math.abs(sum(Number(d.x || 0), Number(d.y || 0))))
    return String(Number((sum(Number(d.a), Number(d.b)) + Number(rest) / 10 ** rest.length).toFixed(6)))
  },
  'keeps-last': (problem) => {
    // On by the greatest value where the second kind begins, then by each kind's own.
    const heap = heapIn(problem)?.sort((m, n) => n.v - m.v)
    if (!heap) return null
    return String(heap.reduce((sum, { n, v }, i) => sum + n * (i === 1 ? heap[0]!.v : v), 0))
  },
  'counts-coins': (problem) => {
    const heap = heapIn(problem)
    return heap && String(heap.reduce((sum, { n }) => sum + n, 0))
  },
  'coin-twice': (problem) => {
    const heap = heapIn(problem)
    return heap && String(heap.reduce((sum, { n, v }) => sum + n * v, 0) + Math.max(...heap.map((k) => k.v)))
  },
  'coin-left-out': (problem) => {
    const heap = heapIn(problem)
    return heap && String(heap.reduce((sum, { n, v }) => sum + n * v, 0) - Math.max(...heap.map((k) => k.v)))
  },
  'left-as-ones': times((a, b) => ((b === 9 && a > 1 && a <= 10) || (a === 9 && b > 1 && b <= 10) ? 9 : null)),
  'not-moved-over': times((a, b) => (b > 9 && b < 100 && a > 9 ? a * Math.trunc(b / 10) + a * (b % 10) : null)),
  'one-column-only': times((a, b) => {
    const [top, by] = a >= b ? [a, b] : [b, a]
    if (by > 9 || top < 10 || top % 10 === 0) return null
    return (top % 10) * by + (top - (top % 10))
  }),
  'carry-before': byOne((d, by, carry) => (d + carry) * by),
  'carry-dropped': byOne((d, by) => d * by),
  'adds-factors': times((a, b) => a + b),
  'group-too-few': times((a, b) => (a - 1) * b),
  'group-too-many': times((a, b) => (a + 1) * b),
  'zero-left-out': shared((a, b) => {
    const q = String(Math.trunc(a / b))
    return q.includes('0') && q.replaceAll('0', '') !== '' ? q.replaceAll('0', '') : null
  }),
  'not-brought-down': shared((a, b) => {
    const q = String(Math.trunc(a / b))
    return q.length > 1 ? q[0]! : null
  }),
  'subtracted-upwards': shared((a, b) => {
    let [left, q] = ['', '']
    for (const digit of String(a)) {
      const stands = String(Number(left + digit))
      const d = Math.min(9, Math.trunc(Number(stands) / b))
      const taken = String(d * b).padStart(stands.length, '0')
      left = Array.from(stands, (c, i) => Math.abs(Number(c) - Number(taken[i]))).join('')
      q += String(d)
    }
    return String(Number(q))
  }),
  'remainder-too-large': shared((a, b) => (a >= b ? `${Math.trunc(a / b) - 1} r ${(a % b) + b}` : null)),
  'ten-not-given-back': (problem) => onBeads(problem, 'no-back'),
  'digit-given-back': (problem) => onBeads(problem, 'digit-back'),
  'next-rod-forgotten': (problem) => onBeads(problem, 'no-next'),
  'lower-cleared': (problem) => onBeads(problem, 'clear-all'),
  'wrong-rod': (problem) => onBeads(problem, 'rod'),
}

/** Two habits of columns had together: in each column the first of the list that has something of its own to do does it. */
export function pairLearner(ids: readonly [string, string]): Learner | null {
  const downs = Object.keys(DOWN).filter((id) => ids.includes(id))
  const ups = Object.keys(UP).filter((id) => ids.includes(id))
  if (downs.length === 2)
    return down((t, i, low, blanks) => {
      for (const id of downs) {
        const made = DOWN[id]!(t, i, low, blanks)
        if (made !== 'rule') return made
      }
      return 'rule'
    })
  if (ups.length === 2) return up((...column) => UP[ups[0]!]!(...column) ?? UP[ups[1]!]!(...column))
  return null
}
