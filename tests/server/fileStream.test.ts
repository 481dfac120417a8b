import fc from 'fast-check'
import { thingsIn } from '../../server/utils/fileStream'
import { fileOf, readRecords } from '../../server/utils/keep'
import { depthWatch } from '../../server/utils/problem'
import { SILENT } from '../../server/utils/progress'
import { demo } from './seeded'

/** Bytes cut into chunks at some places. */
function cut(bytes: Buffer, places: readonly number[]): Buffer[] {
  const at = [0, ...places.map((p) => Math.round(p * bytes.length)).sort((a, b) => a - b), bytes.length]
  return at.slice(1).map((end, i) => bytes.subarray(at[i], end))
}
const places = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 6 })
const read = (chunks: Buffer[]) => {
  const head: Record<string, unknown> = {}
  const things = [...thingsIn(chunks, 'records', head)].map((found) => found.thing)
  return { head, things }
}
const detail = (error: unknown): string => (error as { data?: { detail: string } }).data?.detail ?? ''

describe('a file read bit by bit', () => {
  test('has in it what JSON.parse finds in the whole, wherever its bytes are cut', () => {
    fc.assert(
      fc.property(fc.array(fc.jsonValue({ maxDepth: 3 })), fc.boolean(), places, (records, after, cuts) => {
        const whole = after
          ? { records, format: 'Überschrift 数', version: 1 }
          : { format: 'Überschrift 数', version: 1, records }
        const text = JSON.stringify(whole)
        const { head, things } = read(cut(Buffer.from(text), cuts))
        expect(things).toEqual((JSON.parse(text) as { records: unknown[] }).records)
        expect(head).toEqual({ format: 'Überschrift 数', version: 1, records: [] })
      }),
    )
  })

  test('that breaks off anywhere is refused, whatever was found before', () => {
    const bytes = Buffer.from(JSON.stringify({ format: 'sett-records', version: 1, records: [{ a: [1, 'x'] }, 2] }))
    fc.assert(
      fc.property(fc.integer({ min: 0, max: bytes.length - 1 }), places, (end, cuts) => {
        expect(() => read(cut(bytes.subarray(0, end), cuts))).toThrow()
      }),
    )
  })

  test('lets go of its bytes, and says how far it is', () => {
    const chunks = cut(Buffer.from(JSON.stringify({ records: Array.from({ length: 9000 }, (_, i) => i) })), [0.3, 0.6])
    const of = chunks.reduce((sum, c) => sum + c.length, 0)
    const far = [...thingsIn(chunks, 'records', {})].map((found) => found.read)
    expect(chunks).toEqual([])
    expect(new Set(far).size).toBeGreaterThan(2)
    expect(far.every((read, i) => read <= of && (i === 0 || read >= far[i - 1]!))).toBe(true)
  })

  test('a list in no list is looked for over cuts, and brackets in texts are none', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 130 }), fc.string(), places, (deep, text, cuts) => {
        const bytes = Buffer.from('['.repeat(deep) + JSON.stringify(`[[{\\"${text}`.repeat(40)) + ']'.repeat(deep))
        const isTooDeep = depthWatch()
        expect(cut(bytes, cuts).some(isTooDeep)).toBe(deep > 64)
      }),
    )
  })
})

describe('a file of records', () => {
  const store = demo()
  afterAll(() => store.db.close())
  const file = [...fileOf(store, () => store.records(null))].join('')
  const said = async (chunks: Buffer[]): Promise<string> =>
    readRecords(chunks).then(
      (read) => `${read.found.length} records`,
      (error: unknown) => detail(error),
    )

  test('is read the same wherever its bytes are cut, and whatever stands first in it', async () => {
    const { records, ...head } = JSON.parse(file) as { records: unknown[] }
    for (const text of [file, JSON.stringify({ records, ...head })])
      expect(await said(cut(Buffer.from(text), [0.1, 0.5, 0.77]))).toBe(`${records.length} records`)
  })

  test('of another kind is refused before any of it is worked, and of a kind said only at its end all the same', async () => {
    const { records } = JSON.parse(file) as { records: unknown[] }
    const seen: number[] = []
    const long = { ...SILENT, step: (done: number) => Promise.resolve(void seen.push(done)) }
    const trials = Buffer.from(JSON.stringify({ format: 'sett-trials', version: 1, records }))
    await expect(readRecords([trials], long)).rejects.toMatchObject({
      data: { detail: 'This is not a file of Sett records.' },
    })
    expect(seen).toEqual([])
    const late = { records, format: 'sett-records', version: 9 }
    expect(await said([Buffer.from(JSON.stringify(late))])).toContain('written by a later Sett (version 9)')
    expect(await said([Buffer.from('{"format":"sett-records","version":1,"records":"none"}')])).toContain('are a list')
    expect(await said([Buffer.from('[1,2]')])).toContain('not a file of Sett records')
    expect(await said([])).toContain('no content')
  })

  test('with more troubles than anybody reads is left off', async () => {
    const seen: number[] = []
    const long = { ...SILENT, step: (done: number) => Promise.resolve(void seen.push(done)) }
    const bad = { format: 'sett-records', version: 1, records: Array.from({ length: 50 }, () => ({})) }
    await expect(readRecords([Buffer.from(JSON.stringify(bad))], long)).rejects.toMatchObject({
      data: { errors: expect.arrayContaining([expect.objectContaining({ pointer: '/records/0/id' })]) },
    })
    expect(seen.length).toBeLessThan(21)
  })
})
