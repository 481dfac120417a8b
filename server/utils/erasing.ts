import type { H3Event } from 'h3'
import type { KeptLearner } from '../../shared/learners'
import type { Receipt } from '../../shared/people'
import { alone } from './alone'
import { aside, asideDone } from './aside'
import { copiesOf } from './backups'
import type { Store } from './store'

/** What is kept of one learner, part by part; lists that may be long are read while they are written. */
function partsOf(store: Store, learner: KeptLearner): Readonly<Record<string, unknown>> {
  const { id } = learner
  return {
    format: 'sett-learner',
    version: 1,
    writtenAt: new Date().toISOString(),
    learner: learner.codeName,
    groups: learner.groups,
    choices: learner.choices,
    moments: store.moments(id),
    records: each(store.records(id), ({ learnerId: _, ...r }) => ({ ...r, slips: store.slipsOf(r.id) })),
    trials: each(store.trials(id), ({ learnerId: _, ...t }) => t),
    goals: each(store.goals(id), ({ learnerId: _, ...g }) => g),
    decisions: each(store.decisions(id), ({ learnerId: _, ...d }) => d),
    answers: each(store.answers(id), ({ learnerId: _, ...a }) => ({ ...a, at: new Date(a.at).toISOString() })),
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
    seenBy: store.people().flatMap((p) => (p.role === 'helper' && p.learners.includes(id) ? [p.name] : [])),
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

/**
 * Erases a learner for good, from here and then from every earlier copy; the receipt says what went. Undefined where there is no such
 * learner. Every file is written anew, which takes seconds for each at the size of a school; `told` hears how many are done.
 */
export async function eraseLearner(
  storeNow: () => Store,
  id: string,
  now = new Date(),
  event?: H3Event,
  told: (done: number, of: number) => void = () => {},
): Promise<Receipt | undefined> {
  // Nobody who writes has to wait for a backup that is under way.
  await asideDone()
  const erased = await alone(storeNow, event, async (store) => {
    const learner = store.learner(id)
    if (!learner) return undefined
    const { path } = store
    const kept = store.keptOf(id)
    await aside('erase', { path, id, at: now.getTime() })
    return { path, receipt: { learner: learner.codeName, ...kept } }
  })
  if (!erased) return undefined
  const { path, receipt } = erased
  const copies = copiesOf(path)
  let changed = 0
  for (const [i, copy] of copies.entries()) {
    told(i + 1, copies.length + 1)
    if (await aside('eraseFromCopy', { path: copy, ids: [id] })) changed += 1
  }
  return { ...receipt, copies: changed, at: now.toISOString() }
}

/** Erases from every copy whoever was erased here: where that was interrupted, or a copy was brought back from elsewhere. */
export async function eraseLeftovers(store: Store): Promise<void> {
  const ids = store.erasedLearners()
  if (ids.length === 0) return
  for (const copy of copiesOf(store.path)) await aside('eraseFromCopy', { path: copy, ids })
}
