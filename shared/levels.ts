/** How a problem is worked at the bench. */
export const MODES = ['show', 'together', 'alone'] as const

/** Help levels, least to most. Common practice, no source. */
export const HELP_LEVELS = ['independent', 'pointed', 'spoken', 'shown', 'hand-over-hand'] as const

export type Help = (typeof HELP_LEVELS)[number]
