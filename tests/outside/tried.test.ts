import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Papa from 'papaparse'
import { seedDemo } from '../../demo/lantern-walk'
import type { statementOf } from '../../core/progress/index'
import { durationText } from '../../core/progress/index'
import { triedAsCsv, triedAsStatements } from '../../server/utils/tried'
import { makeStore, type Store } from '../../server/utils/store'

/** Everything that was tried, in open formats: CSV by RFC 4180, and statements by the rules of xAPI 1.0.3 (both from memory). */

let store: Store
beforeAll(() => {
  store = makeStore(join(mkdtempSync(join(tmpdir(), 'sett-tried-')), 'sett.db'))
  seedDemo(store, new Date('2026-11-24T12:00:00Z'))
})
afterAll(() => store.db.close())
const all = (parts: Iterable<string>): string => [...parts].join('')
const inTheDaybook = () => store.page({ limit: 200 }).records

test('the table has a line for each, with lines ended as RFC 4180 ends them, and reads back whole', () => {
  const [first] = [...store.trials(null)]
  store.keepTrial(
    { ...first!, id: '00000000-0000-4000-8000-000000009999', note: 'said "seven",\nthen =2+2' },
    { durationMs: 5, problem: '-3 + 5', step: '', material: '', mode: 'alone', slips: [] },
  )
  const text = all(triedAsCsv(store))
  // Line ends but those inside quotation marks are CR LF.
  expect(text.replace(/"(?:[^"]|"")*"/g, '').replaceAll('\r\n', '')).not.toMatch(/[\r\n]/)
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true })
  expect(errors).toEqual([])
  expect(data).toHaveLength(inTheDaybook().length)
  const odd = data.find((r) => r.id!.endsWith('9999'))!
  expect(odd.note).toBe('said "seven",\nthen =2+2')
  // What a spreadsheet would work out is kept text.
  expect(odd.problem).toBe("'-3 + 5")
  expect(new Set(data.map((r) => r.learner))).toContain('Wren')
  const one = store.learnerNamed('Wren')!
  const hers = Papa.parse<Record<string, string>>(all(triedAsCsv(store, null, one.id)), {
    header: true,
    skipEmptyLines: true,
  })
  expect(new Set(hers.data.map((r) => r.learner))).toEqual(new Set(['Wren']))
})

/** What the specification asks of a statement that is sent to a store of records. */
function faultsOf(s: ReturnType<typeof statementOf>): readonly string[] {
  const iri = (text: string): boolean => /^[a-z][a-z0-9+.-]*:\S+$/i.test(text)
  const map = (of: Record<string, string>): boolean =>
    Object.entries(of).every(([tag, text]) => /^[a-z]{2}(?:-[A-Z]{2})?$/.test(tag) && text !== '')
  const checks: readonly (readonly [string, boolean])[] = [
    ['an id that is no UUID', /^[0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12}$/.test(s.id)],
    [
      'an actor without one way of being known',
      s.actor.objectType === 'Agent' && iri(s.actor.account.homePage) && s.actor.account.name !== '',
    ],
    ['a verb without an address or words', iri(s.verb.id) && map(s.verb.display)],
    ['an activity without an address', s.object.objectType === 'Activity' && iri(s.object.id)],
    [
      'a definition without words',
      iri(s.object.definition.type) && map(s.object.definition.name) && map(s.object.definition.description),
    ],
    ['a duration that is none', /^PT\d+(?:\.\d{1,2})?S$/.test(s.result.duration)],
    ['success that is not yes or no', typeof s.result.success === 'boolean'],
    ['extensions without addresses', Object.keys({ ...s.result.extensions, ...s.context.extensions }).every(iri)],
    ['a time without its zone', /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(?:\.\d+)?Z$/.test(s.timestamp)],
    ['another version', s.version === '1.0.3'],
    ['null, which no statement has', !JSON.stringify(s).includes('null')],
  ]
  return checks.flatMap(([fault, holds]) => (holds ? [] : [fault]))
}

test('statements are as the specification asks, one for each that was tried', () => {
  const list = JSON.parse(all(triedAsStatements(store))) as ReturnType<typeof statementOf>[]
  expect(list).toHaveLength(inTheDaybook().filter((r) => r.kind !== 'note').length)
  expect(list.flatMap((s) => faultsOf(s).map((f) => `${f}: ${s.id}`))).toEqual([])
  expect(new Set(list.map((s) => s.id)).size).toBe(list.length)
  expect(durationText(12_345)).toBe('PT12.35S')
  expect(durationText(0)).toBe('PT0S')
})
