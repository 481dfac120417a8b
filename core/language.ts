import type { RepresentationId } from './materials'

/** The languages in which the Bench speaks. Moves and problems are written alike in all of them. */
export const LANGUAGES = ['en', 'es'] as const
export type LanguageId = (typeof LANGUAGES)[number]

/** What each language is called by those who speak it. */
export const LANGUAGE_NAMES: Readonly<Record<LanguageId, string>> = { en: 'English', es: 'Español' }

/** The materials that are told in Spanish so far. */
const IN_SPANISH = ['blocks', 'chips', 'drawn', 'counters', 'fingers', 'columns', 'openline'] as const
export type SpanishMaterial = (typeof IN_SPANISH)[number]

/** Whether everything about a material is said in a language. */
export const isToldIn = (language: LanguageId, id: RepresentationId): boolean =>
  language === 'en' || (IN_SPANISH as readonly string[]).includes(id)
