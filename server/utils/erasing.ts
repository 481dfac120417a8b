import { statSync } from 'node:fs'
import { basename } from 'node:path'
import type { H3Event } from 'h3'
import type { KeptLearner } from '../../shared/learners'
import type { Receipt } from '../../shared/people'
import type { KeptOf } from '../db/erasing'
import type { Damaged } from '../db/sums'
import { isFull } from '../db/trouble'
import { alone, writesLater } from './alone'
import { aside, asideDone } from './aside'
import { copiesOf } from './copies'
import { refuse } from './problem'
import { megabytes, roomAt } from './room'
import type { Store } from './store'

/** What is kept of one learner, part by part; lists that may be long are read while they are written. */
function partsOf(store: Store, learner: KeptLearner): Readonly<Record<string, unknown>> {
  const { id } = learner
  const damaged: string[] = []
  const tell: Damaged = (one) => void damaged.push(one)
  return {
    format: 'sett-learner',
    version: 1,
    writtenAt: new Date().toISOString(),
    learner: learner.codeName,
    groups: learner.groups,
    choices: learner.choices,
    moments: store.moments(id),
    records: each(store.records(id, tell), ({ learnerId: _, ...r }) => ({ ...r, slips: store.slipsOf(r.id) })),
    trials: each(store.trials(id, tell), ({ learnerId: _, ...t }) => t),
    goals: each(store.goals(id), ({ learnerId: _, ...g }) => g),
    decisions: each(store.decisions(id), ({ learnerId: _, ...d }) => d),
    answers: each(store.answers(id), ({ learnerId: _, ...a }) => ({ ...a, at: new Date(a.at).toISOString() })),
    told: each(store.toldOf(id), (t) => t),
    markings: each(store.markings(id), ({ learnerId: _, ...m }) => m),
    lessons: each(store.lessonsOf(id), (l) => ({
      day: l.day,
      at: l.at,
      minutes: l.minutes,
      turns: l.turns.filter((t) => t.learner === id).map(({ learner: _, ...t }) => t),
      note: l.notes[id] ?? '',
    })),
    recordings: each(store.recordings(id), (r) => {
      const { type, audio } = store.recording(r.id)!
      return { said: r.said, madeAt: r.madeAt, type, audio: audio.toString('base64') }
    }),
    // Looked at last: which of these could not be read is known only when all have been.
    damaged: each(damaged, (one) => one),
    seenBy: store
      .people()
      .flatMap((p) => (p.groups && store.reachedBy(p.groups, p.learners).includes(id) ? [p.name] : [])),
  }
}

function* each<T>(things: Iterable<T>, told: (thing: T) => unknown): Generator<unknown> {
  for (const thing of things) yield told(thing)
}

/** Everything that is kept of one learner as one file, written bit by bit however much it is, that people can read too. */
export function* everythingOf(store: Store, learner: KeptLearner): Generator<string> {
  let before = '{'
  for (const [name, part] of Object.entries(partsOf(store, learner))) {
    yield `${before}${JSON.stringify(name)}:`
    before = ','
    if (!isGenerator(part)) yield JSON.stringify(part)
    else {
      let start = '['
      for (const thing of part) {
        yield start + JSON.stringify(thing)
        start = ','
      }
      yield start === '[' ? '[]' : ']'
    }
  }
  yield '}'
}

const isGenerator = (part: unknown): part is Generator<unknown> =>
  typeof part === 'object' && part !== null && Symbol.iterator in part && 'next' in part

/** As much room as erasing needs on the disk, in bytes: what it changes lies in a file of its own until it is done. */
function roomFor(kept: KeptOf, files: readonly number[]): number {
  const things = kept.records + kept.trials + kept.answers + kept.markings + kept.recordings + kept.lessons
  const changed = things * PAGES_A_THING * PAGE
  return Math.min(changed, Math.max(...files)) + SPARE_ROOM
}
const PAGE = 4096
/** A thing lies on a page of its own, as a rule, and in each index on another one. */
const PAGES_A_THING = 16
const SPARE_ROOM = 4_000_000

/**
 * Erases a learner for good: from every copy beside the database first, and then from the database itself, so that whoever is gone there
 * is gone everywhere; the receipt says what went. Undefined where there is no such learner. Where there is no room for it nothing is
 * begun, and where it fails all the same the learner is still there. `told` hears how many files are done.
 */
export async function eraseLearner(
  storeNow: () => Store,
  id: string,
  now = new Date(),
  event?: H3Event,
  told: (done: number, of: number) => void = () => {},
  room: (path: string) => number = roomAt,
): Promise<Receipt | undefined> {
  // Until its last step it writes nothing that others would have to wait for.
  if (event) writesLater(event)
  await asideDone()
  const { path } = storeNow()
  const learner = storeNow().learner(id)
  if (!learner) return undefined
  await aside('tidyUp', { path })
  const besides = copiesOf(path)
  const needed = roomFor(storeNow().keptOf(id), [statSync(path).size, ...besides.copies.map((c) => c.bytes)])
  if (room(path) < needed)
    refuse(
      507,
      `Erasing needs ${megabytes(needed)} of free space on the disk. Nothing was erased. Free some space, and try again.`,
    )
  const unread = [...besides.others]
  const done = new Map<string, boolean>()
  const eraseFrom = async (copy: string): Promise<void> => {
    const was = await aside('eraseFromCopy', { path: copy, ids: [id] })
    if (was === 'unread') unread.push(basename(copy))
    done.set(copy, was === 'erased')
  }
  const of = besides.copies.length + 1
  try {
    for (const [i, copy] of besides.copies.entries()) {
      told(i, of)
      await eraseFrom(copy.path)
    }
    told(of - 1, of)
    const kept = await alone(storeNow, event, async (store) => {
      // Somebody else was quicker.
      if (!store.hasLearner(id) && store.erasedAt(id) !== undefined) return undefined
      const kept = store.keptOf(id)
      // Also where a backup has been put back meanwhile that had the learner no more: nothing is to bring them back.
      await aside('erase', { path: store.path, id, at: now.getTime() })
      return kept
    })
    if (!kept) return undefined
    // A backup that was made meanwhile had the learner in it still.
    for (const { path: copy } of copiesOf(path).copies) if (!done.has(copy)) await eraseFrom(copy)
    const copies = [...done.values()].filter(Boolean).length
    return { learner: learner.codeName, ...kept, copies, unread, at: now.toISOString() }
  } catch (error) {
    if (!isFull(error) || !storeNow().hasLearner(id)) throw error
    const copies = [...done.values()].filter(Boolean).length
    refuse(
      507,
      `The disk is full, so ${learner.codeName} is not erased. Everything is still in the database; ${copies} of ${besides.copies.length} copies are done. Free some space, and erase again.`,
    )
  }
}

/** Erases from every copy whoever was erased here: where that was interrupted, or a copy was brought back from elsewhere. */
export async function eraseLeftovers(store: Store): Promise<void> {
  const ids = store.erasedLearners()
  if (ids.length === 0) return
  for (const copy of copiesOf(store.path).copies) await aside('eraseFromCopy', { path: copy.path, ids })
}
