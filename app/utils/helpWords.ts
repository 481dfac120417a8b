import type { Help } from '../../shared/levels'

/** The most help that was used, as it is told of work that is done. */
export const HELP_USED: Readonly<Record<Help, string>> = {
  independent: 'without help',
  pointed: 'pointed',
  spoken: 'spoken hint',
  shown: 'shown',
  'hand-over-hand': 'hand over hand',
}
