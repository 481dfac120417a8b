import { crc32 } from 'node:zlib'

/** What a checksum is made over, in the order of `SUMMED`. */
type Summed = readonly (string | number | null)[]

/** The columns of a record and of a trial that their checksum is made over. */
export const SUMMED = 'id, learner_id, started_at, is_right, help, note, body'

/** CRC-32 over some columns: it finds every single flipped byte. */
export function sumOf(columns: Summed): number {
  let sum = 0
  for (const column of columns) sum = crc32(`${String(column)}\u0000`, sum)
  return sum
}

/** What is kept was changed on the disk by something other than Sett. */
export class Flipped extends Error {
  override readonly name = 'Flipped'
  constructor(readonly id: string) {
    super(`What is kept under ${id} has been damaged on the disk.`)
  }
}

/** Hears which thing cannot be read any more. */
export type Damaged = (id: string) => void
/** Stops at what cannot be read any more. @throws Flipped */
export const refuseDamaged: Damaged = (id) => {
  throw new Flipped(id)
}
/** Reads something; what is damaged is told, and passed over. */
export function ifWhole<T>(read: () => T, damaged: Damaged): T | undefined {
  try {
    return read()
  } catch (error) {
    if (!(error instanceof Flipped)) throw error
    damaged(error.id)
    return undefined
  }
}
