import { randomUUID } from 'node:crypto'
import type { z } from 'zod'
import { FILE_VERSION } from '../../shared/schemas'
import { fieldErrors, refuse, type FieldError } from './problem'
import type { Store } from './store'

/** A kind of file: its `format`, what people call it, what is in it, and what is wrong with a thing in it beyond its shape. */
interface FileKind<T> {
  readonly format: string
  readonly called: string
  readonly schema: z.ZodType<T>
  readonly unsound: (file: T) => readonly FieldError[] | Promise<readonly FieldError[]>
}

const shortly = (n: number): string => String(n).slice(0, 12)

/** Refuses what says that it is a file of another kind, or of a later Sett. */
export function checkHead({ format, called }: Pick<FileKind<unknown>, 'format' | 'called'>, json: unknown): void {
  const head = (json ?? {}) as { format?: unknown; version?: unknown }
  if (typeof head !== 'object' || head.format !== format)
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

/** Reads a file's JSON. Refuses with a sentence of its own for each trouble; nothing is kept then. */
export async function readAs<T>(kind: FileKind<T>, json: unknown): Promise<T> {
  const { schema, unsound } = kind
  checkHead(kind, json)
  const parsed = schema.safeParse(json)
  if (!parsed.success) {
    const errors = fieldErrors(parsed.error)
    refuse(422, `The file is not as it should be: ${errors[0]?.detail ?? ''} Nothing was imported.`, errors)
  }
  const errors = await unsound(parsed.data)
  if (errors.length > 0) refuse(422, `${errors[0]!.detail} Nothing was imported.`, errors)
  return parsed.data
}

/** Finds learners by code name while a file is taken in, and adds those who are new. */
export function enrolling(store: Store): { readonly idOf: (name: string) => string; readonly added: () => number } {
  let added = 0
  return {
    idOf: (name) => {
      const known = store.learnerNamed(name)
      if (known) return known.id
      const id = randomUUID()
      store.addLearner({ id, codeName: name })
      added += 1
      return id
    },
    added: () => added,
  }
}

/** Learners' code names, by their identifiers. */
export const codeNames = (store: Store): ReadonlyMap<string, string> =>
  new Map(store.learners().map((l) => [l.id, l.codeName]))
