import { isFact, isRightFact, parseFact } from './facts'
import { isRight, parseItem } from './items'

/** Whether an answer to something rehearsed, by its text, is right. @throws Refusal for text that is nothing to rehearse. */
export const isRightAnswer = (item: string, given: string): boolean =>
  isFact(item) ? isRightFact(parseFact(item), given) : isRight(parseItem(item), given)
