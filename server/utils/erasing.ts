import type { Receipt } from '../../shared/people'
import { eraseFromCopies } from './backups'
import type { Store } from './store'

/** Everything that is kept of one learner, as one file that people can read too; undefined where there is no such learner. */
export function everythingOf(store: Store, id: string) {
  const learner = store.learner(id)
  if (!learner) return undefined
  return {
    format: 'sett-learner' as const,
    version: 1,
    writtenAt: new Date().toISOString(),
    learner: learner.codeName,
    groups: learner.groups,
    choices: learner.choices,
    moments: store.moments(id),
    records: [...store.records(id)].map(({ learnerId: _, ...r }) => ({ ...r, slips: store.slipsOf(r.id) })),
    trials: [...store.trials(id)].map(({ learnerId: _, ...t }) => t),
    goals: store.goals(id).map(({ learnerId: _, ...g }) => g),
    decisions: store.decisions(id).map(({ learnerId: _, ...d }) => d),
    answers: store.answers(id).map(({ learnerId: _, ...a }) => ({ ...a, at: new Date(a.at).toISOString() })),
    markings: store.markings(id).map(({ learnerId: _, ...m }) => m),
    lessons: store.lessonsOf(id).map((l) => ({
      day: l.day,
      at: l.at,
      minutes: l.minutes,
      turns: l.turns.filter((t) => t.learner === id).map(({ learner: _, ...t }) => t),
      note: l.notes[id] ?? '',
    })),
    recordings: store.recordings(id).map((r) => {
      const { type, audio } = store.recording(r.id)!
      return { said: r.said, madeAt: r.madeAt, type, audio: audio.toString('base64') }
    }),
    seenBy: store.people().flatMap((p) => (p.role === 'helper' && p.learners.includes(id) ? [p.name] : [])),
  }
}

/** Erases a learner for good, from here and from every earlier copy; the receipt says what went. Undefined where there is no such learner. */
export function eraseLearner(store: Store, id: string, now = new Date()): Receipt | undefined {
  const learner = store.learner(id)
  if (!learner) return undefined
  const kept = store.keptOf(id)
  store.erase(id, now.getTime())
  return { learner: learner.codeName, ...kept, copies: eraseFromCopies(store.path, id), at: now.toISOString() }
}
