/** Which end of the input a refusal speaks of: `at` is the 0-based index of the first character, `length` how many. */
export interface Span {
  readonly at: number
  readonly length: number
}

/** One thing that could have been meant: the text that says it plainly, and what to call it. */
export interface Meant {
  readonly text: string
  readonly label: string
}

/** An error without the trace of where it came from, which nobody reads and which takes longer to take down than to refuse. */
class Untraced extends Error {
  constructor(message: string) {
    const limit = traced.stackTraceLimit
    traced.stackTraceLimit = 0
    super(message)
    traced.stackTraceLimit = limit
  }
}
/** Where the engine says how much of a trace is taken down. */
const traced = Error as unknown as { stackTraceLimit?: number | undefined }

/**
 * Something Sett will not do, with the reason in plain words and, where there is one, the way out.
 * It is thrown for what a person typed or moved; a bug in Sett itself throws a plain Error.
 */
export class Refusal extends Untraced {
  override readonly name = 'Refusal'
  constructor(
    /** One sentence: what cannot be done and why. */
    readonly reason: string,
    /** One sentence: what would work instead; empty where nothing helps. */
    readonly hint: string = '',
    /** Where in the typed text the trouble stands. */
    readonly span?: Span,
    /** What could have been meant, to choose from. */
    readonly meant: readonly Meant[] = [],
  ) {
    super(hint ? `${reason} ${hint}` : reason)
  }
}

/** Runs `work`; a Refusal becomes a value, anything else is thrown on. */
export function attempt<T>(work: () => T): { readonly ok: T } | { readonly refused: Refusal } {
  try {
    return { ok: work() }
  } catch (error) {
    if (error instanceof Refusal) return { refused: error }
    throw error
  }
}
