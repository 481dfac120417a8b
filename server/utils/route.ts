import { defineEventHandler, type EventHandler, type EventHandlerRequest, type H3Event } from 'h3'
import { reaches, type Role } from '../../shared/roles'
import { mayWrite } from './alone'
import { askerOf, reachWasAsked } from './person'
import { refuse } from './problem'
import { useStore } from './store'

/** What one address and method may do, and who may use it. It stands beside the code it is about, and nowhere else. */
export interface Rights {
  /** The least role that may; `anybody` needs no session. */
  readonly least: Role | 'anybody'
  /**
   * Whose data it touches: `nobody` (no learner is in it), `staff` (people who sign in, sessions, the log), `learners` (those whom
   * whoever asks reaches: the handler has to ask who they are), or `school` (all learners together: only for whoever reaches them all).
   */
  readonly whose: 'nobody' | 'staff' | 'learners' | 'school'
  /** Whether it may write: then it waits while somebody works on the whole database. */
  readonly writes: boolean
}

const RIGHTS = new WeakMap<object, Rights>()

/** The rights that a handler was made with; undefined where it was not made by `route`. */
export const rightsOf = (handler: unknown): Rights | undefined =>
  typeof handler === 'function' ? RIGHTS.get(handler) : undefined

/**
 * Makes the handler of an address. Who asks, what they may and whom they reach is looked at here, whatever way the request came, and
 * before the handler sees it. A handler that answers from learners' data without having asked who may be seen answers nothing.
 */
export function route<T>(
  rights: Rights,
  answer: (event: H3Event) => T | Promise<T>,
): EventHandler<EventHandlerRequest, Promise<T>> {
  const handler = defineEventHandler(async (event) => {
    const asker = askerOf(event, useStore())
    event.context.asker = asker
    if (rights.least !== 'anybody') {
      if (!asker) refuse(401, 'Sign in first.')
      if (!reaches(asker.role, rights.least))
        refuse(403, `That is for a ${rights.least} to do; you are here as a ${asker.role}.`)
      if (rights.whose === 'school' && asker.only !== null)
        refuse(403, 'Only somebody who has all learners can do that. Ask a keeper.')
    }
    if (rights.writes) await mayWrite(event)
    const answered = await answer(event)
    if (rights.whose === 'learners' && asker?.only && !reachWasAsked(event))
      throw new Error(`${event.method} ${event.path} answers without asking whose data may be seen.`)
    return answered
  })
  RIGHTS.set(handler, rights)
  return handler
}
