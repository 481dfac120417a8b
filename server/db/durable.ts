import { closeSync, fsyncSync, openSync, renameSync } from 'node:fs'
import { dirname } from 'node:path'

/** Has what a file or folder holds on the disk before going on. A name is only safe once its folder is. */
export function sync(path: string): void {
  const file = openSync(path, 'r')
  try {
    fsyncSync(file)
  } finally {
    closeSync(file)
  }
}

/** Puts a finished file in its place under its name, so that it is there after a power cut too. */
export function putInPlace(finished: string, path: string): void {
  sync(finished)
  renameSync(finished, path)
  sync(dirname(path))
}
