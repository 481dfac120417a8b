import type { z } from 'zod'
import { FILE_VERSION } from '../../shared/schemas'
import { thingsIn } from './fileStream'
import { fieldErrors, refuse, type FieldError } from './problem'
import { SILENT, type Long } from './progress'
import type { Store } from './store'
import { packing, type CheckedFile } from './takingIn'

/** As many troubles of a file as are told at once. */
const MOST_ERRORS = 20

/** A thing in a file says whose it is by code name; nobody's is staff's own practice. */
interface Filed {
  readonly learner: string | null
}
/** Whether whoever brings a file may bring something of a learner of that name. */
export type IsMine = (learner: string | null) => boolean

/**
 * A kind of file: its `format`, what people call it, the list in it, the shape of all but what is in that list and of one thing in it, and
 * what is found of a thing (or else wrong with it).
 */
export interface FileKind<T extends Filed, Found> {
  readonly format: string
  readonly called: string
  readonly list: string
  readonly schema: z.ZodType
  readonly thing: z.ZodType<T>
  readonly find: (thing: T) => Found | FieldError | Promise<Found | FieldError>
}

const isTrouble = <Found>(found: Found | FieldError): found is FieldError =>
  typeof found === 'object' && found !== null && 'pointer' in found

const shortly = (n: number): string => String(n).slice(0, 12)

/** Refuses what says that it is a file of another kind, or of a later Sett. */
function checkHead(
  { format, called }: Pick<FileKind<Filed, unknown>, 'format' | 'called'>,
  head: { readonly format?: unknown; readonly version?: unknown },
): void {
  if (head.format !== format)
    refuse(422, `This is not a file of ${called}.`, [
      { pointer: '/format', detail: `Such a file says "${format}" here.` },
    ])
  if (typeof head.version === 'number' && head.version > FILE_VERSION)
    refuse(
      422,
      `This file was written by a later Sett (version ${shortly(head.version)}). This Sett reads version ${FILE_VERSION}.`,
      [{ pointer: '/version', detail: `At most ${FILE_VERSION}.` }],
    )
}

/**
 * Reads a file from its bytes, which are let go of; each thing in it is checked by itself, so that others are answered in between. Refuses
 * with a sentence for each trouble; nothing is kept then.
 */
export async function readFile<T extends Filed, Found>(
  kind: FileKind<T, Found>,
  chunks: Buffer[],
  long: Long = SILENT,
  isMine: IsMine = () => true,
): Promise<CheckedFile<Found>> {
  const of = chunks.reduce((sum, chunk) => sum + chunk.length, 0)
  const head: Record<string, unknown> = {}
  const errors: FieldError[] = []
  const things = packing()
  const found: Found[] = []
  let i = 0
  for (const { thing, read } of thingsIn(chunks, kind.list, head)) {
    // Sett writes what a file is before its list; one that says it elsewhere is looked at again at the end.
    if (i === 0 && 'format' in head) checkHead(kind, head)
    const at = `/${kind.list}/${i}`
    const parsed = kind.thing.safeParse(thing)
    await long.step(read, of)
    if (!parsed.success) errors.push(...fieldErrors(parsed.error, at))
    else if (!isMine(parsed.data.learner))
      errors.push({ pointer: `${at}/learner`, detail: 'Somebody in the file is not one of your learners.' })
    else {
      const made = await kind.find(parsed.data)
      if (isTrouble(made)) errors.push({ pointer: at + made.pointer, detail: made.detail })
      else {
        things.add(parsed.data)
        found.push(made)
      }
    }
    i += 1
    if (errors.length >= MOST_ERRORS) break
  }
  checkHead(kind, head)
  // Left off early, a file has not said all yet, and its troubles are what counts.
  const parsed = kind.schema.safeParse(head)
  if (!parsed.success && errors.length < MOST_ERRORS) {
    const wrong = fieldErrors(parsed.error)
    refuse(422, `The file is not as it should be: ${wrong[0]?.detail ?? ''} Nothing was imported.`, wrong)
  }
  if (errors.length > 0) refuse(422, `${errors[0]!.detail} Nothing was imported.`, errors)
  return { things: things.blocks(), found }
}

/** What a file says at its end of what could not be written into it, because it is damaged on the disk; nothing where all is well. */
export const damagedPart = (ids: readonly string[]): string =>
  ids.length === 0 ? '' : `,"damaged":${JSON.stringify(ids)}`

/** What is kept of one learner, of those that somebody reaches, or of all. */
export function* ofReached<T>(
  each: (learner: string | null) => Iterable<T>,
  learner: string | undefined,
  only: readonly string[] | null,
): Generator<T> {
  for (const id of learner !== undefined ? [learner] : (only ?? [null])) yield* each(id)
}

/** Learners' code names, by their identifiers. */
export const codeNames = (store: Store): ReadonlyMap<string, string> =>
  new Map(store.learners().map((l) => [l.id, l.codeName]))
