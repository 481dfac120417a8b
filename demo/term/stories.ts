import type { RepresentationId } from '../../core/index'
import type { Help } from '../../shared/levels'

/** Who the six learners of the demo are in the term before today. All of it is invented. */

/** So many weeks the term has. */
export const WEEKS = 12

/** Where a learner is in some weeks of the term: what is worked, with what, and how it goes. */
export interface Stretch {
  /** From the start of this week of the term on, counted from 0. */
  readonly week: number
  readonly step: string
  readonly with: RepresentationId
  /** The share that comes right without help, at the start of the stretch and at its end. */
  readonly alone: readonly [from: number, to: number]
  /** With which help the others come right; `mistake`: they do not, by the learner's procedure. */
  readonly others: Help | 'mistake'
  /** Whether nobody came in these weeks. */
  readonly away?: true
}
export interface Story {
  readonly who: string
  /** The procedure behind what goes wrong. */
  readonly mistake: string
  readonly stretches: readonly Stretch[]
  readonly notes: readonly string[]
}

export const STORIES: readonly Story[] = [
  {
    // A steady rise.
    who: 'Wren',
    mistake: 'smaller-from-larger',
    stretches: [
      { week: 0, step: 'take-2-2', with: 'blocks', alone: [0.4, 1], others: 'spoken' },
      { week: 5, step: 'take-2-2-ten', with: 'blocks', alone: [0.2, 0.7], others: 'mistake' },
    ],
    notes: ['Ribbon cut from a roll of 45.', 'Asked “are there enough ones?” without being told.', ''],
  },
  {
    // A plateau, broken by going back to blocks.
    who: 'Pip',
    mistake: 'smaller-from-larger',
    stretches: [
      { week: 0, step: 'take-2-2-ten', with: 'columns', alone: [0.4, 0.4], others: 'mistake' },
      { week: 6, step: 'take-2-2-ten', with: 'blocks', alone: [0.4, 0.9], others: 'pointed' },
    ],
    notes: ['Hurries on the sheet.', 'Back to blocks: says each exchange aloud.', ''],
  },
  {
    // A break, a loss, and found again.
    who: 'Fen',
    mistake: '',
    stretches: [
      { week: 0, step: 'add-2-2-ten', with: 'blocks', alone: [0.4, 0.8], others: 'pointed' },
      { week: 5, step: 'add-2-2-ten', with: 'blocks', alone: [0, 0], others: 'shown', away: true },
      { week: 8, step: 'add-2-2-ten', with: 'blocks', alone: [0.2, 0.6], others: 'spoken' },
    ],
    notes: ['Beads on two lantern strings.', 'Three weeks away; wanted the blocks again.', ''],
  },
  {
    // Fluent with facts, lost with zeros.
    who: 'Ash',
    mistake: 'stops-borrow-at-zero',
    stretches: [
      { week: 0, step: 'take-3-3', with: 'columns', alone: [0.6, 1], others: 'spoken' },
      { week: 6, step: 'take-across', with: 'columns', alone: [0.2, 0.2], others: 'mistake' },
    ],
    notes: ['Knows every fact at once.', 'Stops at the zero and looks up.', ''],
  },
  {
    // Help that fades.
    who: 'Teal',
    mistake: '',
    stretches: [
      { week: 0, step: 'add-3-3', with: 'blocks', alone: [0, 0.2], others: 'hand-over-hand' },
      { week: 3, step: 'add-3-3', with: 'blocks', alone: [0.2, 0.4], others: 'shown' },
      { week: 6, step: 'add-3-3', with: 'blocks', alone: [0.4, 0.6], others: 'spoken' },
      { week: 9, step: 'add-3-3', with: 'blocks', alone: [0.8, 1], others: 'pointed' },
    ],
    notes: ['Stall money, both boxes.', 'Only a glance at the tens was needed.', ''],
  },
  {
    // At the very beginning, with two switches.
    who: 'Moth',
    mistake: '',
    stretches: [
      { week: 4, step: 'count-5', with: 'counters', alone: [0, 0.4], others: 'hand-over-hand' },
      { week: 8, step: 'add-5', with: 'counters', alone: [0.2, 0.4], others: 'shown' },
    ],
    notes: ['Chose with both switches.', 'Wanted the hand; pushed the last one alone.', ''],
  },
]
