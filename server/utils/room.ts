import { statfsSync } from 'node:fs'
import { dirname } from 'node:path'

/** How much room there is on the disk of a file, in bytes. */
export function roomAt(path: string): number {
  const { bavail, bsize } = statfsSync(dirname(path))
  return bavail * bsize
}

/** An amount of bytes as people say it. */
export const megabytes = (bytes: number): string => `${Math.max(1, Math.ceil(bytes / 1e6))} MB`
