import { MAX_RECORD_BYTES } from '../../../shared/schemas'
import { lookThroughLater } from '../../utils/lookingThrough'
import { mustBeKnown } from '../../utils/mayKeep'
import { mustReach } from '../../utils/person'
import { bodyText, BROKEN_JSON, refuse } from '../../utils/problem'
import { isTrouble, readSent } from '../../utils/replaying'
import { route } from '../../utils/route'
import { savedTogether } from '../../utils/saving'
import { useStore } from '../../utils/store'

/**
 * Saves a record; it is on disk when this answers. One that takes long to look through is kept as it came, and looked through later. The
 * same record twice is one record, and a newer state of the same work takes the place of the older one; anything else under an id that is
 * taken is refused.
 */
export default route({ least: 'helper', whose: 'learners', writes: true }, async (event) => {
  const sent = await readSent(await bodyText(event, MAX_RECORD_BYTES))
  if ('errors' in sent) {
    const [first] = sent.errors
    // A text that is no JSON has no place in it to point to.
    if (sent.status === 400) refuse(400, BROKEN_JSON)
    refuse(422, first?.detail ?? 'Some of it will not do.', sent.errors)
  }
  const { row, found } = sent
  mustBeKnown(useStore(), row.learnerId)
  mustReach(event, row.learnerId)
  if (found && isTrouble(found)) refuse(422, found.detail, [{ pointer: `/work${found.pointer}`, detail: found.detail }])
  await savedTogether(useStore(), row, found && found.slips)
  if (!found) void lookThroughLater(useStore).catch((error: unknown) => console.error(error))
  return { id: row.id }
})
