import fc from 'fast-check'
import { isRefusedForGood, sendAll } from '../../app/utils/sending'

const refusal = (status: number): Error => Object.assign(new Error(`status ${status}`), { status })

/** A server that answers each post by the next status of a list, and then by 200; `bad` things are refused with 422 in any case. */
function server(statuses: readonly number[], bad: ReadonlySet<number>) {
  const [kept, refused] = [new Set<number>(), new Map<number, string>()]
  let next = 0
  return {
    kept,
    refused,
    way: {
      post: async (some: readonly number[]) => {
        const status = statuses[next++] ?? 200
        if (status !== 200) throw refusal(status)
        if (some.some((one) => bad.has(one))) throw refusal(422)
        for (const one of some) kept.add(one)
      },
      sent: async () => {},
      refused: async (one: number, why: string) => refused.set(one, why),
    },
  }
}

test('of a batch only what is refused itself is given up, whatever is answered after it', async () => {
  for (const status of [0, 401, 403, 404, 408, 429, 500, 503, 507]) {
    // The batch is refused because of the second; the first goes; then the server says that it cannot just now.
    const { kept, refused, way } = server([422, 200, status], new Set([2]))
    expect(await sendAll([1, 2, 3], way)).toBe(`status ${status}`)
    expect([[...kept], [...refused.keys()]]).toEqual([[1], []])
  }
})

test('whatever is answered in whatever order, nothing that the server would take is given up, and all of it arrives', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom(200, 0, 401, 403, 404, 429, 503), { maxLength: 12 }),
      fc.uniqueArray(fc.integer({ min: 1, max: 9 }), { minLength: 1 }),
      fc.uniqueArray(fc.integer({ min: 1, max: 9 })),
      async (statuses, things, refusable) => {
        const bad = new Set(refusable)
        const { kept, refused, way } = server(statuses, bad)
        for (let round = 0; round <= statuses.length; round++) {
          const left = things.filter((t) => !kept.has(t) && !refused.has(t))
          if (left.length > 0) await sendAll(left, way)
        }
        expect([...kept].sort()).toEqual(things.filter((t) => !bad.has(t)).sort())
        expect([...refused.keys()].sort()).toEqual(things.filter((t) => bad.has(t)).sort())
      },
    ),
  )
})

test('signing in, waiting and room on the disk are no refusals', () => {
  expect([400, 409, 410, 413, 422].map((s) => isRefusedForGood(refusal(s)))).toEqual(new Array(5).fill(true))
  expect([0, 401, 403, 404, 408, 429, 500, 503, 507].some((s) => isRefusedForGood(refusal(s)))).toBe(false)
  expect(isRefusedForGood(new TypeError('no net'))).toBe(false)
})
