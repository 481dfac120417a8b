import { randomUUID } from 'node:crypto'
import type { FiledAnswer, FiledRecord, TakenIn } from '../../shared/schemas'
import type { FiledTrial } from '../../shared/trials'
import type { Seen } from '../db/trials'
import type { Store } from './store'

/** A file that has been checked: the things in it, packed, and what was found of each. */
export interface CheckedFile<Found> {
  readonly things: readonly Uint8Array[]
  readonly found: readonly Found[]
}

/** So much is packed into one block, in letters. */
const BLOCK = 500_000

/**
 * Packs things as lines of JSON, whole lines in each block. Outside the heap they are only as large as they are; as objects or texts they
 * would let the heap grow to several times that before anything is cleared away.
 */
export function packing(): { readonly add: (thing: unknown) => void; readonly blocks: () => readonly Uint8Array[] } {
  const blocks: Uint8Array[] = []
  let lines: string[] = []
  let size = 0
  const close = (): void => {
    if (lines.length > 0) blocks.push(new TextEncoder().encode(lines.join('\n')))
    ;[lines, size] = [[], 0]
  }
  return {
    add: (thing) => {
      const line = JSON.stringify(thing)
      lines.push(line)
      size += line.length
      if (size > BLOCK) close()
    },
    blocks: () => {
      close()
      return blocks
    },
  }
}

/** The things of packed blocks, one after another. */
function* unpacked(blocks: readonly Uint8Array[]): Generator<unknown> {
  for (const block of blocks) for (const line of new TextDecoder().decode(block).split('\n')) yield JSON.parse(line)
}

/** Finds learners by code name while a file is taken in, and adds those who are new, to some groups. */
function enrolling(
  store: Store,
  groups: readonly string[],
): { readonly idOf: (name: string) => string; readonly added: () => number } {
  let added = 0
  return {
    idOf: (name) => {
      const known = store.learnerNamed(name)
      if (known) return known.id
      const id = randomUUID()
      store.addLearner({ id, codeName: name }, groups)
      added += 1
      return id
    },
    added: () => added,
  }
}

/** Taking in is all of it or nothing. What is here already stays as it is; what was erased stays away. */
function takeIn<T extends { readonly id: string }, Found>(
  store: Store,
  { things, found }: CheckedFile<Found>,
  groups: readonly string[],
  keep: (thing: T, found: Found, idOf: (name: string) => string) => boolean,
): TakenIn {
  return store.db.transaction(() => {
    const learners = enrolling(store, groups)
    let added = 0
    let i = 0
    for (const one of unpacked(things)) {
      const thing = one as T
      if (store.erasedAt(thing.id) === undefined && keep(thing, found[i]!, learners.idOf)) added += 1
      i += 1
    }
    return { added, already: found.length - added, learners: learners.added() }
  })()
}

/** Takes in records, with the slips seen in each. */
export const takeInRecords = (
  store: Store,
  file: CheckedFile<readonly string[] | null>,
  groups: readonly string[] = [],
): TakenIn =>
  takeIn(store, file, groups, ({ learner, ...record }: FiledRecord, slips, idOf) => {
    if (store.record(record.id)) return false
    store.save({ ...record, learnerId: idOf(learner) }, slips)
    return true
  })

/** Takes in trials, with what was found of each. */
export const takeInTrials = (store: Store, file: CheckedFile<Seen>, groups: readonly string[] = []): TakenIn =>
  takeIn(store, file, groups, ({ learner, ...trial }: FiledTrial, seen, idOf) => {
    if (store.trial(trial.id)) return false
    store.keepTrial({ ...trial, learnerId: idOf(learner) }, seen)
    return true
  })

/** Takes in answers of rehearsing, with whether each is right. */
export const takeInAnswers = (store: Store, file: CheckedFile<boolean>, groups: readonly string[] = []): TakenIn =>
  takeIn(store, file, groups, ({ learner, ...answer }: FiledAnswer, right, idOf) =>
    store.keepAnswer({ ...answer, learnerId: learner === null ? null : idOf(learner), right }),
  )
