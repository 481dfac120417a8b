import fc from 'fast-check'
import { fileParts, type FilePart } from '../../app/utils/fileParts'

/** A file of any length, read in parts. */

const partsOf = async (text: string, most: number): Promise<FilePart[]> => {
  const parts: FilePart[] = []
  for await (const part of fileParts(new Blob([text]), most)) parts.push(part)
  return parts
}

test('the parts of a file together are the file, each with what stands before the list', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom('records', 'answers', 'trials'),
      fc.array(fc.jsonValue({ maxDepth: 3 }), { maxLength: 25 }),
      fc.integer({ min: 1, max: 10 }),
      async (list, things, most) => {
        const parts = await partsOf(JSON.stringify({ format: `sett-${list}`, version: 1, [list]: things }), most)
        const read = parts.map((p) => JSON.parse(p.text) as Record<string, unknown[]>)
        expect(read.flatMap((file) => file[list] ?? [])).toEqual(JSON.parse(JSON.stringify(things)))
        expect(parts).toHaveLength(Math.max(1, Math.ceil(things.length / most)))
        for (const [i, { format, before }] of parts.entries()) {
          expect([format, read[i]!.version, before]).toEqual([`sett-${list}`, 1, i * most])
          expect(read[i]![list]?.length ?? 0).toBeLessThanOrEqual(most)
        }
      },
    ),
    { numRuns: 60 },
  )
})

test('names of all scripts come whole through the edges of what is read at once', async () => {
  const records = Array.from({ length: 30_000 }, (_, i) => ({ learner: `अनिता ไก่ ${i}`, note: 'é'.repeat(i % 7) }))
  const parts = await partsOf(JSON.stringify({ format: 'sett-records', version: 1, records }), 1000)
  expect(parts).toHaveLength(30)
  expect(parts.flatMap((p) => (JSON.parse(p.text) as { records: unknown[] }).records)).toEqual(records)
  expect(parts.map((p) => p.read)).toEqual([...parts.map((p) => p.read)].sort((a, b) => a - b))
})

test('what is damaged or breaks off is said, and the parts before it are given', async () => {
  const whole = JSON.stringify({
    format: 'sett-records',
    version: 1,
    records: Array.from({ length: 9 }, (_, n) => ({ n })),
  })
  const until = async (text: string): Promise<readonly [number, string]> => {
    let count = 0
    try {
      for await (const part of fileParts(new Blob([text]), 4))
        count += (JSON.parse(part.text) as { records: [] }).records.length
    } catch (error) {
      return [count, (error as Error).message]
    }
    return [count, '']
  }
  expect(await until(whole)).toEqual([9, ''])
  expect(await until(whole.slice(0, -2))).toEqual([8, 'The file breaks off before its end.'])
  expect(await until('no file')).toEqual([
    0,
    'The file cannot be read beyond 0 kB: it is damaged, or no file of Sett’s.',
  ])
  expect(await until('')).toEqual([0, 'The file breaks off before its end.'])
})
