import { JSONParser } from '@streamparser/json'

/** What a file of Sett's lists, by the key under which it does. */
const LISTS = ['records', 'answers', 'trials'] as const
type List = (typeof LISTS)[number]
/** So many things at once are taken in whole or not at all; of more, so many after each other. */
const PART = 1000

/** Some of a file, as a file of its own; how many things came before it, and how far the file has been read, in bytes. */
export interface FilePart {
  readonly format: string
  readonly text: string
  readonly before: number
  readonly read: number
}

/**
 * A file in parts that are files themselves, read a little at a time, so that it may be of any length. What stands before its list (format,
 * version) goes with every part. @throws Error in a sentence, where it breaks off or is no such file; the parts before it are whole.
 */
export async function* fileParts(file: Blob, most = PART): AsyncGenerator<FilePart> {
  const head: Record<string, unknown> = {}
  let [list, things, before, read] = ['' as List | '', [] as unknown[], 0, 0]
  const parser = new JSONParser({ paths: ['$.*', ...LISTS.map((key) => `$.${key}.*`)], keepStack: false })
  parser.onValue = ({ value, key, stack, parent }) => {
    const within = stack.at(-1)?.key
    if (stack.length > 1 && LISTS.includes(within as List)) {
      list = within as List
      things.push(value)
      // The parser would hold all of the list until its end.
      if (Array.isArray(parent)) parent.length = 0
    } else if (typeof key === 'string' && !LISTS.includes(key as List)) head[key] = value
  }
  const part = (some: readonly unknown[]): FilePart => ({
    format: String(head.format ?? ''),
    text: JSON.stringify({ ...head, [list || 'records']: some }),
    before,
    read,
  })
  const reader = file.stream().getReader()
  for (;;) {
    const { done, value } = await reader.read()
    if (done) break
    try {
      parser.write(value)
    } catch {
      throw new Error(
        `The file cannot be read beyond ${Math.round(read / 1000)} kB: it is damaged, or no file of Sett’s.`,
      )
    }
    read += value.length
    while (things.length >= most) {
      yield part(things.slice(0, most))
      before += most
      things = things.slice(most)
    }
  }
  if (!parser.isEnded) throw new Error('The file breaks off before its end.')
  if (things.length > 0 || before === 0) yield part(things)
}
