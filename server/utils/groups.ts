import type { H3Event } from 'h3'
import { asker } from './person'
import { refuse } from './problem'
import type { Store } from './store'

/** Groups that give somebody the learners in them. A group that nobody has been given is only a name for some learners. */
const teams = (store: Store): ReadonlySet<string> => new Set(store.people().flatMap((p) => p.groups ?? []))

/**
 * Who reaches a learner is not for everybody to change: somebody who has only some groups may put learners into these and take them out
 * again, as long as they keep them, and leaves the groups of others as they are.
 */
export function mustKeepTeams(event: H3Event, store: Store, before: readonly string[], after: readonly string[]): void {
  const { groups } = asker(event)
  if (groups === null) return
  const others = [...teams(store)].filter((team) => !groups.includes(team))
  const changed = others.find((team) => before.includes(team) !== after.includes(team))
  if (changed !== undefined)
    refuse(403, `The group ${changed} is not one of yours. A keeper can change who is in it.`, [
      { pointer: '/groups', detail: 'Leave the groups of others as they are.' },
    ])
  if (before.some((g) => groups.includes(g)) && !after.some((g) => groups.includes(g)))
    refuse(403, 'Then you would not see this learner any more. A keeper can move them to another group.', [
      { pointer: '/groups', detail: 'Keep one of your own groups.' },
    ])
}

/** The groups that a learner starts in: of somebody who has only some, the first of these. */
export function firstGroups(event: H3Event): readonly string[] {
  const { groups } = asker(event)
  if (groups === null) return []
  const [first] = groups
  return first === undefined
    ? refuse(403, 'You have no group to add a learner to. A keeper can give you one.')
    : [first]
}
