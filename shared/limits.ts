/** The longest that an answer is taken to have needed, in milliseconds: a question left open over night counts as a day. */
export const MOST_ANSWER_MS = 86_400_000
