import { unzipSync } from 'fflate'
import Papa from 'papaparse'
import { MOST_ROSTER, readRoster, type OnRoster, type RosterFile } from '../../shared/oneRoster'
import type { RosterTaken } from '../../shared/learners'

/** The files of a school's list, out of a zip file where they come in one. */

const MOST_BYTES = 40_000_000

/** @throws Error where a file is too large, or cannot be read. */
export async function filesIn(files: readonly File[]): Promise<readonly RosterFile[]> {
  const read: RosterFile[] = []
  for (const file of files) {
    if (file.size > MOST_BYTES) throw new Error(`${file.name} is larger than 40 MB. Is it a class list?`)
    if (!/\.zip$/i.test(file.name)) {
      read.push({ name: file.name, text: await file.text() })
      continue
    }
    let inside: Record<string, Uint8Array>
    try {
      // Only what is asked for is unpacked, and nothing that would be larger than such a list is.
      inside = unzipSync(new Uint8Array(await file.arrayBuffer()), {
        filter: ({ name, originalSize }) =>
          /(?:^|\/)(?:manifest|users|classes|enrollments)\.csv$/i.test(name) && originalSize <= MOST_ROSTER,
      })
    } catch {
      throw new Error(`${file.name} cannot be unpacked. Is it a zip file?`)
    }
    for (const [name, bytes] of Object.entries(inside)) read.push({ name, text: new TextDecoder().decode(bytes) })
  }
  const long = read.find((f) => f.text.length > MOST_ROSTER)
  if (long) throw new Error(`${long.name} is too long. Is it a class list?`)
  return read
}

/** Who is who, as CSV: names on the list beside the code names here. */
export const keyOf = (people: readonly OnRoster[], names: RosterTaken['names']): string =>
  Papa.unparse(
    {
      fields: ['givenName', 'familyName', 'sourcedId', 'codeName'],
      data: people.flatMap((p) => {
        const code = names.find((n) => n.rosterId === p.rosterId)?.codeName
        return code === undefined ? [] : [[p.given, p.family, p.rosterId, code]]
      }),
    },
    { escapeFormulae: true },
  )

export { readRoster }
