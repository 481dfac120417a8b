import type { LanguageId } from '../language'
import { sayMatch as matchInEnglish } from './match'
import { sayOpening as openingInEnglish } from './opening'
import { sayOwed as owedInEnglish } from './owed'
import * as english from './say'
import {
  carryNote as carryInEnglish,
  sayGuess as guessInEnglish,
  sayStart as startInEnglish,
  lineInWords as lineInEnglish,
  UNDER_WAY,
} from './notes'
import type { Words } from '../choices'
import { introducePacks, type WordPack } from './words'

/** What is said at the Bench, in the language of the class's words. Each language says an act in its own way, in its own files. */

export interface Speech {
  readonly askInWords: typeof english.askInWords
  readonly sayAct: typeof english.sayAct
  readonly labelOf: typeof english.labelOf
  readonly sayOwed: typeof owedInEnglish
  readonly sayOpening: typeof openingInEnglish
  readonly sayMatch: typeof matchInEnglish
  readonly sayGuess: typeof guessInEnglish
  readonly sayStart: typeof startInEnglish
  readonly carryNote: typeof carryInEnglish
  readonly lineInWords: typeof lineInEnglish
  readonly UNDER_WAY: Readonly<Record<keyof typeof UNDER_WAY, string>>
}

/** A language besides English: how it makes a class's words, and what it says. */
export interface Language {
  readonly id: Exclude<LanguageId, 'en'>
  packOf(words: Words): WordPack
  readonly speech: Speech
}

const ENGLISH: Speech = {
  ...english,
  sayOwed: owedInEnglish,
  sayOpening: openingInEnglish,
  sayMatch: matchInEnglish,
  sayGuess: guessInEnglish,
  sayStart: startInEnglish,
  carryNote: carryInEnglish,
  lineInWords: lineInEnglish,
  UNDER_WAY,
}
const speeches = new Map<LanguageId, Speech>([['en', ENGLISH]])
/** Lets a language be spoken; until then those who want it are told in English. */
export function introduceLanguage({ id, packOf, speech }: Language): void {
  introducePacks(id, packOf)
  speeches.set(id, speech)
}
const speechOf = (pack: WordPack): Speech => speeches.get(pack.language) ?? ENGLISH

/** The whole question in words: “fifty-two take away thirty-seven”. */
export const askInWords: Speech['askInWords'] = (problem, pack) => speechOf(pack).askInWords(problem, pack)
/** What to say for an act done when `before` stood there. */
export const sayAct: Speech['sayAct'] = (act, before, telling) => speechOf(telling.pack).sayAct(act, before, telling)
/** A stone's short label, in the class's words and in figures. */
export const labelOf: Speech['labelOf'] = (act, pack, hands, units) => speechOf(pack).labelOf(act, pack, hands, units)
/** What an unfinished move still needs, said kindly and exactly. */
export const sayOwed: Speech['sayOwed'] = (owed, soFar, before, pack, units, steps) =>
  speechOf(pack).sayOwed(owed, soFar, before, pack, units, steps)
/** The first thing for a hand to do, said before anything lies there. */
export const sayOpening: Speech['sayOpening'] = (act, opening, pack, units) =>
  speechOf(pack).sayOpening(act, opening, pack, units)
/** Everything that is to be said of two representations worked side by side. */
export const sayMatch: Speech['sayMatch'] = (match, pack) => speechOf(pack).sayMatch(match, pack)
/** A guess held against what stands there in the end. */
export const sayGuess: Speech['sayGuess'] = (guess, there, pack) => speechOf(pack).sayGuess(guess, there, pack)
/** Said where a hand begins with another number than the problem. */
export const sayStart: Speech['sayStart'] = (asked, pack) => speechOf(pack).sayStart(asked, pack)
/** A written line with its words, where it has some. */
export const lineInWords: Speech['lineInWords'] = (text, pack) => speechOf(pack).lineInWords(text, pack)
/** The label of a mark that is no act yet (`sheet`), or of an arrow that starts elsewhere (`arrow`). */
export const underWay = (what: keyof typeof UNDER_WAY, pack: WordPack): string => speechOf(pack).UNDER_WAY[what]
/** Beside a column's sum: what is written under it and what is carried. */
export const carryNote: Speech['carryNote'] = (stays, carried, pack) => speechOf(pack).carryNote(stays, carried, pack)
