import { listed } from '../../core/number/trail'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { slipsOf } from '../../core/record/outcome'
import { reopen, type WorkRecord } from '../../core/record/record'
import { REPRESENTATIONS } from '../../core/representation/index'

/** Work written by an earlier version, in every material and way, replays to the same acts, values and slips. */

interface Kept {
  readonly work: WorkRecord
  readonly value: string
  readonly read: string | null
  readonly acts: readonly Past[]
  readonly slips: readonly string[]
  readonly shows: string
}
const WORKS = JSON.parse(readFileSync(join('tests', 'fixtures', 'v1', 'works.json'), 'utf8')) as readonly Kept[]
const ids = [...new Set(WORKS.map((k) => k.work.representation))]

test('every material that there was is among them', () => {
  expect(ids).toHaveLength(19)
  expect(ids.filter((id) => !(id in REPRESENTATIONS))).toEqual([])
})

interface Past {
  readonly kind: string
  readonly from?: unknown
  readonly to?: unknown
  readonly parts?: readonly (Past | string)[]
}

/** That version wrote the one kind of pieces on either side of an exchange without a list. */
const sidesListed = (act: Past | string): unknown =>
  typeof act === 'string'
    ? act
    : act.kind === 'exchange'
      ? { ...act, from: [act.from], to: [act.to] }
      : { ...act, ...(act.parts ? { parts: act.parts.map(sidesListed) } : {}) }

test.each(ids)('%s', (id) => {
  for (const { work, value, read, acts, slips, shows } of WORKS.filter((k) => k.work.representation === id)) {
    const b = reopen(work)
    const named = [work.problem, work.way]
    const plain: unknown = JSON.parse(JSON.stringify(listed(b.now.stones).flatMap((s) => s.acts)))
    expect([...named, plain]).toEqual([...named, acts.map(sidesListed)])
    expect([...named, b.now.standing.value, b.now.standing.read, slipsOf(b)]).toEqual([...named, value, read, slips])
    expect(REPRESENTATIONS[id].shows(b.now.states[id])).toBe(shows)
  }
})
