import { crc32 } from 'node:zlib'

/** What of a record or trial its checksum is made over, in this order. */
type Summed = readonly (string | number | null)[]

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
