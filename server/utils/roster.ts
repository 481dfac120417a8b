import { randomUUID } from 'node:crypto'
import { MOST_GROUPS, type Roster, type RosterTaken } from '../../shared/learners'
import { CODE_NAMES } from './codeNames'
import { refuse } from './problem'
import type { Store } from './store'

/** Code names that nobody has yet: one after another from the list, then with a number. */
function* freeNames(store: Store): Generator<string> {
  for (let round = 1; ; round++)
    for (const name of CODE_NAMES) {
      const full = round === 1 ? name : `${name} ${round}`
      if (!store.learnerNamed(full)) yield full
    }
}

/**
 * Takes in a school's list, all of it or nothing. Those who came from it before keep their code name and get their groups anew; those who
 * have left are put away, never erased.
 */
export function takeRoster(store: Store, { learners, classes }: Roster): RosterTaken {
  return store.db.transaction((): RosterTaken => {
    const free = freeNames(store)
    const listed = new Set(classes)
    let [added, changed, putAway] = [0, 0, 0]
    const names: { rosterId: string; codeName: string }[] = []
    for (const [i, { rosterId, name, groups, gone }] of learners.entries()) {
      const there = store.learnerOnRoster(rosterId)
      if (!there && gone) continue
      if (!there && name && store.learnerNamed(name))
        refuse(
          409,
          `There is a learner called ${name} already. Take the list in with code names, or rename one of them.`,
          [{ pointer: `/learners/${i}/name`, detail: 'That name is taken.' }],
        )
      if (!there) {
        const learner = { id: randomUUID(), codeName: name ?? free.next().value! }
        store.addLearner(learner)
        store.enrolLearner(learner.id, rosterId)
        added += 1
      }
      const now = store.learnerOnRoster(rosterId)!
      // Groups that a teacher has made are no classes of the list, and stay; whoever has left keeps all of them.
      const own = now.groups.filter((g) => gone || !listed.has(g))
      const all = [...new Set([...groups, ...own])].slice(0, MOST_GROUPS)
      if (now.archived !== gone || JSON.stringify(now.groups) !== JSON.stringify(all)) {
        store.keepLearner({ ...now, groups: all, archived: gone })
        if (there && gone && !there.archived) putAway += 1
        else if (there) changed += 1
      }
      names.push({ rosterId, codeName: now.codeName })
    }
    return { added, changed, putAway, names }
  })()
}
